import type { JobRecord } from './job-record';

/** A share or a factor by the record, drawn towards the usual as by so many; and how many it is told from. */
export type Habit = { readonly value: number; readonly usual: number; readonly count: number };

const sum = (records: readonly JobRecord[], of: (record: JobRecord) => number): number =>
  records.reduce((all, record) => all + of(record), 0);
/** The usual counts as much as so many boards, purchases and lengths, and as so many ounces. */
const [BOARDS, PURCHASES, LENGTHS, OUNCES] = [40, 20, 6, 32] as const;
/** Shares of boards that are spoiled, and that are put back at the yard. */
const [SPOILED, REJECTED] = [0.05, 0.2] as const;

/**
 * A standard deviation of a length cut against a stop, inches: set by a tape to 1/32, repeated to 1/64, each nine in
 * ten (1.645 deviations).
 */
export const CUT_USUAL = Math.hypot(1 / 32, 1 / 64) / 1.645;

const drawn = (seen: number, count: number, usual: number, weight: number): Habit => ({
  value: (weight * usual + seen) / (weight + count),
  usual,
  count,
});

/** Boards of a hundred of which something is spoiled, as a share. */
export function spoiledBy(records: readonly JobRecord[]): Habit {
  return drawn(
    sum(records, ({ boards }) => boards.spoiled),
    sum(records, ({ boards }) => boards.taken),
    SPOILED,
    BOARDS,
  );
}

/** Boards of all looked at that are put back, as a share. */
export function rejectedBy(records: readonly JobRecord[]): Habit {
  const rejected = sum(records, ({ boards }) => boards.rejected);
  return drawn(rejected, rejected + sum(records, ({ boards }) => boards.taken), REJECTED, BOARDS);
}

/** What is paid over what the list says; drawn towards the list. */
export function pricesBy(records: readonly JobRecord[]): Habit {
  const count = sum(records, ({ prices }) => prices.count);
  const listed = sum(records, ({ prices }) => prices.listed);
  const paid = sum(records, ({ prices }) => prices.paid);
  const each = listed === 0 ? 0 : paid / listed;
  return drawn(count * each, count, 1, PURCHASES);
}

/** Lengths of all records together. */
export const cutsOf = (records: readonly JobRecord[]): JobRecord['cuts'] => ({
  count: sum(records, ({ cuts }) => cuts.count),
  squares: sum(records, ({ cuts }) => cuts.squares),
});

/** How near lengths come to their line, over the usual: 2 is twice as far off. */
export function cutsBy(records: readonly JobRecord[]): Habit {
  const cuts = cutsOf(records);
  const { value, count } = drawn(cuts.squares / CUT_USUAL ** 2, cuts.count, 1, LENGTHS);
  return { value: Math.sqrt(value), usual: 1, count };
}

/** Ounces out of cans over those planned; told from so many products. */
export function coverageBy(records: readonly JobRecord[]): Habit {
  const rows = records.flatMap(({ coverage }) => coverage);
  const used = rows.reduce((all, row) => all + row.used, 0);
  const planned = rows.reduce((all, row) => all + row.planned, 0);
  return { ...drawn(used, planned, 1, OUNCES), count: rows.length };
}
