import type { EntryOf, Job, WorkKind } from '../job';
import { holdingsOf, priceOf, receiptsOf, rootOf, standingEntries } from '../ledger';
import { toInches } from '../length';
import { taxOn } from '../stock';
import { lessonsOf, type Lesson } from './lessons';

/** Timings of one kind of work in one job. Minutes; `logs` are of the time taken over the time planned. */
export type WorkTimes = {
  readonly count: number;
  readonly planned: number;
  readonly minutes: number;
  /** Sum of the squares of what was planned. */
  readonly squares: number;
  readonly logs: number;
  readonly logSquares: number;
};

/** What one job says of its builder, without the job. */
export type JobRecord = {
  readonly id: string;
  readonly name: string;
  /** Days of the first and the last that was recorded; null where nothing was. */
  readonly from: string | null;
  readonly to: string | null;
  readonly setOut: EntryOf<'set out'> | null;
  readonly closed: EntryOf<'closed'> | null;
  readonly times: Readonly<Partial<Record<WorkKind, WorkTimes>>>;
  /** All minutes at work, and cents with tax that were paid. */
  readonly minutes: number;
  readonly cents: number;
  readonly months: readonly { readonly month: string; readonly minutes: number; readonly cents: number }[];
  /** Boards that were cut or bought, those of them that something of was spoiled, and those put back at the yard. */
  readonly boards: { readonly taken: number; readonly spoiled: number; readonly rejected: number };
  /** Purchases whose price was looked at: how many, their prices on the list and as paid, cents. */
  readonly prices: { readonly count: number; readonly listed: number; readonly paid: number };
  /** Lengths that were measured, and the sum of the squares of what they are off, in². */
  readonly cuts: { readonly count: number; readonly squares: number };
  /** Fluid ounces out of cans, by product. */
  readonly coverage: readonly { readonly size: string; readonly planned: number; readonly used: number }[];
  readonly lessons: readonly Lesson[];
};

const NO_TIMES: WorkTimes = { count: 0, planned: 0, minutes: 0, squares: 0, logs: 0, logSquares: 0 };
/** Less than this is a tap too many. Minutes. */
const LEAST = 0.1;

/** Times with one more. */
function withOne(times: WorkTimes, { planned, minutes }: EntryOf<'timed'>): WorkTimes {
  const log = Math.log(minutes / planned);
  return {
    count: times.count + 1,
    planned: times.planned + planned,
    minutes: times.minutes + minutes,
    squares: times.squares + planned ** 2,
    logs: times.logs + log,
    logSquares: times.logSquares + log ** 2,
  };
}

function timesOf(timed: readonly EntryOf<'timed'>[]): JobRecord['times'] {
  const times: Partial<Record<WorkKind, WorkTimes>> = {};
  for (const one of timed)
    // What was planned for nothing says nothing of the plan.
    if (one.planned > 0 && one.minutes >= LEAST) times[one.work] = withOne(times[one.work] ?? NO_TIMES, one);
  return times;
}

type Paid = { readonly at: string | null; readonly cents: number };

/** Money that went out, receipts at what they say; what was taken back comes in again. With the tax. */
function paidOf(job: Pick<Job, 'ledger'>, standing: readonly Job['ledger'][number][]): readonly Paid[] {
  const told = standing.flatMap((entry) => (entry.what === 'receipt' ? [entry] : []));
  const onReceipt = new Set(told.flatMap(({ of }) => of));
  const bills = receiptsOf(holdingsOf(job)).flatMap(({ day, yard, purchases }): readonly Paid[] => {
    const subtotal = priceOf(purchases.filter(({ id }) => !onReceipt.has(id)));
    return subtotal === 0 ? [] : [{ at: day === '' ? null : day, cents: subtotal + taxOn(subtotal, yard) }];
  });
  return [...told.map(({ at, total }) => ({ at, cents: total })), ...bills, ...takenBack(standing, onReceipt)];
}

/** What was on a receipt and taken back, at the price paid. */
function takenBack(standing: readonly Job['ledger'][number][], onReceipt: ReadonlySet<string>): readonly Paid[] {
  const paid = new Map(standing.flatMap((entry) => (entry.what === 'paid' ? [[entry.of, entry.price]] : [])));
  const returned = new Set(standing.flatMap((entry) => (entry.what === 'returned' ? [entry.of] : [])));
  return standing.flatMap((entry): readonly Paid[] => {
    if ((entry.what !== 'bought' && entry.what !== 'box') || !onReceipt.has(entry.id) || !returned.has(entry.id))
      return [];
    const price = paid.get(entry.id) ?? entry.price;
    return [{ at: entry.at, cents: -(price + taxOn(price, entry.yard)) }];
  });
}

function pricesOf(standing: readonly Job['ledger'][number][]): JobRecord['prices'] {
  const listed = new Map(
    standing.flatMap((entry) => (entry.what === 'bought' || entry.what === 'box' ? [[entry.id, entry.price]] : [])),
  );
  const paid = new Map<string, number>();
  for (const entry of standing)
    if (entry.what === 'receipt') {
      for (const id of entry.of) if (!paid.has(id)) paid.set(id, listed.get(id) ?? 0);
    } else if (entry.what === 'paid') paid.set(entry.of, entry.price);
  const rows = [...paid].filter(([id]) => listed.has(id));
  const sum = (all: readonly number[]) => all.reduce((total, one) => total + one, 0);
  return {
    count: rows.length,
    listed: sum(rows.map(([id]) => listed.get(id) ?? 0)),
    paid: sum(rows.map(([, c]) => c)),
  };
}

function boardsOf(job: Pick<Job, 'ledger'>): JobRecord['boards'] {
  const { bodies, rejected } = holdingsOf(job);
  const all = [...bodies.values()];
  const spoiled = new Set(all.flatMap(({ id, state }) => (state === 'spoiled' ? [rootOf(id)] : [])));
  const taken = all.filter(
    ({ id, bought, cut, state }) => rootOf(id) === id && state !== 'returned' && (bought || cut),
  );
  return {
    taken: taken.length,
    spoiled: taken.filter(({ id }) => spoiled.has(id)).length,
    rejected: [...rejected.values()].reduce((sum, count) => sum + count, 0),
  };
}

/** Lengths as measured by hand against the plan of that hour; the last reading of each counts. */
function cutsOf(standing: readonly Job['ledger'][number][]): JobRecord['cuts'] {
  const off = new Map<string, number>();
  for (const entry of standing)
    if (entry.what === 'measured' && entry.side === 'length' && entry.planned !== null && !entry.simulated)
      off.set(`${entry.piece} ${entry.tag}`, toInches(entry.size - entry.planned));
  const all = [...off.values()];
  return { count: all.length, squares: all.reduce((sum, one) => sum + one ** 2, 0) };
}

function coverageOf(standing: readonly Job['ledger'][number][]): JobRecord['coverage'] {
  const rows = new Map<string, { size: string; planned: number; used: number }>();
  for (const entry of standing)
    if (entry.what === 'used' && entry.planned > 0) {
      const row = rows.get(entry.size) ?? { size: entry.size, planned: 0, used: 0 };
      rows.set(entry.size, { ...row, planned: row.planned + entry.planned, used: row.used + entry.ounces });
    }
  return [...rows.values()];
}

/** Minutes and cents by the month they were spent in; what nobody dated is in none. */
function monthsOf(timed: readonly EntryOf<'timed'>[], paid: readonly Paid[]): JobRecord['months'] {
  const rows = new Map<string, { month: string; minutes: number; cents: number }>();
  const add = (at: string | null, minutes: number, cents: number) => {
    if (at === null) return;
    const month = at.slice(0, 7);
    const row = rows.get(month) ?? { month, minutes: 0, cents: 0 };
    rows.set(month, { month, minutes: row.minutes + minutes, cents: row.cents + cents });
  };
  timed.forEach(({ at, minutes }) => add(at, minutes, 0));
  paid.forEach(({ at, cents }) => add(at, 0, cents));
  return [...rows.values()].sort((a, b) => (a.month < b.month ? -1 : 1));
}

/** What happened of itself: found wood and the rack are no work of the job. */
const QUIET: ReadonlySet<string> = new Set(['found', 'photographed', 'fetched', 'can fetched']);

/** What the job in question is called among the records: its own id is not known in here. */
export const THIS = 'this job';

const known = new WeakMap<Job['ledger'], JobRecord>();

/** What a job says of its builder: read once for a ledger. `id` is what it is kept under. */
export function recordOf(id: string, job: Pick<Job, 'name' | 'ledger'>): JobRecord {
  const before = known.get(job.ledger);
  if (before?.id === id && before.name === job.name) return before;
  const standing = standingEntries(job.ledger);
  const timed = standing.flatMap((entry) => (entry.what === 'timed' ? [entry] : []));
  const paid = paidOf(job, standing);
  const days = standing.flatMap(({ at, what }) => (at === null || QUIET.has(what) ? [] : [at.slice(0, 10)])).sort();
  const record: JobRecord = {
    id,
    name: job.name,
    from: days[0] ?? null,
    to: days.at(-1) ?? null,
    setOut: standing.find((entry) => entry.what === 'set out') ?? null,
    closed: standing.findLast((entry) => entry.what === 'closed') ?? null,
    times: timesOf(timed),
    minutes: timed.reduce((sum, { minutes }) => sum + minutes, 0),
    cents: paid.reduce((sum, { cents }) => sum + cents, 0),
    months: monthsOf(timed, paid),
    boards: boardsOf(job),
    prices: pricesOf(standing),
    cuts: cutsOf(standing),
    coverage: coverageOf(standing),
    lessons: lessonsOf(id, job.name, standing),
  };
  known.set(job.ledger, record);
  return record;
}

/** What the job in question says of its builder. */
export const ownRecord = (job: Pick<Job, 'name' | 'ledger'>): JobRecord => recordOf(THIS, job);
