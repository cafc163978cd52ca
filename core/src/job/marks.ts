import type { Job } from './schema';

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
export function labelsOf(job: Job): (partId: string) => string {
  const marks = marksOf(job);
  return (partId) => {
    const dot = partId.lastIndexOf('.');
    const mark = marks.get(partId.slice(0, dot));
    return mark ? `${mark}-${partId.slice(dot + 1)}` : partId.slice(dot + 1);
  };
}
