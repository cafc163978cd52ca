import { dateWords, note, set, type Finding, type Job, type StageName, type Tool, type WorkKind } from '../job';
import { first } from '../lists';
import {
  applying,
  coverageBy,
  ownRecord,
  pricesBy,
  spoiledBy,
  type Ahead,
  type JobRecord,
  type Lesson,
} from '../record';
import { listOf, say, strong } from '../words';
import type { Facts } from './facts';
import { hours as inWords } from './rounded';

/** What so few say is no habit yet. */
const [BOARDS, PURCHASES, PRODUCTS] = [15, 10, 2] as const;
/** Nearer to what is planned than this nothing is said: hundredths. */
const [SPOILED_OFF, PRICE_OFF, COVER_OFF] = [2, 2, 10] as const;
/** A margin holds so many words of old. */
const MOST_LESSONS = 2;

const percent = (share: number): number => Math.round(100 * share);

/** What is spoiled, paid and used up here, where it is not what the plan counts on. */
function habitNotes(records: readonly JobRecord[], job: Job): readonly Finding[] {
  const [spoiled, prices, cover] = [spoiledBy(records), pricesBy(records), coverageBy(records)];
  const share = Math.min(50, percent(spoiled.value));
  const over = percent(prices.value) - 100;
  const more = percent(cover.value) - 100;
  return [
    ...(spoiled.count >= BOARDS && Math.abs(share - job.shop.spoiled) >= SPOILED_OFF
      ? [
          note(null, 'spoil-habit', 'care', 'stock', {
            title: say`${share} boards of a hundred are spoiled here`,
            because: say`By your record of ${strong(spoiled.count)} boards, drawn towards the usual ${percent(spoiled.usual)}. The spares are counted for ${job.shop.spoiled}.`,
            numbers: { share, boards: spoiled.count },
            remedies: [{ label: say`Count on ${share}`, changes: [set(null, ['shop', 'spoiled'], share)] }],
          }),
        ]
      : []),
    ...(prices.count >= PURCHASES && Math.abs(over) >= PRICE_OFF
      ? [
          note(null, 'price-habit', 'care', 'stock', {
            title: say`You pay ${Math.abs(over)} % ${over > 0 ? 'more' : 'less'} than the list says`,
            because: say`By the receipts of ${strong(prices.count)} purchases, drawn towards the list. The prices under Stock can be typed as they are now.`,
            numbers: { percent: over, purchases: prices.count },
          }),
        ]
      : []),
    ...(cover.count >= PRODUCTS && Math.abs(more) >= COVER_OFF
      ? [
          note(null, 'cover-habit', 'care', 'finish', {
            title: say`You use ${Math.abs(more)} % ${more > 0 ? 'more' : 'less'} out of the can`,
            because: say`By your record of ${strong(cover.count)} cans, against what was planned. The amounts here are the usual ones.`,
            numbers: { percent: more, cans: cover.count },
          }),
        ]
      : []),
  ];
}

const STAGE_OF: Readonly<Record<WorkKind, StageName>> = {
  errand: 'stock',
  saw: 'cuts',
  prepare: 'build',
  join: 'build',
  sand: 'finish',
  coat: 'finish',
  other: 'build',
};
const SAWS: ReadonlySet<Tool> = new Set([
  'hand saw',
  'circular saw',
  'guide',
  'mitre saw',
  'table saw',
  'planer',
  'jointer',
]);

/** Where words of old come back: by the work, the tool, or what is built. */
const stageOf = ({ work, tool, family }: Lesson): StageName =>
  work !== null
    ? STAGE_OF[work]
    : tool !== null
      ? SAWS.has(tool)
        ? 'cuts'
        : 'build'
      : family === ''
        ? 'brief'
        : 'shape';

/** What is about to be done, by the work that is left. */
function aheadOf({ job, calendar }: Pick<Facts, 'job' | 'calendar'>): Ahead {
  const tasks = calendar.sessions.flatMap(({ placed }) => placed.map(({ task }) => task));
  return {
    families: new Set(job.pieces.map(({ family }) => family)),
    works: new Set(tasks.map(({ kind }) => kind)),
    tools: new Set(tasks.flatMap(({ tool }) => tool ?? [])),
  };
}

const LEADS: Readonly<Record<Exclude<Lesson['how'], null>, string>> = {
  'cut wrong': 'A part was cut wrong',
  split: 'A part split',
  'drilled wrong': 'A hole came out wrong',
  'joined wrong': 'Something was joined wrong',
  'finish spoiled': 'A coat was spoiled',
  other: 'Something went wrong',
};

/** Where and when it was. */
const whereOf = ({ jobName, day }: Lesson): string => `${jobName}${day === null ? '' : ` (${dateWords(day)})`}`;

/** What was learned with the same words at several jobs is one lesson: in the order of the first of each. */
function alike(lessons: readonly Lesson[]): readonly (readonly Lesson[])[] {
  const rows = new Map<string, Lesson[]>();
  for (const lesson of lessons) {
    const { id, how, tool, text } = lesson;
    const key = text === '' ? id : JSON.stringify([stageOf(lesson), how, tool, text.trim()]);
    rows.set(key, [...(rows.get(key) ?? []), lesson]);
  }
  return [...rows.values()];
}

function lessonNotes(facts: Facts): readonly Finding[] {
  const told = new Map<StageName, number>();
  const lessons = facts.records.flatMap((record) => record.lessons);
  return alike(applying(lessons, aheadOf(facts))).flatMap((same) => {
    const lesson = first(same);
    const stage = stageOf(lesson);
    const count = (told.get(stage) ?? 0) + 1;
    told.set(stage, count);
    if (count > MOST_LESSONS) return [];
    const { how, text, id, tool } = lesson;
    const minutes = same.reduce((sum, one) => sum + one.minutes, 0);
    const cost = minutes >= 1 ? say` It cost ${strong(Math.round(minutes))} minutes.` : say``;
    return [
      note(null, 'lesson', 'care', stage, {
        which: id,
        title:
          how === null
            ? say`You wanted to do this otherwise`
            : say`${LEADS[how]} last time${tool ? `, at the ${tool}` : ''}`,
        because: say`${text === '' ? '' : `“${text}” `}${listOf([...new Set(same.map(whereOf))])}.${cost}`,
      }),
    ];
  });
}

/** What is known by now of the hours of this job. */
function hoursNotes({ job, hours, pace }: Facts): readonly Finding[] {
  const { times } = ownRecord(job);
  const rows = Object.values(times);
  const count = rows.reduce((sum, row) => sum + row.count, 0);
  if (count === 0 || hours.likely === 0) return [];
  const planned = rows.reduce((sum, row) => sum + row.planned, 0);
  const minutes = rows.reduce((sum, row) => sum + row.minutes, 0);
  const factor = percent(minutes / planned);
  return [
    note(null, 'pace', factor > 100 ? 'care' : 'good', 'log', {
      title: say`${factor} % of the usual time so far`,
      because: say`${strong(count)} ${count === 1 ? 'timing' : 'timings'} in this job: ${inWords(minutes)} for what usually takes ${inWords(planned)}. What is left takes ${strong(inWords(hours.likely))}, eight times in ten between ${inWords(hours.low)} and ${inWords(hours.high)}${pace.jobs > 1 ? `, by ${pace.jobs} jobs` : ''}.`,
      numbers: { percent: factor, timings: count },
    }),
  ];
}

/** What this builder's own record says of what lies ahead. */
export const recordNotes = (facts: Facts): readonly Finding[] => [
  ...habitNotes([...facts.records, ownRecord(facts.job)], facts.job),
  ...lessonNotes(facts),
  ...hoursNotes(facts),
];
