import { inches } from '../../length';
import { bought, clearanceHoles, driving, work } from '../making';
import type { WayToJoin } from '../method';
import { straight } from '../straight';
import { screwedPounds } from '../pounds';

const SLOT = inches(1 / 2);

export const slottedScrews: WayToJoin = {
  name: 'Screws in slots',
  look: 'inside',
  tools: [['drill']],
  setUp: 2,
  each: 4,
  holds: 'fasteners',
  glued: false,
  clamped: false,
  apart: true,
  straight: false,
  countersunk: false,
  when: 'Lets a solid top move without buying clips.',
  fits: () => true,
  lays: (site) => straight('slotted screws', site),
  buys: bought,
  strength: screwedPounds,
  prepares: (joints, bench) => {
    const moving = joints.filter(({ moves, shanks }) => moves && shanks.length > 0);
    const bored = clearanceHoles(joints, bench, 'screws');
    const spots = bored
      .flatMap((one) => (one.kind === 'bore' ? one.spots : []))
      .filter(({ joint }) => moving.some((item) => item.joint.id === joint));
    // Under plywood, tiles and stone nothing moves: there a round hole does.
    return spots.length === 0
      ? bored
      : [
          ...bored,
          work(
            { kind: 'elongate', spots, long: SLOT },
            moving,
            moving.map(({ drilled }) => drilled),
            bench,
            spots.length,
          ),
        ];
  },
  makes: (joints, bench) =>
    driving(joints, bench, {
      washer: joints.every(({ shanks }) => shanks.every(({ behind }) => behind === 0)),
      snug: joints.some(({ moves }) => moves),
      minutes: 1,
    }),
};
