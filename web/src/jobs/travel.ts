import { counted, type Job, type Rack } from '@sill/core';
import type { JobSummary } from '@sill/core/contract';
import { ask, Refused } from '../platform/ask';
import { EMPTY_RACK, RACK } from '../state/server';
import { ledgerWithPhotos, packed, photosIn, unpacked, withPhotos } from './bundle';

/** The bytes of a picture; null where it is gone. */
const photo = (id: string): Promise<Uint8Array | null> =>
  ask('photo', { params: { id } }).catch((error: unknown) => {
    if (error instanceof Refused && error.status === 404) return null;
    throw error;
  });

/** Jobs as one file with their photos, and the rack where it comes along. */
export async function takeAlong(summaries: readonly JobSummary[], withRack: boolean): Promise<Uint8Array> {
  const jobs: Job[] = [];
  for (const { id } of summaries) jobs.push((await ask('job', { params: { id } })).job);
  const rack = withRack ? ((await ask('racks', {})).find(({ id }) => id === RACK)?.value ?? EMPTY_RACK) : null;
  const photos = new Map<string, Uint8Array>();
  for (const id of photosIn({ jobs, rack })) {
    const bytes = await photo(id);
    if (bytes) photos.set(id, bytes);
  }
  return packed({ jobs, photos, rack });
}

/** What came in, and what did not, in sentences. */
export type Arrived = { readonly ids: readonly string[]; readonly says: string; readonly problems: readonly string[] };

/**
 * Reads such a file: its photos are kept here, each job is a new one, boards that the rack does not have are put on it.
 */
export async function takeIn(file: Blob): Promise<Arrived> {
  const { jobs, photos, rack, problems: unread } = unpacked(new Uint8Array(await file.arrayBuffer()));
  const problems = [...unread];
  const ids = new Map<string, string>();
  for (const old of photosIn({ jobs, rack })) {
    const bytes = photos.get(old);
    try {
      if (bytes) ids.set(old, (await ask('keepPhoto', { body: new Blob([bytes as Uint8Array<ArrayBuffer>]) })).id);
    } catch (error) {
      problems.push(`A photo was left out: ${(error as Error).message}`);
    }
  }
  const made: string[] = [];
  for (const job of jobs)
    try {
      made.push((await ask('makeJob', { body: { job: { ...job, ledger: ledgerWithPhotos(job.ledger, ids) } } })).id);
    } catch (error) {
      problems.push(`${job.name}: ${(error as Error).message}`);
    }
  const put = rack ? await putOnRack({ ...rack, pieces: withPhotos(rack.pieces, ids) }, problems) : 0;
  const says = [
    `${counted(made.length, 'job')} came in`,
    ...(ids.size > 0 ? [`with ${counted(ids.size, 'photo')}`] : []),
    ...(rack ? [`${counted(put, 'row')} put on the rack`] : []),
  ].join(', ');
  return { ids: made, says: `${says}.`, problems };
}

async function putOnRack({ pieces, cans }: Rack, problems: string[]): Promise<number> {
  try {
    const there = (await ask('racks', {})).find(({ id }) => id === RACK);
    const { pieces: before, cans: cansBefore } = there?.value ?? EMPTY_RACK;
    const known = new Set<string>([...before, ...cansBefore].map(({ id }) => id));
    const [fresh, freshCans] = [pieces.filter(({ id }) => !known.has(id)), cans.filter(({ id }) => !known.has(id))];
    if (fresh.length + freshCans.length > 0)
      await ask('saveRack', {
        params: { id: RACK },
        body: {
          revision: there?.revision ?? 0,
          value: { pieces: [...before, ...fresh], cans: [...cansBefore, ...freshCans] },
        },
      });
    return fresh.length + freshCans.length;
  } catch (error) {
    problems.push(`The rack is as it was: ${(error as Error).message}`);
    return 0;
  }
}
