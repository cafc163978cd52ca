import { useMemo } from 'react';
import { labelsOf } from '@sill/core';
import { useJob } from '../state/hooks';

/** Names of parts as written on the wood, for the job on the bench. */
export function useLabel(): (partId: string) => string {
  const job = useJob();
  // Asked for at every piece of every board: the marks are worked out once a job.
  return useMemo(() => labelsOf(job), [job]);
}

/** The last figure or letter of a tag apart: what a run counts along. */
function parse(label: string): { readonly head: string; readonly at: number; readonly last: string } {
  const [, head = label, last = ''] = /^(.*?)(\d+|[A-Z])$/.exec(label) ?? [];
  return { head, last, at: /\d/.test(last) ? Number(last) : last === '' ? 0 : last.charCodeAt(0) };
}

/** `L1–L4, W1A–W1F` from the tags of parts: runs are drawn together. */
export function runs(labels: readonly string[]): string {
  const sorted = [...new Set(labels)]
    .map(parse)
    .sort((a, b) => a.head.localeCompare(b.head, 'en', { numeric: true }) || a.at - b.at);
  const out: { head: string; from: string; to: string; at: number; count: number }[] = [];
  for (const { head, at, last } of sorted) {
    const run = out.at(-1);
    if (run && run.head === head && at === run.at + 1) Object.assign(run, { to: last, at, count: run.count + 1 });
    else out.push({ head, from: last, to: last, at, count: 1 });
  }
  return out
    .map(({ head, from, to, count }) =>
      count === 1
        ? `${head}${from}`
        : count === 2
          ? `${head}${from}, ${head}${to}`
          : `${head}${from}–${head.replace(/^.*-/, '')}${to}`,
    )
    .join(', ');
}
