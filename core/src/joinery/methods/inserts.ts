import { first, sure } from '../../lists';
import { told, together, type Operation } from '../../work';
import { fastenerOf, isDense, letsMove, type Fastening } from '../fastening';
import { boring, bought, clearanceHoles, drawnOut, driving, endOf, throughOf } from '../making';
import type { JointBench, WayToJoin } from '../method';
import { straight } from '../straight';
import { add, times } from '../../solid';

/** Holes in what the bolts go into, for the inserts that take them. */
const insertHoles = (joints: readonly Fastening[]) =>
  joints.flatMap((item) =>
    item.shanks.map((shank) => {
      const deep = Math.round(shank.bite);
      const at = add(shank.from, times(shank.direction, shank.length - deep));
      return {
        item,
        deep,
        site: {
          part: endOf(item, shank),
          other: throughOf(item, shank),
          at,
          direction: shank.direction,
          joint: item.joint.id,
        },
      };
    }),
  );

/** Clearance holes of the bolts, drawn out under a top that moves. */
function boltHoles(joints: readonly Fastening[], bench: JointBench): readonly Operation[] {
  const bored = clearanceHoles(joints, bench, 'bolts of inserts');
  return [...bored, ...drawnOut(bored, joints.filter(letsMove), bench)];
}

export const inserts: WayToJoin = {
  name: 'Threaded insert and bolt',
  look: 'heads',
  tools: [['drill']],
  setUp: 4,
  each: 5,
  holds: 'fasteners',
  glued: false,
  clamped: false,
  apart: true,
  straight: false,
  countersunk: false,
  when: 'To be taken apart for a door or a move, again and again.',
  fits: () => true,
  lays: (site) => straight('inserts', site),
  buys: bought,
  strength: ({ shanks }) => 250 * shanks.length,
  prepares: (joints, bench) => [
    ...boltHoles(joints, bench),
    ...together(insertHoles(joints), ({ item, deep }) => `${isDense(endOf(item, first(item.shanks)))} ${deep}`).flatMap(
      (alike) => {
        const { item, deep } = first(alike);
        const bit = sure(fastenerOf(item).pilot, 'pilot of the insert')[
          isDense(endOf(item, first(item.shanks))) ? 'hard' : 'soft'
        ];
        return boring(
          alike.map(({ site }) => site),
          [{ bit, deep: told(deep, bench.units), as: 'hole' }],
          'threaded inserts, turned in flush',
          alike.map((one) => one.item),
          bench,
          { minutes: 2, name: `insert-${deep}` },
        );
      },
    ),
  ],
  makes: (joints, bench) =>
    driving(joints, bench, { pilots: false, minutes: 1, washer: true, snug: joints.some(letsMove) }),
};
