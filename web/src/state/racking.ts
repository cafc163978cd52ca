import { isAnyOf, type UnknownAction } from '@reduxjs/toolkit';
import {
  asRow,
  holdingsOf,
  standingEntries,
  type Can,
  type Change,
  type Entry,
  type Job,
  type OnHand,
} from '@sill/core';
import { changed, redone, replaced, undone } from './bench';
import { EMPTY_RACK, RACK, server } from './server';
import { said } from './view';
import type { Listen } from './root';

type Moves = { readonly put: readonly OnHand[]; readonly putCans: readonly Can[]; readonly take: readonly string[] };

const rackedIn = (entries: readonly Entry[]): readonly string[] => [
  ...new Set(entries.flatMap((entry) => (entry.what === 'racked' ? [entry.row] : []))),
];
const fetchedIn = (entries: readonly Entry[]): readonly OnHand[] =>
  entries.flatMap((entry) => (entry.what === 'fetched' ? [entry.hand] : []));

const cansIn = (what: 'can racked' | 'can fetched', entries: readonly Entry[]): readonly Can[] =>
  entries.flatMap((entry) => (entry.what === what ? [entry.can] : []));

/** What is put on the rack from one job to another state of it, and which rows are taken: all is in one place only. */
function movesBetween(before: Job, after: Job): Moves {
  const not = (one: Job, other: Job) => {
    const known = new Set(standingEntries(other.ledger).map(({ id }) => id));
    return standingEntries(one.ledger).filter(({ id }) => !known.has(id));
  };
  const [gone, came] = [not(before, after), not(after, before)];
  const { bodies } = holdingsOf(after);
  const racked = rackedIn(came).flatMap((row): readonly OnHand[] => {
    const moved = came.flatMap((entry) => (entry.what === 'racked' && entry.row === row ? [entry.of] : []));
    const body = bodies.get(moved[0] ?? '');
    if (!body) return [];
    const { note, hand } = body;
    const known = { note: hand?.note || note || `from ${after.name}`, where: hand?.where ?? '' };
    return [{ ...asRow(body), ...known, id: row, count: moved.length }];
  });
  return {
    put: [...racked, ...fetchedIn(gone)],
    putCans: [...cansIn('can racked', came), ...cansIn('can fetched', gone)],
    take: [
      ...rackedIn(gone),
      ...[...fetchedIn(came), ...cansIn('can racked', gone), ...cansIn('can fetched', came)].map(({ id }) => id),
    ],
  };
}

/** Whether a change says that something told before was a mistake: a move itself is done where it is told. */
const corrects = (action: UnknownAction): boolean =>
  changed.match(action) &&
  action.payload.some(({ path, value }: Change) => path[0] === 'ledger' && (value as Entry).what === 'corrected');

/**
 * A move to or from the rack that is undone, done again or a mistake is so on the rack too. Where it can not be, as
 * another job has taken it or the server does not answer, the job stays as it was and says why.
 */
export function listenForRack(listen: Listen): void {
  let isTakenBack = false;
  listen({
    predicate: (action) => isAnyOf(undone, redone, replaced)(action) || corrects(action),
    effect: async (action, { getState, getOriginalState, dispatch, extra: { ask } }) => {
      const before = getOriginalState().bench.job;
      const after = getState().bench.job;
      if (isTakenBack || !before || !after || before === after) return;
      const { put, putCans, take } = movesBetween(before, after);
      if (put.length + putCans.length + take.length === 0) return;
      const back = (why: string) => {
        isTakenBack = true;
        dispatch(undone.match(action) ? redone() : undone());
        isTakenBack = false;
        dispatch(said({ text: why, bad: true }));
      };
      try {
        const row = (await ask('racks', {})).find(({ id }) => id === RACK);
        const there = row?.value ?? EMPTY_RACK;
        if (take.some((id) => [...there.pieces, ...there.cans].every((piece) => piece.id !== id)))
          return back('Left as it was: it lies on the rack no more, another job has it.');
        const isLeft = ({ id }: { readonly id: string }) => !take.includes(id);
        const value = {
          pieces: [...there.pieces.filter(isLeft), ...put],
          cans: [...there.cans.filter(isLeft), ...putCans],
        };
        await ask('saveRack', { params: { id: RACK }, body: { revision: row?.revision ?? 0, value } });
        dispatch(server.util.invalidateTags(['racks']));
      } catch (error) {
        back(`Left as it was: the rack can not be changed just now. ${error instanceof Error ? error.message : ''}`);
      }
    },
  });
}
