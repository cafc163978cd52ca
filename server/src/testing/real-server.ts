import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from './free-port';

/**
 * The real server on a real file, which can be killed and started again on the same file.
 *
 * @param how `program`: what is started, by itself as `npm start` runs it; put together in one file it starts sooner,
 * but has no process for a long search. `demo`: whether the demo is in it.
 */
export async function realServer({
  program = ['--import', 'tsx', 'server/src/main.ts'],
  demo = false,
}: {
  readonly program?: readonly string[];
  readonly demo?: boolean;
} = {}) {
  const folder = mkdtempSync(join(tmpdir(), 'sill-server-'));
  const port = await freePort();
  const run = () =>
    spawn(process.execPath, program, {
      stdio: 'ignore',
      env: {
        ...process.env,
        SILL_PORT: String(port),
        SILL_DATABASE: join(folder, 'jobs.db'),
        SILL_DEMO: demo ? '1' : '0',
      },
    });
  let server = run();
  const address = `http://127.0.0.1:${port}`;
  const answers = async () => {
    for (let tries = 0; tries < 150; tries++) {
      const answer = await fetch(`${address}/api/health`).catch(() => null);
      if (answer?.ok) return;
      await new Promise((done) => setTimeout(done, 100));
    }
    throw new Error('the server did not start');
  };
  const kill = () =>
    new Promise<void>((done) => {
      server.once('exit', () => done());
      server.kill('SIGKILL');
    });
  await answers();
  return {
    address,
    kill,
    restart: async () => {
      server = run();
      await answers();
    },
    end: async () => {
      await kill();
      rmSync(folder, { recursive: true });
    },
  };
}
