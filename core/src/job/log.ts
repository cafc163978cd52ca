import * as v from 'valibot';
import { POURED } from '../stock';
import { cents, id, name, oneOf, signed, text, whole } from './fields';
import { TOOL_NAMES, type Tool } from './tools';

/** Kinds of work that take their own pace. An errand is the way to the yard; what is none of them is other. */
export const WORK_KINDS = ['errand', 'saw', 'prepare', 'join', 'sand', 'coat', 'other'] as const;
export type WorkKind = (typeof WORK_KINDS)[number];

/** What goes wrong, in as few words as a button holds. */
export const MISHAPS = ['cut wrong', 'split', 'drilled wrong', 'joined wrong', 'finish spoiled', 'other'] as const;
export type Mishap = (typeof MISHAPS)[number];

/** Longer than this no one works in one go: a clock that says so was left on. Minutes. */
export const LONGEST_GO = 24 * 60;
const minutes = v.pipe(
  v.number('must be a number'),
  v.minValue(0, 'must be at least 0 minutes'),
  v.maxValue(LONGEST_GO, `must be at most ${LONGEST_GO} minutes`),
);
/** Milliseconds since 1970: a clock that neither a zone nor the night of a clock change moves. */
const moment = whole(0, 8_640_000_000_000_000);
const ounces = v.pipe(
  v.number('must be a number'),
  v.minValue(0, 'must be at least 0'),
  v.maxValue(10_000, 'must be at most 10000'),
);
/** A share, 0 to 1. */
const share = v.pipe(
  v.number('must be a number'),
  v.minValue(0, 'must be at least 0'),
  v.maxValue(1, 'must be at most 1'),
);
const day = v.nullable(v.pipe(v.string('must be text'), v.regex(/^\d{4}-\d{2}-\d{2}$/, 'must be like 2026-11-28')));
const tool = v.nullable(v.picklist(TOOL_NAMES as [Tool, ...Tool[]], `must be one of ${TOOL_NAMES.join(', ')}`));

/** Where something belongs, so that it comes back where it applies: each empty or null where it is about none. */
const about = {
  /** The piece of this job; what it is a kind of. */
  piece: v.nullable(id),
  family: text(120),
  /** A part, by its id. */
  part: text(90),
  /** A step, an action of one, or `saw.` and a setting. */
  of: text(200),
  work: v.nullable(oneOf(WORK_KINDS)),
  tool,
};

/** What a job comes to, as planned or as it was: minutes, cents with tax, boards, share left over, its ready day. */
const reckoning = {
  minutes: v.pipe(v.number('must be a number'), v.minValue(0)),
  cents,
  boards: whole(0, 100_000),
  left: share,
  ready: day,
};

/** What is recorded of the work itself: hours, money as paid, mistakes, words, readings. Entries of the ledger. */
export const LOG_ENTRIES = [
  /** What the job came to when the first thing was recorded of it. */
  v.object({ ...signed, what: v.literal('set out'), ...reckoning }),
  /** The clock at the bench runs since then, or stands. */
  v.object({ ...signed, what: v.literal('clock'), on: v.boolean('must be true or false'), since: moment }),
  /**
   * So long it took, against what was planned for it, 0 where nothing was. `until`: the clock at the bench was read,
   * and runs on from there; null where it was written down afterwards.
   */
  v.object({
    ...signed,
    what: v.literal('timed'),
    of: text(200),
    piece: v.nullable(id),
    work: oneOf(WORK_KINDS),
    planned: minutes,
    minutes,
    until: v.nullable(moment),
  }),
  /** What a board or box really cost, before tax, where that is not its price on the list. */
  v.object({
    ...signed,
    what: v.literal('paid'),
    of: id,
    price: v.pipe(cents, v.minValue(1, 'must be at least 1 cent')),
  }),
  /** A receipt: purchases that are on it, what else is, and what was paid with tax. */
  v.object({
    ...signed,
    what: v.literal('receipt'),
    yard: name,
    of: v.pipe(v.array(id), v.maxLength(500, 'must be at most 500 purchases')),
    extras: v.pipe(v.array(v.object({ name, price: cents })), v.maxLength(100, 'must be at most 100 rows')),
    tax: cents,
    total: cents,
    photo: v.nullable(id),
  }),
  /** Something went wrong: what it cost in minutes and in wood. What wood it was, `spoiled` says. */
  v.object({
    ...signed,
    what: v.literal('mishap'),
    how: oneOf(MISHAPS),
    ...about,
    minutes,
    wood: cents,
    note: text(400),
  }),
  /** Words, a picture or both, on a part, a step or the job; `next`: for next time. */
  v.object({
    ...signed,
    what: v.literal('note'),
    ...about,
    next: v.boolean('must be true or false'),
    text: text(1000),
    photo: v.nullable(id),
  }),
  /** What a moisture meter reads in a board, or in the wood of the job. Percent. */
  v.object({
    ...signed,
    what: v.literal('moisture'),
    of: v.nullable(text(200)),
    percent: v.pipe(
      v.number('must be a number'),
      v.minValue(2, 'must be at least 2'),
      v.maxValue(60, 'must be at most 60'),
    ),
    simulated: v.boolean('must be true or false'),
  }),
  /** What a job took out of its cans, fluid ounces, and what was planned. */
  v.object({
    ...signed,
    what: v.literal('used'),
    kind: v.picklist(POURED, `must be one of ${POURED.join(', ')}`),
    size: text(40),
    ounces,
    planned: ounces,
  }),
  /** The job is over: what it came to, and what a bought one costs. */
  v.object({ ...signed, what: v.literal('closed'), ...reckoning, bought: v.nullable(cents) }),
] as const;
