import { clockAt, type BenchCalendar, type PlacedTask } from '../calendar';
import { dateOf, dayOf, dayWords, note, set, type Finding, type Job } from '../job';
import type { Pace } from '../record';
import { counted, listOf, plain, say, strong, type Phrase } from '../words';
import type { Facts } from './facts';
import { hours } from './rounded';

const daysBetween = (from: string, to: string): number => dayOf(to) - dayOf(from);
const days = (count: number): string => (count === 1 ? '1 day' : `${count} days`);

/** Whether it can be, when it is ready, and whether sooner is possible. */
function readyNotes(
  { ready, bound, proved, homeless, sessions }: BenchCalendar,
  { calendar }: Job,
): readonly Finding[] {
  const lacking = homeless[0];
  if (lacking) {
    const what: Phrase = lacking.errand
      ? say`the yard is open at no time that you have`
      : lacking.loud
        ? say`it is loud, and no time that you have allows saws and sanders`
        : lacking.air
          ? say`the shop is never fit for it by the readings there are`
          : say`there is no free hour for it in a year`;
    return [
      note(null, 'no-time', 'stop', 'days', {
        title: say`There is no time for it`,
        because: say`${lacking.title}: ${what}. ${homeless.length > 1 ? say`${homeless.length - 1} more wait with it. ` : say``}Add hours under When I have time.`,
      }),
    ];
  }
  if (ready === null) return [];
  const off = bound ? daysBetween(bound.date, ready) : null;
  const late = calendar.due === null ? 0 : daysBetween(calendar.due, ready);
  return [
    ...(calendar.due === null
      ? []
      : [
          note(null, 'due', late > 0 ? 'care' : 'good', 'days', {
            title: late > 0 ? say`${days(late)} too late` : say`In time for ${dayWords(calendar.due)}`,
            because:
              late > 0
                ? say`It is ready ${strong(dayWords(ready))}, and wanted ${dayWords(calendar.due)}. What would bring it forward stands below the days, with its price.`
                : say`Ready ${strong(dayWords(ready))}: ${late === 0 ? 'the very day' : say`${days(-late)} to spare`}.`,
            numbers: { days: -late },
          }),
        ]),
    proved
      ? note(null, 'earliest', 'good', 'days', {
          title: say`No earlier day is possible`,
          because: say`Ready ${strong(dayWords(ready))}, in ${sessions.length} ${sessions.length === 1 ? 'session' : 'sessions'}. What must set and dry, and the hours that you have, leave no other: proved.`,
          numbers: { sessions: sessions.length },
        })
      : note(null, 'earliest', 'care', 'days', {
          title: say`At most ${days(off ?? 0)} sooner`,
          because: say`Ready ${strong(dayWords(ready))}. No plan is ready before ${strong(dayWords(bound?.date ?? ready))}; whether one is between, was not found out.`,
          numbers: { days: off ?? 0 },
        }),
  ];
}

const placedIn = ({ sessions }: BenchCalendar): readonly (PlacedTask & { readonly date: string })[] =>
  sessions.flatMap(({ date, placed }) => placed.map((one) => ({ ...one, date })));

/** Above this share of the time there is, it is the hours that decide the day, and not what sets and dries. */
const FULL = 0.75;

/** What decides the day: how full the time until then is, and the longest waits in the chain. */
function chainNotes(calendar: BenchCalendar): readonly Finding[] {
  const { chain, free, sessions, minutes, ready, bound } = calendar;
  const end = sessions.at(-1)?.window.to;
  if (chain.length === 0 || ready === null || end === undefined) return [];
  const byId = new Map(placedIn(calendar).map(({ task }) => [task.id, task]));
  const there = free.reduce((sum, { from, to }) => sum + (to <= end ? to - from : 0), 0);
  const share = Math.round((100 * minutes) / Math.max(minutes, there));
  const links = chain.flatMap(({ task }) => byId.get(task) ?? []);
  const named = new Map(links.map((task) => [`${plain(task.title, 'in')} ${task.wait}`, task]));
  const waits = [...named.values()].sort((a, b) => b.wait - a.wait).filter(({ wait }) => wait >= 600);
  const longest =
    waits.length > 0
      ? say` The longest waits in it: ${listOf(waits.slice(0, 3).map(({ wait, title }) => say`${hours(wait)} (${title})`))}.`
      : say``;
  return [
    note(null, 'decides', 'care', 'days', {
      title: bound?.by === 'hours' || share >= 100 * FULL ? say`Your hours decide it` : say`The waits decide it`,
      because: say`${strong(hours(minutes))} of work take ${strong(share)} % of the ${hours(there)} you have until the last of it. What stands one after the other and can not give is marked red.${longest}`,
      numbers: { minutes, share },
    }),
  ];
}

/** Work that runs over, coats that harden meanwhile, lifts, cold days, and wishes that can not be. */
function careNotes(calendar: BenchCalendar, job: Job): readonly Finding[] {
  const all = placedIn(calendar);
  const over = all.filter((one) => one.over > 0);
  const late = all.filter((one) => one.late > 0);
  const lifts = all.filter(({ task }) => task.people > 1);
  const first = over[0];
  return [
    ...(first
      ? [
          note(null, 'runs-over', 'care', 'days', {
            title: say`Longer than any time you have`,
            because: say`${first.task.title} takes ${hours(first.task.minutes)} in one go: on ${dayWords(first.date)} it runs ${strong(hours(first.over))} over${over.length > 1 ? say`, and ${over.length - 1} more do` : say``}. What is glued or wet can not be put down.`,
          }),
        ]
      : []),
    ...late.slice(0, 3).map((one) =>
      note(null, 'late-coat', 'care', 'days', {
        which: one.task.of,
        title: say`Sand, then coat, on ${dayWords(one.date)}`,
        because: say`${one.task.title}: by then the coat below is too hard for the next to hold by itself. Scuff it with 220 first, ${strong(hours(one.late))} more.`,
      }),
    ),
    ...(lifts.length > 0
      ? [
          note(null, 'hands', calendar.handsShort ? 'care' : 'good', 'days', {
            title: calendar.handsShort ? say`Ask for help` : say`Helpers, on these days`,
            because: say`${calendar.handsShort ? say`More hands are needed than anyone of yours has: ` : say``}${listOf(
              [...new Map(lifts.map((one) => [one.date, one])).values()]
                .slice(0, 6)
                .map(({ date, task }) => say`${strong(dayWords(date))} (${task.title}, ${task.people} people)`),
            )}.`,
            numbers: { lifts: lifts.length },
          }),
        ]
      : []),
    ...calendar.lostPins.map(({ of, on, why }) =>
      note(null, 'lost-wish', 'care', 'days', {
        which: of,
        title: say`Not on ${dayWords(on)}`,
        because:
          why === 'no time'
            ? say`What you moved there has no time that day that is long and loud enough for it. It stands where it is soonest.`
            : say`What it comes after is not over by then. It stands where it is soonest.`,
        remedies: job.calendar.pins
          .filter((pin) => pin.of === of)
          .map(({ id }) => ({
            label: say`Forget the wish`,
            changes: [set(null, ['calendar', 'pins', id], undefined)],
          })),
      }),
    ),
  ];
}

/** Days whose readings keep coats and glue from being done, where there is time. */
function airNotes({ zone, free, ready }: BenchCalendar, { calendar }: Job): readonly Finding[] {
  const cold = [...new Set(free.map(({ from }) => dateOf(clockAt(zone, from).day)))].flatMap((date) => {
    const reading = calendar.air.find(({ on }) => on === date);
    return reading && ready !== null && date <= ready && reading.temperature < COAT_COLD ? [reading] : [];
  });
  const first = cold[0];
  return first
    ? [
        note(null, 'cold-days', 'care', 'days', {
          title: say`Too cold on ${cold.length === 1 ? dayWords(first.on) : `${cold.length} days`}`,
          because: say`${dayWords(first.on)} reads ${strong(first.temperature)} °F: most coats want ${COAT_COLD}, glue 50. Neither is planned then; a heater two hours before, and until it is dry, makes it a day again.`,
        }),
      ]
    : [];
}
const COAT_COLD = 55;

/** The days between which it is likely to be ready, and what that is told from. */
function rangeNotes({ between, ready }: BenchCalendar, { timings, jobs }: Pick<Pace, 'timings' | 'jobs'>) {
  if (between === null || ready === null) return [];
  const from =
    timings === 0
      ? say`No time was recorded yet, so the range is wide: a clock at the bench narrows it.`
      : say`From ${strong(counted(timings, 'timing'))} in ${counted(jobs, 'job')}.`;
  return [
    note(null, 'range', timings === 0 ? 'care' : 'good', 'days', {
      title: say`${dayWords(between.from)} to ${dayWords(between.to)}`,
      because: say`Most likely ${strong(dayWords(ready))}; of ten such jobs eight are ready between these days. ${from}`,
      numbers: { timings, days: daysBetween(between.from, between.to) },
    }),
  ];
}

/** What the days say. */
export const dayNotes = ({ calendar, job, pace }: Pick<Facts, 'calendar' | 'job' | 'pace'>): readonly Finding[] => [
  ...readyNotes(calendar, job),
  ...rangeNotes(calendar, pace),
  ...chainNotes(calendar),
  ...careNotes(calendar, job),
  ...airNotes(calendar, job),
];
