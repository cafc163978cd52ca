import { first } from '../lists';
import type { Length } from '../length';
import type { Blank } from '../milling';
import { isNextInRun } from '../piece';

/** Blanks that are cut one after the other from one strip, so that the grain runs on from each to the next. */
export type Strip = { readonly whole: Blank; readonly of: readonly Blank[] };

/** Whether the grain can run on from one blank into the next: next to each other in their run, alike but in length. */
const runsInto = (a: Blank, b: Blank): boolean =>
  isNextInRun(a.part, b.part) && a.width === b.width && a.thickness === b.thickness && a.quantity === b.quantity;

/** A strip of blanks end to end, a kerf between them. */
function stripOf(of: readonly Blank[], kerf: Length): Strip {
  const one = first(of);
  const id = of.map(({ part }) => part.id).join('+');
  const length = of.reduce((sum, blank) => sum + blank.length, (of.length - 1) * kerf);
  return { whole: { ...one, part: { ...one.part, id }, length }, of };
}

/**
 * Runs of blanks drawn together into strips of at most `most` blanks each. Gives what is to be laid out, strips in the
 * places of their blanks, and the strips.
 */
export function drawnTogether(
  blanks: readonly Blank[],
  kerf: Length,
  most: number,
): { readonly laid: readonly Blank[]; readonly strips: readonly Strip[] } {
  const runs: Blank[][] = [];
  const running = blanks.filter(({ part }) => part.run !== null);
  for (const blank of running.sort((a, b) => (a.part.run?.at ?? 0) - (b.part.run?.at ?? 0))) {
    const run = runs.find((one) => one.length < most && runsInto(one[one.length - 1] ?? blank, blank));
    if (run) run.push(blank);
    else runs.push([blank]);
  }
  const strips = runs.filter((run) => run.length > 1).map((run) => stripOf(run, kerf));
  const instead = new Map(strips.flatMap(({ whole, of }) => of.map((blank, at) => [blank, at === 0 ? [whole] : []])));
  return { laid: blanks.flatMap((blank) => instead.get(blank) ?? [blank]), strips };
}

/** The longest run among blanks: in so many pieces at most a strip is cut. */
export const longestRun = (blanks: readonly Blank[]): number =>
  blanks.reduce((most, { part }) => Math.max(most, (part.run?.at ?? 0) + 1), 1);
