import { inches } from '../../length';
import { bothHalves, bought, pegging, taken, tellSites, work } from '../making';
import type { WayToJoin } from '../method';
import { pegs } from '../pegs';
import { sideGrain } from '../strength';

const SLOT_DEEP = inches(1 / 2);

export const biscuits: WayToJoin = {
  name: 'Biscuits',
  look: 'hidden',
  tools: [['biscuit joiner']],
  setUp: 3,
  each: 1,
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
    const sites = taken(halves.flatMap((half) => half.sites), bench); // prettier-ignore
    if (sites.length === 0) return [];
    const { spots } = tellSites(sites, bench);
    const { wide, shank } = halves[0]!.item.fastener!;
    const does = { kind: 'slot' as const, spots, what: 'biscuit slot', long: wide, thick: shank, deep: SLOT_DEEP };
    return [work(does, joints, sites.map(({ part }) => part), bench, 0.5 * spots.length, 'biscuit joiner')]; // prettier-ignore
  },
  makes: pegging,
};
