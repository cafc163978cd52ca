import { first, nth } from '../../lists';
import { dot, times, add } from '../../solid';
import { waysOf, type Axis } from '../../piece';
import { named, spotsOn, together, type Named, type PartSide, type Spot } from '../../work';
import type { Fastening } from '../fastening';
import { bought, driving, throughOf, work } from '../making';
import type { JointBench, WayToJoin } from '../method';
import { pockets } from '../pockets';
import { bitesOf, screwPounds } from '../pounds';

type Drilled = { readonly item: Fastening; readonly face: PartSide; readonly exit: Named; readonly run: Axis };

/** The face that a pocket is drilled in and the end or edge that it comes out of. */
function sidesOf(item: Fastening, bench: JointBench): Drilled {
  const shank = first(item.shanks);
  const leans = waysOf(item.drilled).map((way) => dot(way, shank.direction));
  const [exit, face, run] = ([0, 1, 2] as const)
    .map((axis) => axis)
    .sort((a, b) => Math.abs(nth(leans, b)) - Math.abs(nth(leans, a))) as [Axis, Axis, Axis];
  return {
    item,
    face: { axis: face, sign: nth(leans, face) > 0 ? -1 : 1 },
    exit: named(item.drilled, { axis: exit, sign: nth(leans, exit) > 0 ? 1 : -1 }, bench),
    run,
  };
}

/** Pockets of one jig setting, those in ends and those along edges apart. */
function pocketing(joints: readonly Fastening[], bench: JointBench) {
  const drilled = joints
    .filter(({ shanks, drilled: part, into }) => shanks.length > 0 && bench.takes(part, into))
    .map((item) => sidesOf(item, bench));
  return together(drilled, ({ item, exit }) => `${item.jig} ${exit.axis} ${exit.axis === 0 ? '' : exit.name}`).map(
    (group) => {
      const parts = together(group, ({ item, face, run }) => `${item.drilled.id} ${face.axis} ${face.sign} ${run}`);
      const spots = parts.flatMap((own): readonly Spot[] => {
        const { item, face, run } = first(own);
        const points = own.flatMap(({ item: one }) =>
          one.shanks.map(({ from, direction, behind }) => ({
            at: add(from, times(direction, -behind)),
            joint: one.joint.id,
          })),
        );
        return spotsOn(bench.worked(item.drilled), face, run, points, bench, true);
      });
      const { item, exit } = first(group);
      return work(
        {
          kind: 'pocket',
          spots,
          exit: exit.axis === 0 ? { ...exit, name: 'ends' } : exit,
          exits: Object.fromEntries(
            group.map((one) => [one.item.joint.id, { axis: one.exit.axis, sign: one.exit.sign }]),
          ),
          jig: item.jig,
          screw: item.screw,
        },
        group.map((one) => one.item),
        group.map((one) => throughOf(one.item, first(one.item.shanks))),
        bench,
        spots.length + 3 * parts.length,
        'pocket jig',
      );
    },
  );
}

export const pocketScrews: WayToJoin = {
  name: 'Pocket screws',
  look: 'inside',
  tools: [['pocket jig', 'drill']],
  setUp: 2,
  each: 1.75,
  holds: 'fasteners',
  glued: true,
  clamped: false,
  apart: false,
  straight: false,
  countersunk: false,
  when: 'Quick and strong enough for most; the screws are the clamps.',
  fits: () => true,
  lays: pockets,
  buys: (item) => [
    ...bought(item),
    ...(item.plugs ? [{ kind: 'pocket-plug' as const, size: '3/8', count: item.positions.length }] : []),
  ],
  strength: (item) => screwPounds(item.into, item.fastener?.shank ?? 0, bitesOf(item)),
  prepares: pocketing,
  makes: (joints, bench) => {
    const plugged = joints.filter(({ plugs }) => plugs);
    const count = plugged.reduce((sum, { shanks }) => sum + shanks.length, 0);
    return [
      ...driving(joints, bench),
      ...(count > 0
        ? [
            work(
              { kind: 'plug', fastener: 'pocket-plug', size: '3/8', count },
              plugged,
              plugged.map(({ drilled }) => drilled),
              bench,
              count,
              null,
            ),
          ]
        : []),
    ];
  },
};
