import { fastenerOf } from '../fastening';
import { first, sure } from '../../lists';
import { inches, toInches } from '../../length';
import { told, together } from '../../work';
import { bothHalves, boring, bought, pegging } from '../making';
import type { WayToJoin } from '../method';
import { pegs } from '../pegs';
import { bitesOf, GLUE_POUNDS, sideGrain } from '../pounds';

/** A fifth of what tears a hardwood dowel in two. */
const DOWEL_PSI = 2000;
/** Deeper than the dowel goes, for glue. */
const ROOM = inches(1 / 16);

export const dowels: WayToJoin = {
  name: 'Dowels',
  look: 'hidden',
  tools: [['drill']],
  setUp: 6,
  each: 2.5,
  holds: 'fasteners',
  glued: true,
  clamped: true,
  apart: false,
  straight: true,
  countersunk: false,
  when: 'Nothing shows and a drill does it; a drilling guide is a must.',
  fits: () => true,
  lays: (site) => pegs('dowels', site),
  buys: bought,
  /** A round hole bears on long grain over part of its wall only. */
  strength: (item) => {
    const across = toInches(item.fastener?.shank ?? 0);
    const glued = 0.7 * Math.PI * across * bitesOf(item) * GLUE_POUNDS;
    return Math.min(glued, item.shanks.length * (Math.PI / 4) * across ** 2 * DOWEL_PSI) + sideGrain(item);
  },
  prepares: (joints, bench) =>
    together(bothHalves(joints), ({ item, deep }) => `${fastenerOf(item).size} ${deep}`).flatMap((group) => {
      const { item, deep } = first(group);
      const bits = [
        {
          bit: sure(fastenerOf(item).clearance, 'hole of the dowel'),
          deep: told(deep + ROOM, bench.units),
          as: 'hole' as const,
        },
      ];
      return boring(
        group.flatMap(({ sites }) => sites),
        bits,
        'dowels',
        group.map((one) => one.item),
        bench,
        { minutes: 1.2, name: `${deep}` },
      );
    }),
  makes: pegging,
};
