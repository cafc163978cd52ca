/**
 * Makes of each test file one script with everything of ours that it imports, packages left out. Loaded file by file,
 * every name is looked up through each index on its way at each call: planning took two to three times as long in tests
 * as it does. Tests that put something in place of a module, or read one while they run, are left to be loaded file by
 * file.
 */
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join, sep } from 'node:path';
import { fileURLToPath, URL } from 'node:url';
import swc from '@swc/jest';
import { buildSync } from 'esbuild';

const ROOT = fileURLToPath(new URL('..', import.meta.url));
const byFile = swc.createTransformer({
  jsc: {
    parser: { syntax: 'typescript', tsx: true },
    target: 'es2022',
    transform: { react: { runtime: 'automatic' } },
  },
});

/** Looked up in the test's own world at each use, these cost as much again as what is done with them. */
const PLAIN = ['Math', 'Map', 'Set', 'WeakMap', 'Object', 'Array', 'Number', 'String', 'Symbol', 'Infinity', 'NaN'];
const BANNER = `const { ${PLAIN.join(', ')} } = globalThis;
const URL_OF_TEST = require('node:url').pathToFileURL(__filename).href;`;

const isBundled = (source, file) =>
  /\.test\.tsx?$/.test(file) && !file.includes(`${sep}node_modules${sep}`) && !/jest\.mock\(|\brequire\(/.test(source);

/** What every bundle may hold, so that a change anywhere makes them anew. */
let ours;
const sources = () =>
  (ours ??= ['core/src', 'core/cli', 'server/src', 'web/src', 'bench', 'torture', 'house']
    .flatMap((room) =>
      readdirSync(join(ROOT, room), { recursive: true })
        .filter((name) => /\.tsx?$/.test(name) && !/\.test\./.test(name))
        .sort()
        .map((name) => readFileSync(join(ROOT, room, name), 'utf8')),
    )
    .reduce((hash, text) => hash.update(text), createHash('sha256'))
    .digest('hex'));

export default {
  getCacheKey(source, file, options) {
    const key = byFile.getCacheKey(source, file, options);
    return isBundled(source, file)
      ? createHash('sha256')
          .update(key)
          .update(sources())
          .update(readFileSync(fileURLToPath(import.meta.url)))
          .digest('hex')
          .slice(0, 32)
      : key;
  },
  process(source, file, options) {
    if (!isBundled(source, file)) return byFile.process(source, file, options);
    const { outputFiles } = buildSync({
      entryPoints: [file],
      bundle: true,
      write: false,
      format: 'cjs',
      platform: 'node',
      target: 'node20',
      packages: 'external',
      alias: { '@sill/core': join(ROOT, 'core', 'src') },
      loader: { '.css': 'empty' },
      jsx: 'automatic',
      sourcemap: 'inline',
      supported: { 'dynamic-import': false },
      define: { 'import.meta.url': 'URL_OF_TEST', SOURCES: JSON.stringify(sources()) },
      banner: { js: BANNER },
      logLevel: 'error',
    });
    // A package's default is what it calls so, as the browser's bundle takes it, not the package whole.
    return { code: outputFiles[0].text.replaceAll(/(__toESM\(require\("[^"]+"\)), 1\)/g, '$1)') };
  },
};
