import { nth, sure } from '../lists';
import type { Tool } from '../job';
import type { Readings } from '../ledger';
import { SOLD_WITHIN, NINE, LAID_WITHIN } from '../finishing';
import type { Fastening } from '../joinery';
import { toInches } from '../length';
import type { Part } from '../piece';
import { CUT_USUAL, type JobRecord } from '../record';
import { seeded } from '../cutting';
import type { Setup } from '../sawing';
import { isSheet } from '../stock';
import { together } from '../work';
import type { LaidBody } from './laying';
import { misfitOf, type Deviation, type Misfit, type Outcome, type OutcomeKind } from './misfit';

/**
 * How a size comes about: against a stop, several at once against it, by pencil and tape, along a guide between two
 * marks, along a fence, cut to what is measured of the piece, measured since, or as it is sold.
 */
export type CutBy = 'stop' | 'several at once' | 'pencil' | 'guide' | 'fence' | 'to fit' | 'measured' | 'as sold';

/**
 * Inches within which nine in ten come: how well a stop or fence is set, which all cuts there share, and how well each
 * repeats. A stop repeats to 1/64 and is set by a tape to 1/32; pencil and tape come to 3/64, the middle of the 1/32 to
 * 1/16 that the trade gives for them.
 */
const WITHIN: Readonly<Record<CutBy, { readonly set: number; readonly each: number }>> = {
  stop: { set: 1 / 32, each: 1 / 64 },
  'several at once': { set: 1 / 32, each: 1 / 128 },
  pencil: { set: 0, each: 3 / 64 },
  guide: { set: 0, each: 1 / 32 },
  fence: { set: 1 / 32, each: 1 / 128 },
  'to fit': { set: 0, each: 1 / 64 },
  measured: { set: 0, each: 1 / 128 },
  'as sold': { set: 0, each: SOLD_WITHIN },
};
/** How far an end is off square in 6 in, nine in ten: a saw on a stand, one along a square, one by hand. */
const OFF_SQUARE: Readonly<Partial<Record<Tool, number>>> = {
  'mitre saw': 1 / 64,
  'table saw': 1 / 64,
  'circular saw': 1 / 32,
  'hand saw': 1 / 16,
};
const SIX = 6;

/** How the length and width of a part come about, and how square its ends. */
type HowCut = {
  readonly length: CutBy;
  /** The same before it was measured. */
  readonly usual: CutBy;
  readonly width: CutBy;
  /** How far its ends are off square where they are 6 in wide or more, in, nine in ten. */
  readonly square: number;
  /** Whose settings it shares. */
  readonly stop: string;
  readonly fence: string;
};

/** How each part of a piece is cut, by the settings of the saws. */
function howCut(
  parts: readonly Part[],
  setups: readonly Setup[],
  read: Readings['asBuilt'],
): ReadonlyMap<string, HowCut> {
  const by = new Map<string, Setup[]>();
  for (const setup of setups) for (const { id } of setup.parts) by.set(id, [...(by.get(id) ?? []), setup]);
  return new Map(
    parts.map((part) => {
      const own = by.get(part.id) ?? [];
      const stop = own.find(({ kind, extraFor }) => kind === 'stop' && extraFor === null);
      const fence = own.find(({ kind }) => kind === 'fence');
      const guide = own.find(({ kind }) => kind === 'guide');
      const tool = (stop ?? own.find(({ kind }) => kind === 'marks') ?? guide)?.tool ?? 'mitre saw';
      const isMeasured = (side: 'length' | 'width') => read[part.tag]?.[side] !== undefined;
      const length = (): CutBy => {
        if (part.material === 'bought' || part.kept) return 'as sold';
        if (part.fit !== null) return 'to fit';
        // What is trimmed once it is glued is trimmed against one stop.
        if (part.trimmedLater || part.flush || part.plies > 1) return 'stop';
        if (stop) return stop.gang > 1 ? 'several at once' : 'stop';
        return guide ? 'guide' : 'pencil';
      };
      const width = (): CutBy =>
        isMeasured('width')
          ? 'measured'
          : fence
            ? 'fence'
            : part.material !== 'bought' && isSheet(part.material)
              ? 'guide'
              : 'as sold';
      return [
        part.id,
        {
          length: isMeasured('length') ? 'measured' : length(),
          usual: length(),
          width: width(),
          square: OFF_SQUARE[tool] ?? 1 / 32,
          stop: stop?.id ?? `${part.length}`,
          fence: fence?.id ?? part.id,
        },
      ] as const;
    }),
  );
}

/** Cuts that are one decision: the lengths of these parts, as they are cut. */
type CutGroup = {
  readonly side: 'length' | 'width' | 'thickness' | 'ends' | 'place';
  readonly by: CutBy | null;
  readonly tags: readonly string[];
  /** What tells it from others of its kind: the setting it is cut at, the kind of joint. */
  readonly of: string;
};
/** What to expect of one thing that shows: half of such pieces come within the first, nine in ten within the second. */
export type Expected = {
  readonly kind: OutcomeKind;
  readonly median: number;
  readonly nine: number;
  /** The cuts that it comes from most, and their share of it. */
  readonly from: CutGroup;
  readonly share: number;
  /** Nine in ten, were those cut in other ways instead. */
  readonly others: readonly { readonly by: CutBy; readonly nine: number }[];
  /** The joint that opens most. */
  readonly joint: Fastening | null;
};

/** Standard deviations of one thing: its own, and what it shares with all of one setting. */
type Spread = { readonly each: number; readonly set: number; readonly shared: string };
type Grouped = Spread & { readonly about: CutGroup; readonly group: string };

const SIDES = ['length', 'width', 'thickness'] as const;

/** The side of a part that lies along a way of the body it is in. */
function sideAlong({ body }: LaidBody, way: 0 | 1 | 2): 'length' | 'width' | 'thickness' {
  if (way === 2) return 'thickness';
  const part = nth(body.parts, 0);
  const long = toInches(part.length) >= toInches(part.width);
  return long ? nth(SIDES, way) : nth(SIDES, 1 - way);
}

function spreadOf(deviation: Deviation, { how, factor }: Cutting, instead: Instead): Omit<Grouped, 'group'> {
  if (deviation.kind === 'place') {
    const { drilled, joint } = deviation.of;
    return {
      each: LAID_WITHIN / NINE,
      set: 0,
      shared: '',
      about: { side: 'place', by: null, tags: [drilled.tag], of: joint.kind },
    };
  }
  const part = nth(deviation.of.body.parts, 0);
  const cut = sure(how.get(part.id), 'how a part is cut');
  const tags = deviation.of.body.parts.map(({ tag }) => tag);
  if (deviation.kind === 'end') {
    // Both ends are cut at one setting of the saw: half of it they share.
    const across = Math.max(SIX, nth(deviation.of.body.size, deviation.about === 2 ? 1 : 2));
    const each = cut.square / across / NINE / Math.SQRT2;
    const shared = `${part.id}:${deviation.about}`;
    return { each, set: each, shared, about: { side: 'ends', by: null, tags, of: cut.stop } };
  }
  const side = sideAlong(deviation.of, deviation.way);
  const usual: CutBy = side === 'thickness' ? 'as sold' : cut[side];
  const by = instead(side, tags) ?? usual;
  const own = side === 'length' && by !== 'measured' ? factor : 1;
  const [each, set] = [WITHIN[by].each * own, WITHIN[by].set * own];
  const shared = `${side}:${side === 'length' ? cut.stop : cut.fence}`;
  const of = side === 'length' ? cut.stop : '';
  return { each: each / NINE, set: set / NINE, shared, about: { side, by, tags, of } };
}

/** Another way to cut some of the parts than the plan has; null where it stays. */
type Instead = (side: CutGroup['side'], tags: readonly string[]) => CutBy | null;
const asPlanned: Instead = () => null;

const DRAWS = 500;
const SEED = 1;

/** Numbers of a standard normal spread, seeded (Box and Muller 1958). */
function normal(): () => number {
  const random = seeded(SEED);
  return () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

/** So many builds of a piece, each with what is off in it: the same luck whatever way is tried. */
function builds(spreads: readonly Spread[]): readonly Float64Array[] {
  const next = normal();
  const settings = [...new Set(spreads.map(({ shared }) => shared))];
  const at = spreads.map(({ shared }) => settings.indexOf(shared));
  return Array.from({ length: DRAWS }, () => {
    const common = settings.map(next);
    return Float64Array.from(spreads, ({ each, set }, k) => each * next() + set * nth(common, nth(at, k)));
  });
}

const times = (by: readonly number[], off: Float64Array): number =>
  by.reduce((sum, value, k) => (value === 0 ? sum : sum + value * nth(off, k)), 0);

/** How far a joint stands open at its worst edge. What is cut to fit is off by its own cut alone. */
function openedBy({ by }: Outcome, off: Float64Array): number {
  const [straight, one, other] = by.map((row) => times(row, off)) as [number, number, number];
  return Math.max(0, straight + Math.abs(one) + Math.abs(other));
}

function valuesOf(kind: OutcomeKind, outcomes: readonly Outcome[], all: readonly Float64Array[]): readonly number[] {
  return all.map((off) =>
    kind === 'gap'
      ? Math.max(...outcomes.map((outcome) => openedBy(outcome, off)))
      : Math.max(...outcomes.map(({ by, closes }) => Math.max(0, Math.abs(times(nth(by, 0), off)) - closes))),
  );
}

const quantile = (values: readonly number[], share: number): number =>
  nth(
    [...values].sort((a, b) => a - b),
    Math.min(values.length - 1, Math.floor(values.length * share)),
  );

/** The joint that is widest open in the most builds. */
function worstOf(outcomes: readonly Outcome[], all: readonly Float64Array[]): Outcome {
  const counts = outcomes.map(() => 0);
  for (const off of all) {
    const open = outcomes.map((outcome) => openedBy(outcome, off));
    const at = open.indexOf(Math.max(...open));
    counts[at] = nth(counts, at) + 1;
  }
  return nth(outcomes, counts.indexOf(Math.max(...counts)));
}

/** Variance that each group of cuts brings to an outcome, the greatest first. */
function sharesOf({ by }: Outcome, spreads: readonly Grouped[]) {
  const groups = together(
    spreads.map((spread, k) => ({ spread, k })),
    ({ spread }) => spread.group,
  );
  const of = groups.map((rows) => {
    const settings = together(rows, ({ spread }) => spread.shared);
    const variance = by.reduce((sum, row) => {
      const each = rows.reduce((all, { spread, k }) => all + (spread.each * nth(row, k)) ** 2, 0);
      const set = settings.reduce(
        (all, own) => all + own.reduce((total, { spread, k }) => total + spread.set * nth(row, k), 0) ** 2,
        0,
      );
      return sum + each + set;
    }, 0);
    return { about: nth(rows, 0).spread.about, tags: rows.flatMap(({ spread }) => spread.about.tags), variance };
  });
  const whole = of.reduce((sum, { variance }) => sum + variance, 0);
  return of
    .map(({ about, tags, variance }) => ({
      from: { ...about, tags: [...new Set(tags)] } as CutGroup,
      share: whole > 0 ? variance / whole : 0,
    }))
    .sort((a, b) => b.share - a.share);
}

/** Of all joints so many are drawn: those that open farthest. */
const DRAWN = 6;
/** The joints that open farthest by the spread of what opens them. */
function widest(outcomes: readonly Outcome[], spreads: readonly Spread[]): readonly Outcome[] {
  const spread = ({ by }: Outcome) =>
    by.reduce((sum, row) => {
      const settings = new Map<string, number>();
      const own = row.reduce((all, value, k) => {
        const { each, set, shared } = nth(spreads, k);
        if (set > 0) settings.set(shared, (settings.get(shared) ?? 0) + value * set);
        return all + (value * each) ** 2;
      }, 0);
      return sum + Math.sqrt([...settings.values()].reduce((all, value) => all + value ** 2, own));
    }, 0);
  return outcomes
    .map((outcome) => ({ outcome, size: spread(outcome) }))
    .sort((a, b) => b.size - a.size)
    .slice(0, DRAWN)
    .map(({ outcome }) => outcome);
}

const KINDS: readonly OutcomeKind[] = ['rock', 'plan', 'front', 'twist', 'gap'];
/** What is tried instead of a way to cut lengths. What stands between others can be cut to fit. */
const OTHERS: Readonly<Partial<Record<CutBy, readonly CutBy[]>>> = {
  pencil: ['stop', 'to fit'],
  guide: ['stop'],
  stop: ['pencil', 'to fit'],
  'several at once': ['pencil', 'to fit'],
};
const BETWEEN: readonly Part['role'][] = ['apron', 'rail', 'stretcher', 'support', 'brace', 'shelf'];

function othersFor({ side, by }: CutGroup, roles: readonly Part['role'][]): readonly CutBy[] {
  const tried = by && side === 'length' ? (OTHERS[by] ?? []) : [];
  return tried.filter((other) => other !== 'to fit' || roles.every((role) => BETWEEN.includes(role)));
}

/** A group of cuts is one side of parts of one length that are cut alike. */
const grouped = (spread: Omit<Grouped, 'group'>): Grouped => ({
  ...spread,
  group: `${spread.about.side}:${spread.about.by ?? ''}:${spread.about.of}`,
});

const spreadsOf = ({ deviations }: Misfit, cutting: Cutting, instead: Instead): readonly Grouped[] =>
  deviations.map((deviation) => grouped(spreadOf(deviation, cutting, instead)));

/** A record of so few is drawn towards the usual as if there were so many more. */
const USUAL = 6;
/** How near the lengths of a shop come to their line, against the usual, by what was measured of them. */
type CutRecord = { readonly count: number; readonly factor: number };

/** The record of a shop: lengths as measured against those of the plan, drawn towards the usual where they are few. */
function cutRecord(
  parts: readonly Part[],
  how: ReadonlyMap<string, HowCut>,
  read: Readings['asBuilt'],
  others: CutsRecorded,
): CutRecord {
  const off = parts.flatMap((part) => {
    const length = part.fit === null ? read[part.tag]?.length : undefined;
    const cut = how.get(part.id);
    if (length === undefined || !cut || cut.usual === 'as sold') return [];
    const { each, set } = WITHIN[cut.usual];
    return [(toInches(length - part.length) / (Math.hypot(each, set) / NINE)) ** 2];
  });
  const sum = off.reduce((all, one) => all + one, 0) + others.squares / CUT_USUAL ** 2;
  const count = off.length + others.count;
  return { count, factor: Math.sqrt((USUAL + sum) / (USUAL + count)) };
}

type CutsRecorded = JobRecord['cuts'];
const NO_CUTS: CutsRecorded = { count: 0, squares: 0 };

type Cutting = { readonly how: ReadonlyMap<string, HowCut>; readonly factor: number };

/** What to expect of a piece, and the record it is told from. */
export type Forecast = { readonly expected: readonly Expected[]; readonly record: CutRecord };

/**
 * What to expect of a piece once it is built: how far it rocks, how far it is out of square, how far its top is
 * twisted and its joints stand open, by 500 builds with the errors of how each part is cut. Boards are taken to be
 * straight.
 *
 * @param others lengths that were measured in other jobs.
 */
export function forecastOf(
  parts: readonly Part[],
  made: readonly Fastening[],
  setups: readonly Setup[],
  read: Readings['asBuilt'],
  others: CutsRecorded = NO_CUTS,
): Forecast {
  const misfit = misfitOf(parts, made);
  const how = howCut(parts, setups, read);
  const record = cutRecord(parts, how, read, others);
  const cutting = { how, factor: record.factor };
  const spreads = spreadsOf(misfit, cutting, asPlanned);
  const all = builds(spreads);
  const expected = KINDS.flatMap((kind): readonly Expected[] => {
    const own = misfit.outcomes.filter((outcome) => outcome.kind === kind);
    const outcomes = kind === 'gap' ? widest(own, spreads) : own;
    if (outcomes.length === 0) return [];
    const values = valuesOf(kind, outcomes, all);
    const worst = kind === 'gap' ? worstOf(outcomes, all) : nth(outcomes, 0);
    const [most] = sharesOf(worst, spreads);
    if (!most) return [];
    const { from, share } = most;
    const tags = new Set(from.tags);
    const roles = parts.flatMap(({ tag, role }) => (tags.has(tag) ? [role] : []));
    const others = othersFor(from, roles).map((by) => {
      const instead: Instead = (side, own) => (side === from.side && own.some((one) => tags.has(one)) ? by : null);
      const then = builds(spreadsOf(misfit, cutting, instead));
      return { by, nine: quantile(valuesOf(kind, outcomes, then), 0.9) };
    });
    return [
      {
        kind,
        median: quantile(values, 0.5),
        nine: quantile(values, 0.9),
        from,
        share,
        others,
        joint: worst.joint,
      },
    ];
  });
  return { expected, record };
}
