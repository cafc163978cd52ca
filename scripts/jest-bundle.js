/**
 * Makes of each test file one script with everything of ours that it imports, packages left out. Loaded file by file,
 * every name is looked up through each index on its way at each call: planning took two to three times as long in tests
 * as it does. Tests that put something in place of a module, or read one while they run, are left to be loaded file by
 * file.
 */
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { sep } from 'node:path';
import { fileURLToPath } from 'node:url';
import swc from '@swc/jest';
import { buildSync } from 'esbuild';
import { asPackagesAre, BANNER, BUNDLED, READS_MODULES, SOURCES } from './bundling.js';

const byFile = swc.createTransformer({
  jsc: {
    parser: { syntax: 'typescript', tsx: true },
    target: 'es2022',
    transform: { react: { runtime: 'automatic' } },
  },
});

const isBundled = (source, file) =>
  /\.test\.tsx?$/.test(file) && !file.includes(`${sep}node_modules${sep}`) && !READS_MODULES.test(source);

export default {
  getCacheKey(source, file, options) {
    const key = byFile.getCacheKey(source, file, options);
    return isBundled(source, file)
      ? createHash('sha256')
          .update(key)
          .update(SOURCES)
          .update(readFileSync(fileURLToPath(import.meta.url)))
          .digest('hex')
          .slice(0, 32)
      : key;
  },
  process(source, file, options) {
    if (!isBundled(source, file)) return byFile.process(source, file, options);
    const { outputFiles } = buildSync({ ...BUNDLED, entryPoints: [file], banner: { js: BANNER } });
    return { code: asPackagesAre(outputFiles[0].text) };
  },
};
