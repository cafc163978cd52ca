import { execFileSync, spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { buildSync } from 'esbuild';

/** What docs/adding.md tells to do, done to a copy of the program, looked at by the compiler and run. */
const ROOT = join(__dirname, '..');
const page = readFileSync(join(ROOT, 'docs/adding.md'), 'utf8');

type Block = {
  readonly how: 'new' | 'after' | 'instead of' | 'check';
  readonly path: string;
  readonly line: string;
  readonly text: string;
};
const blocks = [...page.matchAll(/^```tsx? (.+)\n([\s\S]*?)^```$/gm)].map(([, head, text]): Block => {
  const [, made] = /^new (\S+)$/.exec(head!) ?? [];
  if (made) return { how: 'new', path: made, line: '', text: text! };
  const [, check] = /^check (.+)$/.exec(head!) ?? [];
  if (check) return { how: 'check', path: check, line: '', text: text! };
  const [, path, how, line] = /^in (\S+) (after|instead of): (.+)$/.exec(head!)!;
  return { how: how as 'after', path: path!, line: line!, text: text! };
});

let copy: string;
const put = ({ how, path, line, text }: Block) => {
  const at = join(copy, path);
  if (how === 'new') {
    mkdirSync(dirname(at), { recursive: true });
    return writeFileSync(at, text);
  }
  const before = readFileSync(at, 'utf8').split('\n');
  // Spaces before a line that is named are its own: the page may show it without.
  const found = before.findIndex((one) => one === line || one.trim() === line.trim());
  expect([path, line, found >= 0]).toEqual([path, line, true]);
  before.splice(how === 'after' ? found + 1 : found, how === 'after' ? 0 : 1, text.replace(/\n$/, ''));
  writeFileSync(at, before.join('\n'));
};

beforeAll(() => {
  copy = mkdtempSync(join(tmpdir(), 'sill-walk-'));
  for (const folder of ['core', 'web/src', 'package.json', 'tsconfig.json', 'oxlint.config.js', 'web/package.json'])
    cpSync(join(ROOT, folder), join(copy, folder), {
      recursive: true,
      filter: (from) => !/node_modules|\.test\.tsx?$/.test(from),
    });
  // Packages are those of the program itself, but for its own core.
  symlinkSync(join(ROOT, 'node_modules'), join(copy, 'node_modules'));
  symlinkSync(join(ROOT, 'web/node_modules'), join(copy, 'web/node_modules'));
  for (const block of blocks) if (block.how !== 'check') put(block);
});
afterAll(() => rmSync(copy, { recursive: true, force: true }));

test('the page has three walks', () => {
  expect(blocks.filter(({ how }) => how === 'check').map(({ path }) => path)).toEqual([
    'a way',
    'a finding',
    'a stage',
  ]);
  expect(blocks.length).toBeGreaterThan(14);
});

test.each(blocks.filter(({ how }) => how === 'check').map(({ path, text }) => [path, text]))(
  '%s is there and does what the page says',
  (name, text) => {
    const [file, outfile] = ['mts', 'mjs'].map((kind) => join(copy, `${name!.replace(' ', '-')}.${kind}`));
    writeFileSync(file!, text!);
    // Put together first: read file by file it takes three times as long.
    const whole = { bundle: true, platform: 'node', format: 'esm', packages: 'external', logLevel: 'error' } as const;
    buildSync({ ...whole, entryPoints: [file!], outfile: outfile!, alias: { '@sill/core': join(copy, 'core/src') } });
    execFileSync(process.execPath, [outfile!], { cwd: copy, stdio: 'pipe' });
  },
);

test('the compiler has nothing against it', () => {
  const files = ['core/src/index.ts', 'web/src/env.d.ts', 'web/src/stages/registry.tsx'];
  const paths = { '@sill/core': ['./core/src/index.ts'], '@sill/core/*': ['./core/src/*/index.ts'] };
  const walked = { extends: './tsconfig.json', compilerOptions: { paths, types: ['node'] }, files, include: [] };
  writeFileSync(join(copy, 'walked.json'), JSON.stringify(walked));
  // In a process of its own: within a test the compiler takes twice as long; one checker does no work twice.
  const tsc = join(ROOT, 'node_modules/typescript-7/bin/tsc');
  const { status, stdout } = spawnSync(process.execPath, [tsc, '-p', 'walked.json', '--checkers', '1'], {
    cwd: copy,
    encoding: 'utf8',
  });
  expect({ status, stdout }).toEqual({ status: 0, stdout: '' });
}, 120_000);
