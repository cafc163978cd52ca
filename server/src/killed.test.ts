import { join } from 'node:path';
import { demoJob } from '@sill/core';
import { builtProgram } from './testing/built-program';
import { realServer } from './testing/real-server';

const ROOT = join(__dirname, '..', '..');

test('killed during a save, what was answered is there and the job is whole', async () => {
  const server = await realServer({ program: [builtProgram(ROOT, 'main.ts', 'main-killed-test.mjs')], demo: true });
  const save = (revision: number) =>
    fetch(`${server.address}/api/jobs/demo`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ revision, job: { ...demoJob(), name: `save ${revision}` } }),
    });
  let answered = 1;
  for (; answered <= 8; answered++) expect((await save(answered)).status).toBe(200);
  const cutOff = save(answered).catch(() => null);
  await new Promise((done) => setTimeout(done, 2));
  await server.kill();
  await cutOff;
  await server.restart();
  const body = (await (await fetch(`${server.address}/api/jobs/demo`)).json()) as {
    revision: number;
    job: { name: string; pieces: unknown[] };
  };
  await server.end();
  expect([answered, answered + 1]).toContain(body.revision);
  expect(body.job.name).toBe(`save ${body.revision - 1}`);
  expect(body.job.pieces).toHaveLength(4);
}, 60_000);
