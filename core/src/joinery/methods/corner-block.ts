import { first } from '../../lists';
import { toInches } from '../../length';
import { together } from '../../work';
import { BLOCK, cornerBlock as blocks } from '../corner-block';
import { bought, driving, work } from '../making';
import type { WayToJoin } from '../method';
import { bitesOf, GLUE_POUNDS, screwPounds } from '../pounds';

export const cornerBlock: WayToJoin = {
  name: 'Corner block',
  look: 'inside',
  tools: [['drill']],
  setUp: 8,
  each: 1.5,
  holds: 'fasteners',
  glued: true,
  clamped: false,
  apart: false,
  straight: false,
  countersunk: true,
  when: 'A block glued and screwed into the inside corner: no jig, from offcuts, stiff against racking.',
  fits: () => true,
  lays: blocks,
  buys: bought,
  /**
   * Half of the screws and one glued face carry a straight pull; the block's other face is on the post's long grain.
   */
  strength: (item) =>
    screwPounds(item.into, item.fastener?.shank ?? 0, bitesOf(item) / 2) +
    toInches(item.drilled.width) * 1.5 * GLUE_POUNDS * 0.5,
  prepares: () => [],
  makes: (joints, bench) => [
    ...together(
      joints.filter(({ blocks: made }) => made.length > 0),
      ({ drilled }) => String(drilled.width),
    ).map((group) => {
      const count = group.length;
      return work(
        {
          kind: 'block',
          joints: group.map(({ joint }) => joint.id),
          count,
          thick: BLOCK,
          long: first(group).drilled.width,
        },
        group,
        group.map(({ drilled }) => drilled),
        bench,
        6 * count,
        null,
        String(first(group).drilled.width),
      );
    }),
    ...driving(joints, bench),
  ],
};
