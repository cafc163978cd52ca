/** How tests are put together: everything of ours in one script, packages left out. Shared by rooms and single files. */
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath, URL } from 'node:url';

/** What puts something in place of a module, or reads one while it runs, is loaded file by file. */
export const READS_MODULES = /jest\.mock\(|\brequire\(/;

export const ROOT = fileURLToPath(new URL('..', import.meta.url));

/** Looked up in the test's own world at each use, these cost as much again as what is done with them. */
const PLAIN = ['Math', 'Map', 'Set', 'WeakMap', 'Object', 'Array', 'Number', 'String', 'Symbol', 'Infinity', 'NaN'];
export const BANNER = `const { ${PLAIN.join(', ')} } = globalThis;
const URL_OF_TEST = require('node:url').pathToFileURL(__filename).href;`;

/** What every bundle may hold, and how it is made: a change anywhere makes them anew. */
export const SOURCES = ['core/src', 'core/cli', 'server/src', 'web/src', 'bench', 'torture', 'house']
  .flatMap((room) =>
    readdirSync(join(ROOT, room), { recursive: true })
      .filter((name) => /\.tsx?$/.test(name) && !/\.test\./.test(name))
      .sort()
      .map((name) => readFileSync(join(ROOT, room, name), 'utf8')),
  )
  .reduce((hash, text) => hash.update(text), createHash('sha256').update(readFileSync(fileURLToPath(import.meta.url))))
  .digest('hex');

export const BUNDLED = {
  bundle: true,
  write: false,
  format: 'cjs',
  platform: 'node',
  target: 'node20',
  packages: 'external',
  alias: { '@sill/core': join(ROOT, 'core', 'src') },
  loader: { '.css': 'empty' },
  jsx: 'automatic',
  // Lines of tests are told where one fails; what stands on them is in the files.
  sourcemap: 'inline',
  sourcesContent: false,
  supported: { 'dynamic-import': false },
  define: { 'import.meta.url': 'URL_OF_TEST', SOURCES: JSON.stringify(SOURCES) },
  logLevel: 'error',
};

/** A package's default is what it calls so, as the browser's bundle takes it, not the package whole. */
export const asPackagesAre = (text) => text.replaceAll(/(__toESM\(require\("[^"]+"\)), 1\)/g, '$1)');
