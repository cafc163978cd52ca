import { inches, printLength } from '../length';
import { DEFAULT_SHOP, newJob, type Piece, type Shop } from '../job';
import { buildPiece, newPiece } from '../piece';
import { isSheet, TABLE_SIZES } from '../stock';
import { blankOf, blanksOf } from './index';

const blanks = (choices: Piece['choices'], topChoices: Piece['topChoices'], width: number, copies = 1) => {
  const base = newPiece('t', 'standing');
  const piece: Piece = {
    ...base,
    copies,
    size: { ...base.size, width: inches(width) },
    choices: { ...base.choices, ...choices },
    topChoices,
  };
  const { parts } = buildPiece(piece, '2x6', DEFAULT_SHOP, 'in');
  return new Map(
    blanksOf({ ...newJob('j'), pieces: [piece] }, parts).map((blank) => [
      blank.part.tag,
      {
        cut: printLength(blank.length, 'in'),
        quantity: blank.quantity,
        rip: blank.rip ? `${printLength(blank.rip.to, 'in')} ${blank.rip.why}` : null,
        for: blank.extraFor,
      },
    ]),
  );
};
const top = (edges: 'ripped' | 'as bought') => ({ thickness: '2x', width: '6', edges });

describe('blanks worked out by hand: a table 60 long and 36 high', () => {
  test('ripped square: an inch over for squaring, an eighth off each edge', () => {
    const all = blanks({}, top('ripped'), 31.5);
    expect(all.get('T1')).toEqual({ cut: '61', quantity: 1, rip: '5 1/4 square edges', for: 'squaring the glued top' });
  });

  test('as bought: only the outer boards are ripped, and only to width', () => {
    const all = blanks({}, top('as bought'), 30);
    expect(all.get('T1')?.rip).toBe('4 to width');
    expect(all.get('T3')?.rip).toBeNull();
    expect(blanks({}, top('as bought'), 33).get('T1')?.rip).toBeNull();
    expect(blanks({}, top('as bought'), 32.8).get('T1')?.rip).toMatch(/to width$/);
  });

  test('laminated legs: one blank a ply, half an inch over; solid ones to size', () => {
    expect(blanks({ legs: 'three 2x4' }, {}, 30).get('L1')).toEqual({
      cut: '35',
      quantity: 3,
      rip: null,
      for: 'trimming the glued leg',
    });
    expect(blanks({ legs: '4x4' }, {}, 30).get('L1')).toEqual({ cut: '34 1/2', quantity: 1, rip: null, for: null });
  });

  test('aprons to size, cross supports left long to fit, copies counted', () => {
    const all = blanks({ legs: 'two 2x4', crossSupports: 1 }, {}, 30, 3);
    // 60 - 2 x 3 - 2 x 3 1/2
    expect(all.get('A1')).toEqual({ cut: '47', quantity: 3, rip: null, for: null });
    // 30 - 2 x 2 - 2 x 1/2 - 2 x 1 1/2 = 22, and half an inch
    expect(all.get('C1')).toEqual({ cut: '22 1/2', quantity: 3, rip: null, for: 'fitting' });
    expect(all.get('L2')?.quantity).toBe(6);
  });
});

describe('blanks under each edge and planing choice, worked out by hand: one board of a top 60 by 31 1/2', () => {
  // Six 2x6 ripped: 5 1/4 wide, an inch over. As bought: 5 1/2 inside. Planed 1/16 a face: 1 3/8 thick, the snipe of 2
  // at
  // each end is 4 over: more than the inch for squaring, it comes off with the squaring.
  const base = newPiece('t', 'standing');
  const blank = (
    edges: 'ripped' | 'as bought',
    planed: number,
    snipe: number,
    tools: Shop['tools'] = ['table saw', 'planer'],
  ) => {
    const shop: Shop = { ...DEFAULT_SHOP, snipe: inches(snipe), tools };
    const piece: Piece = {
      ...base,
      planed: inches(planed),
      size: { ...base.size, width: inches(31.5) },
      topChoices: top(edges),
    };
    const { parts } = buildPiece(piece, '2x6', shop, 'in');
    const part = parts.find(({ tag }) => tag === 'T2')!;
    const made = blankOf(part, piece, shop, TABLE_SIZES)!;
    return {
      size: [made.length, made.width, made.thickness].map((size) => printLength(size, 'in')).join(' x '),
      part: [part.length, part.width, part.thickness].map((size) => printLength(size, 'in')).join(' x '),
      extra: made.extraFor,
    };
  };

  test.each([
    ['ripped', 0, 2, '61 x 5 1/2 x 1 1/2', '60 x 5 1/4 x 1 1/2', 'squaring the glued top'],
    ['as bought', 0, 2, '61 x 5 1/2 x 1 1/2', '60 x 5 1/2 x 1 1/2', 'squaring the glued top'],
    ['ripped', 1 / 16, 2, '64 x 5 1/2 x 1 1/2', '60 x 5 1/4 x 1 3/8', 'squaring the glued top'],
    ['as bought', 1 / 16, 2, '64 x 5 1/2 x 1 1/2', '60 x 5 1/2 x 1 3/8', 'squaring the glued top'],
    ['ripped', 1 / 8, 0, '61 x 5 1/2 x 1 1/2', '60 x 5 1/4 x 1 1/4', 'squaring the glued top'],
  ] as const)('%s, %d off each face, snipe %d: a blank %s for a part %s', (edges, planed, snipe, size, part, extra) => {
    expect(blank(edges, planed, snipe)).toMatchObject({ size, part, extra });
  });

  test('planed for the top alone, or all but that: the others are as thick as they come, and their blanks too', () => {
    const thick = (planedFor: Piece['planedFor'], start = 'standing') => {
      const piece: Piece = { ...newPiece('t', start), planed: inches(1 / 8), planedFor, topChoices: top('ripped') };
      const { parts } = buildPiece(piece, '2x6', DEFAULT_SHOP, 'in');
      return ['T1', 'A1'].map((tag) => {
        const part = parts.find((one) => one.tag === tag)!;
        const made = blankOf(part, piece, DEFAULT_SHOP, TABLE_SIZES)!;
        return [part.thickness / inches(1), made.plane ? made.plane.to / inches(1) : null];
      });
    };
    expect(thick('all')).toEqual([
      [1.25, 1.25],
      [1.25, 1.25],
    ]);
    expect(thick('top')).toEqual([
      [1.25, 1.25],
      [1.5, null],
    ]);
    expect(thick('rest')).toEqual([
      [1.5, null],
      [1.25, 1.25],
    ]);
    // A case has no top of its own: nothing of it is left out.
    const chest: Piece = { ...newPiece('c', 'chest'), planed: inches(1 / 16), planedFor: 'top' };
    expect(buildPiece(chest, '2x6', DEFAULT_SHOP, 'in').parts.some(({ planed }) => planed > 0)).toBe(true);
  });

  test('sheets are not planed', () => {
    const piece: Piece = { ...newPiece('c', 'chest'), planed: inches(1 / 16) };
    const { parts } = buildPiece(piece, '2x6', DEFAULT_SHOP, 'in');
    for (const part of parts) {
      const made = blankOf(part, piece, DEFAULT_SHOP, TABLE_SIZES);
      if (made && isSheet(made.material)) expect(made).toMatchObject({ plane: null, thickness: part.thickness });
    }
  });
});
