import { first, found } from '../../lists';
import { inches, type Length } from '../../length';
import { DEFAULT_SHOP, newJob, type Piece } from '../../job';
import { planJob } from '../../plan';
import { rehearse } from '../../rehearsal';
import { plain } from '../../words';
import { boxOf, buildPiece, newPiece, topCandidates, type Choices } from '../index';
import { rowsOf } from './planks';

/** A standing table of 60 x 28 x 36 under another top. */
function under(top: string, topChoices: Piece['topChoices'] = {}) {
  const piece: Piece = { ...newPiece('p', 'standing'), top, topChoices };
  const { parts, joints } = buildPiece(piece, first(topCandidates(piece)), DEFAULT_SHOP, 'in');
  const part = (tag: string) => found(parts, (one) => one.tag === tag);
  const inOrder = (tags: RegExp): readonly Length[] =>
    parts.filter(({ tag }) => tags.test(tag)).map(({ length }) => length);
  return { parts, joints, part, inOrder };
}

test('planks on plywood, edged flush: seams step by nine inches, the outer rows share what is left', () => {
  const { part, inOrder } = under('planks');
  expect([part('Y1').length, part('Y1').width]).toEqual([inches(58.5), inches(26.5)]); // 60 and 28 less 3/4 all round
  expect(inOrder(/^T1/)).toEqual([36, 22.5].map(inches));
  expect(inOrder(/^T2/)).toEqual([27, 31.5].map(inches)); // 36 - 9
  expect(inOrder(/^T3/)).toEqual([18, 40.5].map(inches)); // 18 + 36 leaves 4 1/2: too short to hold, left on
  expect(inOrder(/^T4/)).toEqual([9, 36, 13.5].map(inches));
  expect(part('T1A').width).toBe(inches(2.75)); // (26 1/2 - 6 x 3 1/2) / 2
  expect(part('T2A').width).toBe(inches(3.5));
  expect(part('L1').length).toBe(inches(36 - 23 / 32 - 3 / 4));
});

test('planks of full length have no seams; nailed from below the core is what is nailed through', () => {
  const piece: Piece = { ...newPiece('p', 'standing'), top: 'planks', topChoices: { run: 'full', nailed: 'below' } };
  const { parts, joints } = buildPiece(piece, first(topCandidates(piece)), DEFAULT_SHOP, 'in');
  const rows = parts.filter(({ tag }) => /^T\d+$/.test(tag));
  // 26 1/2 of 3 1/2: eight rows, each 60 less 3/4 at both ends.
  expect(rows.map(({ length }) => length)).toEqual(Array.from({ length: 8 }, () => inches(58.5)));
  const nails = joints.filter(
    ({ kind, drilled, into }) => kind === 'glue' && /T\d|Y1/.test(drilled) && /T\d|Y1/.test(into),
  );
  expect(nails.map(({ drilled }) => drilled)).toEqual(Array.from({ length: 8 }, () => 'p.Y1'));
});

test('planks of mixed widths come in turn; the outer two share what is left', () => {
  const { parts } = under('planks', { planks: 'mixed', run: 'full', ends: 'flush' });
  const rows = parts.filter(({ tag }) => /^T\d+$/.test(tag));
  // 5 1/2, 2 1/2 and 3 1/2 over and over: seven come to 28 1/2 for 26 1/2. The outer two give 2 of their 11.
  expect(rows.map(({ material, width }) => [material, width / inches(1)])).toEqual([
    ['1x6', 4.5],
    ['1x3', 2.5],
    ['1x4', 3.5],
    ['1x6', 5.5],
    ['1x3', 2.5],
    ['1x4', 3.5],
    ['1x6', 4.5],
  ]);
  expect(rows.every(({ flush, length }) => flush && length === inches(58.5))).toBe(true);
  expect(first(rowsOf(inches(2), [{ material: '1x6', width: inches(5.5) }])).width).toBe(inches(2));
});

test('strips of plywood: sawn as wide as is said, the top as thick as both sheets', () => {
  const { part, parts } = under('planks', { planks: 'strips', strip: inches(2), run: 'full' });
  const rows = parts.filter(({ tag }) => /^T\d+$/.test(tag));
  expect(rows).toHaveLength(14); // 26 1/2 of 2
  expect([first(rows).width, rows[1]!.width].map((size) => size / inches(1))).toEqual([1.25, 2]);
  expect(new Set(rows.map(({ material }) => material))).toEqual(new Set(['ply 1/2']));
  expect(part('L1').length).toBe(inches(36 - 23 / 32 - 15 / 32));
});

test('planks that are laid long are cut flush once they are down; only full ones are', () => {
  const piece: Piece = {
    ...newPiece('p', 'standing'),
    top: 'planks',
    topChoices: { run: 'full', ends: 'flush', nailed: 'below' },
  };
  const job = { ...newJob('j'), pieces: [piece] };
  const plan = planJob(job, { today: '2026-01-31', effort: 'quick' });
  const made = plan.pieces[0]!.steps.flatMap(({ operations }) => operations);
  const cut = found(made, ({ kind }) => kind === 'trim whole');
  // An inch is left on, half at each end; the saw goes through core and plank.
  expect(cut).toMatchObject({
    to: inches(58.5),
    off: inches(1 / 2),
    flush: { to: 'Y1', deep: inches(23 / 32 + 3 / 4), above: false },
  });
  expect(cut.tags).toHaveLength(8);
  const at = (kind: string) => made.findIndex((one) => one.kind === kind);
  expect(at('trim whole')).toBeGreaterThan(at('drive'));
  expect(made.findIndex(({ tags }) => tags.includes('G1'))).toBeGreaterThan(at('trim whole'));
  expect(rehearse(plan, job).faults).toEqual([]);
  const without = {
    ...plan,
    pieces: plan.pieces.map((facts) => ({
      ...facts,
      steps: facts.steps.filter(({ title }) => plain(title, 'in') !== 'Cut the planks flush'),
    })),
  };
  expect(rehearse(without, job).faults.map(({ kind }) => kind)).toContain('wrong shape');
  expect(under('planks', { ends: 'flush' }).parts.some(({ flush }) => flush)).toBe(false);
  // Who lifts the whole top to the saw is told: planks of 1x4 and core weigh more than one of these carries.
  const weak = { ...job, shop: { ...job.shop, lift: 20 } };
  const heavy = planJob(weak, { today: '2026-01-31', effort: 'quick' });
  const lifted = found(
    heavy.pieces[0]!.steps.flatMap(({ operations }) => operations),
    ({ kind }) => kind === 'trim whole',
  ).lift!;
  expect(lifted.people).toBe(Math.ceil(lifted.pounds / 20));
  expect(lifted.people).toBeGreaterThan(1);
  expect(rehearse(heavy, weak).faults).toEqual([]);
});

test('a border laid flat round a sheet: an inch and a half wide, joined edge to edge, its upper face the top’s', () => {
  const { part, joints } = under('edged-sheet', { edging: 'flat' });
  expect([part('T1').length, part('T1').width]).toEqual([inches(57), inches(25)]);
  expect([part('G1').width, part('G1').thickness, part('G3').length]).toEqual([inches(1.5), inches(3 / 4), inches(28)]);
  expect(boxOf(part('G1')).max[2]).toBe(inches(36));
  // Undersides level: the sheet is a thirty-second thinner.
  expect(boxOf(part('G1')).min[2]).toBe(boxOf(part('T1')).min[2]);
  expect(part('L1').length).toBe(inches(36 - 3 / 4));
  expect(joints.filter(({ kind, drilled }) => kind === 'edge' && drilled === 'p.T1')).toHaveLength(4);
});

test('a sheet with solid edging: mitred, as thick as the sheet', () => {
  const { part } = under('edged-sheet');
  expect([part('T1').length, part('T1').width]).toEqual([inches(58.5), inches(26.5)]);
  expect([part('G1').length, part('G3').length].map((size) => size / inches(1))).toEqual([60, 28]);
  expect(part('G1').width).toBe(inches(23 / 32));
  expect(part('L1').length).toBe(inches(36 - 23 / 32));
});

test('breadboard ends take their width off the boards between them', () => {
  const { part, parts } = under('breadboard');
  expect(part('T1').length).toBe(inches(60 - 2 * 3.5));
  expect(part('B1').length).toBe(inches(28));
  const boards = parts.filter(({ tag }) => /^T\d/.test(tag));
  expect(boards.reduce((sum, { width }) => sum + width, 0)).toBe(inches(28));
});

test('end boards held all across hold every board fast, and the margin says what that does', () => {
  const fastOf = (endsHeld: string) => {
    const { joints } = under('breadboard', { width: '6', endsHeld });
    return joints.filter(({ kind, into }) => kind === 'rail end' && into === 'p.B1').length;
  };
  // 28 of 5 1/4: six boards. Two of them lie at the middle.
  expect([fastOf('float'), fastOf('fast')]).toEqual([2, 6]);
  const piece: Piece = {
    ...newPiece('p', 'standing'),
    top: 'breadboard',
    topChoices: { width: '6', endsHeld: 'fast' },
  };
  const { findings } = planJob({ ...newJob('j'), pieces: [piece] }, { today: '2026-01-31', effort: 'quick' });
  const moves = found(findings, ({ id }) => id.includes('movement'));
  expect(moves.level).toBe('care');
  expect(moves.remedies.flatMap(({ changes }) => changes)).toContainEqual(
    expect.objectContaining({ path: ['topChoices', 'endsHeld'], value: 'float' }),
  );
});

test('slats: as many as go in with the gap asked for, the first and the last at the edges, even gaps', () => {
  const { parts } = under('slats');
  const slats = parts.filter(({ tag }) => /^T\d/.test(tag)).map((slat) => boxOf(slat));
  expect(slats).toHaveLength(7); // eight would be 8 x 3 1/2 + 7 x 1/4 = 29 3/4
  expect([first(slats).min[1], slats[6]!.max[1]]).toEqual([0, inches(28)]);
  const gaps = slats.slice(1).map((slat, at) => slat.min[1] - slats[at]!.max[1]);
  for (const gap of gaps) expect(Math.abs(gap - inches((28 - 7 * 3.5) / 6))).toBeLessThanOrEqual(inches(1 / 32));
});

test('a bought stone and a top that is there: the legs are what is left of the height', () => {
  expect(under('bought').part('L1').length).toBe(inches(36 - 1.25));
  expect(under('found').part('L1').length).toBe(inches(35));
  expect(under('found', { thick: inches(2) }).part('L1').length).toBe(inches(34));
});

test('a frame that holds six tiles of 12 with eighths between and around them', () => {
  const piece = newPiece('p', 'tiled');
  const { parts } = buildPiece(piece, first(topCandidates(piece)), DEFAULT_SHOP, 'in');
  const part = (tag: string) => found(parts, (one) => one.tag === tag);
  const field = [3 * 12 + 4 / 8, 2 * 12 + 3 / 8] as const;
  expect([part('Y1').length, part('Y1').width]).toEqual(field.map(inches));
  // Sides of 3 1/2 with a rebate of 3/4 stand 2 3/4 beyond the field.
  expect([part('G1').length, part('G3').length]).toEqual(field.map((size) => inches(size + 2 * 2.75)));
  expect(parts.filter(({ tag }) => /^Q\d/.test(tag))).toHaveLength(6);
});

describe('tiles of a size of one’s own', () => {
  const tiled = (choices: Choices, size: readonly [number, number]) => {
    const base = newPiece('p', 'tiled');
    const [length, width] = size.map((side) => inches(side)) as [number, number];
    const piece = { ...base, topChoices: { ...choices }, size: { ...base.size, length, width } };
    return buildPiece(piece, '2x4', DEFAULT_SHOP, 'in');
  };
  const own = { tile: 'own', tileLong: inches(6), tileWide: inches(9), tileThick: inches(1 / 4), joint: inches(1 / 8) };

  test('6 by 9, six by three: their run, their price, their weight; the bed lies as deep as they are thick', () => {
    // 6 x 6 + 7/8 of joints + 2 x (3 1/2 - 3/4); 3 x 9 + 1/2 + 5 1/2.
    const { parts, findings } = tiled({ ...own, long: 6, wide: 3, tilePrice: 250 }, [42.375, 33]);
    expect(findings).toEqual([]);
    const laid = parts.filter(({ name }) => name === 'tile');
    expect(laid).toHaveLength(18);
    expect(laid[0]).toMatchObject({
      length: inches(6),
      width: inches(9),
      thickness: inches(1 / 4),
      bought: { size: '6 x 9', price: 250, pounds: 1.5 },
    });
    const top = Math.max(...laid.map((part) => boxOf(part).max[2]));
    expect(top).toBe(inches(18));
  });

  const inEdging = { tile: '6', set: 'adhesive', long: 4, wide: 3, joint: inches(1 / 8) } as const;

  test('set in adhesive: edged plywood, each tile an eighth higher, and what setting them takes', () => {
    // 4 x 6 + 5/8 and 3 x 6 + 1/2, with 3/4 of edging all round.
    const { parts, joints, needs, findings } = tiled(inEdging, [26.125, 20]);
    expect(findings).toEqual([]);
    const part = (tag: string) => found(parts, (one) => one.tag === tag);
    expect([part('Y1').length, part('Y1').width]).toEqual([24.625, 18.5].map(inches));
    expect(part('Q1').thickness).toBe(inches(3 / 8 + 1 / 8));
    expect(part('G1').width).toBe(inches(23 / 32 + 1 / 2));
    expect(joints.filter(({ kind }) => kind === 'set')).toHaveLength(12);
    const of = (kind: string) => needs.filter((need) => need.kind === kind).map(({ size, count }) => [size, count]);
    // 3 square feet at 2.9 ounces; five columns and four rows of corners.
    expect(of('tile-adhesive')).toEqual([['', 9]]);
    expect(of('tile-spacer')).toEqual([['1/8', 20]]);
    expect(of('tile-tool').map(([size]) => size)).toEqual(['notched trowel 3/16', 'rubber float', 'sponge']);
    // Between: (24 3/8 x 18 1/4 - 12 x 36) x 3/8 = 4.82 cubic inches; around what is left of 24 5/8 x 18 1/2: 4.01.
    expect(of('grout')).toEqual([['', Math.ceil((1.15 * 4.82) / 1.805)]]);
    expect(of('sealant')).toEqual([['', Math.ceil((1.15 * 4.01) / 1.805)]]);
  });

  test('one tile has no joint to grout; a joint of a width no spacers are sold for takes slips', () => {
    const large = { tile: 'own', tileLong: inches(20), tileWide: inches(16), long: 1, wide: 1 };
    const one = tiled({ ...inEdging, ...large }, [21.75, 17.75]);
    expect(one.needs.some(({ kind }) => kind === 'grout')).toBe(false);
    expect(one.needs.some(({ kind }) => kind === 'sealant')).toBe(true);
    const wide = tiled({ ...inEdging, joint: inches(5 / 16) }, [24 + 25 / 16 + 1.5, 18 + 20 / 16 + 1.5]);
    expect(wide.findings).toEqual([]);
    expect(wide.needs.some(({ kind }) => kind === 'tile-spacer')).toBe(false);
  });

  test('set tiles without a joint are refused: with a joint, or loose', () => {
    const { findings } = tiled({ ...inEdging, joint: 0 }, [25.5, 19.5]);
    expect(findings.map(({ kind }) => kind)).toHaveLength(1);
    expect(findings[0]!.remedies.map(({ label }) => plain(label, 'in'))).toEqual(['Joints of 1/8', 'Lay them loose']);
    expect(findings[0]!.remedies[0]!.changes.map((change) => ('value' in change ? change.value : null))).toEqual([
      inches(1 / 8),
      inches(26.125),
      inches(20),
    ]);
  });

  test('a size that whole tiles do not make is told, with the nearest that they do', () => {
    const { findings } = tiled({ ...own, long: 6, wide: 3 }, [42, 33]);
    const labels = findings.flatMap(({ remedies }) => remedies.map(({ label }) => plain(label, 'in')));
    expect(labels[0]).toBe('6 by 3 tiles: 42 3/8 by 33');
  });
});
