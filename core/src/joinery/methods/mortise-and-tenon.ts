import { toInches } from '../../length';
import { tongueFits } from '../../piece';
import type { WayToJoin } from '../method';
import { GLUE_POUNDS } from '../pounds';

/** Its tenon and mortise are cut-outs of the two parts: they are told with these. */
export const mortiseAndTenon: WayToJoin = {
  name: 'Mortise and tenon',
  look: 'hidden',
  tools: [
    ['router', 'drill'],
    ['table saw', 'drill'],
    ['hand saw', 'drill'],
  ],
  setUp: 30,
  each: 0,
  holds: 'tongue',
  glued: true,
  clamped: true,
  apart: false,
  straight: true,
  countersunk: false,
  when: 'The strongest for a leg and rail; slow, and the rail grows by its tenons.',
  fits: ({ joint, drilled, into }) => tongueFits('mortise and tenon', joint, drilled, into),
  lays: () => null,
  buys: () => [],
  strength: ({ drilled, into }) => {
    const mortise = into.cuts.find(({ kind, for: tenon }) => kind === 'mortise' && tenon === drilled.tag);
    if (!mortise) return 0;
    const [across, up] = ([0, 1] as const).map((at) => {
      const places = mortise.outline.map((point) => point[at]);
      return toInches(Math.max(...places) - Math.min(...places));
    });
    // Both cheeks of the tenon, as deep as it goes.
    return 2 * toInches(mortise.to - mortise.from) * Math.max(across ?? 0, up ?? 0) * GLUE_POUNDS;
  },
  prepares: () => [],
  makes: () => [],
};
