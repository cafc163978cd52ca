import fc from 'fast-check';
import { inches } from '../length';
import { DEFAULT_SHOP, type Piece } from '../job';
import { fastenings } from '../joinery';
import { buildPiece, newPiece } from '../piece';
import { areasOf, finishingNeeds, gritsTo, surfaceOf } from './index';

const base = newPiece('t', 'standing');
const table: Piece = { ...base, size: { ...base.size, width: inches(31.5) }, topChoices: { width: '6' } };
const { parts, joints } = buildPiece(table, '2x6', DEFAULT_SHOP, 'in');
const made = fastenings(joints, parts, 'in');

describe('surfaces worked out by hand: a table 60 by 31 1/2 of six 2x6', () => {
  test('a board is six faces', () => {
    // 60 x 5 1/4 x 1 1/2: 2 (315 + 90 + 7 7/8) square inches.
    expect(surfaceOf(parts.find(({ tag }) => tag === 'T1')!)).toBeCloseTo((2 * (315 + 90 + 7.875)) / 144, 6);
  });

  test('the top is its outside, less what lies on the aprons', () => {
    // Outside: 2 x 60 x 31 1/2 + 2 x 1 1/2 x (60 + 31 1/2) = 4054 1/2. On it lie two aprons of 47 and two of 21 1/2,
    // all
    // 1 1/2 thick; of the short ones a quarter inch at each end is under the outer boards, too little for a clip. Two
    // cross supports of 23 1/2 lie on it too.
    const on = 2 * 47 * 1.5 + 2 * 21 * 1.5 + 2 * 23.5 * 1.5;
    expect(areasOf(parts, made).top).toBeCloseTo((4054.5 - on) / 144, 4);
  });

  test('what is bought is not sanded', () => {
    const bought = parts.map((part) => ({ ...part, material: 'bought' as const }));
    expect(areasOf(bought, made)).toEqual({ top: 0, rest: 0 });
  });
});

describe('quantities worked out by hand', () => {
  const finish = { sandTo: 0, stain: 'none', coat: 'none', coats: 0 } as const;
  const needs = (of: Partial<Piece['finish']>, copies = 1, areas = { top: 24, rest: 36 }) =>
    finishingNeeds([{ finish: { ...finish, ...of }, copies, areas }]).map(
      ({ kind, size, count }) => `${count} ${kind} ${size}`,
    );

  test('discs: 60 square feet at 12 a disc to grit 150, then the top alone at 25', () => {
    expect(needs({})).toEqual([]);
    expect(needs({ sandTo: 150 })).toEqual(['5 disc 80', '5 disc 120', '5 disc 150']);
    expect(needs({ sandTo: 220 })).toEqual(['5 disc 80', '5 disc 120', '5 disc 150', '1 disc 180', '1 disc 220']);
    expect(needs({ sandTo: 120 }, 2)).toEqual(['10 disc 80', '10 disc 120']);
    expect(gritsTo(150)).toEqual([80, 120, 150]);
  });

  test('three coats of oil at 125 square feet a quart: 46.08 ounces, and a sanding between coats', () => {
    // 60 x 3 / 125 x 32 = 46.08; 60 x 2 / 25 = 4.8 discs.
    expect(needs({ coat: 'oil polyurethane', coats: 3 })).toEqual(['5 disc 220', '47 finish oil polyurethane']);
    expect(needs({ coat: 'hard-wax oil', coats: 2 })).toEqual(['16 finish hard-wax oil']);
  });

  test('an oil stain goes over conditioner, enamel over primer', () => {
    // 60 / 125 x 32 = 15.36 each; 60 / 100 x 32 = 19.2 of primer, twice that of enamel.
    expect(needs({ stain: 'oil stain' })).toEqual(['16 stain conditioner', '16 stain oil stain']);
    expect(needs({ stain: 'water stain' })).toEqual(['13 stain water stain']);
    expect(needs({ coat: 'enamel', coats: 2 })).toEqual(['3 disc 220', '39 finish enamel', '20 finish primer']);
  });

  test('two pieces with the same finish share a can: never more than each rounded up alone', () => {
    const ounces = (rows: ReturnType<typeof finishingNeeds>) => rows.reduce((sum, { count }) => sum + count, 0);
    fc.assert(
      fc.property(fc.float({ min: 1, max: 90, noNaN: true }), fc.float({ min: 1, max: 90, noNaN: true }), (a, b) => {
        const piece = (top: number) => ({
          finish: { ...finish, coat: 'enamel' as const, coats: 1 },
          copies: 1,
          areas: { top, rest: 0 },
        });
        const together = ounces(finishingNeeds([piece(a), piece(b)]));
        const apart = ounces(finishingNeeds([piece(a)])) + ounces(finishingNeeds([piece(b)]));
        expect(together).toBeLessThanOrEqual(apart);
        expect(together).toBeGreaterThanOrEqual(apart - 2);
      }),
    );
  });
});
