import fc from 'fast-check';
import { seeded } from '../cutting';
import { LONGEST } from '../length';
import { newJob, TOOL_NAMES, type Job } from '../job';
import { readJob, readOnHand } from '../formats';
import { demoJob, newPiece, STARTS } from '../piece';
import { found } from './telling';

export type Json = null | boolean | number | string | readonly Json[] | { readonly [key: string]: Json };

/** Lines of stock on hand as people type them, sound and spoiled. */
const LINES = [
  '2x4 96',
  '2x4 41 1/2 x3, split last 3',
  '2x6 70, knots 12 to 15',
  '1x6 red oak 30 x2, squared',
  '3/4 plywood 96 x 48',
  '3/4 plywood 96 x 48, split last 3',
  '3/4 plywood 23 x 30',
  '1/4 plywood 40 x 20, bad first 2',
  '4x4 60',
  '1x4 12 x 40',
  '2x8 143, split first 20',
  '2x4 1/2',
];

/**
 * Jobs that mutants are made of: every start of the gallery, the demo, some with stock on hand, one with many copies.
 */
function sound(): readonly Job[] {
  const onHand = LINES.flatMap((line, at) => {
    const entry = readOnHand(line, 'in');
    return entry.ok ? [{ ...entry.value, id: `hand-${at}` }] : [];
  });
  const gallery = STARTS.map(({ id }): Job => ({ ...newJob('gallery'), pieces: [newPiece('p', id)] }));
  const demo = demoJob();
  return [
    ...gallery,
    demo,
    found(demo, onHand),
    { ...demo, units: 'mm', shop: { ...demo.shop, tools: TOOL_NAMES } },
    ...gallery.map((job) => found(job, onHand)),
  ];
}

/** Every value by the name it stands under: what may stand there instead. */
export function gather(value: Json, name: string, into: Map<string, Json[]>): void {
  into.set(name, [...(into.get(name) ?? []).slice(-60), value]);
  if (Array.isArray(value)) value.forEach((one: Json) => gather(one, `${name}[]`, into));
  else if (typeof value === 'object' && value !== null)
    for (const [key, one] of Object.entries(value as { readonly [key: string]: Json })) gather(one, key, into);
}

/** What a number becomes: nothing, next door, far off, as much as the file allows. */
const NUMBERS: readonly ((value: number, roll: number) => number)[] = [
  () => 0,
  () => 1,
  (value) => value + 1,
  (value) => value - 1,
  (value) => Math.round(value / 2),
  (value) => value * 2,
  (value) => value * 10,
  (value) => Math.round(value / 10),
  (value) => -value,
  () => LONGEST,
  (_, roll) => Math.round(roll * 400_000),
  (value, roll) => Math.round(value * (0.5 + roll)),
];

/** A document with one place changed: where is rolled, so is what it becomes. */
export function changed(value: Json, name: string, roll: () => number, known: ReadonlyMap<string, Json[]>): Json {
  const other = (): Json => {
    const all = known.get(name) ?? [value];
    return all[Math.floor(roll() * all.length)]!;
  };
  if (Array.isArray(value)) {
    const list = value as readonly Json[];
    const at = Math.floor(roll() * (list.length + 1));
    if (roll() < 0.2 || list.length === 0) {
      const what = roll();
      return what < 0.25
        ? []
        : what < 0.5
          ? list.filter((_, index) => index !== at)
          : what < 0.75
            ? [...list.slice(0, at), ...list.slice(Math.max(0, at - 1))]
            : other();
    }
    const index = Math.min(at, list.length - 1);
    return list.with(index, changed(list[index]!, `${name}[]`, roll, known));
  }
  if (typeof value === 'object' && value !== null) {
    const entries = Object.entries(value as { readonly [key: string]: Json });
    if (entries.length === 0 || roll() < 0.08) return other();
    const at = Math.floor(roll() * entries.length);
    if (roll() < 0.04) return Object.fromEntries(entries.filter((_, index) => index !== at));
    return Object.fromEntries(
      entries.map(([key, one], index) => [key, index === at ? changed(one, key, roll, known) : one]),
    );
  }
  if (typeof value === 'number')
    return roll() < 0.3 ? other() : NUMBERS[Math.floor(roll() * NUMBERS.length)]!(value, roll());
  if (typeof value === 'boolean') return !value;
  return other();
}

const jobs = sound();
const values = new Map<string, Json[]>();
for (const job of jobs) gather(JSON.parse(JSON.stringify(job)) as Json, 'job', values);

/**
 * Jobs that can be read and that nobody would write: sound ones with up to two dozen places changed. Null where the
 * border refuses them. All of one comes from its seed.
 */
export const mutants: fc.Arbitrary<Job | null> = fc
  .record({
    at: fc.nat(jobs.length - 1),
    times: fc.integer({ min: 1, max: 24 }),
    seed: fc.integer({ min: 1, max: 2 ** 31 - 1 }),
  })
  .map(({ at, times, seed }) => {
    const roll = seeded(seed);
    let job = JSON.parse(JSON.stringify(jobs[at])) as Json;
    for (let time = 0; time < times; time++) {
      const next = changed(job, 'job', roll, values);
      // What can not be read any more is not gone on from: the next change may still be.
      if (readJob(next).ok) job = next;
    }
    const read = readJob(job);
    return read.ok ? read.value : null;
  });
