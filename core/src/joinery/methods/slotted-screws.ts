import { bought, clearanceHoles, drawnOut, driving } from '../making';
import type { WayToJoin } from '../method';
import { straight } from '../straight';
import { screwedPounds } from '../pounds';

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
    const bored = clearanceHoles(joints, bench, 'screws');
    return [...bored, ...drawnOut(bored, joints, bench)];
  },
  makes: (joints, bench) =>
    driving(joints, bench, {
      washer: joints.every(({ shanks }) => shanks.every(({ behind }) => behind === 0)),
      snug: joints.some(({ moves }) => moves),
      minutes: 1,
    }),
};
