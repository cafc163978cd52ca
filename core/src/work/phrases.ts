import { first, last, nth } from '../lists';
import type { Length } from '../length';
import { dim, listOf, tag, type Bit, type Phrase } from '../words';

/** Numbers at the end of tags that follow each other are told as a run: `T1 to T7`, where there are more than three. */
export function tagList(tags: readonly string[]): Phrase {
  const rows: string[][] = [];
  const split = (name: string) => /^(.*?)(\d+)$/.exec(name);
  for (const name of tags) {
    const last = rows.at(-1)?.at(-1);
    const [before, now] = [last === undefined ? null : split(last), split(name)];
    const follows = before && now && before[1] === now[1] && Number(now[2]) === Number(before[2]) + 1;
    if (follows) nth(rows, rows.length - 1).push(name);
    else rows.push([name]);
  }
  return listOf(
    rows.flatMap((row): readonly (Bit | Phrase)[] =>
      row.length > 3 ? [[tag(first(row)), ' to ', tag(last(row))]] : row.map((name): Bit => tag(name)),
    ),
  );
}

/** Tags in the order of their letters and numbers. */
export const sortedTags = (tags: readonly string[]): readonly string[] =>
  [...tags].sort((a, b) => a.localeCompare(b, 'en', { numeric: true }));

export const lengthList = (lengths: readonly Length[]): Phrase => listOf(lengths.map((one): Bit => dim(one)));

/** Things that are alike in what is told of them, in the order they come. */
export function together<T>(items: readonly T[], key: (item: T) => string): readonly (readonly T[])[] {
  const groups = new Map<string, T[]>();
  for (const item of items) {
    const name = key(item);
    const group = groups.get(name);
    if (group) group.push(item);
    else groups.set(name, [item]);
  }
  return [...groups.values()];
}

const ODD: Readonly<Record<string, string>> = {
  foot: 'feet',
  leaf: 'leaves',
  shelf: 'shelves',
  notch: 'notches',
  catch: 'catches',
};
/** More than one of a thing by its name: `feet`, `shelves`, `legs`. */
export function several(noun: string): string {
  const words = noun.split(' ');
  const last = nth(words, words.length - 1);
  return [...words.slice(0, -1), ODD[last] ?? `${last}s`].join(' ');
}

/** An angle for a saw's scale, to the half degree people can set. */
export const degreesText = (angle: number): string => `${Math.round(Math.abs(angle) * 2) / 2}°`;
