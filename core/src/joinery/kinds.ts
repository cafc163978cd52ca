import type { Method } from '../job';
import type { JointKind } from '../piece';

/** What holds a joint: a method, hardware of its own, or nothing. */
export type Means = Method | 'hardware' | 'nothing';

const EDGES: readonly Method[] = ['pocket screws', 'glue', 'dowels', 'biscuits', 'loose tenon'];
const TO_TOP: readonly Method[] = ['clips', 'slotted screws', 'pocket screws', 'inserts'];

/** The ways a kind of joint may be made, the usual one first. Empty where its hardware says how. */
export const WAYS_FOR: Readonly<Record<JointKind, readonly Method[]>> = {
  edge: EDGES,
  'rail end': [
    'pocket screws',
    'dowels',
    'loose tenon',
    'mortise and tenon',
    'half lap',
    'screws',
    'plugged screws',
    'lag screws',
    'corner block',
  ],
  'top clips': TO_TOP,
  float: ['slotted screws'],
  'top screws': ['pocket screws', 'slotted screws', 'clips', 'inserts'],
  lap: ['screws', 'glue', 'plugged screws', 'inserts'],
  glue: ['brads', 'glue', 'plugged screws'],
  lamination: ['glue', 'dowels', 'biscuits', 'pocket screws'],
  screws: ['screws', 'plugged screws', 'brads', 'lag screws', 'inserts', 'glue'],
  bolt: ['bolts', 'lag screws', 'plugged screws'],
  dado: ['glue', 'screws', 'brads'],
  groove: [],
  hinge: [],
  'long hinge': [],
  slide: [],
  pins: [],
  plate: [],
  fold: [],
  rest: [],
  set: [],
};
