import { clockAt, dateOf, dayWords, plain, type Instant, type PlacedTask, type Units, type Window } from '@sill/core';

/** Minutes as they are said: `45 min`, `2 h 10`, `3 days`. */
export function spanWords(minutes: number): string {
  if (minutes < 60) return `${minutes} min`;
  if (minutes >= 48 * 60) return `${Math.round(minutes / 144) / 10} days`;
  const [hours, rest] = [Math.floor(minutes / 60), minutes % 60];
  return rest === 0 ? `${hours} h` : `${hours} h ${String(rest).padStart(2, '0')}`;
}

/** A time of day as it is read: `9:00`. */
export function clockWords(zone: string | null, at: Instant): string {
  const { minute } = clockAt(zone, at);
  return `${Math.floor(minute / 60)}:${String(minute % 60).padStart(2, '0')}`;
}

/** When something is over, with its day where that is another. */
function whenWords(zone: string | null, at: Instant, from: Instant): string {
  const [day, begun] = [clockAt(zone, at).day, clockAt(zone, from).day];
  return day === begun ? clockWords(zone, at) : `${dayWords(dateOf(day))}, ${clockWords(zone, at)}`;
}

/** Hours of a window: `9:00–15:00, quiet`. */
export const hoursWords = (zone: string | null, { from, to, quiet, helpers }: Window): string =>
  [
    `${clockWords(zone, from)}–${clockWords(zone, to)}`,
    ...(quiet ? ['quiet'] : []),
    ...(helpers > 0 ? [helpers === 1 ? 'a helper' : `${helpers} helpers`] : []),
  ].join(', ');

/** What is done in one go: all that goes on with the same thing. */
export type Block = {
  readonly key: string;
  readonly placed: readonly PlacedTask[];
  readonly start: Instant;
  readonly end: Instant;
};

const groupOf = ({ task }: PlacedTask): string => (task.kind === 'saw' ? 'saw' : task.of);

/** Work of a session in blocks: settings of the saw one after the other, goes of one step. */
export function blocksOf(placed: readonly PlacedTask[]): readonly Block[] {
  const blocks: { key: string; placed: PlacedTask[]; start: Instant; end: Instant }[] = [];
  for (const one of placed) {
    const last = blocks.at(-1);
    const before = last?.placed.at(-1);
    if (last && before && groupOf(before) === groupOf(one) && one.start - before.end <= 1) {
      last.placed.push(one);
      last.end = one.end;
    } else blocks.push({ key: one.task.id, placed: [one], start: one.start, end: one.end });
  }
  return blocks;
}

/** Which goes of a step a block has, where it is done in several. */
function partWords([from, of]: readonly [number, number], [to]: readonly [number, number]): string {
  if (of === 1 || (from === 1 && to === of)) return '';
  return from === to ? `, part ${from} of ${of}` : `, parts ${from} to ${to} of ${of}`;
}

/** What a block is called. */
export function blockWords({ placed }: Block, units: Units): string {
  const [begin, end] = [placed[0], placed.at(-1)];
  if (!begin || !end) return '';
  const title = plain(begin.task.title, units);
  if (begin.task.kind !== 'saw') return `${title}${partWords(begin.task.part, end.task.part)}`;
  const goes = placed.length === 1 ? 'one setting' : `${placed.length} settings`;
  const cuts = placed.flatMap(({ task }) => plain(task.title, units).match(/\d+/g)?.map(Number) ?? []);
  return cuts.length === 0 ? `Rough cuts, ${goes}` : `Cuts ${Math.min(...cuts)} to ${Math.max(...cuts)}, ${goes}`;
}

/** What happens while nobody is at it. */
export function waitWords({ task, end }: PlacedTask, zone: string | null): string {
  const what = task.clamps
    ? 'in clamps'
    : task.kind === 'coat'
      ? 'dries'
      : task.kind === 'sand'
        ? 'dust settles'
        : 'sets';
  return `${what} ${spanWords(task.wait)}, until ${whenWords(zone, end + task.wait, end)}`;
}
