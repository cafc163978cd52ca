import { spawnSync } from 'node:child_process';
import {
  copyFileSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { toJsonSchema } from '@valibot/to-json-schema';
import { CutProblemSchema, JobSchema } from '../src';

const root = join(__dirname, '..', '..');
const read = (path: string) => readFileSync(join(root, path), 'utf8');

test.each([
  ['job-12', JobSchema],
  ['cut-problem-1', CutProblemSchema],
] as const)('the published schema %s is the one the program checks with', (name, schema) => {
  const published = JSON.parse(read(`docs/formats/${name}.schema.json`)) as unknown;
  expect(published).toEqual(
    JSON.parse(JSON.stringify(toJsonSchema(schema, { errorMode: 'ignore', typeMode: 'input' }))),
  );
});

test('every room of the core says in its index what comes in and what goes out', () => {
  const rooms = readdirSync(join(root, 'core/src'), { withFileTypes: true }).filter(
    (entry) => entry.isDirectory() && entry.name !== 'testing',
  );
  for (const room of rooms)
    expect(read(`core/src/${room.name}/index.ts`)).toMatch(/^(import[^;]+;\s*)*\/\*\*[\s\S]+\*\//);
});

test.each([
  ['core/src/length/wrong.ts', 'room', ['../plan', '../buying'], ['../lists']],
  ['web/src/ui/wrong.ts', 'layer', ['../stages/brief', '../drawing/model'], ['../words/units']],
])('what reaches for a later room or layer is refused by the linter: %s', (path, what, later, earlier) => {
  const shop = mkdtempSync(join(tmpdir(), 'sill-lint-'));
  try {
    symlinkSync(join(root, 'node_modules'), join(shop, 'node_modules'));
    copyFileSync(join(root, 'oxlint.config.js'), join(shop, 'oxlint.config.js'));
    mkdirSync(dirname(join(shop, path)), { recursive: true });
    writeFileSync(
      join(shop, path),
      [...later, ...earlier].map((from, at) => `import { a${at} } from '${from}';\nexport { a${at} };\n`).join(''),
    );
    const linter = join(root, 'node_modules/oxlint/bin/oxlint');
    const { status, stdout } = spawnSync(process.execPath, [linter, '--config', 'oxlint.config.js', path], {
      cwd: shop,
      encoding: 'utf8',
    });
    const told = stdout.match(new RegExp(`may only import ${what}s before it`, 'g')) ?? [];
    expect([status, told.length]).toEqual([1, later.length]);
  } finally {
    rmSync(shop, { recursive: true });
  }
});
