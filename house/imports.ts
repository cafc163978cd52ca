import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, relative, resolve } from 'node:path';
import { DepGraph, DepGraphCycleError } from 'dependency-graph';
import ts from 'typescript';

/** All program files below a folder, by their path from `root`. */
export const filesIn = (root: string, folder: string): readonly string[] =>
  readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name))
    .map((name) => join(folder, name));

/** The file that a relative import means; null where there is none. */
function meant(from: string, specifier: string): string | null {
  const base = resolve(dirname(from), specifier);
  const tried = [base, `${base}.ts`, `${base}.tsx`, join(base, 'index.ts')];
  return tried.find((path) => existsSync(path) && statSync(path).isFile()) ?? null;
}

/** What each file imports of the others, types included. */
export function importsOf(root: string, files: readonly string[]): ReadonlyMap<string, readonly string[]> {
  const known = new Set(files);
  const of = (file: string) =>
    ts
      .preProcessFile(readFileSync(join(root, file), 'utf8'), true, true)
      .importedFiles.filter(({ fileName }) => fileName.startsWith('.'))
      .flatMap(({ fileName }) => meant(join(root, file), fileName) ?? [])
      .map((path) => relative(root, path))
      .filter((path) => known.has(path));
  return new Map(files.map((file) => [file, of(file)]));
}

/** Files that import each other in a circle, the first of them again at the end; null where there are none. */
export function circleIn(imports: ReadonlyMap<string, readonly string[]>): readonly string[] | null {
  const graph = new DepGraph<null>();
  for (const file of imports.keys()) graph.addNode(file, null);
  for (const [file, others] of imports) for (const other of others) graph.addDependency(file, other);
  try {
    graph.overallOrder();
    return null;
  } catch (error) {
    if (error instanceof DepGraphCycleError) return error.cyclePath;
    throw error;
  }
}
