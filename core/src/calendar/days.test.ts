import fc from 'fast-check';
import { dateOf, USUAL_CALENDAR, weekdayOf, type JobCalendar } from '../job';
import { loadIntegerSolver } from '../cutting/highs';
import { faultsOf } from '../testing/days-checker';
import { timesOf } from '../testing/runs';
import { say } from '../words';
import { clockAt, laidOut, lookedFurther, nowOf, PLAIN_WORK, provedFurther, type BenchCalendar, type Task } from '.';

const SHOP = {
  clamps: [
    { length: 100, count: 4 },
    { length: 50, count: 2 },
  ],
};
const PLAIN = { ...PLAIN_WORK, piece: null, title: say`Work`, kind: 'other', minutes: 60 } as const;
const task = (id: string, rest: Partial<Task> = {}): Task => ({ ...PLAIN, id, of: id, ...rest });
const jobWith = (calendar: Partial<JobCalendar>) =>
  ({ calendar: { ...USUAL_CALENDAR, ...calendar }, shop: SHOP }) as unknown as Parameters<typeof laidOut>[1];
/** 24 November 2026 is a Tuesday. */
const NOW = '2026-11-24T20:00';
const laid = (tasks: readonly Task[], calendar: Partial<JobCalendar> = {}, now = NOW) => {
  const job = jobWith(calendar);
  return laidOut(tasks, job, nowOf(job.calendar, now), 'full');
};
const dates = (tasks: readonly Task[], calendar: Partial<JobCalendar> = {}, now = NOW) =>
  laid(tasks, calendar, now).sessions.map(({ date, placed }) => [date, placed.map((one) => one.task.id).join(' ')]);

test('what is quiet goes on an evening, what is loud waits for Saturday', () => {
  expect(dates([task('quiet'), task('loud', { loud: true, minutes: 330 })])).toEqual([
    ['2026-11-24', 'quiet'],
    ['2026-11-28', 'loud'],
  ]);
});

test('while one thing waits for glue another is done; a wait that is not over by night is over by the next', () => {
  const after = [{ task: 'glue', wait: 60 }];
  const all = [task('glue', { wait: 60, minutes: 30 }), task('on', { after, minutes: 30 }), task('other')];
  expect(dates(all, {}, '2026-11-28T08:00')).toEqual([['2026-11-28', 'glue other on']]);
  expect(laid([task('cure', { wait: 24 * 60 })]).ready).toBe('2026-11-25');
  // From eight in the evening one hour, then three until midnight: that is over the same day.
  expect(laid([task('cure', { wait: 180 })]).ready).toBe('2026-11-24');
  expect(laid([task('cure', { wait: 181 })]).ready).toBe('2026-11-25');
});

test('few sessions are taken where they do not make it later', () => {
  const after = [{ task: 'loud', wait: 0 }];
  const all = [task('one'), task('two'), task('loud', { loud: true, minutes: 120 }), task('last', { after })];
  // All fits into Saturday.
  expect(dates(all)).toEqual([['2026-11-28', expect.stringMatching(/^(one |two |loud )+last$/)]]);
});

test('a coat comes while the one below is fresh, or takes longer; no coat goes on in the cold', () => {
  const fresh = { after: 'first', within: 24 * 60, extra: 15 };
  const coats = [task('first'), task('second', { after: [{ task: 'first', wait: 720 }], fresh })];
  const placed = laid(coats).sessions.flatMap((session) => session.placed);
  expect(placed.map(({ start, end, late }) => [end - start, late])).toEqual([
    [60, 0],
    [75, 15],
  ]);
  const air = [{ id: 'a', on: '2026-11-26', temperature: 40, humidity: 50, simulated: false }];
  expect(dates([task('coat', { air: [55, 90, 80] })], { air }, '2026-11-25T08:00')).toEqual([['2026-11-28', 'coat']]);
});

test('clamps, room and hands are shared', () => {
  const glued = (id: string, count: number) =>
    task(id, { minutes: 10, wait: 60, clamps: { count, span: 80 }, lies: true });
  const times = ({ sessions }: ReturnType<typeof laid>) =>
    sessions.flatMap(({ placed }) => placed.map(({ start, end }) => [start, end]));
  // Four clamps reach 80: the second glue-up of three waits until the first is over.
  const [one, two] = times(laid([glued('a', 3), glued('b', 3)]));
  expect((two?.[0] ?? 0) - (one?.[1] ?? 0)).toBe(60);
  const [first, next] = times(laid([glued('a', 2), glued('b', 2)]));
  expect((next?.[0] ?? 0) - (first?.[1] ?? 0)).toBe(0);
  const full = times(laid([glued('a', 1), glued('b', 1)], { room: 1 }));
  expect((full[1]?.[0] ?? 0) - (full[0]?.[1] ?? 0)).toBe(60);
  expect(dates([task('lift', { people: 2 })])).toEqual([['2026-11-28', 'lift']]);
  expect(laid([task('lift', { people: 4 })])).toMatchObject({ handsShort: true, ready: '2026-11-28' });
});

test('a wish holds where it can, and says why where it can not', () => {
  const all = [task('glue', { loud: true, wait: 1440 }), task('next', { after: [{ task: 'glue', wait: 1440 }] })];
  const pin = (of: string, on: string) => ({ id: of, of, on });
  expect(dates(all, { pins: [pin('next', '2026-12-03')] })).toEqual([
    ['2026-11-28', 'glue'],
    ['2026-12-03', 'next'],
  ]);
  expect(laid(all, { pins: [pin('next', '2026-11-26')] }).lostPins).toEqual([
    { of: 'next', on: '2026-11-26', why: 'too early' },
  ]);
  expect(laid(all, { pins: [pin('next', '2026-11-27')] }).lostPins).toMatchObject([{ why: 'no time' }]);
});

test('a night on which the clock is set back is an hour longer', () => {
  // In New York the clock goes back on 1 November 2026, at two in the morning.
  const zone = 'America/New_York';
  const week = [
    { id: 'a', day: 6, from: 19 * 60, to: 20 * 60, quiet: false, helpers: 0 },
    { id: 'b', day: 7, from: 8 * 60, to: 12 * 60, quiet: false, helpers: 0 },
  ];
  const all = [task('coat', { wait: 720 }), task('next', { after: [{ task: 'coat', wait: 720 }] })];
  const starts = (on: string) =>
    laid(all, { zone, week, loud: { from: 0, to: 1440 } }, `${on}T12:00`).sessions.map(
      ({ placed }) => placed[0]?.start,
    );
  const [coat, next] = starts('2026-10-31');
  // Over twelve hours after 20:00 EDT, which is 7:00 EST: the bench opens at 8:00, an hour more than usual.
  expect((next ?? 0) - (coat ?? 0)).toBe(14 * 60);
  const [usual, then] = starts('2026-10-24');
  expect((then ?? 0) - (usual ?? 0)).toBe(13 * 60);
});

test('no free hour in the year, and nothing to do', () => {
  expect(laid([task('a')], { week: [] })).toMatchObject({ ready: null, homeless: [{ id: 'a' }] });
  expect(laid([])).toMatchObject({ ready: null, homeless: [], sessions: [], proved: true });
  // What is longer than any time there is runs over, and says by how much.
  expect(laid([task('long', { minutes: 500 })]).sessions[0]?.placed[0]).toMatchObject({ over: 140 });
});

const minuteOfDay = fc.integer({ min: 14, max: 40 }).map((half) => 30 * half);
const hours = fc
  .tuple(minuteOfDay, fc.integer({ min: 2, max: 12 }))
  .map(([from, halves]) => ({ from, to: Math.min(1440, from + 30 * halves) }));
const freeRow = fc.record({ hours, quiet: fc.boolean(), helpers: fc.integer({ min: 0, max: 2 }) });
const someCalendar = fc
  .record({
    zone: fc.constantFrom(null, 'America/New_York', 'Europe/Berlin', 'Australia/Sydney', 'Pacific/Apia'),
    week: fc.array(fc.tuple(freeRow, fc.integer({ min: 1, max: 7 })), { minLength: 1, maxLength: 6 }),
    off: fc.array(fc.integer({ min: 1, max: 25 }), { maxLength: 2 }),
    busy: fc.array(fc.tuple(fc.integer({ min: 0, max: 40 }), hours), { maxLength: 8 }),
    air: fc.array(fc.tuple(fc.integer({ min: 0, max: 30 }), fc.integer({ min: 30, max: 100 })), { maxLength: 6 }),
    loud: fc.record({ from: fc.integer({ min: 0, max: 600 }), to: fc.integer({ min: 900, max: 1440 }) }),
    store: fc.array(fc.tuple(fc.integer({ min: 1, max: 7 }), hours), { maxLength: 5 }),
    room: fc.integer({ min: 1, max: 3 }),
  })
  .map(({ week, off, busy, air, store, ...rest }): Partial<JobCalendar> => {
    // About the last Sunday of October and the first of November, where clocks change.
    const on = (day: number) => new Date(Date.UTC(2026, 9, 20 + day)).toISOString().slice(0, 10);
    const written = (minute: number) =>
      `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
    return {
      ...rest,
      week: [
        { id: 'sat', day: 6, from: 480, to: 900, quiet: false, helpers: 0 },
        ...week.map(([{ hours: span, ...row }, day], k) => ({ id: `w${k}`, day, ...span, ...row })),
      ],
      off: off.map((day, k) => ({ id: `o${k}`, from: on(day), to: on(day + 2) })),
      busy: busy.map(([day, { from, to }], k) => ({
        id: `b${k}`,
        name: '',
        from: `${on(day)}T${written(from)}`,
        to: `${on(day)}T${written(Math.min(to, 1439))}`,
      })),
      air: [...new Map(air).entries()].map(([day, temperature], k) => ({
        id: `a${k}`,
        on: on(day),
        temperature,
        humidity: 50,
        simulated: true,
      })),
      store: [...new Map(store).entries()].map(([day, span]) => ({ id: `s${day}`, day, ...span })),
    };
  });

const TOOLS = ['table saw', 'drill', 'router', null] as const;
const someTasks = (most: number) =>
  fc
    .array(
      fc.record({
        minutes: fc.integer({ min: 1, max: 150 }),
        loud: fc.boolean(),
        errand: fc.integer({ min: 0, max: 12 }).map((k) => k === 0),
        people: fc.constantFrom(1, 1, 1, 2, 3),
        tool: fc.constantFrom(...TOOLS),
        air: fc.constantFrom(null, null, [50, 90, 80] as const),
        wait: fc.constantFrom(0, 0, 30, 60, 720, 1440),
        clamps: fc.constantFrom(null, { count: 2, span: 40 }, { count: 3, span: 90 }),
        lies: fc.boolean(),
        after: fc.array(fc.tuple(fc.nat(), fc.constantFrom(0, 0, 60, 720)), { maxLength: 2 }),
        fresh: fc.option(fc.tuple(fc.nat(), fc.constantFrom(60, 1440))),
        release: fc.constantFrom(0, 0, 0, 3000),
      }),
      { minLength: 1, maxLength: most },
    )
    .map((rows) =>
      rows.map(({ after, fresh, ...row }, at): Task => {
        const before = at === 0 ? [] : after.map(([k, wait]) => ({ task: `t${k % at}`, wait }));
        return task(`t${at}`, {
          ...row,
          // Of what can not fail to be there: a yard that never opens is another test.
          errand: false,
          after: before,
          fresh: fresh && before[0] ? { after: before[0].task, within: fresh[1], extra: 7 } : null,
        });
      }),
    );

/** More at a time where it is asked for. */
const RUNS = timesOf(200);

test('random work in random weeks: what is laid out holds by an independent checker, and is ready no sooner than its bound', () => {
  let laidOutOnes = 0;
  fc.assert(
    fc.property(someTasks(24), someCalendar, fc.nat(9), (tasks, calendar, dice) => {
      const job = jobWith(calendar);
      const found = laidOut(tasks, job, nowOf(job.calendar, '2026-10-20T10:15'), dice === 0 ? 'full' : 'quick');
      if (found.ready === null) return found.homeless.length > 0 || found.sessions.length === 0;
      laidOutOnes++;
      expect(faultsOf(tasks, job.calendar, SHOP.clamps, found)).toEqual([]);
      expect(found.bound && found.bound.date <= found.ready).toBe(true);
      if (found.proved && found.bound && tasks.length > 14) expect(found.bound.date).toBe(found.ready);
      return true;
    }),
    { numRuns: RUNS },
  );
  expect(laidOutOnes).toBeGreaterThan(RUNS / 2);
});

/** Every way to put tasks on a grid of half hours: the best by day, sessions and tools set up, by the checker alone. */
function enumerated(tasks: readonly Task[], job: ReturnType<typeof jobWith>, now: string, days: number) {
  const begin = nowOf(job.calendar, now);
  const starts = Array.from({ length: days * 48 }, (_, k) => begin + 30 * k).filter((start) => {
    const { day, minute } = clockAt(null, start);
    return job.calendar.week.some((row) => row.day === weekdayOf(day) && row.from <= minute && minute < row.to);
  });
  type Best = readonly [string, number, number];
  let best: Best | null = null;
  const visit = (starting: readonly number[]) => {
    const at = starting.length;
    if (at < tasks.length) {
      const long = tasks[at]?.minutes ?? 0;
      for (const start of starts)
        if (starting.every((other, k) => other + (tasks[k]?.minutes ?? 0) <= start || start + long <= other))
          visit([...starting, start]);
      return;
    }
    const placed = tasks
      .map((one, k) => ({ task: one, start: starting[k] ?? 0, late: 0, over: 0 }))
      .map((one) => ({ ...one, end: one.start + one.task.minutes }))
      .sort((a, b) => a.start - b.start);
    const over = Math.max(...placed.map(({ end, task: one }) => end + one.wait));
    const ready = dateOf(clockAt(null, over - 1).day);
    const days_ = placed.map(({ start }) => clockAt(null, start).day);
    const changes = placed.filter(
      ({ task: one }, k) => one.tool && !(days_[k - 1] === days_[k] && placed[k - 1]?.task.tool === one.tool),
    ).length;
    const value: Best = [ready, new Set(days_).size, changes];
    if (
      best &&
      !(
        value[0] < best[0] ||
        (value[0] === best[0] && (value[1] < best[1] || (value[1] === best[1] && value[2] < best[2])))
      )
    )
      return;
    const minutes = tasks.reduce((sum, one) => sum + one.minutes, 0);
    const session = { date: '', window: {} as never, placed };
    const whole = { now: begin, sessions: [session], free: [{ helpers: 1 }], ready, minutes, lostPins: [] };
    if (faultsOf(tasks, job.calendar, SHOP.clamps, whole as unknown as BenchCalendar).length === 0) best = value;
  };
  visit([]);
  return best;
}

test('of few tasks the earliest day, the fewest sessions and the least setting up are those of complete enumeration', () => {
  // One time a day, none at night, so that a session is a day; minutes and waits in half hours.
  const week = fc
    .array(fc.tuple(fc.integer({ min: 1, max: 7 }), fc.integer({ min: 2, max: 4 }), fc.boolean()), {
      minLength: 2,
      maxLength: 3,
    })
    .map((rows) =>
      [...new Map(rows.map((row) => [row[0], row])).values()].map(([day, halves, quiet]) => ({
        id: `w${day}`,
        day,
        from: 600,
        to: 600 + 30 * halves,
        quiet,
        helpers: 1,
      })),
    );
  const few = fc
    .array(
      fc.record({
        minutes: fc.constantFrom(30, 60),
        loud: fc.integer({ min: 0, max: 3 }).map((k) => k === 0),
        tool: fc.constantFrom(...TOOLS),
        wait: fc.constantFrom(0, 0, 30, 1440),
        clamps: fc.constantFrom(null, { count: 3, span: 90 }),
        after: fc.option(fc.tuple(fc.nat(), fc.constantFrom(0, 30, 1440))),
      }),
      { minLength: 2, maxLength: 4 },
    )
    .map((rows) =>
      rows.map(({ after, ...row }, at) =>
        task(`t${at}`, { ...row, after: at > 0 && after ? [{ task: `t${after[0] % at}`, wait: after[1] }] : [] }),
      ),
    );
  let compared = 0;
  fc.assert(
    fc.property(few, week, (tasks, rows) => {
      const job = jobWith({ week: rows });
      const found = laidOut(tasks, job, nowOf(job.calendar, NOW), 'full');
      if (found.ready === null || found.ready > '2026-12-05') return;
      compared++;
      const best = enumerated(tasks, job, NOW, 12);
      expect([found.ready, found.sessions.length, found.changes]).toEqual(best);
      expect(found.proved).toBe(true);
    }),
    { numRuns: Math.ceil(RUNS / 8) },
  );
  expect(compared).toBeGreaterThan(RUNS / 40);
});

test('a day that work put down at will could keep is refuted where it can not be put down', async () => {
  // Three goes of over three hours, each on a Saturday of six: two fit into none.
  const tasks = ['a', 'b', 'c'].map((id) => task(id, { loud: true, minutes: 200 }));
  const job = jobWith({});
  const quick = laidOut(tasks, job, nowOf(job.calendar, NOW), 'quick');
  expect([quick.ready, quick.bound?.date, quick.proved]).toEqual(['2026-12-12', '2026-12-05', false]);
  const integer = await loadIntegerSolver();
  const proved = provedFurther(tasks, job, quick, integer, () => false);
  expect([proved.bound, proved.proved]).toEqual([{ date: '2026-12-12', by: 'hours' }, true]);
  // Nothing is claimed that was not looked at.
  expect(provedFurther(tasks, job, quick, integer, () => true)).toMatchObject({ proved: false, bound: quick.bound });
});

test('no day is refuted that a plan keeps; what is found on the way is ready sooner and holds by the checker', async () => {
  const integer = await loadIntegerSolver();
  let [tried, sooner, looked] = [0, 0, 0];
  fc.assert(
    fc.property(someTasks(10), someCalendar, (tasks, calendar) => {
      const job = jobWith(calendar);
      const now = nowOf(job.calendar, '2026-10-20T10:15');
      const long = laidOut(tasks, job, now, 'full');
      // One after the other as listed, and as if only a day long before were known to be too early.
      const listed = tasks.map((one, at): Task => {
        const before = tasks[at - 1];
        return before ? { ...one, after: [...one.after, { task: before.id, wait: before.wait }] } : one;
      });
      const late = laidOut(listed, job, now, 'quick');
      if (long.ready === null || long.bound === null || late.ready === null) return;
      const known = { ...late, proved: false, bound: { ...long.bound, date: '2026-10-20' } };
      const proved = provedFurther(tasks, job, known, integer, () => false);
      expect(proved.bound!.date <= long.ready).toBe(true);
      expect(proved.ready! <= late.ready).toBe(true);
      if (proved.proved) expect(proved.ready! <= long.ready).toBe(true);
      expect(faultsOf(tasks, job.calendar, SHOP.clamps, proved)).toEqual([]);
      tried++;
      if (proved.ready! < late.ready) sooner++;
      let asked = 0;
      const told: string[] = [];
      const found = lookedFurther(
        tasks,
        job,
        known,
        1,
        (one) => told.push(one.ready!),
        () => ++asked > 20,
      );
      expect(faultsOf(tasks, job.calendar, SHOP.clamps, found)).toEqual([]);
      expect([found.bound, found.ready! <= late.ready]).toEqual([known.bound, true]);
      if (proved.proved) expect(found.ready! >= proved.ready!).toBe(true);
      // Each that is told is sooner than the one before; the last is what it comes to.
      expect(told).toEqual([...new Set(told)].sort().toReversed());
      expect(told.at(-1) ?? late.ready).toBe(found.ready);
      if (found.ready! < late.ready) looked++;
    }),
    { numRuns: Math.ceil(RUNS / 8) },
  );
  expect(tried).toBeGreaterThan(RUNS / 20);
  expect(Math.min(sooner, looked)).toBeGreaterThan(RUNS / 40);
});
