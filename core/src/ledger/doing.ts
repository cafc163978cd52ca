import type { EntryOf } from '../job';
import type { Holdings } from './holdings';

/** Work that is ticked off: which, and a print of what it is, so that other work under its name is not done by it. */
export type Doing = { readonly id: string; readonly as: string };

/** A short print of plain data: two hashes of its JSON, in the way of FNV-1a. */
export function printOf(value: unknown): string {
  const text = JSON.stringify(value);
  let low = 0x811c9dc5;
  let high = 0x01000193;
  for (let k = 0; k < text.length; k++) {
    low = Math.imul(low ^ text.charCodeAt(k), 0x01000193) >>> 0;
    high = Math.imul(high ^ (text.charCodeAt(k) + k), 0x85ebca6b) >>> 0;
  }
  return `${low.toString(36)}${high.toString(36)}`;
}

/** Whether work is done as it is told now. Of old jobs only its name is known. */
export const isDone = ({ id, as }: Doing, { done }: Holdings): boolean => {
  const entry = done.get(id);
  return entry !== undefined && (entry.as === null || entry.as === as);
};

/** That work is done. */
export const doneAs = ({ id, as }: Doing, stamp: Pick<EntryOf<'done'>, 'id' | 'at'>): EntryOf<'done'> => ({
  ...stamp,
  what: 'done',
  of: id,
  as,
});
