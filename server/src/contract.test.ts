import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Knex } from 'knex';
import { pino } from 'pino';
import request, { type Agent } from 'supertest';
import { DEFAULT_SHOP, demoJob, SAMPLE_YARD, solveExactly } from '@sill/core';
import {
  addressOf,
  BYTES,
  FailureSchema,
  ROUTES,
  type Answered,
  type Asked,
  type RouteName,
  type Routes,
} from '@sill/core/contract';
import * as v from 'valibot';
import { setPassphrase } from './access/devices';
import { makeApp } from './app';
import { openDatabase } from './database';
import { seed } from './seed';

const PASSPHRASE = 'glaze kettle ninety birch';
const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);

let folder: string;
let database: Knex;
let agent: Agent;
const asked = new Set<RouteName>();

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'sill-contract-'));
  const file = join(folder, 'contract.db');
  database = await openDatabase(file);
  await seed(database, 'all');
  await setPassphrase(database, PASSPHRASE, 2 ** 10);
  const log = pino({ level: 'silent' });
  const beyond = { addresses: ['http://bench.local:4173'], secure: false };
  const solver = (problem: Parameters<typeof solveExactly>[0]) => Promise.resolve(solveExactly(problem));
  agent = request.agent(makeApp({ database, file, log, names: ['bench.local'], beyond, solver }));
});
afterAll(async () => {
  await database.destroy();
  rmSync(folder, { recursive: true });
});

/**
 * Asks by a route of the contract and holds the answer against its schema: nothing missing, nothing that is not in it.
 */
async function ask<Name extends RouteName>(name: Name, sent: Asked<Routes[Name]>): Promise<Answered<Routes[Name]>> {
  asked.add(name);
  const route = ROUTES[name];
  const { body } = sent as { readonly body?: object };
  const method = route.method.toLowerCase() as 'get' | 'post' | 'put' | 'delete';
  const going = agent[method](addressOf(route, sent as object)).set('Host', 'bench.local');
  if (route.answer === BYTES) going.responseType('blob');
  const answer = await (body === undefined ? going : going.send(body));
  const status = answer.status === 204 ? 204 : ((route as { status?: number }).status ?? 200);
  expect([name, answer.status, answer.body?.error?.message]).toEqual([name, status, undefined]);
  const given: unknown =
    answer.status === 204 ? undefined : route.answer === BYTES ? new Uint8Array(answer.body) : answer.body;
  const read = v.safeParse(route.answer as v.GenericSchema, given);
  expect([name, read.issues?.map((issue) => [v.getDotPath(issue), issue.message])]).toEqual([name, undefined]);
  if (route.answer !== BYTES) expect(read.output).toEqual(given);
  return given as Answered<Routes[Name]>;
}

test('every route of the contract is there and answers what the contract says', async () => {
  await ask('health', {});
  expect(await ask('access', {})).toEqual({ beyond: true, device: null });
  await ask('signIn', { body: { passphrase: PASSPHRASE, device: 'phone' } });
  expect(await ask('access', {})).toMatchObject({ device: { name: 'phone' }, secure: false });
  await ask('devices', {});

  expect((await ask('jobs', { query: {} })).map(({ id }) => id)).toEqual(['demo', 'demo-under-way', 'demo-finished']);
  const { id } = await ask('makeJob', { body: { job: { ...demoJob(), name: 'Another' } } });
  expect(await ask('jobs', { query: { limit: '1' } })).toHaveLength(1);
  const saved = await ask('job', { params: { id } });
  const job = { ...saved.job, budget: 5000 };
  await ask('saveJob', { params: { id }, body: { revision: 1, job, save: 's1', by: 'test' } });
  expect(await ask('revisions', { params: { id } })).toMatchObject([
    { by: 'test', changed: { count: 1 } },
    { by: null },
  ]);
  await ask('revision', { params: { id, revision: 1 } });
  await ask('copyJob', { params: { id } });
  await ask('removeJob', { params: { id } });
  expect(await ask('jobs', { query: { removed: '1' } })).toHaveLength(1);
  await ask('restoreJob', { params: { id } });

  const [yard] = await ask('yards', {});
  await ask('yard', { params: { id: yard!.id } });
  await ask('saveYard', { params: { id: 'mine' }, body: { revision: 0, value: SAMPLE_YARD } });
  await ask('saveShop', { params: { id: 'mine' }, body: { revision: 0, value: DEFAULT_SHOP } });
  await ask('shops', {});
  await ask('shop', { params: { id: 'mine' } });
  await ask('saveRack', { params: { id: 'rack' }, body: { revision: 0, value: { pieces: [], cans: [] } } });
  await ask('racks', {});
  expect((await ask('records', {})).map(({ id }) => id)).toContain('demo-finished');
  await ask('memories', {});
  await ask('saveMemory', {
    params: { id: 'memory' },
    body: { revision: 0, value: { forgotten: [] } },
  });
  await ask('memory', { params: { id: 'memory' } });
  await ask('rack', { params: { id: 'rack' } });

  const day = '2026-11-24';
  const offer = SAMPLE_YARD.boards[0]!.id;
  await ask('prices', { params: { yard: SAMPLE_YARD.id }, query: { day } });
  expect(
    await ask('priceHistory', { params: { yard: SAMPLE_YARD.id, offer }, query: { day, days: '30' } }),
  ).toHaveLength(30);
  await ask('rackBoards', { params: { yard: SAMPLE_YARD.id, offer }, query: { day } });
  await ask('tape', { query: { about: '121920' } });
  await ask('shopAir', { query: { day: '2026-11-24' } });
  const stock = {
    id: 'b',
    kind: 'board',
    material: 'spf',
    length: 96,
    width: 3.5,
    thickness: 1.5,
    price: 4,
    available: null,
  } as const;
  const part = { id: 'leg', quantity: 2, material: 'spf', length: 30, width: 3.5, thickness: 1.5 } as const;
  const problem = {
    format: 'sill-plan/cut-problem@1',
    unit: 'in',
    kerf: 0.125,
    objective: 'cost',
    stock: [stock],
    parts: [part],
  } as const;
  await ask('solve', { body: { problem } as never });

  const photo = await ask('keepPhoto', { body: PIXEL as unknown as Blob });
  expect([...(await ask('photo', { params: photo }))]).toEqual([...PIXEL]);
  const backup = await ask('backup', {});
  await ask('restoreBackup', { body: Buffer.from(backup) as unknown as Blob });

  await ask('signIn', { body: { passphrase: PASSPHRASE } });
  const devices = await ask('devices', {});
  await ask('changePassphrase', { body: { current: PASSPHRASE, next: 'another kettle eighty ash' } });
  expect(devices.length).toBeGreaterThan(0);
  await ask('signOutHere', {});
  await ask('signIn', { body: { passphrase: 'another kettle eighty ash' } });
  const [here] = await ask('devices', {});
  await ask('signOut', { params: { id: here!.id } });
  await ask('signIn', { body: { passphrase: 'another kettle eighty ash' } });
  await ask('signOutAll', {});

  expect((Object.keys(ROUTES) as RouteName[]).filter((name) => !asked.has(name))).toEqual([]);
});

test('what is refused has the one shape, without a word outside it', async () => {
  const refused = await agent.get('/api/jobs').set('Host', 'bench.local').expect(401);
  expect(v.parse(FailureSchema, refused.body)).toEqual(refused.body);
});

test('docs/http.md tells of every route', () => {
  const page = readFileSync(join(__dirname, '../../docs/http.md'), 'utf8');
  expect(
    Object.values(ROUTES)
      .filter(({ path }) => !page.includes(`/api${path}`))
      .map(({ path }) => path),
  ).toEqual([]);
});
