import { execFile } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildSync } from 'esbuild';
import { demoJob } from '../src';
import { fewOfDemo } from '../src/testing/planning';

const folder = mkdtempSync(join(tmpdir(), 'sill-cli-'));
afterAll(() => rmSync(folder, { recursive: true }));

type Ran = { readonly code: number; readonly out: string; readonly err: string };

const started = (program: readonly string[], args: readonly string[]) =>
  new Promise<Ran>((done) => {
    execFile(process.execPath, [...program, ...args], { maxBuffer: 64e6 }, (error, out, err) =>
      done({ code: error ? Number(error.code) : 0, out, err }),
    );
  });
/** The command as a person runs it, less the package manager. */
const asTyped = (...args: string[]) => started(['--import', 'tsx', join(__dirname, 'main.ts')], args);

/** The same put together once: to read every file anew takes three seconds, each time. */
const BUILT = join(__dirname, '../../node_modules/.cache/sill-cli-test.mjs');
beforeAll(() => {
  buildSync({
    entryPoints: [join(__dirname, 'main.ts')],
    outfile: BUILT,
    bundle: true,
    platform: 'node',
    format: 'esm',
    packages: 'external',
    logLevel: 'error',
  });
});
afterAll(() => rmSync(BUILT));
const run = (...args: string[]) => started([BUILT], args);

const file = (name: string, content: unknown) => {
  const path = join(folder, name);
  writeFileSync(path, typeof content === 'string' ? content : JSON.stringify(content));
  return path;
};

const problem = {
  format: 'sill-plan/cut-problem@1',
  unit: 'in',
  kerf: 0.125,
  stock: [{ id: '2x4x8', kind: 'board', material: 'spf', length: 96, width: 3.5, thickness: 1.5, price: 4.36 }],
  parts: [{ id: 'leg', quantity: 6, material: 'spf', length: 30, width: 3.5, thickness: 1.5 }],
};

test('plan prints the whole plan of a job', async () => {
  const { code, out } = await asTyped('plan', file('job.json', fewOfDemo(2)), '--today', '2026-11-24');
  expect(code).toBe(0);
  const plan = JSON.parse(out) as { parts: unknown[]; list: { total: number }; findings: unknown[] };
  expect(plan.parts.length).toBeGreaterThan(20);
  expect(plan.list.total).toBeGreaterThan(10_000);
}, 60_000);

test('solve for another aim says what it measures; an aim that is not known is refused', async () => {
  const { code, out } = await run('solve', file('boards.json', { ...problem, objective: 'boards' }));
  expect(code).toBe(0);
  expect(JSON.parse(out)).toMatchObject({ status: 'optimal', objective: { for: 'boards', value: 2, atLeast: 2 } });
  const bad = await run('solve', file('bad.json', { ...problem, objective: 'speed' }));
  expect(bad.code).toBe(2);
  expect(bad.out).toBe('');
  expect(bad.err).toContain('objective: must be one of cost, waste, boards, setups');
}, 60_000);

test.each([
  ['csv', { 'glaze parts.csv': /^tag,part,count/, 'cuts.csv': /^setting,by,saw,set,cuts,boards,pieces/ }],
  ['svg', { 'board 1.svg': />T1</, 'glaze L1.svg': /^<svg / }],
  ['dxf', { 'glaze H1.dxf': /LWPOLYLINE/ }],
  ['gltf', { 'glaze.gltf': /"version":"2.0"/ }],
])(
  'export writes %s files and names them',
  async (kind, files) => {
    const out = join(folder, kind);
    const ran = await run('export', file('job.json', fewOfDemo(1)), '--as', kind, '--out', out);
    expect(ran.code).toBe(0);
    for (const [name, content] of Object.entries(files)) {
      expect(ran.out.trim().split('\n')).toContain(join(out, name));
      expect(readFileSync(join(out, name), 'utf8')).toMatch(content);
    }
  },
  60_000,
);

test('export to a kind it does not know: exit code 2, what would be right', async () => {
  const ran = await run('export', file('job.json', demoJob()), '--as', 'stl', '--out', folder);
  expect([ran.code, ran.out]).toEqual([2, '']);
  expect(ran.err).toContain('--as: must be one of csv, svg, dxf, gltf');
}, 60_000);

test('a folder that can not be made, and a day that there is not: at once, code 2, a sentence', async () => {
  const job = file('job.json', demoJob());
  const into = await run('export', job, '--as', 'csv', '--out', join(job, 'in a file'));
  expect([into.code, into.out]).toEqual([2, '']);
  expect(into.err).toMatch(/^--out: .* can not be written into \(ENOTDIR\)/);
  for (const [flag, value] of [
    ['--today', '2026-02-31'],
    ['--time-limit', '0'],
  ] as const) {
    const ran = await run('plan', job, flag, value);
    expect([ran.code, ran.out]).toEqual([2, '']);
    expect(ran.err).toContain(`${flag}: must be`);
  }
}, 60_000);

test('solve prints a solution in the published format', async () => {
  const { code, out } = await run('solve', file('problem.json', problem));
  expect(code).toBe(0);
  expect(JSON.parse(out)).toMatchObject({
    format: 'sill-plan/cut-solution@1',
    status: 'optimal',
    cost: 8.72,
    lowerBound: 8.72,
    unplaced: [],
  });
}, 60_000);

test.each([
  ['a negative kerf', 'solve', { ...problem, kerf: -1 }, 'kerf: must be at least 0'],
  [
    'one id twice',
    'solve',
    { ...problem, parts: [...problem.parts, ...problem.parts] },
    'parts: must have ids that differ',
  ],
  [
    'a million pieces',
    'solve',
    { ...problem, parts: [{ ...problem.parts[0], quantity: 1_000_000 }] },
    'parts 1, quantity: must be at most 5000',
  ],
  ['not JSON', 'solve', '{', 'the file: must be JSON'],
  [
    'a job of another version',
    'plan',
    { ...demoJob(), format: 'sill-plan/job@13' },
    'format: must be sill-plan/job@12',
  ],
  ['no such command', 'draw', problem, 'Usage'],
])(
  '%s: exit code 2, the reason on standard error, nothing on standard output',
  async (_, command, content, message) => {
    const { code, out, err } = await run(command, file('bad.json', content));
    expect(code).toBe(2);
    expect(out).toBe('');
    expect(err).toContain(message);
  },
  60_000,
);
