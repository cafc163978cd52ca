import { join } from 'node:path';
import { buildSync } from 'esbuild';

/**
 * A program of the server put together in one file, for who starts it over and over: read anew file by file each start
 * takes three seconds. It lies where the built interface is found from it as from the sources.
 *
 * @param root the folder of the project.
 * @param from its file, seen from the server's sources.
 * @param to what it is called; who may be at it at the same time takes another name.
 * @returns its path.
 */
export function builtProgram(root: string, from: string, to: string): string {
  const outfile = join(root, 'server/.torture', to);
  buildSync({
    entryPoints: [join(root, 'server/src', from)],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    packages: 'external',
    alias: {
      '@sill/core/contract': join(root, 'core/src/contract/index.ts'),
      '@sill/core': join(root, 'core/src/index.ts'),
    },
    logLevel: 'warning',
  });
  return outfile;
}
