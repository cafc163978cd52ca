import * as v from 'valibot';
import { LaidSchema, OnHandSchema, YardSchema, type Entry, type Job, type OnHand } from '../job';
import { sizesOf, type BoardOffer, type HardwareOffer, type SheetOffer, type Stocked } from '../stock';

const count = v.pipe(v.number('must be a number'), v.integer('must be a whole number'), v.minValue(0), v.maxValue(500));
const text = v.pipe(v.string('must be text'), v.maxLength(120, 'must be at most 120 letters'));
const MarkedLockSchema = v.object({
  id: v.string('must be text'),
  from: v.pipe(v.string('must be text'), v.maxLength(90, 'must be at most 90 letters')),
  state: v.picklist(['kept', 'bought', 'cut', 'spoiled'], 'must be kept, bought, cut or spoiled'),
  ...LaidSchema.entries,
});
const MarkedHandSchema = v.object({
  ...OnHandSchema.entries,
  price: v.optional(v.pipe(v.number('must be a number'), v.integer('must be a whole number'), v.minValue(0)), 0),
});
/** What a job of version 3 kept of what happened, and what that refers to. */
export const MarksSchema = v.object({
  yard: YardSchema,
  alsoAt: v.optional(v.array(YardSchema), []),
  onHand: v.optional(v.array(MarkedHandSchema), []),
  locks: v.optional(v.pipe(v.array(MarkedLockSchema), v.maxLength(500, 'must be at most 500 boards')), []),
  cart: v.optional(v.record(v.string(), v.object({ kept: count, rejected: count })), {}),
  done: v.pipe(v.array(text, 'must be a list of text'), v.maxLength(5000)),
  measured: v.optional(
    v.record(v.string(), v.object({ width: v.optional(v.number()), thickness: v.optional(v.number()) })),
    {},
  ),
});
export type Marks = v.InferOutput<typeof MarksSchema>;

type OldOffer = BoardOffer | SheetOffer;
/** An entry without the id that it is given. */
type Told = Entry extends infer One ? (One extends Entry ? Omit<One, 'id' | 'at'> : never) : never;

/** What a yard of the job sells under an id, and which yard. */
function soldUnder<Offer>(
  { yard, alsoAt }: Marks,
  id: string,
  of: (yard: Marks['yard']) => readonly (Offer & { id: string })[],
) {
  for (const one of [yard, ...alsoAt]) {
    const bare = one === yard ? id : id.startsWith(`${one.id}.`) ? id.slice(one.id.length + 1) : null;
    const offer = of(one).find((row) => row.id === bare);
    if (offer) return { offer: offer as Offer, yard: { id: one.id, name: one.name, tax: one.tax } };
  }
  return null;
}
const woodSold = (job: Marks, id: string) =>
  soldUnder<OldOffer>(job, id, ({ boards, sheets }) => [...boards, ...sheets]);

/** Width of what is bought: what the sheet says, else what boards of that name measure in this job. */
function woodOf(
  job: Marks,
  offer: OldOffer,
): { readonly material: Stocked; readonly length: number; readonly width: number } {
  if ('sheet' in offer) return { material: offer.sheet, length: offer.length, width: offer.width };
  const { width } = sizesOf(job.measured as Job['measured']).board(offer.board);
  return { material: offer.board, length: offer.length, width };
}

/**
 * The ledger of a job that kept what happened as marks, up to version 3: locks with a state, a cart, prices of wood on
 * hand and ticks. When it happened was not kept; prices are those of the list. Nothing is guessed beyond that: a box
 * that was ticked counts as one, a board that is not on the list any more as found.
 */
export function ledgerFromMarks(
  job: Marks,
): Pick<Job, 'ledger' | 'locks' | 'done'> & { readonly onHand: readonly OnHand[] } {
  const ledger: Entry[] = [];
  const tell = (told: Told): string => {
    const id = `before.${ledger.length + 1}`;
    ledger.push({ ...told, id, at: null } as Entry);
    return id;
  };
  const taken = new Map<string, number>();
  const buy = (from: string, parts: readonly string[]): string | null => {
    const sold = woodSold(job, from);
    if (!sold || sold.offer.price < 1) return null;
    taken.set(from, (taken.get(from) ?? 0) + 1);
    const { offer, yard } = sold;
    const grade = 'grade' in offer ? offer.grade : '';
    return tell({ what: 'bought', offer: from, ...woodOf(job, offer), price: offer.price, yard, parts, grade });
  };
  const units = new Map(job.onHand.map((hand) => [`hand.${hand.id}`, unitsOf(job, hand, tell)]));
  for (const { state, from, pieces, cuts, offcuts } of job.locks) {
    if (state === 'kept') continue;
    const hand = job.onHand.find((row) => `hand.${row.id}` === from);
    const sold = woodSold(job, from);
    const wood = hand ?? (sold && woodOf(job, sold.offer));
    const parts = pieces.map(({ part }) => part);
    const body = hand ? units.get(from)?.shift() : buy(from, parts);
    if (!wood || !body) continue;
    const { material, length, width } = wood;
    if (state === 'spoiled') tell({ what: 'spoiled', of: body });
    if (state !== 'cut') continue;
    tell({ what: 'cut', of: body, material, length, width, pieces, cuts, offcuts, by: null });
    if (job.done.includes(ON_RACK))
      offcuts.forEach((_, k) => tell({ what: 'racked', of: `${body}/o${k}`, row: 'before' }));
  }
  for (const [from, { kept, rejected }] of Object.entries(job.cart)) {
    for (let k = taken.get(from) ?? 0; k < kept; k++) buy(from, []);
    for (let k = 0; k < rejected; k++) tell({ what: 'rejected', offer: from });
  }
  for (const tick of job.done) {
    const offer = tick.startsWith('yard.') ? tick.slice('yard.'.length) : null;
    const box = offer === null ? null : soldUnder<HardwareOffer>(job, offer, ({ hardware }) => hardware);
    if (offer !== null && box && box.offer.price > 0) {
      const { kind, size, count: holds, price } = box.offer;
      tell({ what: 'box', offer, kind, size, count: holds, price, yard: box.yard });
    } else if (offer === null && tick !== ON_RACK && !isStage(tick)) tell({ what: 'done', of: tick, as: null });
  }
  return {
    ledger,
    onHand: job.onHand.flatMap(({ price, ...hand }) => (price > 0 ? [] : [hand])),
    locks: job.locks.flatMap(({ state, ...lock }) => (state === 'kept' ? [lock] : [])),
    done: job.done.filter(isStage),
  };
}

/** The bodies of a row on hand. What was paid for was bought at the yard and cut round a bad stretch. */
function unitsOf(job: Marks, hand: Marks['onHand'][number], tell: (told: Told) => string): string[] {
  const { id, material, length, width, price, bad, note } = hand;
  const { yard } = job;
  const like = [...yard.boards, ...yard.sheets].find((row) => {
    const wood = woodOf(job, row as OldOffer);
    return wood.material === material && wood.length === length;
  });
  return Array.from({ length: hand.count }, (_, k): string => {
    if (price === 0) return `hand.${id}:${k + 1}`;
    const at = { id: yard.id, name: yard.name, tax: yard.tax };
    const wood = { material, length, width };
    const body = tell({ what: 'bought', offer: like?.id ?? 'earlier', grade: '', price, parts: [], ...wood, yard: at });
    if (bad.length > 0) tell({ what: 'marked', of: body, bad, note });
    return body;
  });
}

const ON_RACK = 'offcuts-put';
const isStage = (tick: string): boolean => tick.startsWith('stage:');
