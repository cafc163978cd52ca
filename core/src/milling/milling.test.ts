import { inches, printLength } from '../length';
import { DEFAULT_SHOP, KITS, newJob, type Piece, type Shop } from '../job';
import { buildPiece, newPiece } from '../piece';
import { isSheet, TABLE_SIZES } from '../stock';
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

  test('legs glued proud are ripped once they are one: an eighth narrower', () => {
    const proud: Piece = { ...piece, choices: { legs: 'two 2x4', legEdges: 'ripped' } };
    const leg = buildPiece(proud, '2x6', DEFAULT_SHOP, 'in').parts.find((part) => part.tag === 'L1')!;
    expect(printLength(leg.width, 'in')).toBe('3 3/8');
    const told = millingSteps(blankOf(leg, proud, DEFAULT_SHOP, TABLE_SIZES)!, shopWith(['table saw']));
    expect(told.map(({ text }) => plain(text, 'in').split(' ')[0])).toEqual(['Crosscut', 'Glue', 'Rip', 'Trim']);
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

describe('blanks under each edge and planing choice, worked out by hand: one board of a top 60 by 31 1/2', () => {
  // Six 2x6 ripped: 5 1/4 wide, an inch over. As bought: 5 1/2 inside. Planed 1/16 a face: 1 3/8 thick, the snipe of 2 at
  // each end is 4 over, more than the inch for squaring.
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
      steps: millingSteps(made, shop).map(({ text }) => plain(text, 'in')),
    };
  };

  test.each([
    ['ripped', 0, 2, '61 x 5 1/2 x 1 1/2', '60 x 5 1/4 x 1 1/2', 'squaring the glued top'],
    ['as bought', 0, 2, '61 x 5 1/2 x 1 1/2', '60 x 5 1/2 x 1 1/2', 'squaring the glued top'],
    ['ripped', 1 / 16, 2, '64 x 5 1/2 x 1 1/2', '60 x 5 1/4 x 1 3/8', 'cutting off the snipe'],
    ['as bought', 1 / 16, 2, '64 x 5 1/2 x 1 1/2', '60 x 5 1/2 x 1 3/8', 'cutting off the snipe'],
    ['ripped', 1 / 8, 0, '61 x 5 1/2 x 1 1/2', '60 x 5 1/4 x 1 1/4', 'squaring the glued top'],
  ] as const)('%s, %d off each face, snipe %d: a blank %s for a part %s', (edges, planed, snipe, size, part, extra) => {
    expect(blank(edges, planed, snipe)).toMatchObject({ size, part, extra });
  });

  test('an eighth off a face is four passes of a thirty-second; without a planer someone else does it', () => {
    expect(blank('ripped', 1 / 8, 2).steps[1]).toMatch(/^Plane both faces to 1 1\/4 thick: 4 passes a face/);
    expect(blank('ripped', 1 / 32, 2).steps[1]).toMatch(/1 pass a face/);
    expect(blank('ripped', 1 / 8, 2, ['table saw']).steps[1]).toMatch(/^Have the boards planed to 1 1\/4 thick/);
    expect(blank('ripped', 0, 2).steps.join()).not.toContain('lane');
    expect(blank('ripped', 1 / 8, 2).steps.at(-1)).toBe('Cut the gouged ends off, half of it from each: 60.');
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

test('angled ends and cut-outs are the last steps, each said once', () => {
  const piece = newPiece('x', 'x-frame');
  const { parts } = buildPiece(piece, '2x6', DEFAULT_SHOP, 'in');
  const steps = parts.flatMap((part) => {
    const made = blankOf(part, piece, DEFAULT_SHOP, TABLE_SIZES);
    return made ? [{ part, told: millingSteps(made, DEFAULT_SHOP).map(({ text }) => plain(text, 'in')) }] : [];
  });
  for (const { part, told } of steps) {
    const slanted = [part.ends.left, part.ends.right].some(({ mitre, bevel }) => mitre !== 0 || bevel !== 0);
    expect(told.filter((text) => text.startsWith('Cut the ends'))).toHaveLength(slanted ? 1 : 0);
    expect(told.filter((text) => text.startsWith('Take out'))).toHaveLength(part.cuts.length > 0 ? 1 : 0);
  }
  expect(steps.some(({ told }) => told.at(-1)!.startsWith('Take out 1 half lap'))).toBe(true);
});
