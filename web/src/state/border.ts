import type { Middleware } from '@reduxjs/toolkit';
import { applyChanges, readJob, type Job } from '@sill/core';
import { changed, replaced } from './bench';
import type { RootState } from './root';
import { said } from './view';

/**
 * What can not be saved is refused at the change, with the reason: a 31st piece, a name too long. Else every later
 * change would be refused with it by the server, and be gone with the tab.
 */
export const border: Middleware<object, RootState> =
  ({ getState, dispatch }) =>
  (next) =>
  (action) => {
    const { job } = getState().bench;
    const wanted: Job | null =
      job && changed.match(action) ? applyChanges(job, action.payload) : replaced.match(action) ? action.payload : null;
    const read = wanted && readJob(wanted);
    if (!read || read.ok) return next(action);
    const [first] = read.fields;
    dispatch(
      said({ text: `That can not be kept: ${first ? `${first.field} ${first.message}` : read.message}.`, bad: true }),
    );
    return action;
  };
