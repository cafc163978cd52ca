import { applyChanges, newJob, type EntryOf, type Job } from '../job';
import { recordOf, THIS, type JobRecord, type Lesson } from '../record';
import { plain } from '../words';
import { planned, startJob } from '../testing/planning';
import type { Facts } from './facts';
import { recordNotes } from './record';

const job = startJob('desk');
const plan = planned(job);
const empty = recordOf('o', newJob('o'));
const other = (change: Partial<JobRecord>): JobRecord => ({ ...empty, ...change });
const notes = (records: readonly JobRecord[], change: Partial<Facts> = {}) =>
  recordNotes({ ...plan, job, records, ...change });
const one = (id: string, records: readonly JobRecord[], change: Partial<Facts> = {}) =>
  notes(records, change).find((note) => note.id === `job.${id}`);
const said = (note: ReturnType<typeof one>) => note && [plain(note.title, 'in'), plain(note.because, 'in')];

test('of one who has recorded nothing, nothing is said', () => {
  expect(notes([])).toEqual([]);
  expect(notes([empty])).toEqual([]);
});

describe('habits', () => {
  const boards = (taken: number, spoiled: number) => [other({ boards: { taken, spoiled, rejected: 0 } })];

  test('boards that are spoiled: drawn towards five of a hundred as by forty boards', () => {
    // (40 x 0.05 + 12) / (40 + 60) is 14 of a hundred; 5 are counted on.
    expect(job.shop.spoiled).toBe(5);
    const note = one('spoil-habit', boards(60, 12))!;
    expect(said(note)).toEqual([
      '14 boards of a hundred are spoiled here',
      'By your record of 60 boards, drawn towards the usual 5. The spares are counted for 5.',
    ]);
    // Counted on from then, it has nothing more to say.
    const next = applyChanges(job, note.remedies[0]!.changes);
    expect(next.shop.spoiled).toBe(14);
    expect(one('spoil-habit', boards(60, 12), { job: next })).toBeUndefined();
  });

  test('one off is no habit, and fourteen boards are none either', () => {
    // (2 + 3) / (40 + 42) is 6 of a hundred.
    expect(one('spoil-habit', boards(42, 3))).toBeUndefined();
    expect(one('spoil-habit', boards(14, 14))).toBeUndefined();
    expect(one('spoil-habit', boards(15, 15))).toBeDefined();
  });

  test('all spoiled, for ever: no more than half is counted on', () => {
    expect(one('spoil-habit', boards(5000, 5000))!.numbers).toEqual({ share: 50, boards: 5000 });
  });

  test('several jobs of one builder are taken together', () => {
    const two = [...boards(30, 6), ...boards(30, 6)];
    expect(one('spoil-habit', two)!.numbers).toEqual(one('spoil-habit', boards(60, 12))!.numbers);
  });

  test('prices: more or less than the list, from ten purchases on', () => {
    const paid = (count: number, cents: number) => [other({ prices: { count, listed: 10_000, paid: cents } })];
    // Twenty purchases count as the list: (20 x 1 + 30 x 1.1) / 50 is 6 % over.
    expect(said(one('price-habit', paid(30, 11_000)))).toEqual([
      'You pay 6 % more than the list says',
      'By the receipts of 30 purchases, drawn towards the list. The prices under Stock can be typed as they are now.',
    ]);
    expect(said(one('price-habit', paid(20, 9000)))![0]).toBe('You pay 5 % less than the list says');
    expect(one('price-habit', paid(9, 20_000))).toBeUndefined();
    expect(one('price-habit', paid(30, 10_100))).toBeUndefined();
  });

  test('cans: what is used against what was planned, from two on', () => {
    const cans = (...used: number[]) => [
      other({ coverage: used.map((ounces) => ({ size: 'water polyurethane', planned: 16, used: ounces })) }),
    ];
    // (32 + 48) / (32 + 32) is a quarter more.
    expect(said(one('cover-habit', cans(24, 24)))![0]).toBe('You use 25 % more out of the can');
    expect(said(one('cover-habit', cans(8, 8)))![0]).toBe('You use 25 % less out of the can');
    expect(one('cover-habit', cans(40))).toBeUndefined();
    expect(one('cover-habit', cans(18, 18))).toBeUndefined();
  });
});

describe('what went wrong, or was to be done otherwise', () => {
  const lesson = (id: string, change: Partial<Lesson>): Lesson => ({
    ...{ id, job: 'o', jobName: 'Ware shelf', day: '2026-03-14', how: null, text: 'Mark the face side', minutes: 0 },
    ...{ wood: 0, family: '', work: null, tool: null },
    ...change,
  });
  const told = (...lessons: readonly Lesson[]) =>
    notes([other({ lessons })]).map((note) => [note.id, note.stage, ...said(note)!]);

  test('comes back in its own words, with where and when it was, and what it cost', () => {
    expect(told(lesson('a', { how: 'cut wrong', work: 'saw', tool: 'mitre saw', minutes: 25.4 }))).toEqual([
      [
        'job.lesson-a',
        'cuts',
        'A part was cut wrong last time, at the mitre saw',
        '“Mark the face side” Ware shelf (14 Mar 2026). It cost 25 minutes.',
      ],
    ]);
    expect(told(lesson('a', { day: null, text: '' }))[0]!.slice(2)).toEqual([
      'You wanted to do this otherwise',
      'Ware shelf.',
    ]);
  });

  test('where its work is done: by the work, then by the tool, then by what is built', () => {
    const stage = (change: Partial<Lesson>) => told(lesson('a', { family: 'aprons', ...change }))[0]![1];
    expect(stage({ work: 'errand' })).toBe('stock');
    expect(stage({ work: 'join' })).toBe('build');
    expect(stage({ work: 'sand' })).toBe('finish');
    expect(stage({ tool: 'mitre saw' })).toBe('cuts');
    expect(stage({ tool: 'drill' })).toBe('build');
    expect(stage({})).toBe('shape');
    expect(stage({ family: '' })).toBe('brief');
  });

  test('what is of another family and no work ahead is not said', () => {
    expect(told(lesson('a', { family: 'hairpin' }))).toEqual([]);
    expect(told(lesson('a', { family: 'hairpin', tool: 'planer' }))).toEqual([]);
  });

  test('two at a stage at most: those that fit best, then the newest', () => {
    const all = ['2026-01-01', '2026-02-01', '2026-03-01'].map((day, at) =>
      lesson(`old${at}`, { day, work: 'saw', text: `Mark face ${at}` }),
    );
    expect(
      told(...all, lesson('fits', { day: '2025-01-01', work: 'saw', family: 'aprons' })).map(([id]) => id),
    ).toEqual(['job.lesson-fits', 'job.lesson-old2']);
    // Another stage has room of its own.
    expect(told(...all, lesson('join', { work: 'join' }))).toHaveLength(3);
  });

  test('the same words of several jobs stand once, with each of the jobs, the newest first', () => {
    const cut = (id: string, day: string, jobName: string): Lesson =>
      lesson(id, { day, jobName, how: 'cut wrong', work: 'saw', minutes: 10 });
    expect(told(cut('a', '2025-12-31', 'Tool chest'), cut('b', '2026-01-02', 'Ware shelf'))).toEqual([
      [
        'job.lesson-b',
        'cuts',
        'A part was cut wrong last time',
        '“Mark the face side” Ware shelf (2 Jan 2026) and Tool chest (31 Dec 2025). It cost 20 minutes.',
      ],
    ]);
    const [twice] = told(cut('a', '2026-01-02', 'Ware shelf'), cut('b', '2026-01-02', 'Ware shelf'));
    expect(twice!.at(-1)).toBe('“Mark the face side” Ware shelf (2 Jan 2026). It cost 20 minutes.');
    // What happened otherwise, or elsewhere, is a lesson of its own; so is each without words.
    expect(told(cut('a', '2025-12-31', 'Tool chest'), lesson('b', { how: 'split', work: 'saw' }))).toHaveLength(2);
    expect(told(lesson('a', { text: '', work: 'saw' }), lesson('b', { text: '', work: 'saw' }))).toHaveLength(2);
  });
});

describe('the hours of this job', () => {
  const timed = (minutes: number): EntryOf<'timed'> => ({
    ...{ id: 't', at: '2026-11-27T10:00', what: 'timed', of: 'saw.1', piece: null, work: 'saw' },
    ...{ planned: 40, minutes, until: null },
  });
  const after = (minutes: number): Job => ({ ...job, ledger: [timed(minutes)] });

  test('slower than usual is cared about, quicker is good; what is left has its range', () => {
    const slow = one('pace', [], { job: after(60) })!;
    expect([slow.level, slow.stage, slow.numbers]).toEqual(['care', 'log', { percent: 150, timings: 1 }]);
    expect(said(slow)![0]).toBe('150 % of the usual time so far');
    expect(said(slow)![1]).toMatch(
      /^1 timing in this job: 60 min for what usually takes 40 min\. What is left takes .+, eight times in ten between .+ and .+\.$/,
    );
    expect(one('pace', [], { job: after(30) })!).toMatchObject({ level: 'good', numbers: { percent: 75 } });
  });

  test('with nothing left, or nothing timed, it is not said', () => {
    expect(one('pace', [], { job: after(60), hours: { low: 0, likely: 0, high: 0 } })).toBeUndefined();
    expect(one('pace', [], { job: { ...job, ledger: [] } })).toBeUndefined();
  });

  test('this job’s own record counts with the others', () => {
    expect(recordOf(THIS, after(60)).times.saw).toMatchObject({ count: 1, planned: 40, minutes: 60 });
  });
});
