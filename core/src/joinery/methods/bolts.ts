import { bought, clearanceHoles, driving } from '../making';
import type { WayToJoin } from '../method';
import { straight } from '../straight';
import { lagPounds } from '../strength';

export const bolts: WayToJoin = {
  name: 'Bolts through',
  look: 'heads',
  tools: [['drill']],
  setUp: 5,
  each: 5,
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
  prepares: (joints, bench) => clearanceHoles(joints, bench, 'bolts'),
  makes: (joints, bench) => driving(joints, bench, { washer: true, minutes: 2 }),
};
