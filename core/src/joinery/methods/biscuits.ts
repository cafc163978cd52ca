import { fastenerOf } from '../fastening';
import { first } from '../../lists';
import { inches } from '../../length';
import { bothHalves, bought, pegging, slotting } from '../making';
import type { WayToJoin } from '../method';
import { pegs } from '../pegs';
import { sideGrain } from '../pounds';

const SLOT_DEEP = inches(1 / 2);

export const biscuits: WayToJoin = {
  name: 'Biscuits',
  look: 'hidden',
  tools: [['biscuit joiner']],
  setUp: 3,
  each: 1,
  holds: 'fasteners',
  glued: true,
  clamped: true,
  apart: false,
  straight: true,
  countersunk: false,
  when: 'Levels boards edge to edge; weak in the end of a rail.',
  fits: () => true,
  lays: (site) => pegs('biscuits', site),
  buys: bought,
  strength: (item) => item.shanks.length * 90 + sideGrain(item),
  prepares: (joints, bench) => {
    const halves = bothHalves(joints);
    if (halves.length === 0) return [];
    const { wide, shank } = fastenerOf(first(halves).item);
    const shape = { what: 'biscuit slot', long: wide, thick: shank, deep: SLOT_DEEP };
    return slotting(
      halves.flatMap(({ sites }) => sites),
      shape,
      joints,
      bench,
      { minutes: 0.5, tool: 'biscuit joiner' },
    );
  },
  makes: pegging,
};
