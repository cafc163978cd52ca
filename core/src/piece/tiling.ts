import { first, held } from '../lists';
import { inches, mm, printLength, toInches, type Length } from '../length';
import type { HardwareNeed } from '../stock';
import type { Joint, Part } from './part';
import { boxOf } from './shape';

/** Tiles that are set: how they lie, and what setting them takes. */
export type Tiling = {
  readonly tiles: readonly Part[];
  /** Between two tiles, and between the outer ones and the frame. */
  readonly joint: Length;
  /** Teeth of the trowel that combs the adhesive. */
  readonly notch: Length;
  /** Whether spacers of that width are sold. */
  readonly spaced: boolean;
  readonly setting: readonly HardwareNeed[];
  readonly grouting: readonly HardwareNeed[];
  readonly sealing: readonly HardwareNeed[];
};

/** Adhesive under a set tile once it is pressed in: a tile stands so much higher. */
export const BEDDING: Length = inches(1 / 8);

/** Cubic inches in a fluid ounce. */
const OUNCE = 1.805;
/** Fluid ounces of adhesive a square foot, by the teeth that comb it: 45 and 30 square feet a gallon, as cans say. */
const TEETH = { small: { notch: inches(3 / 16), ounces: 2.9 }, large: { notch: inches(1 / 4), ounces: 4.3 } } as const;
/** Tiles with a side so long want the larger teeth. */
const LARGE: Length = inches(8);
/** Grout and sealant that stay on the float, in the tube and on the sponge. */
const WASTE = 1.15;
/** Spacers that are sold, and the joints they are for. */
const SPACERS: readonly (readonly [string, Length])[] = [
  ['1/16', inches(1 / 16)],
  ['1/8', inches(1 / 8)],
  ['3/16', inches(3 / 16)],
  ['1/4', inches(1 / 4)],
  ['2 mm', mm(2)],
  ['3 mm', mm(3)],
  ['5 mm', mm(5)],
];

const cubic = (volume: number): number => volume / inches(1) ** 3;
const ounces = (volume: number): number => Math.max(1, Math.ceil((WASTE * cubic(volume)) / OUNCE));

/**
 * How the tiles of a piece are set, out of where they lie: adhesive by area, grout by the joints between them, sealant
 * by the joint along the frame, where wood moves and tiles do not. Null where none are set.
 */
export function tilingOf(parts: readonly Part[], joints: readonly Joint[]): Tiling | null {
  const byId = new Map(parts.map((part) => [part.id, part]));
  const set = joints.filter(({ kind }) => kind === 'set');
  if (set.length === 0) return null;
  const tiles = set.map(({ drilled }) => held(byId, drilled));
  const bed = boxOf(held(byId, first(set).into));
  const one = first(tiles);
  const joint = Math.min(...tiles.map((tile) => boxOf(tile).min[0] - bed.min[0]));
  const [long, wide] = [bed.max[0] - bed.min[0], bed.max[1] - bed.min[1]];
  const [columns, rows] = [
    Math.round((long - joint) / (one.length + joint)),
    Math.round((wide - joint) / (one.width + joint)),
  ];
  const [inLong, inWide] = [long - 2 * joint, wide - 2 * joint];
  const deep = one.thickness - BEDDING;
  const between = (inLong * inWide - tiles.length * one.length * one.width) * deep;
  const around = (long * wide - inLong * inWide) * deep;
  const teeth = Math.max(one.length, one.width) >= LARGE ? TEETH.large : TEETH.small;
  const feet = (tiles.length * toInches(one.length) * toInches(one.width)) / 144;
  const spacer = SPACERS.find(([, wide]) => wide === joint);
  const tool = (size: string): HardwareNeed => ({ kind: 'tile-tool', size, count: 1 });
  const inner = between > 0;
  return {
    tiles,
    joint,
    notch: teeth.notch,
    spaced: spacer !== undefined,
    setting: [
      { kind: 'tile-adhesive', size: '', count: Math.max(1, Math.ceil(feet * teeth.ounces)) },
      // One where four corners meet, and where two meet the frame.
      ...(spacer ? [{ kind: 'tile-spacer' as const, size: spacer[0], count: (columns + 1) * (rows + 1) }] : []),
      tool(`notched trowel ${printLength(teeth.notch, 'in')}`),
    ],
    grouting: inner ? [{ kind: 'grout', size: '', count: ounces(between) }, tool('rubber float'), tool('sponge')] : [],
    sealing: [{ kind: 'sealant', size: '', count: ounces(around) }],
  };
}
