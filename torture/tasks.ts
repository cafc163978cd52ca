import type { Browser } from '@playwright/test';

/** One task of a main thread: how long on the clock, how much of the processor, how long after the page began. */
export type Task = { readonly ms: number; readonly cpu: number; readonly after: number };

/** An event of a trace as the browser writes it; times in microseconds, `tdur` of the thread alone. */
type Traced = {
  readonly name: string;
  readonly pid: number;
  readonly tid: number;
  readonly ts: number;
  readonly dur?: number;
  readonly tdur?: number;
};

/** A page sets this mark as it begins, with its own time after it, so that its thread is found in the trace. */
export const BEGAN = 'sill-began ';

export const startTasks = (browser: Browser): Promise<void> =>
  browser.startTracing(undefined, { categories: ['toplevel', 'blink.user_timing'] });

/** Tasks over `least` milliseconds of all pages that began since; of which page, they do not say. */
export async function endTasks(browser: Browser, least: number): Promise<readonly Task[]> {
  const { traceEvents: events } = JSON.parse((await browser.stopTracing()).toString()) as {
    readonly traceEvents: readonly Traced[];
  };
  const began = events.flatMap(({ name, ts, ...of }) =>
    name.startsWith(BEGAN) ? [{ ...of, ts: ts - 1000 * Number(name.slice(BEGAN.length)) }] : [],
  );
  return events.flatMap(({ name, pid, tid, ts, dur = 0, tdur = 0 }) => {
    if (!name.includes('RunTask') || dur < least * 1000) return [];
    const own = began.filter((one) => one.pid === pid && one.tid === tid && one.ts <= ts).at(-1);
    return own ? [{ ms: Math.round(dur / 1000), cpu: Math.round(tdur / 1000), after: (ts - own.ts) / 1000 }] : [];
  });
}
