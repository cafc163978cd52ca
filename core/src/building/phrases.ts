import type { Length } from '../length';
import { fastenerOf, type Fastening } from '../joinery';
import type { Part } from '../piece';
import { hardwareName } from '../stock';
import { dim, listOf, say, strong, tag, type Bit, type Phrase } from '../words';

/** Sentences that steps share. */
export const GLASSES = say`Glasses on. If the bit grabs, the jig spins: clamp the work, never hold it in your hand.`;
export const SAW = say`Eye, ear and dust protection. Guards stay on; unplug before you change a blade. Hands well clear of the blade.`;
export const GLUE_RAGS = say`Wipe squeeze-out now: stain will not take over glue.`;
export const HEAVY = say`Two people lift and turn it. Do not drag it: side load breaks leg joints.`;

export const tagsOf = (parts: readonly Part[]): Phrase =>
  parts.length <= 12
    ? listOf(parts.map((part): Bit => tag(part.tag)))
    : say`${tag(parts[0]!.tag)} to ${tag(parts.at(-1)!.tag)} (${strong(parts.length)})`;
export const places = (positions: readonly Length[]): Phrase => listOf(positions.map((position): Bit => dim(position)));
/** What joints are held by, as it is sold, each kind and size once. */
export const fastenersIn = (made: readonly Fastening[]): readonly string[] => [
  ...new Set(made.flatMap((item) => fastenerOf(item) ?? []).map(({ kind, size }) => hardwareName(kind, size))),
];
export const screwsOf = (made: readonly Fastening[]): number =>
  made.reduce((sum, { positions }) => sum + positions.length, 0);

/** An angle for a saw's scale, to the half degree people can set. */
export const degreesText = (angle: number): string => `${Math.round(Math.abs(angle) * 2) / 2}°`;

export const idsOf = (parts: readonly Part[]): readonly string[] => parts.map((part) => part.id);
