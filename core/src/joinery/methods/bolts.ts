import { first } from '../../lists';
import { inches, type Length } from '../../length';
import { waysOf, type Axis, type Part } from '../../piece';
import { add, dot, into as intoFrame, sub, times, type Vec } from '../../solid';
import { sizeOf, together } from '../../work';
import { fastenerOf, type Fastening } from '../fastening';
import { NUT_HOLE, NUT_SUNK } from '../fasteners';
import { boring, bought, clearanceHoles, driving, endOf, throughOf, type Site3 } from '../making';
import type { WayToJoin } from '../method';
import { tipOf, type Shank } from '../shank';
import { straight } from '../straight';
import { lagPounds } from '../pounds';

/** The nut's hole stands so far back from the tip, and goes so far past the bolt. */
const BACK: Length = inches(1 / 2);
const PAST: Length = inches(1 / 2);

/**
 * A bolt that ends inside a part: its nut is let in there from the side. The hole of one that goes through is longer
 * than it is, and has the nut in a counterbore at its far end.
 */
const isLetIn = (item: Fastening, shank: Shank): boolean => shank.length <= fastenerOf(item).length;

const nutsOf = (item: Fastening): 'in' | 'out' => (item.shanks.some((shank) => isLetIn(item, shank)) ? 'in' : 'out');

/** From which side the nut comes in: of those beside the bolt the one that looks at the middle of the piece. */
function nutSide(part: Part, direction: Vec, middle: Vec): { readonly axis: Axis; readonly sign: 1 | -1 } {
  const ways = waysOf(part);
  const own = add(
    part.frame.at,
    ways.reduce<Vec>((sum, way, axis) => add(sum, times(way, sizeOf(part, axis as Axis) / 2)), [0, 0, 0]),
  );
  const sides = ([0, 1, 2] as const)
    .filter((axis) => Math.abs(dot(ways[axis], direction)) < 0.7)
    .flatMap((axis) =>
      ([1, -1] as const).map((sign) => ({ axis, sign, leans: sign * dot(ways[axis], sub(middle, own)) })),
    );
  return sides.reduce((best, next) => (next.leans > best.leans + 1 ? next : best));
}

/** Counterbores for the nuts of bolts that go through, from the face where they come out. */
const nutCounterbores = (joints: readonly Fastening[]): readonly { readonly site: Site3; readonly item: Fastening }[] =>
  joints.flatMap((item) =>
    item.shanks
      .filter((shank) => !isLetIn(item, shank))
      .map((shank) => ({
        item,
        site: {
          part: endOf(item, shank),
          other: throughOf(item, shank),
          at: tipOf(shank),
          direction: times(shank.direction, -1),
          joint: item.joint.id,
        },
      })),
  );

/** Holes from the side for the nuts of bolts that end inside a part, by how deep they go. */
function nutHoles(
  joints: readonly Fastening[],
  middle: Vec,
): readonly { readonly site: Site3; readonly item: Fastening; readonly deep: Length }[] {
  return joints.flatMap((item) =>
    item.shanks
      .filter((shank) => isLetIn(item, shank))
      .map((shank) => {
        const part = endOf(item, shank);
        const { axis, sign } = nutSide(part, shank.direction, middle);
        const at = add(tipOf(shank), times(shank.direction, -BACK));
        const local = intoFrame(part.frame, at);
        const off = sign < 0 ? local[axis] : sizeOf(part, axis) - local[axis];
        const out = times(waysOf(part)[axis], sign);
        return {
          item,
          deep: Math.round(off + PAST),
          site: {
            part,
            other: throughOf(item, shank),
            at: add(at, times(out, off)),
            direction: times(out, -1),
            joint: item.joint.id,
          },
        };
      }),
  );
}

export const bolts: WayToJoin = {
  name: 'Bolts through',
  look: 'heads',
  tools: [['drill']],
  setUp: 5,
  each: 5,
  holds: 'fasteners',
  glued: false,
  clamped: false,
  apart: true,
  straight: false,
  countersunk: false,
  when: 'Heavy parts that must come apart, or be drawn tight again.',
  fits: () => true,
  lays: (site) => straight('bolts', site),
  buys: bought,
  strength: lagPounds,
  prepares: (joints, bench) => {
    const through = nutCounterbores(joints);
    return [
      ...clearanceHoles(joints, bench, 'bolts'),
      ...together(nutHoles(joints, bench.middle), ({ deep }) => String(deep)).flatMap((alike) =>
        boring(
          alike.map(({ site }) => site),
          [{ bit: NUT_HOLE, deep: first(alike).deep, as: 'hole' }],
          'nuts',
          alike.map(({ item }) => item),
          bench,
          { minutes: 2, name: `nut-${first(alike).deep}` },
        ),
      ),
      ...boring(
        through.map(({ site }) => site),
        [{ bit: NUT_HOLE, deep: NUT_SUNK, as: 'counterbore' }],
        'nuts',
        through.map(({ item }) => item),
        bench,
        { minutes: 1, name: 'nut-sunk' },
      ),
    ];
  },
  makes: (joints, bench) =>
    together(joints, nutsOf).flatMap((alike) =>
      driving(alike, bench, { washer: true, nuts: nutsOf(first(alike)), minutes: 2 }),
    ),
};
