import { execFileSync } from 'node:child_process';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
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

test('a room that reaches for a later one is refused by the linter', () => {
  const code =
    "import { planJob } from '../plan';\nimport { boxesFor } from '../buying';\nexport const use = [planJob, boxesFor];\n";
  let told = '';
  try {
    execFileSync(
      process.execPath,
      ['node_modules/eslint/bin/eslint.js', '--stdin', '--stdin-filename', 'core/src/length/wrong.ts'],
      { cwd: root, input: code, encoding: 'utf8' },
    );
  } catch (error) {
    told = (error as { stdout: string }).stdout;
  }
  expect(told.match(/may only import rooms before it/g)).toHaveLength(2);
}, 60_000);
