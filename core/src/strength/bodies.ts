import { first, nth } from '../lists';
import { toInches } from '../length';
import { cornersOf, rawSolidOf, waysOf, type Joint, type Part } from '../piece';
import { add, dot, times, type Vec } from '../solid';
import { crossShare, isSolid, woodOf } from '../stock';
import { joined } from './decks';
import type { BeamSection } from './frame';
import type { Layer } from './sag';

/**
 * Parts that are one by their glue, as what they bend like: a stick along its length, or a plate of strips both ways.
 * Cut-outs are left out. Inches, pounds.
 */
export type GluedBody = {
  readonly kind: 'stick' | 'plate';
  readonly parts: readonly Part[];
  /** Its own directions: along its length, its width, through its thickness. */
  readonly ways: readonly [Vec, Vec, Vec];
  /** The middle of the low end of each way: lengths and widths are told from here, the third way from the middle. */
  readonly from: Vec;
  readonly size: readonly [number, number, number];
};

/** Joints whose glue makes parts one. */
const ONE: readonly Joint['kind'][] = ['edge', 'glue', 'lamination'];
/** A plate is no longer than this many times its width, and at least so wide, in, and this many times its thickness. */
const PLATE = { longest: 6, wide: 8, thin: 4 } as const;
const PARALLEL = 0.995;

/** A point of the piece in inches. */
export const inInches = (point: Vec): Vec => [toInches(point[0]), toInches(point[1]), toInches(point[2])];
const corners = new WeakMap<Part, readonly Vec[]>();
/** The corners of a part, in inches. Kept with it. */
export function cornersIn(part: Part): readonly Vec[] {
  const known = corners.get(part);
  if (known) return known;
  const own = cornersOf(rawSolidOf(part)).map(inInches);
  corners.set(part, own);
  return own;
}

const parallel = (parts: readonly Part[], way: 0 | 2): boolean =>
  parts.every((part) => Math.abs(dot(waysOf(part)[way], waysOf(first(parts))[way])) > PARALLEL);

function bodyOf(parts: readonly Part[]): GluedBody {
  const own = waysOf(first(parts));
  const points = parts.flatMap(cornersIn);
  const spans = own.map((way) => {
    const along = points.map((point) => dot(point, way));
    return { way, low: Math.min(...along), high: Math.max(...along) };
  });
  // Longest first; a plate of short boards laid across is longer across them.
  const sorted = [...spans].sort((a, b) => b.high - b.low - (a.high - a.low));
  const ways = sorted.map(({ way }) => way) as unknown as GluedBody['ways'];
  const size = sorted.map(({ low, high }) => high - low) as unknown as GluedBody['size'];
  const from = sorted.reduce<Vec>(
    (sum, { way, low, high }, at) => add(sum, times(way, at === 2 ? (low + high) / 2 : low)),
    [0, 0, 0],
  );
  const isPlate = size[1] >= PLATE.wide && size[0] <= PLATE.longest * size[1] && size[1] >= PLATE.thin * size[2];
  return { kind: isPlate ? 'plate' : 'stick', parts, ways, from, size };
}

/** The bodies of a piece: glued groups that bend as one, and each other part by itself. */
export const bodiesOf = (parts: readonly Part[], joints: readonly Joint[]): readonly GluedBody[] =>
  joined(parts, joints, ONE).flatMap((own) => {
    const whole = bodyOf(own);
    const isOne = whole.kind === 'plate' ? parallel(own, 2) : parallel(own, 0);
    return own.length === 1 || isOne ? [whole] : own.map((part) => bodyOf([part]));
  });

/** What is bought bends as softwood does. */
const BOUGHT = { modulus: 1e6, across: 0.06, shear: 0.0625 };
/** Stiffness along the grain, psi; its share across it; and of shearing (Wood Handbook, ch. 5 and 12). */
function woodIn({ material }: Part) {
  if (material === 'bought') return BOUGHT;
  const across = crossShare(material);
  return { modulus: woodOf(material).modulus, across, shear: isSolid(material) ? 0.0625 : across === 1 ? 0.4 : 0.07 };
}

/** Reach of a part along a way, from low to high. */
function reachOf(part: Part, way: Vec): readonly [number, number] {
  const along = cornersIn(part).map((point) => dot(point, way));
  return [Math.min(...along), Math.max(...along)];
}

/** Twist of a rectangle, in^4 (Roark, Formulas for Stress and Strain, 10.1). */
function twist(one: number, other: number): number {
  const [a, b] = [Math.max(one, other), Math.min(one, other)];
  return a * b ** 3 * (1 / 3 - 0.21 * (b / a) * (1 - b ** 4 / (12 * a ** 4)));
}

/** Of a rectangle's shear area this bears. */
const SHEARED = 5 / 6;
/** A box or post of several boards is closed where it fills this much of its outline or less than all: told as full. */
const FULL = 0.85;

/** The section of a stick: each board about the axis that all share, shorter ones by their share of its length. */
export function sectionOf({ parts, ways, size }: GluedBody): BeamSection {
  const rows = parts.map((part) => {
    const { modulus, across, shear } = woodIn(part);
    const [low, high] = reachOf(part, ways[0]);
    const y = reachOf(part, ways[1]);
    const z = reachOf(part, ways[2]);
    const share = Math.min(1, (high - low) / size[0]);
    const grain = Math.abs(dot(waysOf(part)[0], ways[0])) > 0.7 ? 1 : across;
    const [wide, thick] = [y[1] - y[0], z[1] - z[0]];
    return { stiff: modulus * grain * share, shear: modulus * shear * share, y, z, wide, thick };
  });
  const sum = (of: (row: (typeof rows)[number]) => number) => rows.reduce((total, row) => total + of(row), 0);
  const axial = sum(({ stiff, wide, thick }) => stiff * wide * thick);
  const middle = ([low, high]: readonly [number, number]) => (low + high) / 2;
  const axis = (['y', 'z'] as const).map(
    (way) => sum((row) => row.stiff * row.wide * row.thick * middle(row[way])) / axial,
  );
  const bent = (way: 'y' | 'z') =>
    sum(({ stiff, wide, thick, ...row }) => {
      const [deep, broad] = way === 'y' ? [wide, thick] : [thick, wide];
      return (
        stiff * ((broad * deep ** 3) / 12 + broad * deep * (middle(row[way]) - nth(axis, way === 'y' ? 0 : 1)) ** 2)
      );
    });
  const shear = SHEARED * sum((row) => row.shear * row.wide * row.thick);
  const filled = sum(({ wide, thick }) => wide * thick) / (size[1] * size[2]);
  const torsion =
    rows.length > 1 && filled > FULL
      ? (shear / SHEARED / (size[1] * size[2])) * twist(size[1], size[2])
      : sum((row) => row.shear * twist(row.wide, row.thick));
  return { axial, torsion, bending: [bent('y'), bent('z')], shear: [shear, shear] };
}

/** The layers of a plate as it bends along its length or its width: less where they do not cover it all. */
export function platesLayers(
  { parts, ways, size }: GluedBody,
  along: 0 | 1,
): readonly (Layer & { readonly shear: number })[] {
  const layers = new Map<string, { from: number; to: number; area: number; stiff: number; shear: number }>();
  for (const part of parts) {
    const [low, high] = reachOf(part, ways[2]);
    const key = `${low.toFixed(2)} ${high.toFixed(2)}`;
    const layer = layers.get(key) ?? { from: low, to: high, area: 0, stiff: 0, shear: 0 };
    const [x, y] = [reachOf(part, ways[0]), reachOf(part, ways[1])];
    const area = (x[1] - x[0]) * (y[1] - y[0]);
    const { modulus, across, shear } = woodIn(part);
    const grain = Math.abs(dot(waysOf(part)[0], ways[along])) > 0.7 ? 1 : across;
    layer.area += area;
    layer.stiff += area * modulus * grain;
    layer.shear += area * modulus * shear;
    layers.set(key, layer);
  }
  const whole = size[0] * size[1];
  return [...layers.values()].map(({ from, to, area, stiff, shear }) => {
    const cover = Math.min(1, area / whole);
    return { from, to, modulus: (stiff / area) * cover, shear: (shear / area) * cover };
  });
}
