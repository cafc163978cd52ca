import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import fc from 'fast-check';
import { inches } from '../length';
import { DEFAULT_SHOP } from '../job';
import { TABLE_SIZES } from '../stock';
import { loose, misassembled, overlapping, twice, unconnected, undeclared, wrongVolume } from '../testing/laws';
import { roomOf } from './build';
import type { Family } from './family';
import { newPiece, settled, type PieceModel } from './index';
import { runs } from '../testing/runs';

/** The family in docs/adding-a-family.md, taken out of the page and built as it stands there. */
const page = readFileSync(join(__dirname, '../../../docs/adding-a-family.md'), 'utf8');
const source = /```ts family\n([\s\S]+?)```/.exec(page)![1]!;
const folder = join(__dirname, 'bases', '.from-the-docs');
let stool: Family;
beforeAll(() => {
  mkdirSync(folder, { recursive: true });
  writeFileSync(join(folder, 'stool.ts'), source.replace(/'\.\.\//g, "'../../"));
  // oxlint-disable-next-line typescript/no-require-imports
  stool = (require(join(folder, 'stool.ts')) as { stool: Family }).stool;
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const build = (length: number, inset: number, ends: string) => {
  const piece = { ...newPiece('p', 'bench'), size: { length: inches(length), width: inches(14), height: inches(18) } };
  return stool.build(
    roomOf(piece, '2x6', DEFAULT_SHOP, 'in', TABLE_SIZES),
    settled(stool.choices, { inset: inches(inset), ends }),
  );
};

test('the family in the page builds, and obeys the laws', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 8, max: 60 }),
      fc.integer({ min: 0, max: 10 }),
      fc.constantFrom('2x10', '2x12'),
      (length, inset, ends) => {
        const built = build(length, inset, ends);
        if (length - 2 * inset - 3 < 4) {
          expect([built.parts, built.findings.map((finding) => finding.id)]).toEqual([[], ['p.shape-stool-short']]);
          return;
        }
        const model: PieceModel = { ...built, bearers: [], adaptations: [] };
        for (const law of [overlapping, undeclared, loose, unconnected, misassembled, twice, wrongVolume])
          expect(law(model)).toEqual([]);
        expect(built.parts.map((part) => part.tag)).toEqual(['E1', 'E2', 'S1']);
      },
    ),
    runs(60, 4),
  );
});

test('every call of the kit that the page names is there', () => {
  const kit = readFileSync(join(__dirname, 'kit.ts'), 'utf8');
  const named = [...page.matchAll(/^\| `kit\.(\w+)\(/gm)].map((match) => match[1]!);
  expect(named.length).toBeGreaterThan(8);
  for (const name of named) expect(kit).toMatch(new RegExp(`\\n    ${name}[:(]|\\n    ${name},`));
});
