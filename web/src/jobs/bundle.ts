import { strFromU8, strToU8, unzipSync, zipSync, type Zippable } from 'fflate';
import { type Entry, held, type Job, type Rack, readJobText, readRack } from '@sill/core';
import { fileName } from '../platform/files';

/** Jobs on their way to another machine: with the photos they show, and the rack where it comes along. */
export type Bundle = {
  readonly jobs: readonly Job[];
  /** The bytes of each photo by its id. */
  readonly photos: ReadonlyMap<string, Uint8Array>;
  readonly rack: Rack | null;
};

/** Sizes unpacked that a file may have: one thing in it, and all together. */
const MOST_EACH = 8_000_000;
const MOST_ALL = 400_000_000;

/** What an entry shows a photo of. */
const shownIn = (entry: Entry): readonly { readonly photo?: string | undefined }[] =>
  entry.what === 'photographed' ? [entry] : entry.what === 'found' || entry.what === 'fetched' ? [entry.hand] : [];

/** Ids of the photos that jobs and a rack show. */
export const photosIn = ({ jobs, rack }: Pick<Bundle, 'jobs' | 'rack'>): readonly string[] => [
  ...new Set(
    [...jobs.flatMap(({ ledger }) => ledger.flatMap(shownIn)), ...(rack?.pieces ?? [])].flatMap(
      ({ photo }) => photo ?? [],
    ),
  ),
];

/** A ledger with its photos under the ids that this server gave them; those that did not come were never taken. */
export const ledgerWithPhotos = (ledger: Job['ledger'], ids: ReadonlyMap<string, string>): Job['ledger'] =>
  ledger.flatMap((entry): Job['ledger'] => {
    if (entry.what === 'photographed') return ids.has(entry.photo) ? [{ ...entry, photo: held(ids, entry.photo) }] : [];
    return entry.what === 'found' || entry.what === 'fetched'
      ? withPhotos([entry.hand], ids).map((hand) => ({ ...entry, hand }))
      : [entry];
  });

/** One zip file: `jobs/1 Name.json`, `photos/ID`, `rack.json`. */
export function packed({ jobs, photos, rack }: Bundle): Uint8Array {
  const files: Zippable = {};
  jobs.forEach((job, at) => {
    files[`jobs/${at + 1} ${fileName(job.name)}.json`] = strToU8(JSON.stringify(job, null, 2));
  });
  // Pictures are packed already.
  for (const [id, bytes] of photos) files[`photos/${id}`] = [bytes, { level: 0 }];
  if (rack) files['rack.json'] = strToU8(JSON.stringify(rack, null, 2));
  return zipSync(files);
}

/** What can be read of such a file, and why the rest can not, by name. */
export type Unpacked = Bundle & { readonly problems: readonly string[] };

/** @throws Error with a sentence where the file is no zip, or is larger unpacked than any that this program makes. */
export function unpacked(bytes: Uint8Array): Unpacked {
  let all = 0;
  const files = (() => {
    try {
      return unzipSync(bytes, {
        filter: ({ name, originalSize }) => {
          if (!/^jobs\/.+\.json$|^photos\/[\w-]+$|^rack\.json$/.test(name)) return false;
          all += originalSize;
          if (originalSize > MOST_EACH || all > MOST_ALL) throw new Error('too large');
          return true;
        },
      });
    } catch (error) {
      throw new Error(
        (error as Error).message === 'too large'
          ? 'This file is larger unpacked than any that Sill Plan makes.'
          : 'This file is no zip file, or a part of it is missing.',
      );
    }
  })();
  const problems: string[] = [];
  const jobs: Job[] = [];
  const photos = new Map<string, Uint8Array>();
  let rack: Rack | null = null;
  for (const [name, content] of Object.entries(files)) {
    if (name.startsWith('photos/')) photos.set(name.slice('photos/'.length), content);
    else if (name.startsWith('jobs/')) {
      const read = readJobText(strFromU8(content));
      if (read.ok) jobs.push(read.value);
      else problems.push(`${name.slice('jobs/'.length)}: ${read.message}`);
    } else {
      const read = readRack(json(strFromU8(content)));
      if (read.ok) rack = read.value;
      else problems.push(`The rack: ${read.message}`);
    }
  }
  if (jobs.length === 0 && problems.length === 0) throw new Error('There is no job in this file.');
  return { jobs, photos, rack, problems };
}

function json(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** The same with its photos under the ids that this server gave them; a photo that did not come is not shown. */
export function withPhotos<T extends { readonly photo?: string | undefined }>(
  rows: readonly T[],
  ids: ReadonlyMap<string, string>,
): readonly T[] {
  return rows.map(
    ({ photo, ...row }) =>
      ({ ...row, ...(photo !== undefined && ids.has(photo) ? { photo: held(ids, photo) } : {}) }) as unknown as T,
  );
}
