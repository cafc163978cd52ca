import Papa from 'papaparse';
import { inches, mm } from '../length';
import { DEFAULT_SHOP } from '../job';
import { buildPiece, newPiece } from '../piece';
import { readMaterial } from '../stock';
import { partsCsv, readPartsCsv } from './index';

test.each([
  ['2x4', '2x4'],
  [' 2×6 ', '2x6'],
  ['3/4 plywood', 'ply 3/4'],
  ['ply 1/2', 'ply 1/2'],
  ['oak burl', null],
  ['', null],
])('a material as people write it: %s', (text, material) => expect(readMaterial(text)).toBe(material));

test('good rows are read, bad ones named with what would be right', () => {
  const text = [
    'Tag,Part,Qty,Length,Width,Material',
    'X7,cleat,4,11 1/2,,1x2',
    ',shelf,2,30,10 1/4,3/4 plywood',
    'A1,spare apron,1,40,,2x4',
    ',mystery,1,12,,teak',
    ',nothing,1,long,,1x4',
    ',sheet without width,1,20,,ply 1/4',
    ',too many,900,20,,1x4',
    ',half,0.5,20,,1x4',
  ].join('\r\n');
  const { parts, problems } = readPartsCsv(`\uFEFF${text}`, 'in', new Set(['A1', 'X1']));
  expect(parts).toEqual([
    { tag: 'X7', name: 'cleat', material: '1x2', length: inches(11.5), width: inches(1.5), count: 4 },
    { tag: 'X2', name: 'shelf', material: 'ply 3/4', length: inches(30), width: inches(10.25), count: 2 },
  ]);
  expect(problems.map(({ row }) => row)).toEqual([4, 5, 6, 7, 8, 9]);
  expect(problems.map(({ message }) => message).join('\n')).toMatch(
    /tag A1 is taken[\s\S]*“teak” is no material[\s\S]*length “long” can not be read[\s\S]*width “” can not be read[\s\S]*at most 500[\s\S]*whole number/,
  );
});

test('metric, other headings, and a file that is no list', () => {
  const metric = readPartsCsv('name;material;long;wide\nside;3/4 plywood;600;300mm', 'mm', new Set());
  expect(metric.parts[0]).toMatchObject({ length: mm(600), width: mm(300), count: 1, tag: 'X1' });
  expect(readPartsCsv('hello', 'in', new Set())).toEqual({
    parts: [],
    losses: [],
    problems: [{ row: 1, message: 'The heading line needs a column for material and length.' }],
  });
});

test('the list as CSV has a row a part, its angles and cut-outs', () => {
  const { parts } = buildPiece(newPiece('p', 'x-frame'), '2x6', DEFAULT_SHOP, 'in');
  const { data } = Papa.parse<Record<string, string>>(partsCsv(parts, 'in'), { header: true });
  expect(data).toHaveLength(parts.length);
  const leg = data.find((row) => row.tag === 'L1')!;
  expect(leg).toMatchObject({ part: 'crossed leg', material: '2x4', 'cut-outs': 'lap' });
  expect(leg['left end']).toMatch(/^\d+(\.5)?° mitre$/);
  // What it writes it reads: the lengths are as a tape shows them.
  const again = readPartsCsv(
    partsCsv(
      parts.filter((part) => part.plies === 1 && !part.bought),
      'in',
    ),
    'in',
    new Set(),
  );
  expect(again.problems).toEqual([]);
  // A part of one's own is square: what it can not have is named, a row for each.
  expect(again.losses).toHaveLength(8);
  expect(again.losses.find(({ message }) => message.startsWith('L1'))!.message).toMatch(
    /^L1: left end .* mitre, right end .* mitre, cut-outs lap$/,
  );
});

test('thousands as people write them, and a row with a field too many', () => {
  const read = readPartsCsv(
    'material,length,width,count\n3/4 plywood,"1,200","600",2\n2x4,1,200,,1\n2x4,900,,"1.5x"',
    'mm',
    new Set(),
  );
  expect(read.parts).toMatchObject([{ length: mm(1200), width: mm(600), count: 2 }]);
  expect(read.problems.map(({ row }) => row)).toEqual([3, 4]);
  expect(read.problems[0]!.message).toContain('more than the heading line');
  expect(read.problems[1]!.message).toContain('The count');
});

test('a list of twenty thousand rows: as many as a piece takes, and one word about the rest', () => {
  const text = `part,material,length\n${Array.from({ length: 20_000 }, (_, at) => `shelf,1x4,${20 + (at % 30)}`).join('\n')}`;
  const { parts, problems } = readPartsCsv(text, 'in', new Set(['X2']), 40);
  expect(parts.map(({ tag }) => tag).slice(0, 3)).toEqual(['X1', 'X3', 'X4']);
  expect(parts).toHaveLength(40);
  expect(problems).toEqual([
    { row: 42, message: expect.stringContaining('This row and the 19959 after it were left out') },
  ]);
});
