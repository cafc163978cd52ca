import type { Method, Tool } from '../job';
import type { JointKind } from '../piece';

/** How much of a joint shows once it is made. */
export const LOOKS = {
  hidden: 'nothing shows',
  inside: 'pockets on the hidden face',
  filled: 'small holes, filled',
  plugs: 'plugs show',
  heads: 'heads show',
} as const;
export type Look = keyof typeof LOOKS;

/** A way to join: what it needs, how it looks, how long it takes. */
export type MethodAbout = {
  readonly name: string;
  readonly look: Look;
  /** Any one of these sets of tools does. */
  readonly tools: readonly (readonly Tool[])[];
  /** Minutes to lay out and make one joint, and for each fastener in it. Typical for one unhurried person. */
  readonly setUp: number;
  readonly each: number;
  readonly glued: boolean;
  /** Stays in clamps until the glue holds; what is screwed needs none. */
  readonly clamped: boolean;
  /** Can be taken apart again. */
  readonly apart: boolean;
  /** When it is right, in a line. */
  readonly when: string;
};

const DRILL: readonly (readonly Tool[])[] = [['drill']];
const ROUTED: readonly (readonly Tool[])[] = [['router', 'drill'], ['router']];

export const METHOD_ABOUT: Readonly<Record<Method, MethodAbout>> = {
  'pocket screws': { name: 'Pocket screws', look: 'inside', tools: [['pocket jig', 'drill']], setUp: 2, each: 1.75, glued: true, clamped: false, apart: false, when: 'Quick and strong enough for most; the screws are the clamps.' }, // prettier-ignore
  screws: { name: 'Screws through', look: 'heads', tools: DRILL, setUp: 2, each: 1.5, glued: true, clamped: false, apart: false, when: 'Where the outside is not seen, or heads may show.' }, // prettier-ignore
  'plugged screws': { name: 'Screws, plugged', look: 'plugs', tools: DRILL, setUp: 3, each: 3.5, glued: true, clamped: false, apart: false, when: 'Strong from outside, the heads under plugs of the same wood.' }, // prettier-ignore
  brads: { name: 'Glue and brads', look: 'filled', tools: [['hand saw'], ['drill'], ['mitre saw']], setUp: 2, each: 0.3, glued: true, clamped: false, apart: false, when: 'Thin parts; the brads only hold while the glue sets.' }, // prettier-ignore
  glue: { name: 'Glue alone', look: 'hidden', tools: [['hand saw'], ['drill'], ['mitre saw']], setUp: 3, each: 0, glued: true, clamped: true, apart: false, when: 'Long grain to long grain, with enough clamps. Never end grain.' }, // prettier-ignore
  dowels: { name: 'Dowels', look: 'hidden', tools: DRILL, setUp: 6, each: 2.5, glued: true, clamped: true, apart: false, when: 'Nothing shows and a drill does it; a drilling guide is a must.' }, // prettier-ignore
  biscuits: { name: 'Biscuits', look: 'hidden', tools: [['biscuit joiner']], setUp: 3, each: 1, glued: true, clamped: true, apart: false, when: 'Levels boards edge to edge; weak in the end of a rail.' }, // prettier-ignore
  'loose tenon': { name: 'Loose tenon', look: 'hidden', tools: ROUTED, setUp: 10, each: 5, glued: true, clamped: true, apart: false, when: 'As strong as a mortise and tenon, rails stay square-ended.' }, // prettier-ignore
  'mortise and tenon': { name: 'Mortise and tenon', look: 'hidden', tools: [['router', 'drill'], ['table saw', 'drill'], ['hand saw', 'drill']], setUp: 30, each: 0, glued: true, clamped: true, apart: false, when: 'The strongest for a leg and rail; slow, and the rail grows by its tenons.' }, // prettier-ignore
  'half lap': { name: 'Half lap', look: 'hidden', tools: [['table saw'], ['router'], ['circular saw'], ['hand saw']], setUp: 18, each: 0, glued: true, clamped: true, apart: false, when: 'Parts of one thickness, flush; wide glue faces.' }, // prettier-ignore
  'lag screws': { name: 'Lag screws', look: 'heads', tools: DRILL, setUp: 4, each: 4, glued: false, clamped: false, apart: true, when: 'Heavy timber: a counterbore, a washer, a socket wrench.' }, // prettier-ignore
  bolts: { name: 'Bolts through', look: 'heads', tools: DRILL, setUp: 5, each: 5, glued: false, clamped: false, apart: true, when: 'Heavy parts that must come apart, or be drawn tight again.' }, // prettier-ignore
  inserts: { name: 'Threaded insert and bolt', look: 'heads', tools: DRILL, setUp: 4, each: 5, glued: false, clamped: false, apart: true, when: 'To be taken apart for a door or a move, again and again.' }, // prettier-ignore
  'corner block': {
    name: 'Corner block',
    look: 'inside',
    tools: DRILL,
    setUp: 8,
    each: 1.5,
    glued: true,
    clamped: false,
    apart: false,
    when: 'A block glued and screwed into the inside corner: no jig, from offcuts, stiff against racking.',
  },
  clips: { name: 'Clips in a slot', look: 'hidden', tools: [['router'], ['table saw'], ['drill']], setUp: 2, each: 3, glued: false, clamped: false, apart: true, when: 'A solid top moves; the clips slide with it.' }, // prettier-ignore
  'slotted screws': { name: 'Screws in slots', look: 'inside', tools: DRILL, setUp: 2, each: 4, glued: false, clamped: false, apart: true, when: 'Lets a solid top move without buying clips.' }, // prettier-ignore
};

/** Flat heads that lie in the face; the others of their kind go down a counterbore. */
export const isCountersunk = (by: Means): boolean => by === 'screws' || by === 'corner block';

/** What holds a joint: a method, hardware of its own, or nothing. */
export type Means = Method | 'hardware' | 'nothing';

const EDGES: readonly Method[] = ['pocket screws', 'glue', 'dowels', 'biscuits', 'loose tenon'];
const TO_TOP: readonly Method[] = ['clips', 'slotted screws', 'pocket screws'];

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
  'top screws': ['pocket screws', 'slotted screws', 'clips'],
  lap: ['screws', 'glue', 'plugged screws', 'inserts'],
  glue: ['brads', 'glue', 'plugged screws'],
  lamination: ['glue', 'dowels', 'biscuits', 'pocket screws'],
  screws: ['screws', 'plugged screws', 'brads', 'lag screws', 'inserts', 'glue'],
  bolt: ['bolts', 'lag screws', 'plugged screws'],
  dado: ['glue', 'screws', 'brads'],
  groove: [],
  hinge: [],
  slide: [],
  pins: [],
  plate: [],
  rest: [],
};
