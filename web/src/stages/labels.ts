import { useCallback, useMemo } from 'react';
import type { Job } from '@sill/core';
import { useJob } from '../state/hooks';

/** First letters that tell the pieces of a job apart, as written on the wood before a tag: G, W, T; WA, WE. */
export function marksOf(job: Job): ReadonlyMap<string, string> {
  if (job.pieces.length < 2) return new Map(job.pieces.map((piece) => [piece.id, '']));
  const letters = (name: string, count: number) =>
    name
      .replace(/[^\p{L}\p{N}]/gu, '')
      .slice(0, count)
      .toUpperCase();
  const marks = new Map<string, string>();
  for (const piece of job.pieces) {
    let count = 1;
    const others = job.pieces.filter((other) => other !== piece);
    while (count < 3 && others.some((other) => letters(other.name, count) === letters(piece.name, count))) count++;
    const mark = letters(piece.name, count) || 'P';
    const taken = [...marks.values()].filter((used) => used.replace(/\d+$/, '') === mark).length;
    marks.set(piece.id, taken > 0 ? `${mark}${taken + 1}` : mark);
  }
  return marks;
}

/** `T1` in a job of one piece, `G-T1` where tags of several pieces lie side by side. */
export function useLabel(): (partId: string) => string {
  const job = useJob();
  // Asked for at every piece of every board: the marks are worked out once a job.
  const marks = useMemo(() => marksOf(job), [job]);
  return useCallback(
    (partId: string) => {
      const dot = partId.lastIndexOf('.');
      const mark = marks.get(partId.slice(0, dot));
      return mark ? `${mark}-${partId.slice(dot + 1)}` : partId.slice(dot + 1);
    },
    [marks],
  );
}

/** The last figure or letter of a tag apart: what a run counts along. */
function parse(label: string): { readonly head: string; readonly at: number; readonly last: string } {
  const [, head, last] = /^(.*?)(\d+|[A-Z])$/.exec(label) ?? [label, label, ''];
  return { head: head!, last: last!, at: /\d/.test(last!) ? Number(last) : last === '' ? 0 : last!.charCodeAt(0) };
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
