import type { WayToJoin } from '../method';
import { gluedPounds } from '../pounds';

export const glue: WayToJoin = {
  name: 'Glue alone',
  look: 'hidden',
  tools: [['hand saw'], ['drill'], ['mitre saw']],
  setUp: 3,
  each: 0,
  holds: 'glue',
  glued: true,
  clamped: true,
  apart: false,
  straight: false,
  countersunk: false,
  when: 'Long grain to long grain, with enough clamps. Never end grain.',
  fits: () => true,
  lays: () => null,
  buys: () => [],
  strength: gluedPounds,
  prepares: () => [],
  makes: () => [],
};
