import { inches, type Length } from '../length';

/** Doors up to these sizes hang on two hinges, on three; larger ones on four. Usual in cabinet work. */
const TWO: Length = inches(40);
const THREE: Length = inches(60);
/** The middle of the outer hinges from the ends of the door: a sixth of it, between these. */
const LEAST: Length = inches(1.75);
const MOST: Length = inches(4);

/** Lengths that long hinges are sold in, inches: cut to what is wanted. */
const LONG_HINGES = [12, 24, 30, 36, 48, 72] as const;
/** Screws of a long hinge stand about so far apart, the outer ones so far from its ends. */
const PITCH: Length = inches(3);
const END: Length = inches(1);

/** The long hinge that is cut for a run, inches as it is sold; null where none is long enough. */
export const longHingeFor = (run: Length): number | null => LONG_HINGES.find((sold) => inches(sold) >= run) ?? null;

/** Where the screws of a long hinge go from the end of what hangs on it. */
export function longHingePlaces(run: Length): readonly Length[] {
  const number = Math.max(2, Math.ceil((run - 2 * END) / PITCH) + 1);
  return Array.from({ length: number }, (_, at) => Math.round(END + (at * (run - 2 * END)) / (number - 1)));
}

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
