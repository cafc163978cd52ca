import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import AxeBuilder from '@axe-core/playwright';
import { test as base, expect, type ConsoleMessage, type Locator, type Page } from '@playwright/test';
import { builtProgram } from '../../server/src/testing/built-program';
import { freePort } from '../../server/src/testing/free-port';

const root = join(import.meta.dirname ?? __dirname, '..', '..');

/** The real server on a database of its own; it can be killed and started again on the same file and port. */
export class Sill {
  private process: ChildProcess | null = null;
  constructor(
    private readonly program: string,
    private readonly folder: string,
    private readonly port: number,
    /** Set where other machines may reach it. */
    private readonly host = '127.0.0.1',
    private readonly demo = true,
  ) {}
  get url() {
    return `http://127.0.0.1:${this.port}`;
  }
  get database() {
    return join(this.folder, 'e2e.db');
  }
  /** Sets the passphrase, as the person at the machine does. */
  passphrase(words: string) {
    const command = builtProgram(root, 'access/command.ts', 'e2e-passphrase.mjs');
    const { status, stderr } = spawnSync(process.execPath, [command], {
      cwd: root,
      input: `${words}\n`,
      env: { ...process.env, SILL_DATABASE: this.database },
      encoding: 'utf8',
    });
    if (status !== 0) throw new Error(stderr);
  }
  async start() {
    this.process = spawn(process.execPath, [this.program], {
      cwd: root,
      stdio: 'ignore',
      env: {
        ...process.env,
        SILL_PORT: String(this.port),
        SILL_HOST: this.host,
        SILL_DATABASE: this.database,
        ...(this.demo && { SILL_DEMO: '1' }),
      },
    });
    for (let tries = 0; tries < 600; tries++) {
      if ((await fetch(`${this.url}/api/health`).catch(() => null))?.ok) return;
      await new Promise((done) => setTimeout(done, 100));
    }
    throw new Error('the server did not start');
  }
  kill() {
    return new Promise<void>((done) => {
      if (!this.process || this.process.exitCode !== null) return done();
      this.process.once('exit', () => done());
      this.process.kill('SIGKILL');
    });
  }
}

/** Any script error or blocked content of a page is a trouble of the test. */
function watch(page: Page, troubles: string[]): () => void {
  const failed = (error: Error) => void troubles.push(error.message);
  const told = (message: ConsoleMessage) => {
    if (message.type() === 'error' && !/Failed to load resource/.test(message.text())) troubles.push(message.text());
  };
  page.on('pageerror', failed);
  page.on('console', told);
  return () => {
    page.off('pageerror', failed);
    page.off('console', told);
  };
}

type OfTest = {
  readonly troubles: string[];
  /**
   * A page that was worked in before, as one that is open all day: half of what a test takes on a page of its own is
   * its start. To be gone on from by `goWithin`. What loads anew, or loses its server or its line, has its own `page`.
   */
  readonly warm: Page;
};
type OfWorker = { readonly program: string; readonly sill: Sill; readonly bench: Page };

/** A fresh server for each worker; pages that fail the test on troubles. */
export const test = base.extend<OfTest, OfWorker>({
  program: [
    // Playwright reads the names of fixtures out of this pattern; it must be there even when empty.
    // oxlint-disable-next-line no-empty-pattern
    async ({}, use, { workerIndex }) => use(builtProgram(root, 'main.ts', `e2e-${workerIndex}.mjs`)),
    { scope: 'worker' },
  ],
  sill: [
    async ({ program }, use) => {
      const folder = mkdtempSync(join(tmpdir(), 'sill-e2e-'));
      const sill = new Sill(program, folder, await freePort());
      await sill.start();
      await use(sill);
      await sill.kill();
      rmSync(folder, { recursive: true });
    },
    { scope: 'worker' },
  ],
  bench: [
    async ({ browser, sill }, use, { project: { use: set } }) => {
      const page = await browser.newPage({ ...set.contextOptions, viewport: set.viewport!, baseURL: sill.url });
      await page.goto('/');
      await use(page);
      await page.close();
    },
    { scope: 'worker' },
  ],
  baseURL: async ({ sill }, use) => use(sill.url),
  // oxlint-disable-next-line no-empty-pattern
  troubles: async ({}, use) => use([]),
  page: async ({ page, troubles }, use) => {
    watch(page, troubles);
    await use(page);
    expect(troubles).toEqual([]);
  },
  warm: async ({ bench, viewport, troubles }, use) => {
    await bench.setViewportSize(viewport!);
    await bench.mouse.move(0, 0);
    // Away from the job of the test before: nothing of it is in view, nor what was said last.
    await goWithin(bench, '/');
    await expect(async () => {
      await bench.keyboard.press('Escape');
      await expect(bench.locator('.MuiSnackbar-root')).toHaveCount(0, { timeout: 1000 });
    }).toPass();
    await expect(bench.getByRole('heading', { name: 'Sill Plan' })).toBeVisible();
    const leave = watch(bench, troubles);
    await use(bench);
    leave();
    expect(troubles).toEqual([]);
  },
});

/** A job of its own for a test, made over HTTP from the demo job. Returns its id. */
export async function copyOfDemo(sill: Sill): Promise<string> {
  const answer = await fetch(`${sill.url}/api/jobs/demo/copy`, { method: 'POST' });
  return ((await answer.json()) as { id: string }).id;
}

/** A job of its own with one piece of the demo's alone: planned in a third of the time. Returns its id. */
export async function oneOfDemo(sill: Sill, piece: 'glaze' | 'bench' | 'cart' = 'glaze'): Promise<string> {
  const { job } = (await (await fetch(`${sill.url}/api/jobs/demo`)).json()) as { job: { pieces: { id: string }[] } };
  return made(sill, { ...job, pieces: job.pieces.filter(({ id }) => id === piece) });
}

/** A job made over HTTP; where a passphrase is asked for, by who is signed in. Returns its id. */
export async function made(sill: Sill, job: object, signedIn: { readonly cookie?: string } = {}): Promise<string> {
  const answer = await fetch(`${sill.url}/api/jobs`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...signedIn },
    body: JSON.stringify({ job }),
  });
  if (!answer.ok) throw new Error(await answer.text());
  return ((await answer.json()) as { id: string }).id;
}

/** A job of its own whose first piece is changed; a piece keeps what is not said. Returns its id. */
export async function jobWith(sill: Sill, change: (piece: Record<string, unknown>) => object): Promise<string> {
  const demo = (await (await fetch(`${sill.url}/api/jobs/demo`)).json()) as {
    job: { pieces: Record<string, unknown>[] };
  };
  const [piece] = demo.job.pieces;
  const job = {
    ...demo.job,
    name: 'One piece',
    locks: [],
    ledger: [],
    done: [],
    pieces: [{ ...piece, ...change(piece!) }],
  };
  return made(sill, job);
}

/** To another address of the page that is open, without loading it anew. */
export const goWithin = (page: Page, path: string) =>
  page.evaluate((to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, path);

/** Something that is held is moved over a place until that says so: let go before, it falls beside it. */
export const holdOver = (page: Page, place: Locator) =>
  expect(async () => {
    const { x, y, height } = (await place.boundingBox())!;
    await page.mouse.move(x + 40, y + height / 2, { steps: 8 });
    await expect(place).toHaveAttribute('data-over', 'true', { timeout: 2000 });
    // Where the page scrolls, another place is under it a moment later.
    expect((await place.boundingBox())!.y).toBe(y);
  }).toPass({ timeout: 30_000 });

/** Colours on what lies under them: by far the longest to look at, and the same at any width. */
const CONTRAST = 'color-contrast';

/**
 * What WCAG 2.2 AA has against a page as it is now: a line a rule, with the first places. Looked at are all rules, that
 * of contrast alone, or all but that.
 */
export async function violations(
  page: Page,
  {
    except,
    contrast = 'too',
  }: { readonly except?: string | undefined; readonly contrast?: 'too' | 'alone' | 'not' } = {},
): Promise<readonly string[]> {
  // Half way from one size or colour to another nothing is judged: what moves comes to its end first.
  await page.evaluate(async () => {
    await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
    const ending = document.getAnimations().filter(({ effect }) => effect?.getComputedTiming().iterations !== Infinity);
    await Promise.all(ending.map(({ finished }) => finished.catch(() => {})));
  });
  // No page of ours has frames in it: none is opened to put their findings together. What is right need not be told.
  const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] });
  if (contrast === 'alone') axe.withRules(CONTRAST);
  else axe.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa']);
  if (contrast === 'not') axe.disableRules(CONTRAST);
  if (except !== undefined) axe.exclude(except);
  return (await axe.analyze()).violations.map(
    ({ id, nodes }) =>
      `${id}: ${nodes
        .slice(0, 3)
        .map(({ target }) => target.join(' '))
        .join(' | ')}`,
  );
}

export const saved = (page: Page) => expect(page.locator('.saved')).toHaveText(/^Saved/);

export { expect };
export type { Page };
