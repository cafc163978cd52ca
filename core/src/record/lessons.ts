import type { Entry, Mishap, Tool, WorkKind } from '../job';

/** Something that went wrong, or words for next time: where it comes back, and of which job it is. */
export type Lesson = {
  readonly id: string;
  readonly job: string;
  readonly jobName: string;
  readonly day: string | null;
  readonly how: Mishap | null;
  readonly text: string;
  readonly minutes: number;
  readonly wood: number;
  readonly family: string;
  readonly work: WorkKind | null;
  readonly tool: Tool | null;
};

/** Lessons of the entries of a job that stand. */
export const lessonsOf = (job: string, jobName: string, standing: readonly Entry[]): readonly Lesson[] =>
  standing.flatMap((entry): readonly Lesson[] => {
    if (entry.what !== 'mishap' && !(entry.what === 'note' && entry.next)) return [];
    const { id, at, family, work, tool } = entry;
    const common = { id, job, jobName, day: at?.slice(0, 10) ?? null, family, work, tool };
    return entry.what === 'mishap'
      ? [{ ...common, how: entry.how, text: entry.note, minutes: entry.minutes, wood: entry.wood }]
      : [{ ...common, how: null, text: entry.text, minutes: 0, wood: 0 }];
  });

/** What work is about to be done: families, kinds of work and tools of a job. */
export type Ahead = {
  readonly families: ReadonlySet<string>;
  readonly works: ReadonlySet<WorkKind>;
  readonly tools: ReadonlySet<Tool>;
};

/**
 * Lessons that apply to work ahead, the likeliest to help first: of the same family and the same work or tool, then of
 * either. What names neither applies to everything, last.
 */
export function applying(lessons: readonly Lesson[], { families, works, tools }: Ahead): readonly Lesson[] {
  const weight = ({ family, work, tool }: Lesson): number => {
    const fits = [
      family === '' ? null : families.has(family),
      work === null ? null : works.has(work),
      tool === null ? null : tools.has(tool),
    ].filter((fit) => fit !== null);
    return fits.length === 0 ? 0.5 : fits.filter(Boolean).length;
  };
  return lessons
    .map((lesson) => ({ lesson, weight: weight(lesson) }))
    .filter((row) => row.weight > 0)
    .sort((a, b) => b.weight - a.weight || ((a.lesson.day ?? '') < (b.lesson.day ?? '') ? 1 : -1))
    .map(({ lesson }) => lesson);
}
