import { sure } from '../lists';
import { nameOf } from './rows';

/** The way to a value inside a job: names of fields, ids of rows. */
export type Path = readonly string[];
/** One value that is not the same in two jobs; undefined where there is none. */
export type Difference = { readonly path: Path; readonly before: unknown; readonly after: unknown };
/** One value that both sides changed, each to another: what it was, and what each made of it. */
export type Clash = { readonly path: Path; readonly base: unknown; readonly mine: unknown; readonly theirs: unknown };

type Fields = Readonly<Record<string, unknown>>;

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const isRows = (value: unknown): value is readonly Fields[] =>
  Array.isArray(value) && value.every((row) => isFields(row) && nameOf(row) !== null);
const isNames = (value: unknown): value is readonly string[] =>
  Array.isArray(value) && value.every((item) => typeof item === 'string');

/** Whether two plain values hold the same. */
export function isAlike(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((item, at) => isAlike(item, b[at]));
  if (!isFields(a) || !isFields(b)) return false;
  const names = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...names].every((name) => isAlike(a[name], b[name]));
}

const byId = (rows: readonly Fields[]): Fields =>
  Object.fromEntries(rows.map((row) => [sure(nameOf(row), 'name of the row'), row]));
const namesOf = (...all: readonly Fields[]): readonly string[] => [...new Set(all.flatMap((one) => Object.keys(one)))];

/** What is not the same in two jobs, field by field; rows that have ids are matched by them, wherever they stand. */
export function differences(before: unknown, after: unknown, path: Path = []): readonly Difference[] {
  if (isAlike(before, after)) return [];
  const [a, b] = isRows(before) && isRows(after) ? [byId(before), byId(after)] : [before, after];
  if (!isFields(a) || !isFields(b)) return [{ path, before, after }];
  return namesOf(a, b).flatMap((name) => differences(a[name], b[name], [...path, name]));
}

/** Which of two is taken where both sides changed the same. */
export type Whose = 'mine' | 'theirs';

/**
 * Two jobs that grew from one, as one (a three-way merge): what only one side changed is as that side has it; rows are
 * matched by id, lists of names as sets. Where both changed the same to something else, `pick` says which; each such
 * place is told as a clash, also where it was settled.
 */
export function merged<T>(base: T, mine: T, theirs: T, pick: (clash: Clash) => Whose = () => 'mine') {
  const clashes: Clash[] = [];
  const settle = (clash: Clash): unknown => {
    clashes.push(clash);
    return clash[pick(clash)];
  };
  const fields = (base: Fields, mine: Fields, theirs: Fields, path: Path): Fields =>
    Object.fromEntries(
      namesOf(theirs, mine).flatMap((name) => {
        const value = one(base[name], mine[name], theirs[name], [...path, name]);
        return value === undefined ? [] : [[name, value]];
      }),
    );
  /** Their order, what only mine has after them; the order of mine where theirs is as it was. */
  const rows = (
    base: readonly Fields[],
    mine: readonly Fields[],
    theirs: readonly Fields[],
    path: Path,
  ): readonly unknown[] => {
    const found = fields(byId(base), byId(mine), byId(theirs), path);
    const ids = (list: readonly Fields[]) => list.map((row) => sure(nameOf(row), 'name of the row'));
    const order = isAlike(ids(base), ids(theirs)) ? [...ids(mine), ...ids(theirs)] : [...ids(theirs), ...ids(mine)];
    return [...new Set(order)].flatMap((id) => (found[id] === undefined ? [] : [found[id]]));
  };
  const one = (base: unknown, mine: unknown, theirs: unknown, path: Path): unknown => {
    if (isAlike(mine, theirs) || isAlike(theirs, base)) return mine;
    if (isAlike(mine, base)) return theirs;
    if (isRows(base) && isRows(mine) && isRows(theirs)) return rows(base, mine, theirs, path);
    if (isNames(base) && isNames(mine) && isNames(theirs)) {
      const gone = new Set(base.filter((name) => !mine.includes(name)));
      return [
        ...new Set([...theirs.filter((name) => !gone.has(name)), ...mine.filter((name) => !base.includes(name))]),
      ];
    }
    if (isFields(base) && isFields(mine) && isFields(theirs)) return fields(base, mine, theirs, path);
    return settle({ path, base, mine, theirs });
  };
  return { job: one(base, mine, theirs, []) as T, clashes: clashes as readonly Clash[] };
}
