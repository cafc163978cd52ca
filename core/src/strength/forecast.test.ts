import { found, nth } from '../lists';
import { inches } from '../length';
import { isTopAlone, STARTS } from '../piece';
import { planned as plannedOnce, startJob } from '../testing/planning';
import { forecastOf, type Forecast } from './forecast';
import { misfitOf, outOfPlane, type Misfit } from './misfit';

const planned = (start: string) => {
  const { pieces, setups } = plannedOnce(startJob(start));
  return { facts: nth(pieces, 0), setups };
};
const known = new Map<string, Forecast>();
/** The forecast of a start of which nothing was measured, made once. */
const usualOf = (start: string) => known.get(start) ?? (known.set(start, forecast(start)), known.get(start)!);
const forecast = (start: string, read: Parameters<typeof forecastOf>[3] = {}) => {
  const { facts, setups } = planned(start);
  return forecastOf(facts.parts, facts.fastenings, setups, read);
};

/** What an inch more along a way of the body that a part is in does to an outcome. */
const does = ({ deviations, outcomes }: Misfit, kind: 'rock' | 'plan', tag: string): number => {
  const at = deviations.findIndex(
    (one) => one.kind === 'size' && one.way === 0 && one.of.body.parts.some((part) => part.tag === tag),
  );
  return nth(nth(found(outcomes, (outcome) => outcome.kind === kind).by, 0), at);
};

test('four points are out of plane as the last of them is off the plane of the others', () => {
  const square = [
    [0, 0, 0],
    [10, 0, 0],
    [10, 10, 0],
    [0, 10, 0],
  ] as const;
  expect(outOfPlane(square)).toEqual([1, -1, 1, -1]);
  // A kite: a point twice as far out is moved twice as far by the tilt of the rest, so it counts half.
  const kite = [
    [0, 0, 0],
    [10, -10, 0],
    [30, 0, 0],
    [10, 10, 0],
  ] as const;
  const shares = outOfPlane(kite);
  for (const of of [() => 1, (k: number) => nth(kite, k)[0], (k: number) => nth(kite, k)[1]])
    expect(shares.reduce((sum, share, k) => sum + share * of(k), 0)).toBeCloseTo(0, 9);
});

describe('a dining table, its legs held at their heads alone', () => {
  const { facts } = planned('dining');
  const misfit = misfitOf(facts.parts, facts.fastenings);

  test('a leg that is an inch more lets the table rock by an inch, legs that all are by none', () => {
    const legs = ['L1', 'L2', 'L3', 'L4'].map((tag) => does(misfit, 'rock', tag));
    for (const by of legs) expect(Math.abs(by)).toBeCloseTo(1, 2);
    expect(legs.reduce((sum, by) => sum + by, 0)).toBeCloseTo(0, 3);
    expect(legs.filter((by) => by > 0)).toHaveLength(2);
  });

  test('both long aprons longer alike leave it square; one of them does not', () => {
    const [one, other] = ['A1', 'A2'].map((tag) => does(misfit, 'plan', tag)) as [number, number];
    expect(one + other).toBeCloseTo(0, 4);
    expect(Math.abs(does(misfit, 'plan', 'E1') + does(misfit, 'plan', 'E2'))).toBeLessThan(1e-4);
  });

  test('how far it is out of square is spread as what is normally spread: nine in ten at 2.44 times the half', () => {
    const plan = found(usualOf('dining').expected, ({ kind }) => kind === 'plan');
    expect(plan.nine / plan.median).toBeGreaterThan(2.44 * 0.85);
    expect(plan.nine / plan.median).toBeLessThan(2.44 * 1.15);
  });
});

test('lengths at a pencil line leave wider joints than against a stop, and those to fit narrower', () => {
  const all = STARTS.flatMap(({ id }) => usualOf(id).expected).filter(({ kind }) => kind === 'gap');
  const tried = all.flatMap(({ nine, from, others }) => others.map(({ by, nine: then }) => ({ nine, from, by, then })));
  expect(tried.length).toBeGreaterThan(2);
  for (const { by, nine, then } of tried) {
    if (by === 'pencil') expect(then).toBeGreaterThan(nine);
    if (by === 'to fit') expect(then).toBeLessThan(nine);
  }
}, 120_000);

test('every start is forecast in numbers that a builder may meet, the same each time', () => {
  for (const { id } of STARTS.filter((start) => !isTopAlone(start))) {
    const { expected } = usualOf(id);
    for (const { median, nine, share } of expected) {
      expect(median).toBeLessThanOrEqual(nine);
      expect(nine).toBeLessThan(1 / 2);
      expect(share).toBeGreaterThan(0);
      expect(share).toBeLessThanOrEqual(1);
    }
    expect(expected.some(({ kind }) => kind === 'gap')).toBe(true);
  }
  expect(forecast('bench')).toEqual(usualOf('bench'));
}, 120_000);

test('what was measured tells how near this shop comes to its lines, drawn towards the usual', () => {
  const { facts } = planned('dining');
  const cut = facts.parts.filter(({ fit, material }) => fit === null && material !== 'bought');
  const read = (off: number) =>
    Object.fromEntries(cut.map((part) => [part.tag, { length: part.length + inches(off) }]));
  const usual = usualOf('dining');
  expect(usual.record).toEqual({ count: 0, factor: 1 });
  const good = forecast('dining', read(0));
  expect(good.record.count).toBe(cut.length);
  // None is off: all that is left is the six of the usual.
  expect(good.record.factor).toBeCloseTo(Math.sqrt(6 / (6 + cut.length)), 6);
  expect(forecast('dining', read(1 / 8)).record.factor).toBeGreaterThan(2);
  const one = forecast('dining', { [nth(cut, 0).tag]: { length: nth(cut, 0).length } });
  expect(one.record.factor).toBeGreaterThan(good.record.factor);
});
