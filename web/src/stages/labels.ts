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

/** `L1–L4, E1` from the tags of parts: runs are drawn together. */
export function runs(labels: readonly string[]): string {
  const parsed = [...new Set(labels)].map((label) => /^(.*?)(\d+)$/.exec(label)).filter((match) => match !== null);
  const sorted = parsed
    .map((match) => ({ head: match[1]!, number: Number(match[2]) }))
    .sort((a, b) => a.head.localeCompare(b.head) || a.number - b.number);
  const out: { head: string; from: number; to: number }[] = [];
  for (const { head, number } of sorted) {
    const last = out.at(-1);
    if (last && last.head === head && last.to === number - 1) last.to = number;
    else out.push({ head, from: number, to: number });
  }
  return out
    .map(({ head, from, to }) =>
      from === to
        ? `${head}${from}`
        : to === from + 1
          ? `${head}${from}, ${head}${to}`
          : `${head}${from}–${head.replace(/^.*-/, '')}${to}`,
    )
    .join(', ');
}
