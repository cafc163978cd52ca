import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { newJob, newPiece, seeded, STARTS, type Job } from '../core/src';
import { goesOn, inLanes, pause, pick, within, type Ordeal } from './ordeal';
import { bundled, Killable, ROOT } from './server';
import { BEGAN, endTasks, startTasks, type Task } from './tasks';

/** A session, and any one step of it, takes no longer. */
const SESSION_MS = 180_000;
/** A page that does not answer for so long was blocked. */
const BLOCK_MS = 200;

/** What is in one job of a few: the first eleven starts, 205 parts at their usual sizes. */
const LARGE = STARTS.slice(0, 11).map(({ id }) => id);

/** What each tab types into: no two tabs the same, so that every value has to come through. */
const FIELDS = [['Name of the piece', 'Where it goes'], ['Name of the job']] as const;
type Field = (typeof FIELDS)[number][number];

/** A tab and what it typed last that was told to be saved or kept, and what it typed after that. */
type Tab = { page: Page | null; readonly fields: readonly Field[] };

/** For how long a page did not answer, in which stage, and how long after its start. */
type Block = { readonly ms: number; readonly stage: string; readonly after: number };
/** The same, and how much of it was its own work where that was traced: the rest, something else had the core. */
type Measured = Block & { readonly cpu: number | null };
/** What a page reports of itself. */
const report = (began: string) => {
  performance.mark(`${began}${performance.now()}`);
  const all = ((globalThis as { blocks?: Block[] }).blocks ??= []);
  // What happens while the page is first drawn is the program's start.
  new PerformanceObserver((list) =>
    list.getEntries().forEach(({ duration, startTime }) => {
      if (startTime <= 3000) return;
      all.push({ ms: Math.round(duration), stage: location.pathname.split('/').at(-1)!, after: Math.round(startTime) });
    }),
  ).observe({ entryTypes: ['longtask'] });
};
/** A browser that has no room, or forbids to keep anything. */
const without = () => {
  IDBFactory.prototype.open = () => {
    throw new DOMException('none', 'SecurityError');
  };
  Storage.prototype.setItem = () => {
    throw new DOMException('full', 'QuotaExceededError');
  };
};

class Session {
  readonly faults: string[] = [];
  readonly blocks: Block[] = [];
  /** What a person was told is saved or kept. */
  readonly sure = new Map<Field, string>();
  /** What was typed since, of which nothing was told. */
  readonly open = new Map<Field, string[]>();
  readonly tabs: readonly Tab[];
  private up = true;
  private offline = false;
  private typed = 0;

  constructor(
    private readonly context: BrowserContext,
    private readonly server: Killable,
    private readonly id: string,
    private readonly roll: () => number,
    tabs: number,
  ) {
    this.tabs = FIELDS.slice(0, tabs).map((fields) => ({ page: null, fields }));
  }

  private get reachable() {
    return this.up && !this.offline;
  }

  async openTab(tab: Tab): Promise<void> {
    if (tab.page || !this.reachable) return;
    const page = await this.context.newPage();
    page.on('pageerror', (error) => this.faults.push(`a script failed: ${error.message}`));
    // The question before leaving a page that has nothing kept.
    page.on('dialog', (dialog) => void dialog.accept().catch(() => {}));
    await page.goto(`${this.server.url}/jobs/${this.id}/brief`);
    await page.getByLabel(tab.fields[0]!).waitFor();
    tab.page = page;
  }

  private async leave(page: Page): Promise<void> {
    this.blocks.push(...(await page.evaluate(() => (globalThis as { blocks?: Block[] }).blocks ?? [])));
  }

  async closeTab(tab: Tab): Promise<void> {
    const { page } = tab;
    if (!page) return;
    tab.page = null;
    await this.leave(page);
    await page.close({ runBeforeUnload: false });
  }

  async reload(tab: Tab): Promise<void> {
    if (!tab.page || !this.reachable) return;
    await this.leave(tab.page);
    await tab.page.reload();
    await tab.page.getByLabel(tab.fields[0]!).waitFor();
  }

  /** Types something; with `wait` until the page says that it has it. */
  async type(tab: Tab, wait: boolean): Promise<void> {
    if (!tab.page) return;
    const field = pick(this.roll, tab.fields);
    const value = `${field.split(' ').at(-1)} ${++this.typed}`;
    await tab.page.getByLabel(field).fill(value);
    this.open.set(field, [...(this.open.get(field) ?? []), value]);
    if (!wait) return;
    const state = tab.page.locator('.saved');
    for (let tries = 0; tries < 80; tries++) {
      await pause(50);
      const [how, says] = [await state.getAttribute('data-state'), (await state.textContent()) ?? ''];
      if (how === 'saved' || /kept in this browser/.test(says)) {
        this.sure.set(field, value);
        this.open.set(field, []);
        return;
      }
    }
  }

  /** Through every stage by the keys, what stages show in turn among them, and back to where it types. */
  async walk(tab: Tab): Promise<void> {
    if (!tab.page) return;
    await tab.page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    for (const key of '2345671') {
      await tab.page.keyboard.press(key);
      await pause(400);
      for (const view of VIEWS[key] ?? []) {
        const button = tab.page.getByRole('button', { name: view, exact: true });
        // Cuts has its views once there is a plan.
        if (!(await button.isVisible())) continue;
        await button.click();
        await pause(400);
      }
    }
    await tab.page.getByLabel(tab.fields[0]!).waitFor();
  }

  async setOffline(offline: boolean): Promise<void> {
    this.offline = offline;
    await this.context.setOffline(offline);
  }
  async kill(): Promise<void> {
    this.up = false;
    await this.server.kill();
  }
  async start(): Promise<void> {
    if (!this.up) await this.server.start();
    this.up = true;
  }

  /** The next few saves fail, each in one of the ways that saves do. */
  async spoil(): Promise<void> {
    let left = 1 + Math.floor(this.roll() * 3);
    const how = pick(this.roll, ['500', '429', 'cut', 'lost', 'slow', 'nonsense'] as const);
    await this.context.route(/\/api\/jobs\/[^/]+$/, async (route) => {
      if (route.request().method() !== 'PUT' || left-- <= 0) return route.continue();
      const refused = (status: number) =>
        route.fulfill({
          status,
          contentType: 'application/json',
          body: '{"error":{"code":"failed","message":"Not now.","fields":[]}}',
        });
      if (how === '500') return refused(500);
      if (how === '429') return refused(429);
      if (how === 'nonsense') return route.fulfill({ status: 200, contentType: 'text/html', body: '<p>Hello' });
      if (how === 'cut') return route.abort();
      if (how === 'slow') await pause(600);
      if (how !== 'lost') return route.continue();
      await route.fetch().catch(() => null);
      return route.abort();
    });
  }

  /** All is well again: what was told must be there. */
  async settle(): Promise<void> {
    await this.start();
    await this.setOffline(false);
    await this.context.unrouteAll({ behavior: 'ignoreErrors' });
    for (const tab of this.tabs) {
      await this.openTab(tab);
      await tab.page!.locator('.saved[data-state=saved]').waitFor({ timeout: 60_000 });
    }
    // What closed tabs left comes in with the next ones.
    for (let round = 0; round < 3; round++) {
      await this.reload(this.tabs[0]!);
      await this.tabs[0]!.page!.locator('.saved[data-state=saved]').waitFor({ timeout: 60_000 });
    }
    const { job } = (await (await fetch(`${this.server.url}/api/jobs/${this.id}`)).json()) as {
      job: { name: string; pieces: readonly { name: string; where: string }[] };
    };
    const there: Record<Field, string> = {
      'Name of the job': job.name,
      'Name of the piece': job.pieces[0]!.name,
      'Where it goes': job.pieces[0]!.where,
    };
    for (const [field, value] of this.sure)
      if (there[field] !== value && !this.open.get(field)!.includes(there[field]))
        this.faults.push(`“${value}” was told to be kept, and ${field} is “${there[field]}”`);
    for (const tab of this.tabs) await this.closeTab(tab);
  }
}

/** What else stages show, by the key of the stage. */
const VIEWS: Readonly<Record<string, readonly string[]>> = {
  '3': ['Whole job'],
  '4': ['My shop', 'Yards', 'Screws and the rest', 'To buy'],
  '5': ['By saw setup', 'By piece', 'By board'],
};

const jobOf = (starts: readonly string[]): Job => ({
  ...newJob('torture'),
  pieces: starts.map((start) => newPiece(start, start)),
});

/**
 * One session: a job of its own, two tabs, a dozen steps, each rolled. A large job has one tab: two that plan it at
 * once would measure how two planners share the machine.
 */
async function session(browser: Browser, server: Killable, seed: number): Promise<Pick<Session, 'faults' | 'blocks'>> {
  const roll = seeded(seed);
  const large = roll() < 0.25;
  await server.start().catch(() => {});
  const made = await fetch(`${server.url}/api/jobs`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ job: jobOf(large ? LARGE : ['coffee']) }),
  });
  const { id } = (await made.json()) as { id: string };
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  await context.addInitScript(report, BEGAN);
  if (roll() < 0.15) await context.addInitScript(without);
  const own = new Session(context, server, id, roll, large ? 1 : FIELDS.length);
  const steps: string[] = [];
  try {
    await own.openTab(own.tabs[0]!);
    for (let step = 0; step < 12; step++) {
      const tab = pick(roll, own.tabs);
      const what = pick(roll, [
        'type',
        'type',
        'type',
        'hasty',
        'hasty',
        'walk',
        'reload',
        'close',
        'open',
        'offline',
        'online',
        'kill',
        'start',
        'spoil',
      ] as const);
      steps.push(what);
      if (what === 'type') await own.type(tab, true);
      else if (what === 'hasty') await own.type(tab, false);
      else if (what === 'walk') await own.walk(tab);
      else if (what === 'reload') await own.reload(tab);
      else if (what === 'close') await own.closeTab(tab);
      else if (what === 'open') await own.openTab(tab);
      else if (what === 'offline') await own.setOffline(true);
      else if (what === 'online') await own.setOffline(false);
      else if (what === 'kill') await own.kill();
      else if (what === 'start') await own.start();
      else await own.spoil();
    }
    await own.settle();
  } catch (error) {
    own.faults.push((error as Error).message.split('\n').slice(0, 3).join(' '));
  } finally {
    await context.close().catch(() => {});
    await own.start();
  }
  return { faults: own.faults.map((fault) => `seed ${seed}: ${fault} (${steps.join(' ')})`), blocks: own.blocks };
}

/** How much of a block was the page's own work: of the task that began and ended when it did. */
const workOf = ({ ms, after }: Block, tasks: readonly Task[]): number | null =>
  tasks.find((task) => Math.abs(task.after - after) < 60 && Math.abs(task.ms - ms) < 30)?.cpu ?? null;

/**
 * Browser sessions in which the network, the server, the storage and the tabs fail at random: what a person was told to
 * be saved or kept is.
 */
export const sessions: Ordeal = async ({ until, seed, most, lanes }) => {
  if (!existsSync(join(ROOT, 'web/dist/index.html')))
    return { tried: 0, faults: ['the interface is not built: `npm run build`'], said: '' };
  const { server: program } = bundled();
  const browser = await chromium.launch({
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox'],
  });
  const faults: string[] = [];
  const blocks: (Measured & { readonly seed: number })[] = [];
  // One browser writes one trace: of pages that have it to themselves.
  const isTraced = lanes === 1;
  let [tried, begun] = [0, 0];
  const oneByOne = async () => {
    const folder = mkdtempSync(join(tmpdir(), 'sill-sessions-'));
    const server = new Killable(program, join(folder, 'jobs.db'));
    await server.start();
    while (goesOn({ until, most }, begun)) {
      const own = seed * 100_003 + begun++;
      try {
        if (isTraced) await startTasks(browser);
        let tasks: readonly Task[] = [];
        let outcome: Pick<Session, 'faults' | 'blocks'>;
        try {
          outcome = await within(SESSION_MS, session(browser, server, own), 'the session');
        } finally {
          if (isTraced) tasks = await endTasks(browser, 30);
        }
        faults.push(...outcome.faults);
        blocks.push(...outcome.blocks.map((block) => ({ ...block, cpu: workOf(block, tasks), seed: own })));
      } catch (error) {
        faults.push(`seed ${own}: ${(error as Error).message}`);
      }
      tried++;
    }
    await server.kill();
    rmSync(folder, { recursive: true });
  };
  await inLanes(lanes, oneByOne);
  await browser.close();
  const long = blocks.filter(({ ms }) => ms > BLOCK_MS).sort((a, b) => b.ms - a.ms);
  const longest = (of: (block: Measured) => number) => Math.max(0, ...blocks.map(of));
  const own = `; its own work was at most ${longest(({ cpu }) => cpu ?? 0)} ms of one`;
  return {
    tried,
    faults,
    said: [
      `after its start a page was blocked for at most ${longest(({ ms }) => ms)} ms, ${long.length} times over ${BLOCK_MS}${isTraced ? own : ''}`,
      ...long
        .slice(0, 8)
        .map(
          ({ ms, cpu, stage, after, seed: of }) =>
            `  ${ms} ms${cpu === null ? '' : `, ${cpu} of work,`} in ${stage}, ${after} ms on, seed ${of}`,
        ),
    ].join('\n'),
  };
};
