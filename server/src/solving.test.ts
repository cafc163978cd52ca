import { pino } from 'pino';
import type { Knex } from 'knex';
import request from 'supertest';
import { solveExactly, type CutProblem } from '@sill/core';
import { makeApp } from './app';
import { openDatabase } from './database';
import type { Solver } from './solving';
import { realServer } from './testing/real-server';

const problem: CutProblem = {
  format: 'sill-plan/cut-problem@1',
  unit: 'in',
  kerf: 0.125,
  objective: 'cost',
  stock: [
    {
      id: '2x4x8',
      kind: 'board',
      material: 'spf',
      length: 96,
      width: 3.5,
      thickness: 1.5,
      price: 4.36,
      available: null,
      trim: { ends: 0.5, edges: 0 },
      defects: [],
    },
  ],
  parts: [
    { id: 'leg', quantity: 500, material: 'spf', length: 30, width: 3.5, thickness: 1.5, grain: 'any' },
    { id: 'rail', quantity: 40, material: 'spf', length: 17, width: 3.5, thickness: 1.5, grain: 'any' },
  ],
};

let database: Knex;
beforeAll(async () => (database = await openDatabase(':memory:')));
afterAll(() => database.destroy());
const asking = (solver: Solver) => makeApp({ database, log: pino({ level: 'silent' }), solver });

test('a list that can not be read is refused by field; two searches at a time, the third is told', async () => {
  const waiting: (() => void)[] = [];
  const slow: Solver = (given) => new Promise((done) => waiting.push(() => done(solveExactly(given))));
  const app = asking(slow);
  const server = app.listen(0, '127.0.0.1');
  const ask = (body: object) => request(server).post('/api/solve').send(body);
  const bad = await ask({ problem: { ...problem, kerf: -1 } }).expect(422);
  expect(bad.body.error.fields[0]).toMatchObject({ field: 'problem, kerf', message: 'must be at least 0' });
  const two = [ask({ problem }).then((answer) => answer), ask({ problem }).then((answer) => answer)];
  while (waiting.length < 2) await new Promise((done) => setTimeout(done, 10));
  expect((await ask({ problem }).expect(503)).body.error.code).toBe('busy');
  waiting.forEach((go) => go());
  for (const answer of await Promise.all(two)) {
    expect(answer.status).toBe(200);
    expect(answer.body.solved).toEqual(JSON.parse(JSON.stringify(solveExactly(problem))));
  }
  server.close();
});

test('a search that nobody waits for is ended', async () => {
  const ends: string[] = [];
  const never: Solver = (_given, ended) =>
    new Promise((_done, refuse) =>
      ended.addEventListener('abort', () => {
        ends.push('ended');
        refuse(new Error('ended'));
      }),
    );
  const server = asking(never).listen(0, '127.0.0.1');
  await new Promise((done) => server.once('listening', done));
  const { port } = server.address() as { port: number };
  const gone = new AbortController();
  const asked = fetch(`http://127.0.0.1:${port}/api/solve`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ problem }),
    signal: gone.signal,
  }).catch(() => 'gone');
  await new Promise((done) => setTimeout(done, 200));
  gone.abort();
  expect(await asked).toBe('gone');
  for (let tries = 0; tries < 100 && ends.length === 0; tries++) await new Promise((done) => setTimeout(done, 20));
  expect(ends).toEqual(['ended']);
  server.closeAllConnections();
  server.close();
});

test('the real server solves a long list in a process of its own, as the core does, and goes on answering', async () => {
  const server = await realServer();
  const asked = fetch(`${server.address}/api/solve`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ problem }),
  });
  expect((await fetch(`${server.address}/api/health`)).ok).toBe(true);
  const { solved } = (await (await asked).json()) as { solved: ReturnType<typeof solveExactly> };
  const pieces = solved.layouts.flatMap((layout) => layout.pieces.map(({ part }) => part));
  expect(pieces.filter((part) => part === 'leg')).toHaveLength(500);
  // Three legs of 30 a board (90.25 of 95) and no room for a rail: 167 boards; five rails of 17 on each of eight more.
  expect(solved.status).toBe('optimal');
  expect(solved.cost).toBe(solveExactly(problem).cost);
  await server.end();
}, 60_000);
