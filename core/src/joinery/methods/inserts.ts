import { bought, clearanceHoles, driving } from '../making';
import type { WayToJoin } from '../method';
import { straight } from '../straight';

export const inserts: WayToJoin = {
  name: 'Threaded insert and bolt',
  look: 'heads',
  tools: [['drill']],
  setUp: 4,
  each: 5,
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
  prepares: (joints, bench) => clearanceHoles(joints, bench, 'bolts of inserts'),
  makes: (joints, bench) => driving(joints, bench, { minutes: 2.5 }),
};
