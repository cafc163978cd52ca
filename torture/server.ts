import { spawn, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import { buildSync } from 'esbuild';
import { freePort } from '../server/src/testing/free-port';
import { pause } from './ordeal';

export const ROOT = join(import.meta.dirname, '..');
/** Bundled where the built interface is found from it as from the sources. */
const BUILT = join(ROOT, 'server/.torture');

/** The server as it ships and its commands, bundled: it is started over and over. */
export function bundled(): { readonly server: string; readonly backup: string } {
  const one = (from: string, to: string) => {
    const outfile = join(BUILT, to);
    buildSync({
      entryPoints: [join(ROOT, 'server/src', from)],
      outfile,
      bundle: true,
      platform: 'node',
      format: 'esm',
      packages: 'external',
      alias: {
        '@sill/core/contract': join(ROOT, 'core/src/contract/index.ts'),
        '@sill/core': join(ROOT, 'core/src/index.ts'),
      },
      logLevel: 'warning',
    });
    return outfile;
  };
  return { server: one('main.ts', 'main.mjs'), backup: one('backup-command.ts', 'backup-command.mjs') };
}

/** A server process on one database file that is killed with -9 and started again. */
export class Killable {
  private process: ChildProcess | null = null;
  private said = '';
  port = 0;
  constructor(
    private readonly program: string,
    readonly file: string,
  ) {}
  get url() {
    return `http://127.0.0.1:${this.port}`;
  }
  /** Starts without waiting until it answers. */
  async begin(): Promise<void> {
    // One that is still there would be left behind, with nobody to end it.
    await this.kill();
    if (this.port === 0) this.port = await freePort();
    this.said = '';
    this.process = spawn(process.execPath, [this.program], {
      cwd: ROOT,
      stdio: ['ignore', 'ignore', 'pipe'],
      env: {
        ...process.env,
        SILL_PORT: String(this.port),
        SILL_DATABASE: this.file,
        SILL_DEMO: '1',
        SILL_LOG: 'silent',
      },
    });
    this.process.stderr!.on('data', (text: Buffer) => (this.said += text.toString()));
  }
  async start(): Promise<void> {
    await this.begin();
    for (let tries = 0; tries < 600; tries++) {
      if (this.process!.exitCode !== null) throw new Error(`the server does not start: ${this.said.trim()}`);
      if ((await fetch(`${this.url}/api/health`).catch(() => null))?.ok) return;
      await pause(25);
    }
    throw new Error('the server does not answer after 15 s');
  }
  kill(): Promise<void> {
    const { process: running } = this;
    if (!running || running.exitCode !== null || running.signalCode !== null) return Promise.resolve();
    return new Promise((done) => {
      running.once('exit', () => done());
      running.kill('SIGKILL');
    });
  }
}
