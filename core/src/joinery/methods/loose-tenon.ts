import { fastenerOf } from '../fastening';
import { first } from '../../lists';
import { inches, toInches } from '../../length';
import { told, together } from '../../work';
import { bothHalves, bought, pegging, slotting } from '../making';
import type { WayToJoin } from '../method';
import { pegs } from '../pegs';
import { GLUE_POUNDS, sideGrain } from '../pounds';

const ROOM = inches(1 / 16);

export const looseTenon: WayToJoin = {
  name: 'Loose tenon',
  look: 'hidden',
  tools: [['router', 'drill'], ['router']],
  setUp: 10,
  each: 5,
  holds: 'fasteners',
  glued: true,
  clamped: true,
  apart: false,
  straight: true,
  countersunk: false,
  when: 'As strong as a mortise and tenon, rails stay square-ended.',
  fits: () => true,
  lays: (site) => pegs('loose tenon', site),
  buys: bought,
  strength: (item) => {
    const { wide, length } = item.fastener ?? { wide: inches(1), length: 0 };
    return item.shanks.length * 2 * toInches(wide) * toInches(length) * 0.5 * GLUE_POUNDS + sideGrain(item);
  },
  prepares: (joints, bench) =>
    together(bothHalves(joints), ({ item, deep }) => `${fastenerOf(item).size} ${deep}`).flatMap((group) => {
      const { item, deep } = first(group);
      const { wide, shank } = fastenerOf(item);
      const shape = { what: 'mortise', long: wide, thick: shank, deep: told(deep + ROOM, bench.units) };
      const own = group.map((one) => one.item);
      return slotting(
        group.flatMap(({ sites }) => sites),
        shape,
        own,
        bench,
        { minutes: 2.5, tool: 'router', name: `${deep}` },
      );
    }),
  makes: pegging,
};
