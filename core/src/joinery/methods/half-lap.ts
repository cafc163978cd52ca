import { tongueFits } from '../../piece';
import type { WayToJoin } from '../method';
import { GLUE_POUNDS } from '../pounds';

/** Its halves are cut-outs of the two parts: they are told with these. */
export const halfLap: WayToJoin = {
  name: 'Half lap',
  look: 'hidden',
  tools: [['table saw'], ['router'], ['circular saw'], ['hand saw']],
  setUp: 18,
  each: 0,
  holds: 'tongue',
  glued: true,
  clamped: true,
  apart: false,
  straight: false,
  countersunk: false,
  when: 'Parts of one thickness, flush; wide glue faces.',
  fits: ({ joint, drilled, into }) => tongueFits('half lap', joint, drilled, into),
  lays: () => null,
  buys: () => [],
  strength: ({ glue }) => (glue / 2) * GLUE_POUNDS * 0.5,
  prepares: () => [],
  makes: () => [],
};
