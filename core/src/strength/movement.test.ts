import { first, found } from '../lists';
import { newJob, type Piece } from '../job';
import { fastenings } from '../joinery';
import { newPiece, type Choices } from '../piece';
import { planJob } from '../plan';
import { heldAcross, movement, pullsBy } from './movement';

const OPTIONS = { today: '2026-11-29', effort: 'quick' } as const;
const planOf = (start: string, choices: Choices = {}, more: Partial<Piece> = {}) => {
  const base = newPiece('p', start);
  return planJob({ ...newJob('j'), pieces: [{ ...base, choices: { ...base.choices, ...choices }, ...more }] }, OPTIONS);
};
const heldIn = (start: string, choices: Choices = {}, more: Partial<Piece> = {}) => {
  const { parts, fastenings } = first(planOf(start, choices, more).pieces);
  return heldAcross(parts, fastenings);
};
const topOf = (all: ReturnType<typeof heldAcross>) =>
  all.filter(({ boards }) => boards.some(({ role }) => role === 'top')).sort((a, b) => b.spread - a.spread)[0];

test('width x Ct x change: 34 of Douglas-fir from 11 to 7 %', () => {
  expect(movement(34, 'fir', 4)).toBeCloseTo(34 * 0.00267 * 4, 9);
});

describe('what is held fast across its grain', () => {
  test('a top under clips at no two places; screwed fast from apron to apron', () => {
    expect(topOf(heldIn('dining'))).toBeUndefined();
    const held = topOf(heldIn('dining', { fixing: 'screwed' }))!;
    // Aprons 2 1/2 in under a top of 34, their screws in the middle of their 1 1/2: about 26 to 28 apart.
    expect(held.spread).toBeGreaterThan(26);
    expect(held.spread).toBeLessThan(28.5);
    expect(pullsBy(held, 4)).toBeCloseTo(movement(held.spread, 'spf', 4), 9);
    expect(held.outer.map(({ drilled }) => drilled.tag).sort()).toEqual(['A1', 'A2']);
  });

  test('breadboard ends hold the middle boards alone; outside these they ride on screws in slots', () => {
    const { fastenings } = first(planOf('trestle').pieces);
    const ends = fastenings.filter(({ joint }) => /\.B\d>|>B\d/.test(joint.id) && joint.kind !== 'top clips');
    const by = (tag: string) =>
      found(
        ends,
        ({ drilled, into }) => [drilled.tag, into.tag].includes(tag) && [drilled.tag, into.tag].includes('B1'),
      ).by;
    expect(['T1', 'T4', 'T7'].map(by)).toEqual(['slotted screws', 'pocket screws', 'slotted screws']);
    expect(topOf(heldIn('trestle'))?.spread ?? 0).toBeLessThan(6);
  });

  test('battens and spacers under a top let it move; a sheet, tiles and a panel of one board move nothing', () => {
    for (const start of ['hairpin', 'extending', 'tiled', 'end-table']) expect(topOf(heldIn(start))).toBeUndefined();
  });

  test('what gets as wide along with it holds it nowhere: a seat on board ends', () => {
    expect(heldIn('bench').every((one) => pullsBy(one, 4) < 3 / 32)).toBe(true);
  });

  test('a solid bottom of 20 rides in slots behind its front; were it screwed all round, two places would pull', () => {
    const deep = { ...newPiece('p', 'bookcase').size, width: 20 * 8128 };
    const { findings, pieces } = planOf('bookcase', { stock: 'panel 3/4' }, { size: deep });
    expect(findings.filter(({ kind }) => kind === 'cross-grain')).toEqual([]);
    const { parts, model } = first(pieces);
    const fast = model.joints.map((joint) => (joint.kind === 'float' ? { ...joint, kind: 'screws' as const } : joint));
    const [held] = heldAcross(parts, fastenings(fast, parts, 'in')).filter(({ spread }) => spread > 10);
    expect(held!.boards.map(({ tag }) => tag)).toEqual(['B1']);
    expect(held!.outer.map(({ into }) => into.tag).sort()).toEqual(['P1', 'P2']);
    const sheet = planOf('bookcase', { stock: 'ply 3/4' }, { size: deep });
    expect(sheet.findings.filter(({ kind }) => kind === 'cross-grain')).toEqual([]);
  });
});
