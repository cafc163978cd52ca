import fc from 'fast-check';
import { nth } from '../lists';
import { inches } from '../length';
import { applyChanges, newJob, set, type Entry, type Job, type OnHand } from '../job';
import { holdingsOf, misentryOf, standingEntries } from '../ledger';
import { blanksOf } from '../milling';
import { newPlanCache, planJob, priceJob, type Plan, type PlanCache, type PricedJob } from '../plan';
import { newPiece, STARTS } from '../piece';
import { isSawn, notSawn, sawnAt } from '../sawing';
import { SAMPLE_YARDS } from '../stock';
import { builtOf } from '../testing/planning';
import { newStamp, told } from '../testing/telling';
import { runs } from '../testing/runs';
import { asRow, boughtAs, boxBought, cutAs, lockOf, spoiledAs, type Board, type Stamp } from './index';

/**
 * What is owned, kept by the tests alone: each thing by its id, what was paid, how it was cut, whether it is there. It
 * is told of every event beside the ledger and knows nothing of how that is read.
 */
type Thing = {
  readonly material: string;
  readonly length: number;
  readonly width: number;
  readonly bad: readonly { readonly from: number; readonly to: number }[];
  readonly paid: { readonly price: number; readonly yard: string; readonly tax: number } | null;
  readonly laid: readonly { readonly x: number; readonly y: number; readonly length: number; readonly width: number }[];
  readonly there: boolean;
  readonly returned: boolean;
};
type Model = ReadonlyMap<string, Thing>;

const WOOD = { bad: [], paid: null, laid: [], there: true, returned: false } as const;

/** The model after an entry, in the plainest way. */
function after(model: Model, entry: Entry): Model {
  const next = new Map(model);
  const change = (id: string, to: Partial<Thing>) => {
    const thing = next.get(id);
    if (thing) next.set(id, { ...thing, ...to });
  };
  if (entry.what === 'bought' || entry.what === 'box') {
    const paid = { price: entry.price, yard: entry.yard.id, tax: entry.yard.tax };
    const size =
      entry.what === 'box'
        ? { material: 'box', length: 0, width: 0 }
        : { material: entry.material, length: entry.length, width: entry.width };
    next.set(entry.id, { ...WOOD, ...size, paid });
  }
  if (entry.what === 'found' || entry.what === 'fetched') {
    const { id, count, material, length, width, bad } = entry.hand;
    for (let k = 1; k <= count; k++) next.set(`hand.${id}:${k}`, { ...WOOD, material, length, width, bad });
  }
  if (entry.what === 'sized') change(entry.of, { length: entry.length, width: entry.width });
  if (entry.what === 'returned') change(entry.of, { there: false, returned: true });
  if (entry.what === 'marked') change(entry.of, { bad: entry.bad });
  if (entry.what === 'spoiled' || entry.what === 'gone' || entry.what === 'racked')
    for (const id of next.keys()) if (id === entry.of || id.startsWith(`${entry.of}/`)) change(id, { there: false });
  if (entry.what === 'cut') {
    change(entry.of, { laid: entry.pieces });
    if (entry.by === null) {
      entry.pieces.forEach(({ length, width }, k) =>
        next.set(`${entry.of}/p${k}`, { ...WOOD, material: entry.material, length, width }),
      );
      entry.offcuts.forEach(({ length, width }, k) =>
        next.set(`${entry.of}/o${k}`, { ...WOOD, material: entry.material, length, width }),
      );
    }
  }
  return next;
}
/** What is there after all entries that were not taken back. */
function modelOf(job: Job): Model {
  const back = new Set(job.ledger.flatMap((entry) => (entry.what === 'corrected' ? [entry.of] : [])));
  return job.ledger.filter(({ id }) => !back.has(id)).reduce(after, new Map());
}

/** So much tax is on each yard's receipt; all events are of one day. */
function spentIn(model: Model): number {
  const yards = new Map<string, number>();
  for (const { paid, returned } of model.values())
    if (paid && !returned) {
      const key = `${paid.yard} ${paid.tax}`;
      yards.set(key, (yards.get(key) ?? 0) + paid.price);
    }
  return [...yards].reduce((sum, [key, cents]) => {
    const tax = Number(key.slice(key.lastIndexOf(' ') + 1));
    return sum + cents + Math.round((cents * tax) / 100);
  }, 0);
}

const overlap = (a: Board['pieces'][number], b: Board['pieces'][number]): boolean =>
  a.x < b.x + b.length && b.x < a.x + a.length && a.y < b.y + b.width && b.y < a.y + a.width;
const isSquare = ({ slants }: Board['pieces'][number]): boolean => slants.left === 0 && slants.right === 0;

/** Every part is on a board once or named as missing; boards are what they are said to be; the money adds up. */
function holds(job: Job, plan: PricedJob): void {
  const model = modelOf(job);
  const counts = new Map<string, number>();
  const add = (id: string, count: number) => counts.set(id, (counts.get(id) ?? 0) + count);
  for (const { pieces } of plan.buying.boards) for (const { blank } of pieces) add(blank.part.id, 1);
  for (const { blank, quantity } of plan.buying.unplaced) add(blank.part.id, quantity);
  expect(counts).toEqual(new Map(blanksOf(job, plan.parts).map(({ part, quantity }) => [part.id, quantity])));

  const used = plan.buying.boards.flatMap(({ body }) => body ?? []);
  expect(new Set(used).size).toBe(used.length);
  for (const board of plan.buying.boards) {
    const thing = board.body === null ? null : model.get(board.body);
    if (board.body === null) {
      expect(board.state).toBe('to buy');
      continue;
    }
    expect(thing).toMatchObject({ material: board.material, there: true });
    if (!thing) continue;
    const wrong = board.pieces.filter((piece) => {
      const own = piece.turned ? { length: piece.width, width: piece.length } : piece;
      const isLaidThere = ({ x, y, length, width }: Thing['laid'][number]) =>
        x === piece.x && y === piece.y && length === piece.length && width === piece.width;
      return !(
        piece.blank.material === thing.material &&
        piece.x + piece.length <= thing.length &&
        piece.y + piece.width <= thing.width &&
        thing.bad.every(({ from, to }) => piece.x >= to || piece.x + piece.length <= from) &&
        piece.blank.length <= own.length &&
        piece.blank.width <= own.width &&
        (thing.laid.length === 0 || thing.laid.some(isLaidThere))
      );
    });
    expect(wrong).toEqual([]);
    const square = board.pieces.filter(isSquare);
    expect(square.some((a, k) => square.slice(k + 1).some((b) => overlap(a, b)))).toBe(false);
    // What is cut up is used as it was cut, or by its pieces: never both.
    if (used.some((id) => id !== board.body && id.startsWith(`${board.body}/p`)))
      expect(board.pieces.length).toBeLessThan(thing.laid.length);
  }

  const { sums, total, spent, boards, hardware } = plan.list;
  expect(spent).toBe(spentIn(model));
  expect(sums.used + sums.idle + sums.lost).toBe(spent);
  expect(spent + sums.toBuy).toBe(total);
  for (const value of Object.values(sums)) expect(value).toBeGreaterThanOrEqual(0);
  // Each yard's own tax, rounded at most once up and once down.
  const toBuy = [...boards, ...hardware].reduce((sum, { count, offer }) => {
    const at = job.alsoAt.find(({ id }) => offer.id.startsWith(`${id}.`)) ?? job.yard;
    return sum + count * offer.price * (1 + at.tax / 100);
  }, 0);
  expect(Math.abs(sums.toBuy - toBuy)).toBeLessThanOrEqual(1 + job.alsoAt.length);

  // Nothing is bought where something whole that would do for it lies idle, or an offcut where one piece is all of it.
  const idle = [...model].filter(
    ([id, { there, laid }]) => there && laid.length === 0 && !used.includes(id) && !servesItself(id, plan, model),
  );
  for (const board of plan.buying.boards.filter(({ state, kept }) => state === 'to buy' && kept === null)) {
    const would = idle.filter(
      ([id, { material, length, width, bad, paid }]) =>
        material === board.material &&
        bad.length === 0 &&
        (paid
          ? length >= board.length && width >= board.width
          : id.includes('/') &&
            board.pieces.length === 1 &&
            isSquare(nth(board.pieces, 0)) &&
            length >= nth(board.pieces, 0).length &&
            width >= nth(board.pieces, 0).width),
    );
    expect(would.map(([id]) => id)).toEqual([]);
  }
}
/** Whether a cut piece is a part by itself: it lies on the board it was cut from, in the plan too. */
function servesItself(id: string, plan: PricedJob, model: Model): boolean {
  const [, root, k] = /^(.*)\/p(\d+)$/.exec(id) ?? [];
  const board = plan.buying.boards.find(({ body }) => body === root);
  const piece = root === undefined ? undefined : model.get(root)?.laid[Number(k)];
  return piece !== undefined && (board?.pieces.some(({ x, y }) => x === piece.x && y === piece.y) ?? false);
}

/** `planned` has the settings of the saw too; `rack` is what both jobs have on the rack. */
type Scene = {
  readonly job: Job;
  readonly plan: PricedJob;
  readonly stamp: Stamp;
  readonly planned: () => Plan;
  readonly rack: readonly OnHand[];
};
/** What may happen: entries or another job; null where it can not happen now. `n` picks on what. */
const EVENTS: Readonly<Record<string, (scene: Scene, n: number) => readonly Entry[] | Job | null>> = {
  buy: ({ job, plan, stamp }, n) => pick(plan.buying.boards, n, (board) => boughtAs(job, board, stamp)),
  box: ({ job, plan, stamp }, n) =>
    pick(plan.list.hardware, n, ({ offer, count }) =>
      count > 0 && offer.price > 0 ? [boxBought(job, offer, stamp)] : null,
    ),
  cut: ({ job, planned, stamp }, n) =>
    pick(planned().buying.boards, n, (board) => (board.state === 'cut' ? null : cutAs(job, board, null, stamp))),
  saw: ({ job, planned, stamp }, n) =>
    pick(planned().setups, n, (setup) =>
      sawnAt(job, setup, { boards: planned().buying.boards, setups: planned().setups }, stamp),
    ),
  unsaw: ({ job, planned, stamp }, n) => {
    const { buying, setups } = planned();
    const sawn = { boards: buying.boards, setups };
    const done = setups.filter((setup) => isSawn(setup, sawn, holdingsOf(job)));
    return pick(done, n, (setup) => notSawn(job, setup, sawn, stamp));
  },
  spoil: ({ job, plan, stamp }, n) => pick(plan.buying.boards, n, (board) => spoiledAs(job, board, stamp)),
  spoilPiece: ({ job, stamp }, n) =>
    pick(
      [...holdingsOf(job).bodies.values()].filter(({ from, state }) => from !== null && state === 'whole'),
      n,
      ({ id }) => [{ id: stamp.id(), at: stamp.at, what: 'spoiled', of: id }],
    ),
  giveAway: ({ job, stamp }, n) =>
    pick([...holdingsOf(job).bodies.values()], n, ({ id }) => [{ id: stamp.id(), at: stamp.at, what: 'gone', of: id }]),
  rack: ({ job, stamp }, n) =>
    pick([...holdingsOf(job).bodies.values()], n, ({ id }) => [
      { id: stamp.id(), at: stamp.at, what: 'racked', of: id, row: `row${n}` },
    ]),
  fetch: ({ rack, stamp }, n) =>
    pick(rack, n, (hand) => [{ id: stamp.id(), at: stamp.at, what: 'fetched', hand: { ...hand, id: stamp.id() } }]),
  keep: ({ job, planned, stamp }, n) => {
    const open = planned().buying.boards.filter(
      ({ state, kept }) => kept === null && state !== 'cut' && state !== 'begun',
    );
    return pick(open, n, (board) => ({ ...job, locks: [...job.locks, lockOf(board, stamp.id())] }));
  },
  letGo: ({ job }, n) => ({ ...job, locks: job.locks.slice(n % 3) }),
  found: ({ stamp }, n) => {
    const { material, length, width } = nth(
      [
        { material: '2x4', length: 50, width: 3.5 },
        { material: '2x6', length: 70, width: 5.5 },
        { material: '1x4', length: 36, width: 3.5 },
        { material: 'ply 3/4', length: 48, width: 24 },
      ] as const,
      n % 4,
    );
    const row = { id: stamp.id(), material, length: inches(length), width: inches(width), count: 1 + (n % 2) };
    const hand = { ...row, squared: n % 3 > 0, bad: [], where: '', note: '' };
    return [{ id: stamp.id(), at: stamp.at, what: 'found', hand }];
  },
  size: ({ job, stamp }, n) =>
    pick(
      [...holdingsOf(job).bodies.values()].filter(({ from, state }) => from === null && state === 'whole'),
      n,
      ({ id, length, width }) => [
        { id: stamp.id(), at: stamp.at, what: 'sized', of: id, length: length - inches((n % 5) / 4), width },
      ],
    ),
  mark: ({ job, stamp }, n) =>
    pick(
      [...holdingsOf(job).bodies.values()].filter(({ bought, state }) => bought && state === 'whole'),
      n,
      ({ id }) => [
        {
          id: stamp.id(),
          at: stamp.at,
          what: 'marked',
          of: id,
          bad: [{ from: inches(n % 40), to: inches((n % 40) + 4) }],
          note: '',
        },
      ],
    ),
  takeBack: ({ job, stamp }, n) =>
    pick(
      job.ledger.filter(({ what }) => what === 'bought' || what === 'box'),
      n,
      ({ id }) => [{ id: stamp.id(), at: stamp.at, what: 'returned', of: id }],
    ),
  correct: ({ job, stamp }, n) =>
    pick(
      job.ledger.filter(({ what }) => what !== 'corrected'),
      n,
      ({ id }) => [{ id: stamp.id(), at: stamp.at, what: 'corrected', of: id }],
    ),
  resize: ({ job }, n) => {
    const side = nth(['length', 'width', 'height'] as const, n % 3);
    const by = inches(nth([-3, -1, 1, 2], (n >> 2) % 4));
    return {
      ...job,
      pieces: job.pieces.map((piece) => ({
        ...piece,
        size: { ...piece.size, [side]: Math.max(inches(8), piece.size[side] + by) },
      })),
    };
  },
  copies: ({ job }, n) => ({ ...job, pieces: job.pieces.map((piece) => ({ ...piece, copies: 1 + (n % 2) })) }),
  wood: ({ job }, n) => ({
    ...job,
    pieces: job.pieces.map((piece) => ({ ...piece, wood: nth(['common', 'oak', 'common'] as const, n % 3) })),
  }),
  dearer: ({ job }, n) => ({
    ...job,
    yard: { ...job.yard, boards: job.yard.boards.map((row) => ({ ...row, price: row.price + (n % 7) * 11 })) },
  }),
  noneLeft: ({ job }, n) => ({
    ...job,
    yard: {
      ...job.yard,
      boards: job.yard.boards.map((row, at) => (at % 9 === n % 9 ? { ...row, inStock: n % 2 === 0 } : row)),
    },
  }),
  alsoAt: ({ job }, n) => ({
    ...job,
    alsoAt: job.alsoAt.length > 0 ? [] : [nth(SAMPLE_YARDS, 1 + (n % (SAMPLE_YARDS.length - 1)))],
  }),
};
const pick = <T, R>(list: readonly T[], n: number, work: (one: T) => R | null): R | null =>
  list.length === 0 ? null : work(nth(list, n % list.length));

/** A job under way with what it was before; `stamp` signs its entries. */
type Side = { readonly stamp: Stamp; job: Job; plan: PricedJob; past: Job[] };

/** What lies on the rack by both ledgers. Where it lies says which board it is: by that it is fetched once. */
function rackOf(sides: readonly Side[]): readonly OnHand[] {
  const fetched = new Set(
    sides.flatMap(({ job }) =>
      standingEntries(job.ledger).flatMap((entry) => (entry.what === 'fetched' ? [entry.hand.where] : [])),
    ),
  );
  return sides.flatMap(({ job }, at) =>
    [...holdingsOf(job).bodies.values()].flatMap((body) => {
      const where = `${at} ${body.id}`;
      return body.state === 'racked' && body.piece === null && !fetched.has(where) ? [{ ...asRow(body), where }] : [];
    }),
  );
}
/** What was fetched and does not lie racked in a job any more is in two places. */
const isTwice = (sides: readonly Side[]): boolean =>
  sides.some(({ job }) =>
    standingEntries(job.ledger).some((entry) => {
      if (entry.what !== 'fetched') return false;
      const [, at, id] = /^(\d) (.*)$/.exec(entry.hand.where) ?? [];
      return id !== undefined && holdingsOf(nth(sides, Number(at)).job).bodies.get(id)?.state !== 'racked';
    }),
  );

/** Pieces as built are shared by all sequences, as they know nothing of boards; what boards are for is not. */
const built = newPlanCache();
const MOST_BUILT = 250;
function cacheOf(solved = new Map(built.solved)): PlanCache {
  if (built.models.size > MOST_BUILT) [built.models, built.parts].forEach((known) => known.clear());
  return { ...builtOf(built), solved };
}
const planning = { today: '2026-11-28', effort: 'quick' } as const;
/** A job of which nothing is bought or cut: with what is known of such jobs, so that it is worked out once. */
function begun(start: string): { readonly job: Job; readonly plan: PricedJob } {
  const job: Job = { ...newJob('model'), spares: 'none', pieces: [newPiece('p', start)] };
  return { job, plan: priceJob(job, { ...planning, cache: cacheOf(built.solved) }) };
}

type Event = readonly [what: string, n: number, side: 0 | 1];

/** Carries out events on two jobs that share a rack, the plan made anew after each; undo takes the last job back. */
function carriedOut(starts: readonly [string, string], events: readonly Event[]): readonly Side[] {
  const sides = starts.map((start): Side => ({ ...begun(start), stamp: newStamp(), past: [] }));
  const options = { ...planning, cache: cacheOf() };
  for (const [what, n, at] of events) {
    const side = nth(sides, at);
    const { job, plan, stamp, past } = side;
    const scene = { job, plan, stamp, planned: () => planJob(job, options), rack: rackOf(sides) };
    const to = what === 'undo' ? (past.at(-1) ?? null) : (EVENTS[what]?.(scene, n) ?? null);
    if (to === null) continue;
    // What can not be so is refused, and nothing is changed.
    if (Array.isArray(to) && misentryOf(job, to as readonly Entry[])) continue;
    side.job = Array.isArray(to) ? told(job, to as readonly Entry[]) : (to as Job);
    if (isTwice(sides)) {
      side.job = job;
      continue;
    }
    side.past = what === 'undo' ? past.slice(0, -1) : [...past, job];
    side.plan = priceJob(side.job, options);
    holds(side.job, side.plan);
  }
  return sides;
}

const event = fc.tuple(
  fc.constantFrom(...Object.keys(EVENTS), 'undo', 'buy', 'cut', 'saw'),
  fc.nat(1000),
  fc.constantFrom<0 | 1>(0, 0, 0, 1),
);
const start = fc.constantFrom(...STARTS.map(({ id }) => id));

/** Most sequences are short, and shrink to the few events that break something; some are of up to fifty. */
test.each([
  ['a few things happen', 60, 'small'],
  ['fifty things happen', 6, 'max'],
] as const)(
  '%s to two jobs, in whatever order: their plans are made around it, the books are right',
  (_, times, size) => {
    fc.assert(
      fc.property(fc.tuple(start, start), fc.array(event, { minLength: 1, maxLength: 50, size }), (starts, events) => {
        for (const { job, plan, past } of carriedOut(starts, events)) {
          if (past.length === 0) continue;
          // In another browser, which knows nothing of the way there, the same plan comes out.
          const anew = priceJob(job, { ...planning, cache: cacheOf(new Map()) });
          expect(anew.buying.boards).toEqual(plan.buying.boards);
          expect(anew.list).toEqual(plan.list);
        }
      }),
      runs(times, 2028),
    );
  },
);

test('a kept board is kept, bought and none left: it is bought once', () => {
  const stamp = newStamp();
  const planned = (job: Job) => planJob(job, { today: '2026-11-28', effort: 'quick' });
  const job: Job = { ...newJob('once'), spares: 'none', pieces: [newPiece('p', 'coffee')] };
  const board = nth(planned(job).buying.boards, 0);
  const bought = told(job, boughtAs(job, board, stamp));
  const none = applyChanges(bought, [set(null, ['yard', 'boards', board.offer.id, 'inStock'], false)]);
  const line = planned(none).list.boards.find(({ offer }) => offer.id === board.offer.id);
  expect(line).toMatchObject({ owned: 1, count: 0, paid: board.offer.price });
});
