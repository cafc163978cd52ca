import { first, found, last } from '../lists';
import { inches, type Length } from '../length';
import type { HardwareKind } from '../stock';
import type { DrillBit } from '../work';

/** What holds a joint, as it is sold, with what it measures and what is drilled for it. */
export type Fastener = {
  readonly kind: HardwareKind;
  /** As it is sold: `#8 1 1/2`, `3/8 x 5`. Shown, never read. */
  readonly size: string;
  readonly length: Length;
  /** How thick it is: a screw's shank, a dowel, a tenon. */
  readonly shank: Length;
  /** How wide: its head, a tenon's or a biscuit's long side. */
  readonly wide: Length;
  readonly head: string;
  readonly thread: string;
  readonly pilot: { readonly soft: DrillBit; readonly hard: DrillBit } | null;
  readonly clearance: DrillBit | null;
  readonly counterbore: DrillBit | null;
  readonly driver: string;
};

/** `bit(3, 32)` is the 3/32 in bit, `bit(1, 4, 1)` the 1 1/4 in one. */
const bit = (over: number, under: number, whole = 0): DrillBit => ({
  name: `${whole > 0 ? `${whole} ` : ''}${over === 0 ? '' : `${over}/${under}`}`.trim(),
  across: inches(whole + over / under),
});
const pilots = (soft: DrillBit, hard: DrillBit) => ({ soft, hard });

/** A length in inches as it is written on a box, in sixteenths. */
function written(value: number): string {
  const sixteenths = Math.round(value * 16);
  const [whole, rest] = [Math.floor(sixteenths / 16), sixteenths % 16];
  if (rest === 0) return String(whole);
  const shared = rest % 8 === 0 ? 8 : rest % 4 === 0 ? 4 : rest % 2 === 0 ? 2 : 1;
  return `${whole > 0 ? `${whole} ` : ''}${rest / shared}/${16 / shared}`;
}

type Shape = Omit<Fastener, 'kind' | 'size' | 'length'>;
const NONE: Shape = {
  shank: 0,
  wide: 0,
  head: '',
  thread: '',
  pilot: null,
  clearance: null,
  counterbore: null,
  driver: '',
};

/**
 * Drill sizes. Wood screws: the usual chart of pilot and clearance holes; lag screws: clearance as the shank, lead hole
 * 40-70 % of it in softwood, 60-75 % in medium and 65-85 % in dense wood (National Design Specification for Wood
 * Construction, 12.1); counterbores as the washer. The maker's own chart comes first.
 */
const GAUGES = {
  '#8': {
    ...NONE,
    shank: inches(0.164),
    wide: inches(0.332),
    head: 'flat',
    thread: 'wood',
    pilot: pilots(bit(3, 32), bit(1, 8)),
    clearance: bit(11, 64),
    counterbore: bit(3, 8),
    driver: 'square or star #2',
  },
  '#10': {
    ...NONE,
    shank: inches(0.19),
    wide: inches(0.385),
    head: 'flat',
    thread: 'wood',
    pilot: pilots(bit(7, 64), bit(1, 8)),
    clearance: bit(3, 16),
    counterbore: bit(1, 2),
    driver: 'square or star #3',
  },
  '1/4-20': {
    ...NONE,
    shank: inches(0.25),
    wide: inches(0.5),
    head: 'hex drive',
    thread: '1/4-20',
    pilot: pilots(bit(5, 16), bit(11, 32)),
    clearance: bit(9, 32),
    counterbore: bit(3, 4),
    driver: '4 mm hex key',
  },
  '1/4': {
    ...NONE,
    shank: inches(0.25),
    wide: inches(0.5),
    head: 'hex',
    thread: 'lag',
    pilot: pilots(bit(9, 64), bit(3, 16)),
    clearance: bit(1, 4),
    counterbore: bit(0, 1, 1),
    driver: '7/16 socket',
  },
  '5/16': {
    ...NONE,
    shank: inches(0.3125),
    wide: inches(0.5),
    head: 'hex',
    thread: 'lag',
    pilot: pilots(bit(11, 64), bit(15, 64)),
    clearance: bit(5, 16),
    counterbore: bit(0, 1, 1),
    driver: '1/2 socket',
  },
  '3/8': {
    ...NONE,
    shank: inches(0.375),
    wide: inches(0.625),
    head: 'hex',
    thread: 'lag',
    pilot: pilots(bit(13, 64), bit(9, 32)),
    clearance: bit(3, 8),
    counterbore: bit(1, 4, 1),
    driver: '9/16 socket',
  },
} as const satisfies Readonly<Record<string, Shape>>;
/** A bolt goes through a hole of its own width all the way. */
const BOLT: Shape = { ...GAUGES['3/8'], thread: '3/8-16', pilot: pilots(bit(3, 8), bit(3, 8)) };
/** A hole from the side takes in the nut and washer of a bolt that ends in a part. */
export const NUT_HOLE: DrillBit = bit(1, 4, 1);
const POCKET: Shape = {
  ...NONE,
  shank: inches(0.164),
  wide: inches(0.35),
  head: 'washer',
  thread: 'coarse',
  driver: 'long square #2',
};

const made = (kind: HardwareKind, size: string, length: number, shape: Shape): Fastener => ({
  kind,
  size,
  length: inches(length),
  ...shape,
});
const byGauge = (
  kind: HardwareKind,
  gauge: keyof typeof GAUGES,
  lengths: readonly number[],
  between = ' ',
  shape: Shape = GAUGES[gauge],
) => lengths.map((length) => made(kind, `${gauge}${between}${written(length)}`, length, shape));

/** Wood screws by how long they are, short first. */
export const SCREWS: readonly Fastener[] = [
  ...byGauge('screw', '#8', [1, 1.25, 1.5, 2, 2.5]),
  ...byGauge('screw', '#10', [3, 3.5]),
];
const POCKET_SHANKS: readonly Fastener[] = [1, 1.25, 1.5, 2, 2.5].flatMap((length) => [
  made('pocket-screw', written(length), length, POCKET),
  made('pocket-screw', `${written(length)} fine`, length, { ...POCKET, thread: 'fine' }),
]);
/** 18 gauge. */
export const BRADS: readonly Fastener[] = [1, 1.25, 1.5, 2].map((length) =>
  made('brad', written(length), length, { ...NONE, shank: inches(0.05), wide: inches(0.05) }),
);
const BOLTS: readonly Fastener[] = byGauge('bolt', '3/8', [3, 3.5, 4, 4.5, 5, 5.5, 6, 7, 8, 9, 10, 12], ' x ', BOLT);
export const LAGS: readonly Fastener[] = [
  ...byGauge('lag', '1/4', [2, 3], ' x '),
  ...byGauge('lag', '5/16', [3.5, 5], ' x '),
  ...byGauge('lag', '3/8', [6], ' x '),
];
export const INSERTS: readonly Fastener[] = byGauge('insert', '1/4-20', [1.5, 2.5, 4], ' x ');

const round = (over: number, under: number, length: number): Fastener => ({
  ...made('dowel', `${over}/${under} x ${written(length)}`, length, NONE),
  shank: inches(over / under),
  wide: inches(over / under),
  clearance: bit(over, under),
});
const DOWELS = { thin: round(1, 4, 1), usual: round(3, 8, 1.5), thick: round(1, 2, 2) } as const;
const flat = (thick: number, wide: number, length: number): Fastener => ({
  ...made('tenon', `${written(thick)} x ${written(wide)} x ${written(length)}`, length, NONE),
  shank: inches(thick),
  wide: inches(wide),
});
const TENONS = {
  thin: flat(1 / 4, 3 / 4, 1.5),
  usual: flat(5 / 16, 1, 2),
  thick: flat(1 / 2, 1.25, 2.5),
} as const;
/** The slot is 15/32 deep in each part; `wide` is how long a slot its cutter makes. */
export const BISCUITS = {
  small: { ...made('biscuit', '#0', 15 / 16, NONE), shank: inches(5 / 32), wide: inches(2) },
  large: { ...made('biscuit', '#20', 15 / 16, NONE), shank: inches(5 / 32), wide: inches(2.5) },
} as const;
/** The screw that comes with a clip. */
export const CLIP: Fastener = {
  ...made('clip', '', 1 / 2, GAUGES['#8']),
  head: 'with its own screw',
  thread: '',
  pilot: pilots(bit(3, 32), bit(1, 8)),
  clearance: null,
  counterbore: null,
};

/** Tip at least this far short of the far face. */
export const SHORT_OF: Length = inches(1 / 8);

/**
 * The wood screw that fixes a part `deep` thick to one `bite` thick: about 2 to 2.5 times the thickness of what it
 * fixes, its tip 1/8 in short of the far face. In a deep part the longest there is goes into a counterbore.
 */
export function woodScrew(deep: Length, bite: Length): Fastener {
  const safe = SCREWS.filter(({ length }) => length <= deep + bite - SHORT_OF);
  return safe.find(({ length }) => length >= 2 * deep) ?? safe.at(-1) ?? first(SCREWS);
}

/** 18 gauge brads: twice the thinner part; they only hold while glue sets. */
export const bradFor = (thinner: Length): Fastener => BRADS.find(({ length }) => length >= 2 * thinner) ?? last(BRADS);

/** A bolt's head with its washer lies at least so deep in a counterbore: parts lie flat on it, feet on the floor. */
const LEAST_SUNK: Length = inches(3 / 8);
/** The counterbore of a nut outside: the nut, its washer, and the last thread, which stays below the surface. */
export const NUT_SUNK: Length = inches(1 / 2);
const SHORT_OF_SURFACE: Length = inches(1 / 16);
/** Wood left under a head. */
const UNDER_HEAD: Length = inches(1);
/** Into a long part a bolt goes so far, to a nut that is let in from the side. */
const LET_IN: Length = inches(3);

/** A bolt, how deep its head goes down, and whether it goes through both parts. */
export type Bolt = { readonly fastener: Fastener; readonly sunk: Length; readonly through: boolean };

/**
 * Bolts go through both parts where one fits: head and nut below the surfaces. Else through one and at least 3 in into
 * the other, to a nut let in there from the side.
 */
export function boltFor(deep: Length, beyond: Length): Bolt {
  const whole = deep + beyond - SHORT_OF_SURFACE;
  const through = BOLTS.findLast(
    ({ length }) => whole - length >= LEAST_SUNK && whole - length <= Math.max(LEAST_SUNK, deep - UNDER_HEAD),
  );
  if (through) return { fastener: through, sunk: whole - through.length, through: true };
  const sunk = Math.min(NUT_SUNK, Math.max(0, deep - UNDER_HEAD));
  const into = BOLTS.find(({ length }) => length >= deep - sunk + LET_IN) ?? last(BOLTS);
  return { fastener: into, sunk, through: false };
}

/** Dowels a third to a half as thick as the thinner part, tenons by the room there is. */
export const dowelFor = (thinner: Length): Fastener =>
  thinner < inches(5 / 8) ? DOWELS.thin : thinner < inches(1.25) ? DOWELS.usual : DOWELS.thick;
export const tenonFor = (thinner: Length): Fastener =>
  thinner < inches(7 / 8) ? TENONS.thin : thinner < inches(1.25) ? TENONS.usual : TENONS.thick;

/** The pocket screw of a length, coarse or fine. */
export const pocketShank = (size: string, fine: boolean): Fastener =>
  found(POCKET_SHANKS, (one) => one.size === (fine ? `${size} fine` : size));
