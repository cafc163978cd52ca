import { inches, toInches } from '../../length';
import { told, together } from '../../work';
import { bothHalves, bought, pegging, taken, tellSites, work } from '../making';
import type { WayToJoin } from '../method';
import { pegs } from '../pegs';
import { GLUE_POUNDS, sideGrain } from '../strength';

const ROOM = inches(1 / 16);

export const looseTenon: WayToJoin = {
  name: 'Loose tenon',
  look: 'hidden',
  tools: [['router', 'drill'], ['router']],
  setUp: 10,
  each: 5,
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
    together(bothHalves(joints), ({ item, deep }) => `${item.fastener!.size} ${deep}`).flatMap((group) => {
      const { item, deep } = group[0]!;
      const sites = taken(group.flatMap((one) => one.sites), bench); // prettier-ignore
      if (sites.length === 0) return [];
      const { spots } = tellSites(sites, bench);
      const { wide, shank } = item.fastener!;
      const does = { kind: 'slot' as const, spots, what: 'mortise', long: wide, thick: shank, deep: told(deep + ROOM, bench.units) }; // prettier-ignore
      return [work(does, group.map((one) => one.item), sites.map(({ part }) => part), bench, 2.5 * spots.length, 'router', `${deep}`)]; // prettier-ignore
    }),
  makes: pegging,
};
