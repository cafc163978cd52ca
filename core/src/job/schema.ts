import { nth } from '../lists';
import * as v from 'valibot';
import { inches, PER_FOOT } from '../length';
import { BLADES, DRIVERS, KITS, TOOL_NAMES, type Tool } from './tools';
import { HARDWARE_KINDS, LUMBER_NAMES, SHEET_NAMES, type HardwareKind, type Lumber, type Sheet } from '../stock';
import { board, cents, id, length, material, name, oneOf, size, tag, text, unique, whole, type Fixed } from './fields';
import { FinishSchema, KIT, RecipeSchema, UNFINISHED } from './finish';
import { LaidSchema, LedgerSchema } from './ledger';
import { CalendarSchema, USUAL_CALENDAR } from './calendar';

/**
 * The job file, `sill-plan/job@12`: everything a person stated, and nothing that is computed. Checked once, at the
 * border (HTTP body, file import, command line). Lengths are integers of 1/320 mm, money is cents.
 */

/** Ways to join two parts. Which of them a meeting allows, joinery says. */
const METHODS = [
  'pocket screws',
  'screws',
  'plugged screws',
  'brads',
  'glue',
  'dowels',
  'biscuits',
  'loose tenon',
  'mortise and tenon',
  'half lap',
  'lag screws',
  'bolts',
  'inserts',
  'corner block',
  'clips',
  'slotted screws',
] as const;
export type Method = (typeof METHODS)[number];
export const USES = ['dining', 'desk', 'coffee', 'standing', 'bench', 'side', 'storage'] as const;

/** Choices of a family or top by name. Which there are, and what they may be, the family says: see formats. */
const ChoicesSchema = v.record(
  text(40),
  v.union([text(40), v.number('must be a number'), v.boolean()], 'must be text, a number, true or false'),
);

export const LoosePartSchema = v.object({
  tag,
  name,
  material,
  length: size,
  width: size,
  count: whole(1, 500),
});

/** A board that a person wishes to keep as it is laid out: the rest is planned around it. */
const LockSchema = v.object({
  id,
  /** The offer it is bought by, or `hand.` and the id of what is there. */
  from: text(120),
  ...LaidSchema.entries,
});
export type Lock = Fixed<v.InferOutput<typeof LockSchema>>;

/** Parts of a person's own in a piece. */
export const MOST_LOOSE = 500;

/** More than this, lb on a top, a foot of shelf and in a drawer, is no furniture for a home. */
export const MOST_CARRIED = { top: 2000, shelf: 200, drawer: 300 } as const;

export const PieceSchema = v.object({
  id,
  name,
  family: name,
  /** The kind of top, where the family carries one. */
  top: name,
  use: oneOf(USES),
  where: text(200),
  copies: whole(1, 20),
  /** The line of boards it is made of. */
  wood: v.optional(
    v.picklist(LUMBER_NAMES as [Lumber, ...Lumber[]], `must be one of ${LUMBER_NAMES.join(', ')}`),
    'common',
  ),
  /** Planed off each face of its boards before they are used. */
  planed: v.optional(whole(0, inches(1 / 4)), 0),
  /** Which of its boards are: all, those of its top, or all but those. */
  planedFor: v.optional(oneOf(['all', 'top', 'rest']), 'all'),
  size: v.object({ length: size, width: size, height: size }),
  /** Seats wanted, or null where nobody sits at it. */
  seats: v.nullable(whole(1, 40)),
  /** Price of the bought one that this must beat, cents. */
  boughtPrice: v.nullable(cents),
  /** It stands outside: waterproof glue, coated screws, exterior plywood. */
  outside: v.optional(v.boolean(), false),
  /**
   * Pounds that it must carry for years: on its top, all over it or at one place in its middle, a foot of shelf, and in
   * each drawer; null where the usual will do.
   */
  carries: v.optional(
    v.object({
      top: v.nullable(whole(1, MOST_CARRIED.top)),
      lies: v.optional(oneOf(['spread', 'middle']), 'spread'),
      shelf: v.nullable(whole(1, MOST_CARRIED.shelf)),
      drawer: v.optional(v.nullable(whole(1, MOST_CARRIED.drawer)), null),
    }),
    { top: null, lies: 'spread', shelf: null, drawer: null },
  ),
  /** Which surface is sanded, coloured and coated how, and when. */
  finish: v.optional(FinishSchema, UNFINISHED as v.InferInput<typeof FinishSchema>),
  choices: ChoicesSchema,
  topChoices: ChoicesSchema,
  /**
   * How joints are made, where a person says: by kind of joint (`rail end`) for all alike, or by its two parts
   * (`A1>L1`) for one. `flip` puts pockets on the other face; `plugs` fills them.
   */
  joins: v.optional(
    v.record(
      text(60),
      v.object({
        by: v.optional(oneOf(METHODS)),
        flip: v.optional(v.boolean('must be true or false')),
        plugs: v.optional(v.boolean('must be true or false')),
      }),
    ),
    {},
  ),
  /** What is built first where both ways are open. */
  first: v.optional(oneOf(['top', 'base']), 'top'),
  /** Parts set by hand, by tag: what is given replaces what was worked out. */
  overrides: v.record(
    tag,
    v.object({
      length: v.optional(size),
      width: v.optional(size),
      material: v.optional(material),
      count: v.optional(whole(0, 500)),
    }),
  ),
  /** Parts added by hand. */
  loose: v.pipe(v.array(LoosePartSchema), v.maxLength(MOST_LOOSE, `must be at most ${MOST_LOOSE} parts`)),
});

export const BoardOfferSchema = v.object({
  id,
  board,
  length: whole(PER_FOOT, 40 * PER_FOOT),
  grade: text(40),
  price: cents,
  inStock: v.boolean('must be true or false'),
});
export const SheetOfferSchema = v.object({
  id,
  sheet: v.picklist(SHEET_NAMES as [Sheet, ...Sheet[]], `must be one of ${SHEET_NAMES.join(', ')}`),
  length: size,
  width: size,
  price: cents,
  inStock: v.boolean('must be true or false'),
});
export const HardwareOfferSchema = v.object({
  id,
  kind: v.picklist(HARDWARE_KINDS as [HardwareKind, ...HardwareKind[]], `must be one of ${HARDWARE_KINDS.join(', ')}`),
  size: text(40),
  count: whole(1, 100_000),
  price: cents,
});
export const YardSchema = v.object({
  id,
  name,
  tax: v.pipe(v.number('must be a number'), v.minValue(0, 'must be at least 0'), v.maxValue(50, 'must be at most 50')),
  boards: v.pipe(v.array(BoardOfferSchema), v.maxLength(500), unique('two boards have the same id')),
  sheets: v.pipe(v.array(SheetOfferSchema), v.maxLength(300), unique('two sheets have the same id')),
  hardware: v.pipe(v.array(HardwareOfferSchema), v.maxLength(400), unique('two rows have the same id')),
});

export const ShopSchema = v.object({
  /** Width of the saw's cut. */
  kerf: whole(1, 3251),
  /** Taken off each end of a store board to get it square. */
  squareEnds: length,
  /** Ripped off each rounded edge of a top board. */
  edgeRip: length,
  /** Left on top boards until the glued top is cut to length. */
  topExtra: length,
  /** Left on laminated legs, and on parts that are cut to fit. */
  partExtra: length,
  /** What there is to work with, and what the crosscut saw takes at once: width of board, degrees from square. */
  tools: v.optional(v.array(v.picklist(TOOL_NAMES as [Tool, ...Tool[]], `must be one of ${TOOL_NAMES.join(', ')}`)), [
    ...nth(KITS, 2).tools,
  ]),
  crosscut: v.optional(size, inches(12)),
  mitre: v.optional(whole(0, 90), 50),
  /** Clamps by how far they open. */
  clamps: v.pipe(
    v.array(v.object({ length: size, count: whole(1, 200) }), 'must be a list of clamps'),
    v.maxLength(20, 'must be at most 20 rows'),
  ),
  /** Width of the cut of each saw, where it was measured. */
  blades: v.optional(v.record(v.picklist(BLADES, `must be one of ${BLADES.join(', ')}`), whole(1, 3251)), {}),
  /** How short the straight room behind a screw may be: a long bit, a short one, a right-angle head. */
  drivers: v.optional(v.array(oneOf(DRIVERS)), ['long bit', 'short bit']),
  /** Pocket screws along an edge stand no farther apart: 6 to 8 in is usual, some take up to 10. */
  spacing: v.optional(whole(inches(3), inches(16)), inches(7)),
  /** The bench or table that is glued up on. */
  bench: v.optional(v.object({ length: size, width: size }), { length: inches(60), width: inches(24) }),
  /** Gouged by the planer at each end of a board: cut off after. */
  snipe: v.optional(length, inches(2)),
  /** The longest board that fits the car. */
  car: length,
  /** The narrowest door between the workshop and where the piece goes. */
  door: v.optional(size, inches(30)),
  /** A right-angled turn on the way, as of stairs: how wide before and after it. Null where there is none. */
  turn: v.optional(v.nullable(v.object({ before: size, after: size })), null),
  /** Load space of what it is driven in, once built; null where it is not driven. */
  load: v.optional(v.nullable(v.object({ length: size, width: size, height: size })), null),
  /** Weight one person carries, lb. */
  lift: whole(1, 1000),
  /** Boards spoiled of a hundred: split, miscut, crooked at home. */
  spoiled: v.optional(
    v.pipe(v.number('must be a number'), v.minValue(0, 'must be at least 0'), v.maxValue(50, 'must be at most 50')),
    5,
  ),
  /** What is there for sanding and finishing, and need not be bought. */
  kit: v.optional(v.array(oneOf(KIT)), []),
});

export const JOB_FORMAT = 'sill-plan/job@12';

export const JobSchema = v.object({
  format: v.literal(JOB_FORMAT, `must be ${JOB_FORMAT}`),
  name,
  units: oneOf(['in', 'mm']),
  budget: v.nullable(cents),
  spares: oneOf(['none', 'each', 'likely']),
  pieces: v.pipe(
    v.array(PieceSchema, 'must be a list of pieces'),
    v.maxLength(30, 'must be at most 30 pieces'),
    unique('two pieces have the same id'),
  ),
  /** What surfaces are finished with, beside what the program has ready. */
  recipes: v.optional(
    v.pipe(
      v.array(RecipeSchema),
      v.maxLength(40, 'must be at most 40 recipes'),
      unique('two recipes have the same id'),
    ),
    [],
  ),
  yard: YardSchema,
  /** Further yards that the job is bought from where they are cheaper, or sell what the first does not. */
  alsoAt: v.optional(
    v.pipe(v.array(YardSchema), v.maxLength(4, 'must be at most 4 yards'), unique('two yards have the same id')),
    [],
  ),
  shop: ShopSchema,
  /** Boards that stay as they are when the rest is planned anew. */
  locks: v.optional(
    v.pipe(v.array(LockSchema), v.maxLength(500, 'must be at most 500 boards'), unique('two locks have the same id')),
    [],
  ),
  /** What boards are chosen for, and how many cents more than the cheapest that may cost; null for any price. */
  aim: v.optional(v.object({ for: oneOf(['cost', 'waste', 'boards', 'setups']), extra: v.nullable(cents) }), {
    for: 'cost',
    extra: null,
  }),
  /** What today's boards and sheets really measure, where it is not what the table says. */
  measured: v.optional(v.record(material, v.object({ width: v.optional(size), thickness: v.optional(size) })), {}),
  /** When there is time to work, and by when it must be done. */
  calendar: v.optional(CalendarSchema, USUAL_CALENDAR as v.InferInput<typeof CalendarSchema>),
  /** What happened: found, bought, cut, spoiled, built, measured. The plan is made around it. */
  ledger: v.optional(LedgerSchema, []),
  /** Stages that are settled. */
  done: v.pipe(v.array(text(120)), v.maxLength(5000)),
});

export type Job = Fixed<v.InferOutput<typeof JobSchema>>;
export type Piece = Fixed<v.InferOutput<typeof PieceSchema>>;
export type Shop = Fixed<v.InferOutput<typeof ShopSchema>>;
export type Use = Piece['use'];
