import { Router } from 'express';
import type { Chosen, CutProblem, Solved } from '@sill/core';
import { ROUTES } from '@sill/core/contract';
import { ApiError } from './errors';
import { serve } from './serve';

/** Solves a cut problem elsewhere than in the thread that answers requests; ends when the signal says so. */
export type Solver = (problem: CutProblem, ended: AbortSignal) => Promise<Solved | Chosen>;

/** Searches at a time: each keeps a core busy. */
const MOST_AT_ONCE = 2;

/** Long cut lists for devices that are slow or small: a cut problem in, its exact layouts and bound out. */
export function solvingRouter(solver: Solver): Router {
  const router = Router();
  let busy = 0;
  serve(router, '/solve', ROUTES.solve, async ({ body: { problem }, response }) => {
    if (busy >= MOST_AT_ONCE)
      throw new ApiError(503, 'busy', 'The server is solving other lists. The search goes on here instead.');
    const ended = new AbortController();
    response.on('close', () => ended.abort());
    busy++;
    try {
      return { solved: await solver(problem, ended.signal) };
    } catch (error) {
      // The one who asked has gone: there is nobody to answer.
      if (!ended.signal.aborted) throw error;
      return undefined as never;
    } finally {
      busy--;
    }
  });
  return router;
}
