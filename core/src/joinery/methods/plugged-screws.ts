import { first } from '../../lists';
import { together } from '../../work';
import type { Fastening } from '../fastening';
import { bought, clearanceHoles, driving, work } from '../making';
import type { WayToJoin } from '../method';
import { straight } from '../straight';
import { screwedPounds } from '../pounds';

/** A plug fills the counterbore of its screw. */
const plugSize = ({ fastener }: Fastening): string => fastener?.counterbore?.name ?? '3/8';

export const pluggedScrews: WayToJoin = {
  name: 'Screws, plugged',
  look: 'plugs',
  tools: [['drill']],
  setUp: 3,
  each: 3.5,
  holds: 'fasteners',
  glued: true,
  clamped: false,
  apart: false,
  straight: false,
  countersunk: false,
  when: 'Strong from outside, the heads under plugs of the same wood.',
  fits: () => true,
  lays: (site) => straight('plugged screws', site),
  buys: (item) => [
    ...bought(item),
    ...(item.positions.length > 0
      ? [{ kind: 'plug' as const, size: plugSize(item), count: item.positions.length }]
      : []),
  ],
  strength: screwedPounds,
  prepares: (joints, bench) => clearanceHoles(joints, bench, 'plugged screws'),
  makes: (joints, bench) => [
    ...driving(joints, bench),
    ...together(
      joints.filter(({ shanks }) => shanks.length > 0),
      plugSize,
    ).map((group) => {
      const count = group.reduce((sum, { shanks }) => sum + shanks.length, 0);
      return work(
        { kind: 'plug', fastener: 'plug', size: plugSize(first(group)), count },
        group,
        group.map(({ drilled }) => drilled),
        bench,
        1.5 * count,
        null,
        plugSize(first(group)).replace('/', '-'),
      );
    }),
  ],
};
