import { inches, toInches } from '../length';
import { volumeOf } from '../solid';
import { woodOf } from '../stock';
import type { Part } from './part';
import { solidOf } from './shape';

/** Weight in lb of a part, from its volume and its density (Wood Handbook), or as stated for what is bought. */
export function weightOf(part: Part): number {
  const known = weights.get(part);
  if (known !== undefined) return known;
  const weight = weighed(part);
  weights.set(part, weight);
  return weight;
}

/** Kept with the part: what it becomes part of is weighed again and again. */
const weights = new WeakMap<Part, number>();

function weighed(part: Part): number {
  if (part.bought || part.material === 'bought') return (part.bought?.pounds ?? 0) * part.count;
  const cubicInches = part.loose
    ? toInches(part.length) * toInches(part.width) * toInches(part.thickness)
    : volumeOf(solidOf(part)) / inches(1) ** 3;
  return (cubicInches / 1728) * woodOf(part.material).density * part.count;
}
