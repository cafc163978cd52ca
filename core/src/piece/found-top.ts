import { toInches, type Length } from '../length';
import { rectangle, type Vec } from '../solid';
import type { Kit } from './kit';

/** Wood of no known kind, lb per cubic foot. */
export const SOME_WOOD = 40;

/** A top that is there, as it is: nothing of it is bought or cut. */
export function putFoundTop(kit: Kit, [length, width, thick]: readonly [Length, Length, Length], at: Vec): void {
  const pounds = ((toInches(length) * toInches(width) * toInches(thick)) / 1728) * SOME_WOOD;
  kit.shaped(
    {
      ...{ tag: 'T1', role: 'top', name: 'found top', material: 'bought' },
      bought: { kind: 'top', size: 'found', pounds, price: 0 },
    },
    rectangle(length, width),
    thick,
    { at, u: [1, 0, 0], v: [0, 1, 0] },
  );
}
