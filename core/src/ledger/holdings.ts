import type { Can, Entry, EntryOf, Job, OnHand } from '../job';
import type { Length } from '../length';
import type { Stocked } from '../stock';

/** One board, sheet, piece or offcut, by the id that entries name it by. */
export type Body = {
  readonly id: string;
  readonly material: Stocked;
  /** As it lies when its grain runs along x. */
  readonly length: Length;
  readonly width: Length;
  readonly squared: boolean;
  readonly bad: OnHand['bad'];
  readonly note: string;
  readonly bought: EntryOf<'bought'> | null;
  /** The row on hand that it is one of. */
  readonly hand: OnHand | null;
  /** The body it was cut from, and as which piece of it; null for an offcut. */
  readonly from: string | null;
  readonly piece: EntryOf<'cut'>['pieces'][number] | null;
  /** As it was cut: what was told first holds. */
  readonly cut: EntryOf<'cut'> | null;
  /** Settings of the saw that it went through, while not all of it is cut. */
  readonly settings: readonly string[];
  readonly state: 'whole' | 'begun' | 'cut' | 'spoiled' | 'returned' | 'gone' | 'racked';
};

/** Why an entry can not be so; it counts for nothing, but for a cut of what is unknown: that wood is there, and cut. */
export type Misentry = {
  readonly entry: Entry;
  readonly why: 'unknown' | 'not there' | 'cut before' | 'never bought' | 'told before' | 'too many';
};

/** How things stand after all entries. */
export type Holdings = {
  readonly bodies: ReadonlyMap<string, Body>;
  /** Rows that were found or came from the rack, by their ids, whatever became of them. */
  readonly hands: ReadonlyMap<string, OnHand>;
  /** Boxes bought and not taken back. */
  readonly boxes: readonly EntryOf<'box'>[];
  /** What is left in cans from the rack or there already, and what this job left over and put there. */
  readonly cans: readonly Can[];
  readonly cansRacked: readonly Can[];
  /** Boards looked at and put back, by offer. */
  readonly rejected: ReadonlyMap<string, number>;
  /** Steps that are done, by their ids. */
  readonly done: ReadonlyMap<string, EntryOf<'done'>>;
  readonly faults: readonly Misentry[];
};

/** The id of the `k`th of a row on hand, counted from one. */
const handBody = ({ id }: Pick<OnHand, 'id'>, k: number): string => `hand.${id}:${k}`;
export const pieceBody = (body: string, k: number): string => `${body}/p${k}`;
export const offcutBody = (body: string, k: number): string => `${body}/o${k}`;
/** The body that all of this was one of: a whole board. */
export const rootOf = (body: string): string => body.slice(0, (body + '/').indexOf('/'));

const FRESH = {
  squared: false,
  bad: [],
  note: '',
  bought: null,
  hand: null,
  from: null,
  piece: null,
  cut: null,
  settings: [],
  state: 'whole',
} as const;

/** Entries that stand: those that a later one corrected left out, and the corrections. */
export function standingEntries(ledger: readonly Entry[]): readonly Entry[] {
  const wrong = new Set<string>();
  const kept: Entry[] = [];
  for (const entry of [...ledger].reverse()) {
    if (wrong.has(entry.id)) continue;
    if (entry.what === 'corrected') wrong.add(entry.of);
    else kept.unshift(entry);
  }
  return kept;
}

/** Whether a body is in the job still: whole, or cut for it. */
export const isThere = ({ state }: Body): boolean => state === 'whole' || state === 'begun' || state === 'cut';

/** Whether two cuts of one body lay out the same. */
const isSameCut = (a: EntryOf<'cut'>, b: EntryOf<'cut'>): boolean =>
  JSON.stringify([a.pieces, a.cuts, a.offcuts]) === JSON.stringify([b.pieces, b.cuts, b.offcuts]);

/** The books while they are read. */
type Books = {
  readonly bodies: Map<string, Body>;
  readonly hands: Map<string, OnHand>;
  readonly boxes: Map<string, EntryOf<'box'>>;
  readonly cans: Can[];
  readonly cansRacked: Can[];
  readonly rejected: Map<string, number>;
  readonly done: Map<string, EntryOf<'done'>>;
  readonly faults: Misentry[];
};

/** Ends a body that is there, with all that was cut from it and is there still. */
function end({ bodies }: Books, entry: EntryOf<'spoiled' | 'gone' | 'racked'>): Misentry['why'] | null {
  const body = bodies.get(entry.of);
  if (!body) return 'unknown';
  if (!isThere(body)) return 'not there';
  bodies.set(body.id, { ...body, state: entry.what });
  for (const part of bodies.values())
    if (part.id.startsWith(`${body.id}/`) && part.state === 'whole')
      bodies.set(part.id, { ...part, state: entry.what });
  return null;
}

/** Wood that is cut and that nobody told of: it is there all the same. */
function unheardOf({ hands, faults }: Books, entry: EntryOf<'cut'>): Body {
  const hand = /^hand\.(.*):\d+$/.exec(entry.of)?.[1];
  faults.push({ entry, why: hand !== undefined && hands.has(hand) ? 'too many' : 'unknown' });
  const { of: id, material, length, width } = entry;
  return { ...FRESH, id, material, length, width };
}

/** A body as it is cut: at one setting, or wholly, so that its pieces and offcuts are there. */
function cutUp(books: Books, entry: EntryOf<'cut'>): Misentry['why'] | null {
  const { bodies } = books;
  const { of, material, by } = entry;
  const body = bodies.get(of) ?? unheardOf(books, entry);
  if (body.state === 'cut' || (body.cut && !isSameCut(body.cut, entry))) return 'cut before';
  if (body.state !== 'whole' && body.state !== 'begun') return 'not there';
  const cut = body.cut ?? entry;
  if (by !== null) {
    bodies.set(of, { ...body, cut, state: 'begun', settings: [...body.settings, by] });
    return null;
  }
  bodies.set(of, { ...body, cut, state: 'cut' });
  const part = { ...FRESH, material, squared: true, from: of };
  const add = (id: string, { length, width }: Pick<Body, 'length' | 'width'>, piece: Body['piece']) =>
    bodies.set(id, { ...part, id, length, width, piece });
  cut.pieces.forEach((piece, k) => add(pieceBody(of, k), piece, piece));
  cut.offcuts.forEach((left, k) => {
    if (left.length > 0 && left.width > 0) add(offcutBody(of, k), left, null);
  });
  return null;
}

function takeBack({ bodies, boxes }: Books, { of }: EntryOf<'returned'>): Misentry['why'] | null {
  if (boxes.delete(of)) return null;
  const body = bodies.get(of);
  if (!body?.bought) return 'never bought';
  if (body.state !== 'whole') return body.cut ? 'cut before' : 'not there';
  bodies.set(of, { ...body, state: 'returned' });
  return null;
}

/** What a purchase really cost. */
function reprice({ bodies, boxes }: Books, { of, price }: EntryOf<'paid'>): Misentry['why'] | null {
  const [box, body] = [boxes.get(of), bodies.get(of)];
  if (box) boxes.set(of, { ...box, price });
  else if (body?.bought) bodies.set(of, { ...body, bought: { ...body.bought, price } });
  else return 'never bought';
  return null;
}

/** Wood that is on hand: so many bodies. */
function lay({ bodies, hands }: Books, hand: OnHand): Misentry['why'] | null {
  if (hands.has(hand.id)) return 'told before';
  hands.set(hand.id, hand);
  for (let k = 1; k <= hand.count; k++) {
    const { material, length, width, squared, bad, note } = hand;
    const id = handBody(hand, k);
    bodies.set(id, { ...FRESH, id, material, length, width, squared, bad, note, hand });
  }
  return null;
}

/** Puts to a board that is not cut yet what is now known of it. */
function learn({ bodies }: Books, of: string, known: Partial<Body>): Misentry['why'] | null {
  const body = bodies.get(of);
  if (body?.state !== 'whole') return body ? (body.cut ? 'cut before' : 'not there') : 'unknown';
  bodies.set(of, { ...body, ...known });
  return null;
}

/** Takes an entry into the books; why it can not be so, where it can not. */
function take(books: Books, entry: Entry): Misentry['why'] | null {
  const { bodies, hands, boxes, rejected, done } = books;
  switch (entry.what) {
    case 'found':
    case 'fetched':
      return lay(books, entry.hand);
    case 'photographed': {
      const hand = hands.get(entry.of);
      if (!hand) return 'unknown';
      hands.set(entry.of, { ...hand, photo: entry.photo });
      return null;
    }
    case 'bought': {
      const { id, material, length, width } = entry;
      bodies.set(id, { ...FRESH, id, material, length, width, bought: entry });
      return null;
    }
    case 'box':
      boxes.set(entry.id, entry);
      return null;
    case 'can racked':
      books.cansRacked.push(entry.can);
      return null;
    case 'can fetched':
      if (books.cans.some(({ id }) => id === entry.can.id)) return 'told before';
      books.cans.push(entry.can);
      return null;
    case 'rejected':
      rejected.set(entry.offer, (rejected.get(entry.offer) ?? 0) + 1);
      return null;
    case 'returned':
      return takeBack(books, entry);
    case 'marked':
      return learn(books, entry.of, { bad: entry.bad, note: entry.note });
    case 'sized':
      return learn(books, entry.of, { length: entry.length, width: entry.width });
    case 'cut':
      return cutUp(books, entry);
    case 'spoiled':
    case 'gone':
    case 'racked':
      return end(books, entry);
    case 'done':
      done.set(entry.of, entry);
      return null;
    case 'paid':
      return reprice(books, entry);
    // Of parts, steps and the work, not of boards: `readings` and the record read them.
    default:
      return null;
  }
}

const known = new WeakMap<Job['ledger'], Holdings>();

/** How things stand in a job: read once for a ledger. */
export function holdingsOf({ ledger }: Pick<Job, 'ledger'>): Holdings {
  const before = known.get(ledger);
  if (before) return before;
  const books: Books = {
    ...{ bodies: new Map(), hands: new Map(), boxes: new Map(), rejected: new Map(), done: new Map() },
    ...{ cans: [], cansRacked: [], faults: [] },
  };
  for (const entry of standingEntries(ledger)) {
    const why = take(books, entry);
    if (why !== null) books.faults.push({ entry, why });
  }
  const holdings = { ...books, boxes: [...books.boxes.values()] };
  known.set(ledger, holdings);
  return holdings;
}

/** Rows on hand with so many as are in the job still; not those that are all spoiled, given away or on the rack. */
export function handsThere(job: Pick<Job, 'ledger'>): readonly OnHand[] {
  const { bodies, hands } = holdingsOf(job);
  return [...hands.values()].flatMap((hand) => {
    const units = Array.from({ length: hand.count }, (_, k) => bodies.get(handBody(hand, k + 1)));
    const count = units.filter((body) => body && isThere(body)).length;
    return count > 0 ? [{ ...hand, count }] : [];
  });
}
