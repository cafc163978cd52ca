import { demoJob, type Job, type OnHand, type Rack } from '@sill/core';
import { takeAlong, takeIn } from './travel';

const hand = (id: string, photo?: string): OnHand => ({
  id,
  material: '2x4',
  length: 300_000,
  width: 28_448,
  count: 1,
  squared: false,
  bad: [],
  where: '',
  note: '',
  ...(photo === undefined ? {} : { photo }),
});
const shown: Job = {
  ...demoJob(),
  name: 'Goes along',
  ledger: [{ id: 'f1', at: null, what: 'found', hand: hand('h1', 'old') }],
};

type Machine = {
  readonly jobs: Map<string, Job>;
  readonly photos: Map<string, Uint8Array>;
  rack: { revision: number; value: Rack } | null;
  /** What it refuses, by the beginning of the address, once it is asked with this method. */
  refuses: string | null;
};

/** A server as a browser sees it: over `fetch` alone, with what it keeps. */
function machine(more: Partial<Machine> = {}): Machine {
  const kept: Machine = { jobs: new Map(), photos: new Map(), rack: null, refuses: null, ...more };
  const json = (value: unknown, status = 200) => new Response(JSON.stringify(value), { status });
  const refused = (status: number, message: string) =>
    json({ error: { code: 'refused', message, fields: [], current: null } }, status);
  globalThis.fetch = (async (address: string, { method = 'GET', body }: { method?: string; body?: unknown }) => {
    const path = new URL(address, 'http://here').pathname;
    const [, , kind, id] = path.split('/');
    if (kept.refuses !== null && `${method} ${path}`.startsWith(kept.refuses)) return refused(507, 'The disk is full.');
    if (kind === 'photos' && method === 'POST') {
      const made = `photo-${kept.photos.size + 1}`;
      kept.photos.set(made, new Uint8Array(await (body as Blob).arrayBuffer()));
      return json({ id: made });
    }
    if (kind === 'photos') {
      const bytes = kept.photos.get(id!);
      return bytes ? new Response(bytes as Uint8Array<ArrayBuffer>) : refused(404, 'There is no such photo.');
    }
    if (kind === 'jobs' && method === 'POST') {
      const made = `job-${kept.jobs.size + 1}`;
      const { job } = JSON.parse(body as string) as { job: Job };
      kept.jobs.set(made, job);
      return json({ id: made, revision: 1, savedAt: '', save: null, job });
    }
    if (kind === 'jobs') return json({ id, revision: 1, savedAt: '', save: null, job: kept.jobs.get(id!) });
    if (kind === 'racks' && method === 'GET') return json(kept.rack ? [{ id: 'rack', savedAt: '', ...kept.rack }] : []);
    const { revision, value } = JSON.parse(body as string) as { revision: number; value: Rack };
    expect(revision).toBe(kept.rack?.revision ?? 0);
    kept.rack = { revision: revision + 1, value };
    return json({ id: 'rack', revision: revision + 1, savedAt: '' });
  }) as unknown as typeof fetch;
  return kept;
}
const { fetch: asItWas } = globalThis;
afterAll(() => void (globalThis.fetch = asItWas));

const summary = (id: string) => ({ id, name: id, revision: 1, savedAt: '', pieces: [] });
const file = (bytes: Uint8Array) => new Blob([bytes as Uint8Array<ArrayBuffer>]);
const picture = new Uint8Array([0xff, 0xd8, 0xff, 9]);
const rackOf = (...pieces: OnHand[]) => ({ revision: 4, value: { pieces, cans: [] } });

/** What a machine with one job, its photo and a rack of one board gives along. */
async function packedUp(): Promise<Blob> {
  machine({ jobs: new Map([['a', shown]]), photos: new Map([['old', picture]]), rack: rackOf(hand('r1')) });
  return file(await takeAlong([summary('a')], true));
}

test('a job goes to another machine with its photo under a new id, and what the rack there lacks', async () => {
  const given = await packedUp();
  const there = machine({ rack: rackOf(hand('r0')) });
  const { ids, says, problems } = await takeIn(given);
  expect(problems).toEqual([]);
  expect(says).toBe('1 job came in, with 1 photo, 1 row put on the rack.');
  expect(ids).toEqual(['job-1']);
  const [entry] = there.jobs.get('job-1')!.ledger;
  expect(entry).toMatchObject({ what: 'found', hand: { id: 'h1', photo: 'photo-1' } });
  expect(there.photos.get('photo-1')).toEqual(picture);
  expect(there.rack!.value.pieces.map(({ id }) => id)).toEqual(['r0', 'r1']);
});

test('brought in twice the jobs are two, the rack has each row once', async () => {
  const given = await packedUp();
  const there = machine();
  await takeIn(given);
  const { says } = await takeIn(given);
  expect(says).toBe('1 job came in, with 1 photo, 0 rows put on the rack.');
  expect(there.jobs.size).toBe(2);
  expect(there.rack!.value.pieces).toHaveLength(1);
  expect(there.rack!.revision).toBe(1);
});

test('without the rack nothing of it goes along', async () => {
  machine({ jobs: new Map([['a', demoJob()]]), rack: rackOf(hand('r1')) });
  const given = file(await takeAlong([summary('a')], false));
  const there = machine();
  expect((await takeIn(given)).says).toBe('1 job came in.');
  expect(there.rack).toBeNull();
});

test('a photo that is gone is left out where it is packed; the job comes all the same', async () => {
  machine({ jobs: new Map([['a', shown]]) });
  const given = file(await takeAlong([summary('a')], false));
  const there = machine();
  expect((await takeIn(given)).says).toBe('1 job came in.');
  const [entry] = there.jobs.get('job-1')!.ledger;
  expect(entry).toMatchObject({ what: 'found', hand: { id: 'h1' } });
  expect(JSON.stringify(entry)).not.toContain('photo');
});

test.each([
  ['POST /api/photos', 'A photo was left out: The disk is full.', '1 job came in, 1 row put on the rack.'],
  ['POST /api/jobs', 'Goes along: The disk is full.', '0 jobs came in, with 1 photo, 1 row put on the rack.'],
  [
    'PUT /api/racks',
    'The rack is as it was: The disk is full.',
    '1 job came in, with 1 photo, 0 rows put on the rack.',
  ],
])('what %s refuses is told, the rest comes in', async (refuses, problem, words) => {
  const given = await packedUp();
  machine({ refuses });
  const { says, problems } = await takeIn(given);
  expect(problems).toEqual([problem]);
  expect(says).toBe(words);
});

test('where a photo can not be read for another reason nothing is given along', async () => {
  machine({ jobs: new Map([['a', shown]]), photos: new Map([['old', picture]]), refuses: 'GET /api/photos' });
  await expect(takeAlong([summary('a')], false)).rejects.toThrow('The disk is full.');
});
