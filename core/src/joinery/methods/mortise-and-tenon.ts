import { toInches } from '../../length';
import { hasTongue, tongueFits } from '../../piece';
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
  strength: ({ drilled, into }) =>
    hasTongue(drilled, into) ? 2 * 1.25 * toInches(drilled.width) * 0.67 * GLUE_POUNDS : 0,
  prepares: () => [],
  makes: () => [],
};
