import { spawn, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import { builtProgram } from '../server/src/testing/built-program';
import { freePort } from '../server/src/testing/free-port';
import { pause } from './ordeal';

export const ROOT = join(import.meta.dirname, '..');
/** The server as it ships and its commands: it is started over and over. */
export const bundled = (): { readonly server: string; readonly backup: string } => ({
  server: builtProgram(ROOT, 'main.ts', 'main.mjs'),
  backup: builtProgram(ROOT, 'backup-command.ts', 'backup-command.mjs'),
});

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
