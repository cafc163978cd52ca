import * as v from 'valibot';
import { LONGEST } from '../length';
import { BOARD_KEYS, STOCKED, type BoardKey, type Stocked } from '../stock';

/** What fields of a job are made of: each says what would be right. */
export const whole = (least: number, most: number) =>
  v.pipe(
    v.number('must be a number'),
    v.integer('must be a whole number'),
    v.minValue(least, `must be at least ${least}`),
    v.maxValue(most, `must be at most ${most}`),
  );
export const length = whole(0, LONGEST);
export const size = whole(1, LONGEST);
export const cents = whole(0, 100_000_000);
export const text = (most: number) =>
  v.pipe(v.string('must be text'), v.maxLength(most, `must be at most ${most} letters`));
export const name = v.pipe(text(120), v.nonEmpty('must not be empty'));
export const id = v.pipe(
  v.string('must be text'),
  v.regex(/^[A-Za-z0-9][A-Za-z0-9_.-]{0,63}$/, 'must be a short plain id'),
);
export const tag = v.pipe(
  v.string('must be text'),
  v.regex(/^[A-Za-z0-9]{1,12}$/, 'must be up to 12 letters and digits'),
);
export const oneOf = <const Options extends readonly string[]>(options: Options) =>
  v.picklist(options, `must be one of ${options.join(', ')}`);

/** One of a long list of names, as a pattern: the published schema stays readable. */
const named = <Name extends string>(names: readonly Name[], what: string) =>
  v.pipe(
    v.string('must be text'),
    v.regex(new RegExp(`^(${names.join('|')})$`), what),
  ) as unknown as v.GenericSchema<Name>;
export const board = named<BoardKey>(BOARD_KEYS, 'must be a board such as 2x4 or oak 1x6');
export const material = named<Stocked>(STOCKED, 'must be a board such as 2x4 or oak 1x6, or a sheet such as ply 3/4');
export const unique = <Row extends { id: string }>(what: string) =>
  v.check<Row[], string>((rows) => new Set(rows.map((row) => row.id)).size === rows.length, what);

/** Read-only all the way down: jobs are changed by making new ones. */
export type Fixed<T> = T extends readonly (infer Item)[]
  ? readonly Fixed<Item>[]
  : T extends object
    ? { readonly [Key in keyof T]: Fixed<T[Key]> }
    : T;

/** How an entry of the ledger is signed. */
export const signed = {
  id,
  /** Local time, to the minute; null for what happened before it was kept. */
  at: v.nullable(
    v.pipe(v.string('must be text'), v.regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/, 'must be like 2026-11-28T14:05')),
  ),
};
