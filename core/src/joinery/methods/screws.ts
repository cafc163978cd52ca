import { bought, clearanceHoles, driving } from '../making';
import type { WayToJoin } from '../method';
import { straight } from '../straight';
import { screwedPounds } from '../pounds';

export const screws: WayToJoin = {
  name: 'Screws through',
  look: 'heads',
  tools: [['drill']],
  setUp: 2,
  each: 1.5,
  holds: 'fasteners',
  glued: true,
  clamped: false,
  apart: false,
  straight: false,
  countersunk: true,
  when: 'Where the outside is not seen, or heads may show.',
  fits: () => true,
  lays: (site) => straight('screws', site),
  buys: bought,
  strength: screwedPounds,
  prepares: (joints, bench) => clearanceHoles(joints, bench, 'screws', true),
  makes: (joints, bench) => driving(joints, bench),
};
