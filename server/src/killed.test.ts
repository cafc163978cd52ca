import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoJob } from '@sill/core';

const root = join(__dirname, '..', '..');
let folder: string;
let port: number;
let server: ChildProcess;

const freePort = () =>
  new Promise<number>((done) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as AddressInfo;
      probe.close(() => done(port));
    });
  });

/** Starts the real server on a real file, as `npm start` does, and waits until it answers. */
async function start() {
  server = spawn(process.execPath, ['--import', 'tsx', 'server/src/main.ts'], {
    cwd: root,
    stdio: 'ignore',
    env: { ...process.env, SILL_PORT: String(port), SILL_DATABASE: join(folder, 'jobs.db'), SILL_DEMO: '1' },
  });
  for (let tries = 0; tries < 150; tries++) {
    const answer = await fetch(`http://127.0.0.1:${port}/api/health`).catch(() => null);
    if (answer?.ok) return;
    await new Promise((done) => setTimeout(done, 100));
  }
  throw new Error('the server did not start');
}

const kill = () =>
  new Promise<void>((done) => {
    server.once('exit', () => done());
    server.kill('SIGKILL');
  });

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'sill-killed-'));
  port = await freePort();
});
afterEach(async () => {
  await kill();
  rmSync(folder, { recursive: true });
});

test('killed during a save, what was answered is there and the job is whole', async () => {
  await start();
  const save = (revision: number) =>
    fetch(`http://127.0.0.1:${port}/api/jobs/demo`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ revision, job: { ...demoJob(), name: `save ${revision}` } }),
    });
  let answered = 1;
  for (; answered <= 8; answered++) expect((await save(answered)).status).toBe(200);
  const cutOff = save(answered).catch(() => null);
  await new Promise((done) => setTimeout(done, 2));
  await kill();
  await cutOff;
  await start();
  const body = (await (await fetch(`http://127.0.0.1:${port}/api/jobs/demo`)).json()) as {
    revision: number;
    job: { name: string; pieces: unknown[] };
  };
  expect([answered, answered + 1]).toContain(body.revision);
  expect(body.job.name).toBe(`save ${body.revision - 1}`);
  expect(body.job.pieces).toHaveLength(4);
}, 60_000);
