import { bought, clearanceHoles, driving } from '../making';
import type { WayToJoin } from '../method';
import { straight } from '../straight';
import { lagPounds } from '../pounds';

export const lagScrews: WayToJoin = {
  name: 'Lag screws',
  look: 'heads',
  tools: [['drill']],
  setUp: 4,
  each: 4,
  holds: 'fasteners',
  glued: false,
  clamped: false,
  apart: true,
  straight: false,
  countersunk: false,
  when: 'Heavy timber: a counterbore, a washer, a socket wrench.',
  fits: () => true,
  lays: (site) => straight('lag screws', site),
  buys: bought,
  strength: lagPounds,
  prepares: (joints, bench) => clearanceHoles(joints, bench, 'lag screws'),
  makes: (joints, bench) => driving(joints, bench, { washer: true, minutes: 2 }),
};
