import { inches, type Length } from '../length';

/** Doors up to these sizes hang on two hinges, on three; larger ones on four. Usual in cabinet work. */
const TWO: Length = inches(40);
const THREE: Length = inches(60);
/** The middle of the outer hinges from the ends of the door: a sixth of it, between these. */
const LEAST: Length = inches(1.75);
const MOST: Length = inches(4);

/**
 * Where the hinges of a door go: their middles from its end, in order, evenly between the outer two.
 *
 * @param run of the door along its hinges.
 */
export function hingePlaces(run: Length): readonly Length[] {
  const number = run <= TWO ? 2 : run <= THREE ? 3 : 4;
  const first = Math.min(MOST, Math.max(LEAST, Math.round(run / 6)));
  return Array.from({ length: number }, (_, at) => Math.round(first + (at * (run - 2 * first)) / (number - 1)));
}
