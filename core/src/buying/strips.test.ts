import fc from 'fast-check';
import { first } from '../lists';
import { inches } from '../length';
import { applyChanges, kerfFor, newJob, type Job, type Piece } from '../job';
import { blanksOf, type Blank } from '../milling';
import { newPiece } from '../piece';
import { planJob, type Plan } from '../plan';
import { rehearse } from '../rehearsal';
import { found, newStamp, told } from '../testing/telling';
import { plain } from '../words';
import { cutAs } from './index';
import { drawnTogether, longestRun } from './strips';

const OPTIONS = { today: '2026-11-30', effort: 'quick' } as const;
/** A mitred bookcase on the floor, of one shelf: its sides and top are one run of grain. */
const mitred = (length: number, height: number, copies = 1): Job => {
  const base = newPiece('case', 'bookcase');
  const choices = { ...base.choices, corners: 'mitred', held: 'screws', stand: 'floor', shelves: 1 };
  const size = { length: inches(length), width: inches(12), height: inches(height) };
  return { ...newJob('strips'), spares: 'none', pieces: [{ ...base, choices, size, copies } as Piece] };
};
/** Runs as they lie: tags of pieces that stand end to end on one sheet, a kerf between them. */
function runsIn({ buying }: Plan, kerf: number): readonly string[] {
  return buying.boards.flatMap(({ pieces }) => {
    const own = pieces.filter(({ blank }) => blank.part.run !== null);
    type Lying = (typeof own)[number];
    const follows = (one: Lying, other: Lying) =>
      other.blank.part.run!.at === one.blank.part.run!.at + 1 &&
      other.y === one.y &&
      other.x === one.x + one.length + kerf;
    const run = (one: Lying): string => {
      const after = own.find((other) => follows(one, other));
      return after ? `${one.blank.part.tag} ${run(after)}` : one.blank.part.tag;
    };
    return own.filter((one) => !own.some((other) => follows(other, one))).map(run);
  });
}
const lyingIn = (job: Job): readonly string[] => [...runsIn(planJob(job, OPTIONS), kerfFor(job.shop, 'sheet'))].sort();
const grainOf = (job: Job) => planJob(job, OPTIONS).findings.filter(({ kind }) => kind === 'grain');

test('up one side, over the top and down the other: one strip of a sheet, twice for two copies', () => {
  expect(lyingIn(mitred(30, 20))).toEqual(['G1 T1 G2']);
  expect(lyingIn(mitred(30, 20, 2))).toEqual(['G1 T1 G2', 'G1 T1 G2']);
  const [said, ...more] = grainOf(mitred(30, 20));
  expect([said!.level, plain(said!.title, 'in'), more]).toEqual([
    'good',
    'The grain runs on through G1, T1 and G2',
    [],
  ]);
});

test('worked by hand: 30 + 36 + 30 and two kerfs of 1/8 are 96 1/4, more than a sheet: two run on, and it says so', () => {
  const job = mitred(36, 30);
  expect(lyingIn(job)).toEqual(['G1 T1', 'G2']);
  const [said] = grainOf(job);
  expect(said!.level).toBe('care');
  expect(said!.numbers).toEqual({ strip: inches(96.25), longest: inches(96) });
  const after = applyChanges(job, said!.remedies[0]!.changes);
  expect(after.pieces[0]!.size.length).toBe(inches(35.75));
  expect(lyingIn(after)).toEqual(['G1 T1 G2']);
});

test('butted corners ask for no strip', () => {
  const job = mitred(30, 20);
  const butted = { ...job, pieces: [{ ...job.pieces[0]!, choices: { ...job.pieces[0]!.choices, corners: 'butted' } }] };
  expect(grainOf(butted)).toEqual([]);
});

test('what is marked before the strip is parted: which end of each comes first', () => {
  const { setups } = planJob(mitred(30, 20), OPTIONS);
  const said = setups.flatMap(({ cautions }) => cautions.map((caution) => plain(caution, 'in')));
  expect(said.find((words) => /grain runs on/.test(words))).toContain(
    'at the end that comes first: G1 bottom end, T1 left end and G2 top end',
  );
});

test('once its sheet is cut it stays so, and the work can be done', () => {
  const job = mitred(30, 20);
  const plan = planJob(job, OPTIONS);
  expect(rehearse(plan, job).stopped).toBeNull();
  const board = plan.buying.boards.find(({ pieces }) => pieces.some(({ blank }) => blank.part.tag === 'T1'))!;
  const after = told(job, cutAs(job, board, null, newStamp()));
  expect(lyingIn(after)).toEqual(['G1 T1 G2']);
  expect(grainOf(after)[0]!.level).toBe('good');
});

test('from panels that are too short for all of it as many run on as one holds', () => {
  const there = (count: number) =>
    found(mitred(30, 20), [
      {
        id: 'old',
        material: 'ply 3/4',
        length: inches(70),
        width: inches(13),
        count,
        squared: false,
        bad: [],
        where: '',
        note: '',
      },
    ]);
  const unsold = (job: Job): Job => ({ ...job, yard: { ...job.yard, sheets: [] } });
  expect(lyingIn(unsold(there(3)))).toEqual(['G1 T1', 'G2']);
  // Two hold all five only where the grain breaks: all of it there is better than a run of it.
  expect(lyingIn(unsold(there(2)))).toEqual(['G1', 'G2', 'T1']);
});

test('strips keep every blank once, in its place, and never mix what is unlike', () => {
  const blanks = blanksOf(mitred(30, 20), planJob(mitred(30, 20), OPTIONS).parts);
  expect(longestRun(blanks)).toBe(3);
  fc.assert(
    fc.property(
      fc.shuffledSubarray([...blanks], { minLength: 1 }),
      fc.integer({ min: 1, max: 4 }),
      fc.boolean(),
      (some, most, isNarrow) => {
        const own: readonly Blank[] = some.map((blank) =>
          isNarrow && blank.part.tag === 'G2' ? { ...blank, width: blank.width - 1 } : blank,
        );
        const { laid, strips } = drawnTogether(own, inches(1 / 8), most);
        const instead = new Map(strips.map(({ whole, of }) => [whole, of]));
        const all = laid.flatMap((blank) => instead.get(blank) ?? [blank]);
        expect(new Set(all)).toEqual(new Set(own));
        expect(all).toHaveLength(own.length);
        for (const { whole, of } of strips) {
          expect(of.length).toBeLessThanOrEqual(most);
          expect(of.map(({ part }) => part.run!.at)).toEqual(of.map((_, at) => first(of).part.run!.at + at));
          expect(new Set(of.map(({ width }) => width)).size).toBe(1);
          expect(whole.length).toBe(of.reduce((sum, { length }) => sum + length, (of.length - 1) * inches(1 / 8)));
        }
      },
    ),
  );
});
