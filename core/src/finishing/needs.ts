import type { Piece } from '../job';
import type { HardwareKind, HardwareNeed } from '../stock';
import type { Areas } from './areas';
import { COATS, GRITS, OUNCES_A_QUART, perDisc, UNDER, type Coat } from './products';

/** The rest of a piece need not be sanded finer than this. */
export const BASE_GRIT = 150;

/** Grits from the coarsest to the one named. */
export const gritsTo = (grit: number): readonly number[] => GRITS.filter((one) => one <= grit);

type Finished = { readonly finish: Piece['finish']; readonly copies: number; readonly areas: Areas };

/**
 * Sanding discs, stain and finish for all copies of all pieces, from their real surfaces: discs by grit, ounces by
 * product. What two pieces share is bought together.
 */
export function finishingNeeds(pieces: readonly Finished[]): readonly HardwareNeed[] {
  const amounts = new Map<string, { kind: HardwareKind; size: string; amount: number }>();
  const add = (kind: HardwareKind, size: string, amount: number) => {
    const key = `${kind} ${size}`;
    amounts.set(key, { kind, size, amount: (amounts.get(key)?.amount ?? 0) + amount });
  };
  const pour = (kind: HardwareKind, size: string, area: number, coverage: number) =>
    add(kind, size, (area / coverage) * OUNCES_A_QUART);
  for (const { finish, copies, areas } of pieces) {
    const [top, rest] = [areas.top * copies, areas.rest * copies];
    for (const grit of gritsTo(finish.sandTo))
      add('disc', `${grit}`, (top + (grit <= BASE_GRIT ? rest : 0)) / perDisc(grit));
    const all = top + rest;
    if (finish.stain !== 'none') {
      const { coverage, before } = UNDER[finish.stain];
      pour('stain', finish.stain, all, coverage);
      if (before) pour('stain', before, all, UNDER[before].coverage);
    }
    if (finish.coat === 'none') continue;
    const { coverage, between } = COATS[finish.coat satisfies Coat];
    pour('finish', finish.coat, all * finish.coats, coverage);
    if (finish.coat === 'enamel') pour('finish', 'primer', all, UNDER.primer.coverage);
    if (between > 0 && finish.coats > 1) add('disc', `${between}`, (all * (finish.coats - 1)) / perDisc(between));
  }
  return [...amounts.values()]
    .map(({ kind, size, amount }) => ({ kind, size, count: Math.ceil(amount - 1e-9) }))
    .filter(({ count }) => count > 0)
    .sort((a, b) => a.kind.localeCompare(b.kind) || a.size.localeCompare(b.size, 'en', { numeric: true }));
}
