import { SAND_TO } from '../job';
import type { Take } from '../work';
import { A_SHEET, perDisc, type Spread } from './treatments';

/** Grits in order; none is skipped, or its scratches show under the finish. */
export const GRITS: readonly number[] = SAND_TO.filter((grit) => grit > 0);
/** The faces of plywood are thinner than a coarse disc's scratches are deep. */
export const SHEET_FROM = 120;

/** Grits from the coarsest to the one named; sheets from a finer one on. Empty for 0. */
export const gritsTo = (grit: number, from: number = first): readonly number[] =>
  grit === 0 ? [] : GRITS.filter((one) => one <= grit && (one >= from || one === grit));
const first = GRITS[0] ?? 80;

/** End grain is sanded a grit finer than the rest: it drinks less then. Null where no grit is finer, or it has none. */
export const endGrit = (grit: number, { ends }: Pick<Spread, 'ends'>): number | null =>
  grit === 0 || ends < A_TRACE ? null : (GRITS.find((one) => one > grit) ?? null);
const A_TRACE = 0.02;

/** Minutes a square foot with a 5 in orbital: the first grit takes out what the saw left, finer ones its scratches. */
const gritMinutes = (grit: number): number => (grit <= 80 ? 2 : 1);
/** By hand, in corners and where no sander fits: so many times as long. */
export const BY_HAND = 3;
/** Minutes a square foot for a light sanding between coats. */
export const BETWEEN = 0.3;

/** Minutes to sand an extent to a grit, of which `hand` square feet by hand. */
export function sandingMinutes(sandTo: number, { area, ends, sheets }: Spread, hand: number): number {
  const rate = (grits: readonly number[]) => grits.reduce((sum, grit) => sum + gritMinutes(grit), 0);
  const all =
    area === 0 ? 0 : (rate(gritsTo(sandTo)) * (area - sheets) + rate(gritsTo(sandTo, SHEET_FROM)) * sheets) / area;
  const finer = endGrit(sandTo, { ends });
  return all * (area + hand * (BY_HAND - 1)) + (finer === null ? 0 : gritMinutes(finer) * ends);
}

/** Discs and sheets of paper of each grit that sanding an extent uses up. */
export function sandingTakes(sandTo: number, { area, ends, sheets }: Spread): readonly Take[] {
  const finer = endGrit(sandTo, { ends });
  const all = gritsTo(sandTo).flatMap((grit): readonly Take[] => {
    const at = grit < SHEET_FROM && grit !== sandTo ? area - sheets : area;
    return at <= 0
      ? []
      : [
          { kind: 'disc', size: `${grit}`, count: at / perDisc(grit) },
          { kind: 'paper', size: `${grit}`, count: at / A_SHEET },
        ];
  });
  return finer === null ? all : [...all, { kind: 'disc', size: `${finer}`, count: ends / perDisc(finer) }];
}
