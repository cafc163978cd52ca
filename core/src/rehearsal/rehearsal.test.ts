import fc from 'fast-check';
import { inches } from '../length';
import { DEFAULT_SHOP, newJob, TOOL_NAMES, type Job, type Piece } from '../job';
import { planWork, type WorkPlan } from '../plan';
import { newPiece, STARTS } from '../piece';
import { EVERYTHING, jobsOf, KINDS } from '../testing/jobs';
import { lengthWritten } from './driving';
import { rehearse } from './index';
import { planned, startJob } from '../testing/planning';
import { runs, someOf } from '../testing/runs';

const jobOf = (start: string, more: Partial<Piece> = {}): Job => ({
  ...newJob('j'),
  pieces: [{ ...newPiece('p', start), ...more }],
});
const planOf = (job: Job): WorkPlan => planWork(job, { today: '2026-01-31', effort: 'quick' });

describe('every start of the gallery is built as its steps say', () => {
  test.each(STARTS.map(({ id }) => id))('%s', (id) => {
    const job = startJob(id);
    const found = rehearse(planned(job), job);
    expect(found.faults).toEqual([]);
    expect(found.operations).toBeGreaterThan(15);
  });
});

describe('every family with every top, random sizes, shops, finishes and ways to join, inch and metric', () => {
  // As many others are rehearsed by the law of finishing.
  test.each(someOf(KINDS, 3, 1))(
    '%s',
    (_, family, top, at) => {
      fc.assert(
        fc.property(fc.oneof(jobsOf(family, top, 'in'), jobsOf(family, top, 'mm')), (job) => {
          if (!job) return;
          const plan = planOf(job);
          // What the margin says can not be made or bought is not held against the work order.
          if (plan.buying.unplaced.length > 0) return;
          if (
            plan.pieces.some(
              ({ fastenings, steps }) =>
                fastenings.some(({ troubles }) => troubles.length > 0) || steps.some(({ noRoom }) => noRoom.length > 0),
            )
          )
            return;
          expect(rehearse(plan, job).faults).toEqual([]);
        }),
        runs(1, 14 + at),
      );
    },
    60_000,
  );
});

describe('what random runs once stumbled on, by hand', () => {
  const cases: readonly (readonly [string, Job])[] = [
    [
      'posts of a stick that is thicker than wide: turned a quarter, they are what is drawn',
      {
        ...jobOf('shelf-unit', {
          wood: 'anz-treated',
          choices: { posts: '2x2', rails: '1x2', shelves: '1x6', levels: 1, lowest: inches(6) },
        }),
        yard: EVERYTHING,
      },
    ],
    [
      'eight braces on one oak post, held by inserts that are wider than their bolts',
      {
        ...jobOf('pedestal', {
          wood: 'oak',
          top: 'breadboard',
          topChoices: { width: '6', end: '4' },
          size: { length: inches(32.25), width: inches(32.25), height: inches(22.625) },
          joins: { screws: { by: 'inserts' } },
          choices: { post: 'three 2x4', braces: '8', braceAngle: 49 },
        }),
        yard: EVERYTHING,
      },
    ],
    [
      'inserts in a top that was cut round: its boards are measured from the ends they have by then',
      jobOf('pedestal', {
        choices: { fixing: 'screwed' },
        joins: { 'top screws': { by: 'inserts' } },
      }),
    ],
  ];
  test.each(cases)('%s', (_, job) => {
    const found = rehearse(planOf(job), job);
    expect(found.faults).toEqual([]);
    expect(found.operations).toBeGreaterThan(10);
  });

  test('a mitred frame asked for in biscuits: its last part would have to come in along two lines at once, whichever way its angles are rounded', () => {
    const job = {
      ...jobOf('heavy', {
        top: 'tiles',
        planed: inches(1 / 16),
        topChoices: { tile: '6', long: 9, wide: 6, joint: inches(7 / 16) },
        size: { length: 519176, width: 362204, height: inches(34.125) },
        choices: { timber: '4x6' },
        joins: { edge: { by: 'biscuits' } },
      }),
      shop: { ...DEFAULT_SHOP, tools: TOOL_NAMES },
    };
    const plan = planOf(job);
    const corners = plan.pieces[0]!.fastenings.filter(({ joint }) => joint.kind === 'edge');
    expect(corners).toHaveLength(4);
    for (const { by } of corners) expect(by).not.toBe('biscuits');
    expect(rehearse(plan, job).faults).toEqual([]);
  });
});

test('lengths as they are written on boxes', () => {
  expect(
    ['#8 1 1/2', '3/8 x 5', '1 1/4', '2 fine', '1/4 x 3/4 x 1 1/2'].map((size) => lengthWritten(size) / inches(1)),
  ).toEqual([1.5, 5, 1.25, 2, 1.5]);
});
