/**
 * All unit tests: `npm run unit`. The test files of a room run in one world, put together in one script: each file by
 * itself would put together, load and warm up again what all of them use, which took as long as half of the tests.
 * `npm run unit -- core/src/piece/kit` runs single files, each by itself, as they are.
 */
import { spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { basename, join, sep } from 'node:path';
import process from 'node:process';
import { build } from 'esbuild';
import { asPackagesAre, BANNER, BUNDLED, READS_MODULES, ROOT } from './bundling.js';

const ROOMS = join(ROOT, '.rooms');
const BROWSER = '@jest-environment jsdom';
/** What asks for files beside itself. */
const READS_BESIDE = /__dirname|import\.meta/;

/**
 * Test files by room: a folder of the core; of the web the stages, all else with a document, and what goes without.
 * What a page of the web loads takes as long as a third of its tests.
 */
function rooms() {
  const found = new Map();
  const files = ['core/src', 'web/src'].flatMap((part) =>
    readdirSync(join(ROOT, part), { recursive: true })
      .filter((name) => /\.test\.tsx?$/.test(name))
      .sort()
      .map((name) => join(part, name)),
  );
  for (const file of files) {
    const source = readFileSync(join(ROOT, file), 'utf8');
    if (READS_MODULES.test(source) || READS_BESIDE.test(source)) continue;
    const [part, , room] = file.split(sep).slice(0, -1);
    const inBrowser = source.includes(BROWSER);
    const world = part === 'core' ? room : !inBrowser ? 'plain' : room === 'stages' ? room : null;
    const name = world ? `${part}-${world}` : part;
    found.set(name, { inBrowser, files: [...(found.get(name)?.files ?? []), file] });
  }
  return found;
}

/** A script of a room: each file in a group of its own, so that what it does before and after its tests is its own. */
function roomScript({ inBrowser, files }) {
  // What the library puts away after each test goes before anything that a file puts away itself, as where it is alone.
  const before = inBrowser ? `afterEach(require('@testing-library/react').cleanup);` : '';
  return files
    .map((file) => `describe(${JSON.stringify(file)}, () => { ${before} require('./${file}'); });`)
    .join('\n');
}

async function putTogether(found) {
  rmSync(ROOMS, { recursive: true, force: true });
  mkdirSync(ROOMS);
  // In one go: what rooms share is read once.
  const { outputFiles } = await build({
    ...BUNDLED,
    entryPoints: [...found.keys()].map((name) => ({ in: `room:${name}`, out: `${name}.test` })),
    outdir: ROOMS,
    // The script itself is readable: where a test fails its lines are shown, under the name of their file.
    sourcemap: false,
    plugins: [
      {
        name: 'rooms',
        setup({ onResolve, onLoad }) {
          onResolve({ filter: /^room:/ }, ({ path }) => ({ path: path.slice('room:'.length), namespace: 'room' }));
          onLoad({ filter: /./, namespace: 'room' }, ({ path }) => ({
            contents: roomScript(found.get(path)),
            resolveDir: ROOT,
          }));
        },
      },
    ],
  });
  for (const { path, text } of outputFiles) {
    const { inBrowser } = found.get(basename(path, '.test.js'));
    writeFileSync(path, `${inBrowser ? `/** ${BROWSER} */\n` : ''}${BANNER}\n${asPackagesAre(text)}`);
  }
}

const asked = process.argv.slice(2);
const isWhole = asked.every((word) => word.startsWith('-'));
const found = isWhole ? rooms() : new Map();
if (isWhole) await putTogether(found);
const together = [...found.values()].flatMap(({ files }) => files);
const { status } = spawnSync(
  process.execPath,
  // Tests end soon: memory is not gone through while they run, and little is compiled to be quick for long.
  ['--max-semi-space-size=64', '--interrupt-budget=1000000', join(ROOT, 'node_modules/jest/bin/jest.js'), ...asked],
  { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...(isWhole && { TOGETHER: JSON.stringify(together) }) } },
);
process.exit(status ?? 1);
