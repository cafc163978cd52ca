import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { FINDINGS } from '@sill/core';
import { circleIn, filesIn, importsOf } from './imports';

const ROOT = join(__dirname, '..');
const FOLDERS = ['core/src', 'core/cli', 'server/src', 'web/src', 'torture', 'e2e/tests', 'bench', 'house'];
const files = FOLDERS.flatMap((folder) => filesIn(ROOT, folder));
const text = (path: string) => readFileSync(join(ROOT, path), 'utf8');

test('no files import each other in a circle, types included', () => {
  const imports = importsOf(ROOT, files);
  expect(imports.get('core/src/plan.ts')).toContain('core/src/buying/index.ts');
  expect([...imports.values()].flat().length).toBeGreaterThan(1500);
  expect(circleIn(imports)).toBeNull();
});

test('a circle is found and told', () => {
  const circle = circleIn(
    new Map([
      ['a', ['b']],
      ['b', ['c']],
      ['c', ['a']],
      ['d', ['a']],
    ]),
  );
  expect([...new Set(circle)].sort()).toEqual(['a', 'b', 'c']);
});

test('no exported type has the name of another', () => {
  const named = new Map<string, string[]>();
  for (const path of files.filter((one) => !/\.test\.|\/testing\/|^(torture|bench|house)/.test(one)))
    for (const [, name] of text(path).matchAll(/^export (?:type|interface|class) (\w+)\b/gm))
      named.set(name!, [...(named.get(name!) ?? []), path]);
  expect(named.size).toBeGreaterThan(250);
  expect([...named].filter(([, paths]) => paths.length > 1)).toEqual([]);
});

test('no line is longer than 120 letters but one with a sentence, which stays in one piece', () => {
  const isLong = (line: string) => line.length > 120 && (/^\s*(\/\/|\/?\*)/.test(line) || !/['"`]|\/.+\//.test(line));
  expect(isLong(`  // ${'a'.repeat(120)} 'of' what it is`)).toBe(true);
  const long = files.flatMap((path) =>
    text(path)
      .split('\n')
      .flatMap((line, at) => (isLong(line) ? [`${path}:${at + 1}`] : [])),
  );
  expect(long).toEqual([]);
});

describe('style sheets', () => {
  const sheets = readdirSync(join(ROOT, 'web/src'), { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.css'))
    .map((name) => [name, text(join('web/src', name))] as const);
  const program = filesIn(ROOT, 'web/src')
    .filter((path) => !/\.test\./.test(path))
    .map(text)
    .join('\n');

  test('name no class of the component kit: its looks are the theme’s', () => {
    expect(sheets.length).toBeGreaterThan(50);
    expect(sheets.filter(([, css]) => css.includes('.Mui')).map(([name]) => name)).toEqual([]);
  });

  test('are all read, and every class in them is given to something', () => {
    const unread = sheets.filter(([name]) => !program.includes(`/${name.split('/').at(-1)}';`));
    const unused = sheets.flatMap(([name, css]) =>
      [...css.replaceAll(/\/\*[^]*?\*\//g, '').matchAll(/\.([a-z][\w-]*)/g)]
        .map(([, one]) => one!)
        // By its name, or put together of its first word and what a thing is: `role-${role}`.
        .filter((one) => !new RegExp(`\\b${one}\\b|\\b${one.split('-')[0]}-\\$\\{`).test(program))
        .map((one) => `${name}: ${one}`),
    );
    expect(unread).toEqual([]);
    expect(unused).toEqual([]);
  });
});

test('every kind of finding in the catalogue is noted somewhere', () => {
  const rooms = filesIn(ROOT, 'core/src').filter((path) => !/testing|\.test\.|job\/finding\.ts/.test(path));
  const source = rooms.map(text).join('\n');
  expect(Object.keys(FINDINGS).filter((kind) => !source.includes(`'${kind}'`))).toEqual([]);
});

describe('docs/architecture.md', () => {
  const page = text('docs/architecture.md');
  const rows = page.split('\n').flatMap((line) => {
    const [, name, path] = /^\| `(\w+)` \| `([^`]+)` \|/.exec(line) ?? [];
    return name && path ? [[name, path] as const] : [];
  });

  test('has a glossary', () => expect(rows.length).toBeGreaterThan(30));
  test.each(rows)('%s is what %s exports', (name, path) => {
    expect(text(path)).toMatch(new RegExp(`export (?:type|const|function|class) ${name}\\b`));
  });
  test('every name in the glossary stands there once', () => {
    const names = rows.map(([name]) => name);
    expect(names.filter((name, at) => names.indexOf(name) !== at)).toEqual([]);
  });
  test('every file and folder it names is there', () => {
    const paths = [...page.matchAll(/`((?:core|server|web|e2e|torture|house|bench)\/[^`*<]*)`/g)].map(
      ([, path]) => path!,
    );
    expect(paths.length).toBeGreaterThan(40);
    expect(paths.filter((path) => !existsSync(join(ROOT, path)))).toEqual([]);
  });
  test('every function a journey names is in the file it names', () => {
    const steps = [...page.matchAll(/`(\w+)` \(`([^`]+\.tsx?)`\)/g)].map(([, name, path]) => [name!, path!] as const);
    expect(steps.length).toBeGreaterThan(20);
    expect(steps.filter(([name, path]) => !new RegExp(`\\b${name}\\b`).test(text(path)))).toEqual([]);
  });
});
