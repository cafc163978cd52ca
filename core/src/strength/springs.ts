import { found, nth } from '../lists';
import { toInches } from '../length';
import {
  GLUE_POUNDS,
  glueShare,
  gravityOf,
  letsMove,
  meetingOf,
  onPlane,
  sideGrain,
  WAYS_TO_JOIN,
  type Fastening,
  type WayToJoin,
} from '../joinery';
import { SWINGS, waysOf, type JointKind } from '../piece';
import { add, cross, dot, sub, times, unit, type Vec } from '../solid';
import { inInches } from './bodies';

/**
 * A place where two parts hold on to each other: how stiff, and what it bears for good. In tests of furniture joints
 * both vary by half from one to the next, so these are estimates. Inches, pounds.
 */
export type Hold = {
  readonly item: Fastening;
  readonly at: Vec;
  /** Out of the first part into the second; along the longer way of the meeting; across it. */
  readonly ways: readonly [Vec, Vec, Vec];
  readonly along: readonly [number, number, number];
  readonly about: readonly [number, number, number];
  readonly bears: Bears;
};
type Holding = Pick<Hold, 'along' | 'about' | 'bears'>;
/** What a hold bears for good: lb apart and sideways, lb in about each of its ways. Infinite where it only rests. */
type Bears = { readonly pull: number; readonly slide: number; readonly turn: readonly [number, number, number] };

/** lb/in for a N/mm. */
const PER_MM = 5.71;
/**
 * How far a screw gives along its thread: 25 d l N/mm, mm (European technical assessments of wood screws); of a dowel
 * or tenon that is glued the same is taken.
 */
const alongShank = (shank: number, bite: number): number => PER_MM * 25 * 25.4 ** 2 * shank * bite;
/** How far it gives sideways: density^1.5 d / 23 N/mm (EN 1995-1-1, table 7.1), kg/m3 and mm. */
const asideShank = (shank: number, gravity: number): number => (PER_MM * (1000 * gravity) ** 1.5 * 25.4 * shank) / 23;
/**
 * What a screw bears sideways, lb: bent over in both parts, D^2 / R sqrt(2 F Fb / 6) with D its root, three quarters
 * of the shank, F = 16600 G^1.84, Fb = 90 000 and R = 2.2 (National Design Specification, 12.3, mode IV).
 */
export const aside = (shank: number, gravity: number): number =>
  ((0.75 * shank) ** 2 / 2.2) * Math.sqrt((2 * 16_600 * gravity ** 1.84 * 90_000) / 6);

/** Glue and a quarter inch of wood on both sides of it, lb/in for a square inch: across the grain, and sheared. */
const BED = { pull: 170_000, slide: 175_000 } as const;
/** Wood gives where it is pressed: what is levered open at one edge crushes a little at the other. */
const CRUSHED = 0.5;
/** What only lies there: pressed, and held sideways by its weight. */
const RESTING = { pull: 8_000, slide: 400 } as const;
/** Shelf pins and loose grooves hold what lies in them, and let it turn. */
const LOOSE = { pull: 300, slide: 5_000 } as const;
/** A plate of four screws 2 in apart, as bought legs come with. */
const PLATE = { pull: 30_000, slide: 20_000, turn: 40_000, bears: 320 } as const;
/**
 * A folding bracket: its plate, and its locked link, two screws at each end, which holds some 3 in off the pivot.
 * An estimate; what a maker says comes first.
 */
const BRACKET = { ...PLATE, turn: 120_000 } as const;
/** A single screw is gripped over this, in, against turning about itself. */
const LEVER = 0.25;
/** So that what only touches does not spin. */
const LEAST = 50;
const UNENDING: Bears = { pull: Infinity, slide: Infinity, turn: [Infinity, Infinity, Infinity] };

/** Places along a meeting: one where it is short, every foot and at both ends where it is long. */
const AT_ONE = 7;
const placesOn = (long: number): number => (long <= AT_ONE ? 1 : Math.min(5, Math.ceil(long / 12) + 1));

/**
 * A screw or dowel seen from the middle of its stretch of the meeting, in: how stiff it is out of the face and along
 * it, lb/in, and what it bears so, lb.
 */
type Peg = {
  readonly x: number;
  readonly y: number;
  readonly pull: number;
  readonly slide: number;
  readonly bears: number;
  readonly asideBears: number;
};

/** Levers of pegs over the edge of a meeting, squared or not; the edge over which they hold less. */
function levered(pegs: readonly Peg[], way: 'x' | 'y', half: number, of: (peg: Peg, lever: number) => number): number {
  const over = (sign: 1 | -1) => pegs.reduce((sum, peg) => sum + of(peg, Math.max(0, half + sign * peg[way])), 0);
  return Math.min(over(1), over(-1));
}

type Stretch = {
  readonly long: number;
  readonly wide: number;
  readonly pegs: readonly Peg[];
  /** Square inches of glue that holds, and what it bears. */
  readonly glued: number;
  readonly glueBears: number;
};

/** Screws and glue of a stretch as one spring. */
function holding({ long, wide, pegs, glued, glueBears }: Stretch): Holding {
  if (pegs.length === 0 && glueBears === 0) return bare(RESTING.pull, RESTING.slide, LEAST, UNENDING);
  const sum = (of: (peg: Peg) => number) => pegs.reduce((total, peg) => total + of(peg), 0);
  const [pull, slide] = [sum((peg) => peg.pull) + BED.pull * glued, sum((peg) => peg.slide) + BED.slide * glued];
  const bent = (way: 'x' | 'y', size: number) =>
    CRUSHED * levered(pegs, way, size / 2, (peg, lever) => peg.pull * lever ** 2) + (BED.pull * glued * size ** 2) / 12;
  // What nothing holds against turning only lies there.
  const borne = (way: 'x' | 'y', size: number) =>
    levered(pegs, way, size / 2, (peg, lever) => peg.bears * lever) + (glueBears * size) / 6 || Infinity;
  const polar = (long ** 2 + wide ** 2) / 12;
  const radius = Math.sqrt(polar);
  return {
    along: [pull + RESTING.pull, slide + RESTING.slide, slide + RESTING.slide],
    about: [
      sum((peg) => peg.slide * (peg.x ** 2 + peg.y ** 2)) + BED.slide * glued * polar + LEAST,
      bent('y', wide) + LEAST,
      bent('x', long) + LEAST,
    ],
    bears: {
      pull: sum((peg) => peg.bears) + glueBears,
      slide: sum((peg) => peg.asideBears) + glueBears,
      turn: [
        sum((peg) => peg.asideBears * Math.max(LEVER, Math.hypot(peg.x, peg.y))) + glueBears * radius,
        borne('y', wide),
        borne('x', long),
      ],
    },
  };
}

/** A tenon in its mortise: two cheeks of glue, as long as the meeting and so deep that they bear what it does. */
function tongued(long: number, pounds: number): Holding {
  const cheek = pounds / 2 / GLUE_POUNDS;
  const deep = cheek / Math.max(long, 0.1);
  const [slide, polar] = [2 * BED.slide * cheek, (long ** 2 + deep ** 2) / 12];
  const radius = Math.sqrt(polar);
  return {
    along: [slide, slide, slide],
    about: [(slide * polar) / 2, (slide * polar) / 2, slide * polar],
    bears: {
      pull: pounds,
      slide: pounds,
      turn: [(pounds * radius) / 2, (pounds * radius) / 2, pounds * radius],
    },
  };
}

const bare = (pull: number, slide: number, turn: number, bears: Bears): Holding => ({
  along: [pull, slide, slide],
  about: [turn, turn, turn],
  bears,
});

/** What holds without a fastener laid in the wood: by its hardware, or by lying there. Null where something is made. */
function lying({ joint, by }: Fastening, share: number): Holding | null {
  if (joint.kind === 'plate' || joint.kind === 'fold') {
    const { pull, slide, turn, bears } = joint.kind === 'fold' ? BRACKET : PLATE;
    return bare(pull, slide, turn, { pull: bears, slide: bears, turn: [2 * bears, 2 * bears, 2 * bears] });
  }
  if (joint.kind === 'pins' || joint.kind === 'groove')
    return bare(LOOSE.pull * share, LOOSE.slide * share, LEAST, UNENDING);
  if (by === 'nothing' || by === 'hardware' || joint.kind === 'rest')
    return bare(RESTING.pull * share, RESTING.slide * share, LEAST, UNENDING);
  return null;
}

/** What the pounds of a way to join are made of: fasteners apart from glue. */
function boundBy(item: Fastening, { glued, strength }: WayToJoin): { readonly pounds: number; readonly glue: number } {
  const all = strength(item);
  const glue = glued ? sideGrain(item) / 2 : 0;
  return item.shanks.length === 0
    ? { pounds: 0, glue: Math.max(glue, all) }
    : { pounds: Math.max(0, all - glue), glue };
}

/** A meeting cut into stretches, each with its middle. */
type Spread = {
  readonly middle: Vec;
  readonly ways: Hold['ways'];
  readonly long: number;
  readonly wide: number;
  readonly count: number;
};

/** The fasteners of one stretch of a meeting, where they cross it; beyond its ends they belong to the nearest. */
function pegsOf(item: Fastening, { middle, ways, long, count }: Spread, k: number, pounds: number): Stretch['pegs'] {
  const [normal, run, across] = ways;
  const step = long / count;
  const each = pounds / item.shanks.length;
  const slides = letsMove(item);
  const gravity = Math.min(gravityOf(item.drilled), gravityOf(item.into));
  return item.shanks.flatMap(({ from, direction, radius, bite }) => {
    const leans = dot(direction, normal);
    const start = inInches(from);
    const reach = Math.abs(leans) > 0.1 ? dot(sub(middle, start), normal) / leans : 0;
    const place = sub(add(start, times(direction, reach)), middle);
    const x = dot(place, run);
    if (Math.min(count - 1, Math.max(0, Math.floor((x + long / 2) / step))) !== k) return [];
    const thick = 2 * toInches(radius);
    const straight = alongShank(thick, Math.max(0.25, toInches(bite)));
    const sideways = slides ? 0 : asideShank(thick, gravity);
    const share = leans ** 2;
    return [
      {
        x: x - (k + 0.5) * step + long / 2,
        y: dot(place, across),
        pull: straight * share + sideways * (1 - share),
        slide: slides ? 0 : sideways * share + straight * (1 - share),
        bears: each,
        asideBears: slides ? Infinity : Math.max(share < 0.5 ? each : 0, aside(thick, gravity)),
      },
    ];
  });
}

/** How a joint's meeting lies; null where the two do not touch. */
function spreadOf({ drilled, into }: Fastening): Spread | null {
  const meeting = meetingOf(drilled, into);
  if (!meeting) return null;
  const across = found([0, 1, 2] as const, (at) => at !== meeting.axis && at !== meeting.along);
  const [long, wide] = [meeting.along, across].map((at) => {
    const [low, high] = nth(meeting.spans, at);
    return Math.max(0.1, toInches(high - low));
  }) as [number, number];
  const place = meeting.spans.map(([low, high]) => (low + high) / 2) as unknown as Vec;
  const normal = unit(meeting.normal);
  const leaning = nth(waysOf(drilled), meeting.along);
  const run = unit(sub(leaning, times(normal, dot(leaning, normal))));
  return {
    middle: inInches(onPlane(drilled, meeting, place)),
    ways: [normal, run, cross(normal, run)],
    long,
    wide,
    count: placesOn(long),
  };
}

/** Joints whose two parts turn or slide on each other: they carry nothing here. */
const FREE: readonly JointKind[] = [...SWINGS, 'slide'];

/** Where a joint holds its two parts together, place by place; empty where they do not touch, or turn on each other. */
export function holdsOf(item: Fastening): readonly Hold[] {
  const spread = FREE.includes(item.joint.kind) ? null : spreadOf(item);
  if (!spread) return [];
  const { middle, ways, long, wide, count } = spread;
  const step = long / count;
  const way = item.by === 'hardware' || item.by === 'nothing' ? null : WAYS_TO_JOIN[item.by];
  const { pounds, glue } = way ? boundBy(item, way) : { pounds: 0, glue: 0 };
  const glued = way?.glued ? ((item.glue / 2) * glueShare(item)) / count : 0;
  const isTongue = way?.holds === 'tongue' && glueShare(item) < 0.5;
  return Array.from({ length: count }, (_, k): Hold => {
    const made = (): Holding =>
      isTongue
        ? tongued(step, glue / count)
        : holding({ long: step, wide, glued, glueBears: glue / count, pegs: pegsOf(item, spread, k, pounds) });
    const at = add(middle, times(ways[1], (k + 0.5) * step - long / 2));
    const own = lying(item, 1 / count) ?? made();
    // A shelf in its housing bears on wood, not on glue.
    const bears = item.joint.kind === 'dado' ? { ...own.bears, slide: Infinity } : own.bears;
    return { item, at, ways, ...own, bears };
  });
}
