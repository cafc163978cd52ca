import { inches, printLength } from '../length';
import { DEFAULT_SHOP, KITS, newJob, type Piece, type Shop } from '../job';
import { buildPiece, newPiece } from '../piece';
import { TABLE_SIZES } from '../stock';
import { plain } from '../words';
import { blankOf, blanksOf, millingSteps } from './index';

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

describe('milling steps, worked out by hand', () => {
  const shopWith = (tools: Shop['tools']): Shop => ({ ...DEFAULT_SHOP, tools });
  const base = newPiece('t', 'standing');
  const piece: Piece = { ...base, size: { ...base.size, width: inches(31.5) }, topChoices: top('ripped') };
  const { parts } = buildPiece(piece, '2x6', DEFAULT_SHOP, 'in');
  const steps = (tag: string, tools: Shop['tools']) =>
    millingSteps(
      blankOf(
        parts.find((part) => part.tag === tag)!,
        piece,
        DEFAULT_SHOP,
        TABLE_SIZES,
      )!,
      shopWith(tools),
    ).map(({ text, leaves }) => `${printLength(leaves, 'in')}: ${plain(text, 'in')}`);

  test('a top board 5 1/2 wide to 5 1/4: a jointer takes an eighth, four passes a sixteenth each', () => {
    expect(steps('T1', ['table saw', 'jointer']).map((step) => step.split(':')[0])).toEqual([
      '61',
      '5 3/8',
      '5 1/4',
      '60',
    ]);
    expect(steps('T1', ['table saw']).map((step) => step.split(':')[0])).toEqual([
      '61',
      '5 7/16',
      '5 3/8',
      '5 5/16',
      '5 1/4',
      '60',
    ]);
    expect(steps('T1', ['circular saw', 'guide'])).toHaveLength(4);
    expect(steps('T1', ['hand saw'])[1]).toContain('yard');
  });

  test('a leg of plies is cut long, glued, trimmed; an apron is cut once', () => {
    expect(steps('L1', [])).toEqual([
      expect.stringMatching(/^35: Crosscut to 35, 2 of them/),
      expect.stringContaining('face to face'),
      expect.stringMatching(/^34 1\/2: Trim both ends/),
    ]);
    expect(steps('A1', [])).toHaveLength(1);
  });

  test('widths only ever shrink, and end at the part', () => {
    for (const part of parts) {
      const blank = blankOf(part, piece, DEFAULT_SHOP, TABLE_SIZES)!;
      for (const { tools } of KITS) {
        const lengths = millingSteps(blank, shopWith(tools));
        expect(lengths.at(-1)!.leaves).toBe(blank.extra > 0 ? part.length : blank.rip ? blank.rip.to : blank.length);
      }
    }
  });
});
