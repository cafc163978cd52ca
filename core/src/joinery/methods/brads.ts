import { bought, driving, tellSites, throughOf } from '../making';
import type { WayToJoin } from '../method';
import { straight } from '../straight';
import { gluedPounds } from '../pounds';

export const brads: WayToJoin = {
  name: 'Glue and brads',
  look: 'filled',
  tools: [['hand saw'], ['drill'], ['mitre saw']],
  setUp: 2,
  each: 0.3,
  holds: 'fasteners',
  glued: true,
  clamped: false,
  apart: false,
  straight: false,
  countersunk: false,
  when: 'Thin parts; the brads only hold while the glue sets.',
  fits: () => true,
  lays: (site) => straight('brads', site),
  buys: bought,
  strength: gluedPounds,
  prepares: () => [],
  makes: (joints, bench) => {
    const sites = joints.flatMap((item) =>
      item.shanks.map((shank) => ({
        part: throughOf(item, shank),
        other: item.into,
        at: shank.from,
        direction: shank.direction,
        joint: item.joint.id,
      })),
    );
    return driving(joints, bench, { spots: tellSites(sites, bench).spots, pilots: false, minutes: 0.3 });
  },
};
