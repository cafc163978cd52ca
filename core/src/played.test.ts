import { applyChanges, newJob, type Entry } from './job';
import { entered, holdingsOf, misentryOf } from './ledger';
import { mishapOf } from './mishaps';
import { newPiece } from './piece';
import { planJob } from './plan';
import { playedThrough } from './played';
import { recordOf } from './record';
import { cameTo, reckoned } from './reckoned';
import { newStamp } from './testing/telling';

const bare = { ...newJob('Wedging bench'), pieces: [newPiece('bench', 'bench', 'Wedging bench')] };
const builder = { pace: 1.4, spread: 0.3, seed: 3 };
const LATER = { today: '2026-11-29', effort: 'quick' } as const;
const before = planJob(bare, { today: '2026-09-01', effort: 'quick' });
const whole = playedThrough(bare, builder, '2026-09-01');
const half = playedThrough(bare, builder, '2026-09-01', 0.5);

test('a job worked through has nothing left to do, and nothing in its books that can not be so', () => {
  const plan = planJob(whole, LATER);
  expect(plan.calendar.sessions).toEqual([]);
  expect(holdingsOf(whole).faults).toEqual([]);
  expect(plan.findings.filter(({ kind }) => kind === 'built-otherwise')).toEqual([]);
  expect(plan.list.total).toBe(before.list.total);
});

test('it says what it was to come to and what it came to: the money to the cent, the hours at the pace of its builder', () => {
  const { setOut } = recordOf('a', whole);
  expect(setOut).toMatchObject(reckoned(before));
  const real = cameTo(whole, planJob(whole, LATER), '2026-10-01');
  expect(real).toMatchObject({ cents: before.list.total, boards: setOut!.boards, ready: '2026-10-01' });
  expect(real.minutes / setOut!.minutes).toBeGreaterThan(1.15);
  expect(real.minutes / setOut!.minutes).toBeLessThan(1.65);
});

test('under way, its own clock moves what is left; others of the same builder do so before anything is timed', () => {
  const plan = planJob(half, LATER);
  const usual = planJob({ ...half, ledger: half.ledger.filter(({ what }) => what !== 'timed') }, LATER);
  expect(plan.hours.likely).toBeGreaterThan(1.1 * usual.hours.likely);
  expect(plan.hours.high / plan.hours.low).toBeLessThan(usual.hours.high / usual.hours.low);
  expect(plan.findings.find(({ kind }) => kind === 'pace')?.numbers['timings']).toBeGreaterThan(20);
  const next = planJob(bare, { ...LATER, records: [recordOf('whole', whole)] });
  expect(next.hours.likely).toBeGreaterThan(1.1 * before.hours.likely);
});

describe('something went wrong', () => {
  const plan = planJob(half, LATER);
  const piece = [...holdingsOf(half).bodies.values()].find(({ piece: own, state }) => own && state === 'whole')!;
  const part = piece.piece!.part;
  const told = { how: 'split', piece: 'bench', part, of: null, anew: true, note: '' } as const;
  const entries = mishapOf(half, plan, told, newStamp());
  const mended = applyChanges(half, entries.map(entered));

  test('the part is made anew: its wood is lost, what was done to it alone is open, and the plan cuts another', () => {
    const mishap = entries.find((entry): entry is Extract<Entry, { what: 'mishap' }> => entry.what === 'mishap')!;
    expect(mishap.wood).toBeGreaterThan(0);
    expect(mishap.family).toBe('bench');
    expect(misentryOf(half, entries)).toBeNull();
    const then = planJob(mended, LATER);
    expect(then.hours.likely).toBeGreaterThan(plan.hours.likely);
    const cuts = then.buying.boards.filter(
      ({ pieces, state }) => state !== 'cut' && pieces.some(({ blank }) => blank.part.id === part),
    );
    expect(cuts).toHaveLength(1);
    expect(then.findings.filter(({ kind }) => kind === 'misentry')).toEqual([]);
  });

  test('kept as it is, only what it cost is written', () => {
    const [only, ...more] = mishapOf(half, plan, { ...told, anew: false }, newStamp());
    expect(only).toMatchObject({ what: 'mishap', wood: 0 });
    expect(more).toEqual([]);
  });

  test('it comes back in the next job of the same family', () => {
    const next = planJob(bare, { ...LATER, records: [recordOf('half', mended)] });
    expect(next.findings.find(({ kind }) => kind === 'lesson')).toMatchObject({ level: 'care' });
    const other = planJob({ ...bare, pieces: [] }, { ...LATER, records: [recordOf('half', mended)] });
    expect(other.findings.filter(({ kind }) => kind === 'lesson')).toEqual([]);
  });
});
