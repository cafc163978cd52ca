import fc from 'fast-check';
import { dayOf, USUAL_CALENDAR } from '../job';
import { nth } from '../lists';
import { runs } from '../testing/runs';
import { say } from '../words';
import { annealed } from './annealed';
import { apartIn } from './apart';
import { asBefore } from './as-before';
import { nowOf, PLAIN_WORK, type Task } from '.';
import { drawIn, type Left } from './order';
import { Overtime } from './overtime';
import { problemOf } from './problem';
import { search } from './search';
import { newSharing, type Sharing } from './sharing';

const NOW = nowOf(USUAL_CALENDAR, '2026-11-24T20:00');
const PLAIN = { ...PLAIN_WORK, piece: null, title: say`Work`, kind: 'other' } as const;
const problemWith = (tasks: readonly Task[]) => problemOf(tasks, USUAL_CALENDAR, [{ length: 100, count: 4 }], NOW);

/** Work for some weeks of two evenings and a Saturday, each after some of what is before it. */
const someWork = fc
  .array(
    fc.record({
      minutes: fc.integer({ min: 5, max: 120 }),
      loud: fc.boolean(),
      after: fc.array(fc.tuple(fc.nat(20), fc.constantFrom(0, 60, 1440, 4000)), { maxLength: 2 }),
    }),
    { minLength: 4, maxLength: 16 },
  )
  .map((rows) =>
    rows.map(({ minutes, loud, after }, at): Task => {
      const id = `t${at}`;
      const before = at === 0 ? [] : after.map(([one, wait]) => ({ task: `t${one % at}`, wait }));
      return { ...PLAIN, id, of: id, minutes, loud, after: before };
    }),
  );

const drawn = (sharing: Sharing): Left | null => {
  const { order, places } = sharing;
  const left = { low: new Int32Array(places.length), high: Int32Array.from(places, (own) => own.length - 1) };
  return drawIn(order, left) ? left : null;
};

/** By how many minutes windows run over, all in all: by the clock, and of that what may be loud. */
function overBy({ places, problem: { nodes, windows } }: Sharing, now: ArrayLike<number>): number {
  const kinds = [windows, ...new Set(nodes.map(({ spans }) => spans))];
  let sum = 0;
  windows.forEach((window, w) => {
    kinds.forEach((spans) => {
      const span = spans[w];
      const isOwn = spans === windows || !span || span.from !== window.from || span.to !== window.to;
      if (!span || !isOwn) return;
      const own = nodes.filter((node, at) => {
        const stands = nth(nth(places, at), now[at] ?? 0).window === w;
        return stands && (spans === windows || node.spans === spans);
      });
      const long = own.reduce((all, { minutes }) => all + minutes, 0);
      sum += Math.max(0, long - (span.to - span.from));
    });
  });
  return sum;
}

test('whatever is moved, pushed, kept and taken back: the order holds, and overtime is what windows run over', () => {
  let pushed = 0;
  const moves = fc.array(fc.tuple(fc.nat(20), fc.nat(30), fc.boolean(), fc.boolean()), {
    minLength: 20,
    maxLength: 40,
  });
  fc.assert(
    fc.property(someWork, moves, (tasks, all) => {
      const problem = problemWith(tasks);
      const sharing = newSharing(problem, dayOf('2026-12-20'));
      const left = sharing && drawn(sharing);
      if (!sharing || !left) return;
      const over = new Overtime(sharing, left);
      const apart = apartIn(problem.nodes);
      const placeOf = (at: number, place: number) => nth(nth(sharing.places, at), place);
      const keeps = (own: number, ownPlace: number, first: number, firstPlace: number, lag: number) => {
        const [mine, other] = [placeOf(own, ownPlace), placeOf(first, firstPlace)];
        return mine.window >= other.window && mine.latest - other.end >= lag;
      };
      for (const [one, to, isAlone, isKept] of all) {
        const at = one % tasks.length;
        const before = [...over.now];
        const now = (task: number) => nth(before, task);
        // What the others leave it, place by place.
        const free = Array.from({ length: nth(left.high, at) + 1 }, (_, place) => place).filter(
          (place) =>
            place >= nth(left.low, at) &&
            apart.every(
              ({ first, own, lag }) =>
                (own !== at || keeps(at, place, first, now(first), lag)) &&
                (first !== at || keeps(own, now(own), at, place, lag)),
            ),
        );
        expect([over.lowest(at), over.highest(at)]).toEqual([free[0], free.at(-1)]);
        const place = isAlone ? nth(free, to % free.length) : to % (nth(left.high, at) + 1);
        const more = isAlone ? over.put(at, place) : over.push(at, place, Infinity);
        if (more === Infinity || !isKept) {
          over.takeBack();
          expect([...over.now]).toEqual(before);
        } else {
          over.keep(more);
          if (!isAlone && over.now.filter((is, task) => is !== now(task)).length > 1) pushed++;
          expect(nth(over.now, at)).toBe(place);
        }
        for (const { first, own, lag } of apart)
          expect(keeps(own, nth(over.now, own), first, nth(over.now, first), lag)).toBe(true);
        expect(over.cost).toBeCloseTo(overBy(sharing, over.now), 6);
      }
    }),
    runs(100, 17),
  );
  expect(pushed).toBeGreaterThan(10);
});

test('Saturdays that are full to the minute are filled to the minute', () => {
  // Twelve goes of 24 hours in all, loud, and four Saturdays of six.
  const minutes = [100, 120, 140, 90, 130, 140, 110, 115, 135, 105, 125, 130];
  const tasks = minutes.map((long, at): Task => {
    const id = `t${at}`;
    return { ...PLAIN, id, of: id, minutes: long, loud: true, after: [] };
  });
  const day = dayOf('2026-12-19');
  const problem = problemWith(tasks);
  let asked = 0;
  const laid = annealed(
    problem,
    day,
    () => ((asked = (asked * 9301 + 49297) % 233_280), (asked + 1) / 233_281),
    () => false,
  );
  const full = new Map<number, number>();
  for (const { window, start, end } of laid?.puts ?? []) full.set(window, (full.get(window) ?? 0) + end - start);
  expect([...full.values()]).toEqual([360, 360, 360, 360]);
  expect(laid?.day).toBe(day);
  // A week less is asked for in vain, and it ends when it is told to.
  let times = 0;
  expect(annealed(problem, day - 7, Math.random, () => ++times > 9)).toBeNull();
});

test('work stays as it stood where it still fits; where some is new or what it stood in is gone it does not', () => {
  let tried = 0;
  fc.assert(
    fc.property(someWork, (tasks) => {
      const problem = problemWith(tasks);
      const { laid } = search(problem, 'quick');
      if (!laid) return;
      const idOf = (at: number) => nth(problem.nodes, at).task.id;
      const starts = new Map(laid.puts.map(({ at, start }) => [idOf(at), start]));
      const again = asBefore(problemWith(tasks), { day: laid.day, starts });
      expect(again?.day ?? Infinity).toBeLessThanOrEqual(laid.day);
      // What is begun first is done: the others need no other time.
      const [first] = [...laid.puts].sort((a, b) => a.start - b.start);
      const gone = first && idOf(first.at);
      const left = tasks
        .filter(({ id }) => id !== gone)
        .map((one) => ({ ...one, after: one.after.filter(({ task }) => task !== gone) }));
      const then = asBefore(problemWith(left), { day: laid.day, starts });
      if (left.length > 0) expect(then?.day ?? Infinity).toBeLessThanOrEqual(laid.day);
      tried++;
      const more = [...tasks, { ...PLAIN, id: 'new', of: 'new', minutes: 5, loud: false, after: [] }];
      expect(asBefore(problemWith(more), { day: laid.day, starts })).toBeNull();
    }),
    runs(100, 18),
  );
  expect(tried).toBeGreaterThan(15);
});
