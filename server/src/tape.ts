import { Router } from 'express';
import * as v from 'valibot';
import { inches, LONGEST, read, seeded } from '@sill/core';
import { ApiError } from './errors';

/**
 * A digital tape that sends what it reads. A real one would be another, with nothing else to change. `about` is where it
 * is held, 1/320 mm; `press` counts the readings, so that the same press reads the same.
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

const whole = (most: number, what: string) =>
  v.pipe(v.string(what), v.transform(Number), v.integer(what), v.minValue(0, what), v.maxValue(most, what));
const AskSchema = v.object({
  about: whole(LONGEST, 'must be a length, in whole units of 1/320 mm'),
  press: v.optional(whole(1_000_000, 'must be a whole number'), '0'),
});

/** What the tape reads: `GET /api/tape?about=121920&press=3`. */
export function tapeRouter(tape: Tape): Router {
  const router = Router();
  router.get('/', async (request, response) => {
    const asked = read(
      AskSchema as v.GenericSchema<unknown, v.InferOutput<typeof AskSchema>>,
      request.query,
      'reading',
    );
    if (!asked.ok) throw new ApiError(422, 'invalid', asked.message, asked.fields);
    response.json({ length: await tape.reading(asked.value.about, asked.value.press), simulated: tape.simulated });
  });
  return router;
}
