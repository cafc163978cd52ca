import { mkdtempSync, rmSync } from 'node:fs';
import { Agent, createServer, request as ask, type IncomingHttpHeaders } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import { DEFAULT_SHOP, demoJob, SAMPLE_YARDS, seeded, solveExactly, type CutProblem } from '../core/src';
import { changed, gather, type Json } from '../core/src/testing/mutants';
import { makeApp } from '../server/src/app';
import { openDatabase } from '../server/src/database';
import { seed as fill } from '../server/src/seed';
import { homeSize } from '../bench/lists';
import { goesOn, pick, within, type Ordeal } from './ordeal';

/** An answer takes no longer. */
const LIMIT_MS = 10_000;

type Answer = { readonly status: number; readonly headers: IncomingHttpHeaders; readonly body: string };

const PATHS = [
  '/api/jobs',
  '/api/jobs/demo',
  '/api/jobs/demo/copy',
  '/api/jobs/demo/restore',
  '/api/jobs/demo/revisions',
  '/api/jobs/demo/revisions/1',
  '/api/yards',
  '/api/yards/own',
  '/api/shops/usual',
  '/api/racks/rack',
  '/api/memories/memory',
  '/api/records',
  '/api/photos',
  '/api/photos/none',
  '/api/solve',
  '/api/tape',
  '/api/access',
  '/api/access/session',
  '/api/access/devices',
  '/api/access/passphrase',
  '/api/prices/kiln',
  '/api/prices/kiln/history/2x4x8',
  '/api/backup',
  '/api/health',
  '/api',
  '/',
  '/assets/x.js',
  '/jobs/demo/brief',
];
const ODD = [
  '..%2f..%2f',
  '%00',
  '%',
  '%E0%A4%A',
  '//',
  '/./',
  ';',
  '?',
  '#',
  "'",
  '"',
  '<script>',
  '𝟙',
  ' ',
  '\\',
  '%2e%2e/',
  'a'.repeat(3000),
  '__proto__',
  'constructor',
  '-1',
  '1e999',
  '0x1',
  'null',
];
const QUERIES = [
  'removed=1',
  'removed=2',
  'before=x',
  'before=2026-01-01T00:00:00Z%20x',
  'limit=5',
  'limit=-1',
  'limit=1e9',
  'day=2026-02-30',
  'day=2026-01-31',
  'about=121920&press=3',
  'about=NaN',
  'about=1e999&press=-1',
  'removed[]=1',
  'removed[a]=1',
  '__proto__[x]=1',
  'limit=5&limit=6',
  '%00=%00',
];
const TYPES = [
  'application/json',
  'application/json; charset=utf-16',
  'application/json; charset=nonsense',
  'text/plain',
  'application/x-www-form-urlencoded',
  'multipart/form-data; boundary=x',
  'application/octet-stream',
  '',
];

/** Bytes that are sent: a sound body with some places changed, cut off, or no such thing at all. */
function bodyOf(roll: () => number, sound: readonly Json[], known: ReadonlyMap<string, Json[]>): Buffer {
  const what = roll();
  let value = pick(roll, sound);
  if (what < 0.75)
    for (let times = Math.floor(roll() * 6); times > 0; times--) value = changed(value, 'body', roll, known);
  const text = JSON.stringify(value);
  if (what < 0.65) return Buffer.from(text);
  if (what < 0.75) return Buffer.from(text.slice(0, Math.floor(roll() * text.length)));
  if (what < 0.8) return Buffer.from('['.repeat(50_000));
  if (what < 0.85) return Buffer.from(text.replace(/\d+/, '1e999').replace(/"[a-z]+":/, '"__proto__":'));
  if (what < 0.87) return Buffer.from(`{"job":{"name":"${'x'.repeat(2_200_000)}"}}`);
  if (what < 0.95) return Buffer.from(Array.from({ length: 200 }, () => Math.floor(roll() * 256)));
  return Buffer.alloc(0);
}

/** Sends anything at all to a server on this machine, over connections that are kept. */
function client() {
  const agent = new Agent({ keepAlive: true, maxSockets: 4 });
  const send = (port: number, method: string, path: string, headers: Record<string, string>, body: Buffer) =>
    new Promise<Answer>((done, fail) => {
      const sent = ask(
        {
          host: '127.0.0.1',
          port,
          method,
          path,
          headers: { host: 'localhost', 'content-length': String(body.length), ...headers },
          agent,
        },
        (answer) => {
          const chunks: Buffer[] = [];
          answer.on('data', (chunk: Buffer) => chunks.push(chunk));
          answer.on('end', () =>
            done({
              status: answer.statusCode!,
              headers: answer.headers,
              body: Buffer.concat(chunks).toString('latin1'),
            }),
          );
          answer.on('error', fail);
        },
      );
      sent.on('error', fail);
      sent.end(body);
    });
  return { agent, send };
}

/** A request that no browser sends: an odd path, body or header among sound ones. */
function madeUp(roll: () => number, sound: readonly Json[], known: Map<string, Json[]>) {
  let path = pick(roll, PATHS);
  if (roll() < 0.35) path = roll() < 0.5 ? `${path}/${pick(roll, ODD)}` : path.replace(/[^/]+$/, () => pick(roll, ODD));
  if (roll() < 0.3) path += `?${pick(roll, QUERIES)}`;
  // What no client can put on the wire is not sent.
  path = path.replace(/[^\x21-\x7e]/gu, (letter) => encodeURIComponent(letter));
  const method = pick(roll, ['GET', 'GET', 'POST', 'PUT', 'PUT', 'DELETE', 'PATCH', 'OPTIONS', 'HEAD', 'TRACE']);
  const body =
    method === 'GET' || method === 'HEAD' || method === 'TRACE' ? Buffer.alloc(0) : bodyOf(roll, sound, known);
  const headers: Record<string, string> = { 'content-type': roll() < 0.7 ? TYPES[0]! : pick(roll, TYPES) };
  if (roll() < 0.05) headers['content-encoding'] = pick(roll, ['gzip', 'br', 'nonsense']);
  if (roll() < 0.05)
    headers['cookie'] = pick(roll, ['sill=x', 'sill=j:{"a":1}', 'sill=%', '=;;=', `sill=${'x'.repeat(4000)}`]);
  if (roll() < 0.03) headers['origin'] = pick(roll, ['http://evil.example', 'null', 'http://localhost']);
  if (roll() < 0.03) headers['host'] = pick(roll, ['evil.example', 'localhost:1', '', '[::1]:99']);
  return { method, path, headers, body };
}

/** What is wrong with an answer; `shut` where it is of the server that asks for a passphrase. */
function wrongWith(
  { status, body }: { readonly status: number; readonly body: string },
  method: string,
  path: string,
  shut: boolean,
): readonly string[] {
  const inWords = /"code":"[a-z-]+","message":"[^"]{10,}/.test(body);
  return [
    ...(status >= 500 && status !== 503 ? [`answers ${status}`] : []),
    ...(/\n\s+at |node_modules|SQLITE/.test(body.slice(0, 5000)) && !path.startsWith('/api/backup')
      ? ['tells its inside']
      : []),
    ...(status >= 400 && method !== 'HEAD' && path.startsWith('/api') && !inWords
      ? [`is refused without words: ${status} ${body.slice(0, 80)}`]
      : []),
    ...(shut && status < 400 && /^\/api\/(?!health|access)/.test(path) ? ['is let in without a passphrase'] : []),
  ];
}

/**
 * Requests that no browser sends: each is answered in time, with a status and words of its own, and what was saved
 * stays.
 */
export const requests: Ordeal = async ({ until, seed, most }) => {
  const folder = mkdtempSync(join(tmpdir(), 'sill-requests-'));
  const file = join(folder, 'jobs.db');
  const database = await openDatabase(file);
  await fill(database, 'one');
  let [troubles, logged] = ['', 0];
  const log = pino({ level: 'error' }, { write: (line: string) => ((troubles ||= line.slice(0, 400)), logged++) });
  const solver = async (problem: CutProblem) => {
    const start = performance.now();
    return solveExactly(problem, { stopped: () => performance.now() - start > 200 });
  };
  const common = { database, file, log, perMinute: 1e9, solver } as const;
  const server = createServer(makeApp(common)).listen(0, '127.0.0.1');
  const shut = createServer(makeApp({ ...common, beyond: { addresses: [], secure: false } })).listen(0, '127.0.0.1');
  await Promise.all([server, shut].map((one) => new Promise((done) => one.once('listening', done))));
  const { agent, send } = client();
  const { port } = server.address() as AddressInfo;
  const { port: shutPort } = shut.address() as AddressInfo;
  const job = demoJob() as unknown as Json;
  const sound: readonly Json[] = [
    { job },
    { revision: 1, job, save: 'x', by: 'torture' },
    { revision: 1, value: SAMPLE_YARDS[0] as unknown as Json },
    { revision: 0, value: DEFAULT_SHOP as unknown as Json },
    { revision: 0, value: { pieces: [] } },
    { problem: homeSize(1, 3)[0] as unknown as Json },
    { passphrase: 'glaze kettle ninety birch', device: 'x' },
    { current: 'a', next: 'b' },
    null,
    [],
    7,
  ];
  const known = new Map<string, Json[]>();
  for (const one of sound) gather(one, 'body', known);
  const faults: string[] = [];
  const statuses = new Map<number, number>();
  let [tried, longest, kept] = [0, 0, 0];
  const headers = { 'content-type': 'application/json' };
  // Saved by the ordeal itself in between, under an id that nothing else knows.
  const own = JSON.parse(
    (await send(port, 'POST', '/api/jobs', headers, Buffer.from(JSON.stringify({ job })))).body,
  ) as { id: string };
  for (; goesOn({ until, most }, tried); tried++) {
    const roll = seeded(seed + tried * 7919);
    const { method, path, headers: odd, body } = madeUp(roll, sound, known);
    const to = roll() < 0.15 && path !== '/api/access/session' ? shutPort : port;
    const where = `seed ${seed}, request ${tried}: ${method} ${path.slice(0, 120)}`;
    const start = performance.now();
    try {
      const answer = await within(LIMIT_MS, send(to, method, path, odd, body), where);
      statuses.set(answer.status, (statuses.get(answer.status) ?? 0) + 1);
      faults.push(...wrongWith(answer, method, path, to === shutPort).map((what) => `${where} ${what}`));
    } catch (error) {
      // What is no request at all is cut off by Node itself.
      if ((error as { code?: string }).code !== 'ECONNRESET') faults.push(`${where}: ${(error as Error).message}`);
    }
    longest = Math.max(longest, performance.now() - start);
    if (tried % 25 === 0) await send(port, 'POST', '/api/jobs/demo/restore', {}, Buffer.alloc(0));
    if (tried % 250 !== 0) continue;
    const saved = await send(
      port,
      'PUT',
      `/api/jobs/${own.id}`,
      headers,
      Buffer.from(JSON.stringify({ revision: kept + 1, job: { ...demoJob(), name: `kept ${kept}` } })),
    );
    const back = await send(port, 'GET', `/api/jobs/${own.id}`, {}, Buffer.alloc(0));
    if (saved.status !== 200 || !back.body.includes(`"kept ${kept}"`))
      faults.push(`${where}: what was saved is gone: ${saved.status} ${back.status}`);
    kept++;
  }
  agent.destroy();
  for (const one of [server, shut]) {
    one.closeAllConnections();
    await new Promise((done) => one.close(done));
  }
  await database.destroy();
  rmSync(folder, { recursive: true });
  if (logged > 0) faults.push(`${logged} faults were logged, the first: ${troubles}`);
  const each = [...statuses]
    .sort(([a], [b]) => a - b)
    .map(([status, count]) => `${status} ${count}`)
    .join(', ');
  return {
    tried,
    faults,
    said: `answered ${each}; the longest took ${(longest / 1000).toFixed(1)} s; ${kept} saves in between are there`,
  };
};
