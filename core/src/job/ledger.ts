import * as v from 'valibot';
import { HARDWARE_KINDS, POURED, type HardwareKind } from '../stock';
import { cents, id, length, material, name, signed, size, tag, text, unique, whole, type Fixed } from './fields';
import { LOG_ENTRIES } from './log';

/** Sides of a part. */
export const SIDES = ['length', 'width', 'thickness'] as const;
export type Side = (typeof SIDES)[number];

/** Pieces as they lie on a board or sheet, the cuts that make them in order, and what they leave. */
export const LaidSchema = v.object({
  pieces: v.pipe(
    v.array(
      v.object({
        part: text(90),
        x: length,
        y: length,
        length: size,
        width: size,
        turned: v.boolean('must be true or false'),
        slants: v.object({ left: v.number('must be a number'), right: v.number('must be a number') }),
      }),
    ),
    v.maxLength(200, 'must be at most 200 pieces'),
  ),
  cuts: v.pipe(
    v.array(
      v.object({
        kind: v.picklist(['crosscut', 'rip'], 'must be crosscut or rip'),
        at: length,
        from: length,
        to: length,
        angle: v.number('must be a number'),
      }),
    ),
    v.maxLength(800, 'must be at most 800 cuts'),
  ),
  offcuts: v.pipe(
    v.array(v.object({ x: length, y: length, length, width: length })),
    v.maxLength(400, 'must be at most 400 offcuts'),
  ),
});
export type Laid = Fixed<v.InferOutput<typeof LaidSchema>>;

/** Offcuts, salvage, boards bought before: what is there already, to be used before anything is bought. */
export const OnHandSchema = v.object({
  id,
  material,
  length: size,
  /** As wide as the material is sold where it was not ripped. */
  width: size,
  count: whole(1, 500),
  /** Both ends are clean and square: nothing need come off them. */
  squared: v.boolean('must be true or false'),
  /** Stretches of the length that are no good: split, loose knot, nails. */
  bad: v.pipe(v.array(v.object({ from: length, to: length })), v.maxLength(20, 'must be at most 20 stretches')),
  /** A photo of it that the server keeps, by its id. */
  photo: v.optional(id),
  /** Where it lies. */
  where: text(80),
  note: text(200),
});
export type OnHand = Fixed<v.InferOutput<typeof OnHandSchema>>;

/** What is left in a can, a bottle or a tube. */
export const CanSchema = v.object({
  id,
  kind: v.picklist(POURED, `must be one of ${POURED.join(', ')}`),
  /** The product, as it is sold: `oil stain dark brown`. */
  size: text(40),
  /** Fluid ounces. */
  ounces: whole(1, 10_000),
  /** The day it was opened or put away; null where nobody knows. */
  since: v.nullable(v.pipe(v.string('must be text'), v.regex(/^\d{4}-\d{2}-\d{2}$/, 'must be like 2026-11-28'))),
  note: text(200),
});
export type Can = Fixed<v.InferOutput<typeof CanSchema>>;

/** What a thing that is owned goes by: a purchase, `hand.` and a row on hand with a number, or a piece of either. */
const body = v.pipe(text(200), v.nonEmpty('must name a board'));
const price = v.pipe(cents, v.minValue(1, 'must be at least 1 cent: what costs nothing is on hand, not bought'));
const yard = v.object({ id, name, tax: v.pipe(v.number('must be a number'), v.minValue(0), v.maxValue(50)) });
const wood = { material, length: size, width: size };
/** A size that was read off something, and whether a simulated tape made it up. */
const reading = { size, simulated: v.boolean('must be true or false') };

const EntrySchema = v.variant(
  'what',
  [
    /** There already: offcuts, salvage, boards bought before. */
    v.object({ ...signed, what: v.literal('found'), hand: OnHandSchema }),
    /** A picture of a row on hand. */
    v.object({ ...signed, what: v.literal('photographed'), of: id, photo: id }),
    /** One board or sheet, at the price it had. `parts` are those it was to give, where it was bought for some. */
    v.object({
      ...signed,
      what: v.literal('bought'),
      offer: text(120),
      ...wood,
      grade: text(40),
      price,
      yard,
      parts: v.pipe(v.array(text(90)), v.maxLength(200)),
    }),
    /** A box, bottle or pack of so many. */
    v.object({
      ...signed,
      what: v.literal('box'),
      offer: text(120),
      kind: v.picklist(
        HARDWARE_KINDS as [HardwareKind, ...HardwareKind[]],
        `must be one of ${HARDWARE_KINDS.join(', ')}`,
      ),
      size: text(40),
      count: whole(1, 100_000),
      price,
      yard,
    }),
    /** Looked at and put back. */
    v.object({ ...signed, what: v.literal('rejected'), offer: text(120) }),
    /** Taken back to the yard, for the price paid. */
    v.object({ ...signed, what: v.literal('returned'), of: body }),
    /** Stretches of a board that are no good; those told last hold. */
    v.object({
      ...signed,
      what: v.literal('marked'),
      of: body,
      bad: v.pipe(v.array(v.object({ from: length, to: length })), v.maxLength(20, 'must be at most 20 stretches')),
      note: text(200),
    }),
    /** What a board really measures, before it is cut. */
    v.object({ ...signed, what: v.literal('sized'), of: body, length: size, width: size }),
    /** Cut as laid out: at one setting of the saw, by its id, or wholly (null). What it really measured and was. */
    v.pipe(
      v.object({
        ...signed,
        what: v.literal('cut'),
        of: body,
        ...wood,
        ...LaidSchema.entries,
        by: v.nullable(text(120)),
      }),
      v.check(
        (cut) => cut.pieces.every((one) => one.x + one.length <= cut.length && one.y + one.width <= cut.width),
        'has a piece that reaches beyond its board',
      ),
    ),
    /** No good any more: a board, a piece or an offcut. What was to come from it is made anew. */
    v.object({ ...signed, what: v.literal('spoiled'), of: body }),
    /** Given away or thrown away. */
    v.object({ ...signed, what: v.literal('gone'), of: body }),
    /** Put on the rack as the row of that id, for any job. */
    v.object({ ...signed, what: v.literal('racked'), of: body, row: id }),
    /** Taken from the rack: on hand for this job since. */
    v.object({ ...signed, what: v.literal('fetched'), hand: OnHandSchema }),
    /** What was left in a can, put on the rack. */
    v.object({ ...signed, what: v.literal('can racked'), can: CanSchema }),
    /** A can from the rack, or there already: used before one is bought. */
    v.object({ ...signed, what: v.literal('can fetched'), can: CanSchema }),
    /** One side of a part as built; the plan follows it, and what is cut already stays. Those told last hold. */
    v.object({
      ...signed,
      what: v.literal('measured'),
      piece: id,
      tag,
      side: v.picklist(SIDES, `must be one of ${SIDES.join(', ')}`),
      ...reading,
      /** What the plan had then; null where nobody knows. */
      planned: v.nullable(size),
    }),
    /** A part that is cut to fit is cut: it stays as it is. */
    v.object({ ...signed, what: v.literal('fitted'), piece: id, tag }),
    /** The first or second diagonal as read at a step. */
    v.object({
      ...signed,
      what: v.literal('diagonal'),
      piece: id,
      step: text(120),
      which: v.picklist([0, 1], 'must be 0 or 1'),
      ...reading,
    }),
    /** A step of the work order, by its id; `as` tells whether it is still the same work, null in old jobs. */
    v.object({ ...signed, what: v.literal('done'), of: text(120), as: v.nullable(text(20)) }),
    ...LOG_ENTRIES,
    /** An entry was wrong: it counts as never made. */
    v.object({ ...signed, what: v.literal('corrected'), of: id }),
  ],
  'must be an entry that this program knows',
);
export type Entry = Fixed<v.InferOutput<typeof EntrySchema>>;
export type EntryOf<What extends Entry['what']> = Extract<Entry, { readonly what: What }>;

/** What happened in a job, in the order it was told. Entries are added and corrected, never changed. */
export const LedgerSchema = v.pipe(
  v.array(EntrySchema),
  v.maxLength(20_000, 'must be at most 20000 entries'),
  unique('two entries of the ledger have the same id'),
);
