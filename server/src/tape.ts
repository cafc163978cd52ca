import { Router } from 'express';
import { inches, seeded } from '@sill/core';
import { ROUTES } from '@sill/core/contract';
import { serve } from './serve';

/**
 * A digital tape that sends what it reads. A real one would be another, with nothing else to change. `about` is where
 * it is held, 1/320 mm; `press` counts the readings, so that the same press reads the same.
 */
export type Tape = {
  /** Its readings are invented: told with each, and kept with what is saved of them. */
  readonly simulated: boolean;
  readonly reading: (about: number, press: number) => Promise<number>;
};

/** Reads to 1/64 in, up to 1/16 off the plan: people saw so. */
const STEP = inches(1 / 64);
export const simulatedTape: Tape = {
  simulated: true,
  reading: (about, press) => {
    const off = Math.round((seeded((about * 31 + press * 7919) >>> 0)() - 0.5) * 8);
    return Promise.resolve(Math.max(STEP, Math.round(about / STEP) * STEP + off * STEP));
  },
};

/** What the tape reads: `GET /api/tape?about=121920&press=3`. */
export function tapeRouter(tape: Tape): Router {
  const router = Router();
  serve(router, '/tape', ROUTES.tape, async ({ query: { about, press } }) => ({
    length: await tape.reading(about, press),
    simulated: tape.simulated,
  }));
  return router;
}
