import { first, nth } from '../lists';
import type { Length } from '../length';
import { dim, listOf, say, type Phrase } from '../words';
import type { Standing } from './operation';
import { lengthList, sortedTags, tagList, together } from './phrases';
import type { Spot } from './side';

/** Rows of places on a part, side by side: those as far from the same edge in one. */
function rowsOf(spots: readonly Spot[]): readonly Phrase[] {
  return together(spots, ({ side }) => side.name).map((own) => {
    const rows = together(own, ({ from, across, off }) => `${from.name}|${across?.name}|${off}`).map((row) => {
      const { from, across, off } = first(row);
      const at = lengthList([...new Set(row.map((spot) => spot.at))].sort((a, b) => a - b));
      return say`${at} from the ${from.name}${across ? say`, ${dim(off)} from the ${across.name}` : ''}`;
    });
    return say`${first(own).side.name}: ${rows.reduce((a, b) => say`${a}; ${b}`)}`;
  });
}

/** Places as a person marks them, once for parts that are alike: from a named end or edge, on a named side. */
export function placesOf(spots: readonly Spot[]): Phrase {
  const parts = together(spots, ({ part }) => part).map((own) => ({ tag: first(own).tag, rows: rowsOf(own) }));
  const groups = together(parts, ({ rows }) => JSON.stringify(rows));
  return groups
    .map(
      (group) =>
        say`${tagList(sortedTags(group.map((one) => one.tag)))}, ${first(group).rows.reduce((a, b) => say`${a}; ${b}`)}`,
    )
    .reduce((a, b) => say`${a}. ${b}`);
}

/** Where a part lies on some others, all alike. */
type Told = {
  readonly tags: readonly string[];
  readonly onto: readonly string[];
  readonly side: string;
  readonly rows: Standing['rows'];
  /** The first of these on the first of those, and so on; else each of them on all. */
  readonly inOrder?: boolean;
};

const distinct = (names: readonly string[]): readonly string[] => [...new Set(names)];
const merged = (group: readonly Told[]): Told => ({
  ...first(group),
  tags: distinct(group.flatMap(({ tags }) => tags)),
  onto: distinct(group.flatMap(({ onto }) => onto)),
});

/** Alike ones in as few as say which lies on which: one on one in their order, or all on the same. */
function alikeTold(group: readonly Told[]): readonly Told[] {
  const others = group.flatMap(({ onto }) => onto);
  const inOrder = group.length > 1 && others.length === group.length && distinct(others).length === others.length;
  return inOrder ? [{ ...merged(group), inOrder }] : together(group, ({ onto }) => sortedTags(onto).join()).map(merged);
}

/** A row in words, with one place or several in the order of the parts. */
function rowWords({ of, from }: Standing['rows'][number], at: readonly Length[]): Phrase {
  if (at.every((one) => one === 0))
    return of === 'onto' ? say`flush with the ${from.name}` : say`its ${from.name} flush`;
  return of === 'onto' ? say`${lengthList(at)} from the ${from.name}` : say`its ${from.name} ${lengthList(at)} beyond`;
}

/**
 * Those that differ in one place only: parts in a row on the same others, or one part over others in a row. Whichever
 * place it is that leaves the fewest sentences.
 */
function inRows(alike: readonly Told[]): readonly (readonly Told[])[] {
  const but = (at: number) =>
    together(alike, ({ tags, onto, side, rows }) => {
      const rest = rows.map(({ of, from, at: place }, index) => [of, from.name, index === at ? '' : place]);
      const [one, other] = [tags.length === 1, onto.length === 1];
      // One part over several others is told by the part, parts in a row by what they lie on.
      const own =
        rows[at]?.of === 'part'
          ? other
            ? tags.join()
            : `${tags.join()} ${onto.join()}`
          : one
            ? onto.join()
            : `${tags.join()} ${onto.join()}`;
      return JSON.stringify([own, side, rest]);
    });
  return [0, 1].map(but).reduce((best, next) => (next.length < best.length ? next : best));
}

/** Where parts lie on others, once for those that are alike; those in a row with their places one after the other. */
export function standingsOf(marks: readonly Standing[]): Phrase | null {
  if (marks.length === 0) return null;
  const each = marks.map(({ tag, ontoTag, side, rows }): Told => ({
    tags: [tag],
    onto: [ontoTag],
    side: side.name,
    rows,
  }));
  const keyOf = ({ side, rows }: Told) => JSON.stringify([side, rows.map(({ of, from, at }) => [of, from.name, at])]);
  const onAll = together(each, (one) => `${one.tags.join()} ${keyOf(one)}`).map(merged);
  const alike = together(onAll, (one) => keyOf(one)).flatMap(alikeTold);
  const rowed = inRows(alike);
  return rowed
    .map((group) => {
      const { side, rows, inOrder } = first(group);
      const words = rows.map((row, at) => {
        const places = group.map((one) => nth(one.rows, at).at);
        return rowWords(row, new Set(places).size === 1 ? places.slice(0, 1) : places);
      });
      const tags = distinct(group.flatMap((one) => one.tags));
      const onto = distinct(group.flatMap((one) => one.onto));
      const others = tagList(inOrder || group.length > 1 ? onto : sortedTags(onto));
      return say`${tagList(tags)} on the ${side} of ${others}${inOrder ? ', in that order' : ''}: ${listOf(words)}`;
    })
    .reduce((a, b) => say`${a}. ${b}`);
}
