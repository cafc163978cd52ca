import { found } from '../lists';
import { toInches } from '../length';
import { DEFAULT_SHOP, type Piece } from '../job';
import { buildPiece, newPiece, topCandidates, type Cutout } from '../piece';
import type { Frame } from '../solid';
import { fastenings, poundsFor, type Fastening } from './index';
import { gluedPounds, longGrain, sideGrain } from './pounds';

const FLAT: Frame = { at: [0, 0, 0], u: [1, 0, 0], v: [0, 1, 0] };
const half = Math.SQRT1_2;

test.each([
  ['a board’s end', '2x4', [1, 0, 0], 0],
  ['its edge', '2x4', [0, 1, 0], 1],
  ['its face', '2x4', [0, 0, -1], 1],
  ['a mitre of 45', '2x4', [half, half, 0], 0.5],
  ['a panel’s end, as it is of boards', 'panel 3/4', [1, 0, 0], 0],
  ['the edge of plywood', 'ply 3/4', [1, 0, 0], 0.5],
  ['its face', 'ply 3/4', [0, 0, 1], 1],
] as const)('of %s glue holds on so much', (_, material, normal, share) => {
  expect(longGrain({ material, frame: FLAT }, normal)).toBeCloseTo(share, 12);
});

const madeOf = (piece: Piece): readonly Fastening[] => {
  const { parts, joints } = buildPiece(piece, topCandidates(piece)[0]!, DEFAULT_SHOP, 'in');
  return fastenings(joints, parts, 'in', piece);
};
const between = (all: readonly Fastening[], drilled: string, into: string) =>
  found(all, (one) => one.drilled.tag === drilled && one.into.tag === into);

test('a plinth screwed into the ends of its short boards: what is glued there counts for nothing', () => {
  const item = between(madeOf(newPiece('t', 'bookcase')), 'P1', 'P3');
  expect(item.glue).toBeGreaterThan(0);
  expect(sideGrain(item)).toBe(0);
});

test('the top of a case on the edge of its plywood side: half of what long grain would hold', () => {
  const item = between(madeOf(newPiece('t', 'bookcase')), 'T1', 'G1');
  expect(sideGrain(item)).toBeCloseTo((item.glue / 2) * 200 * 0.5, 6);
  expect(gluedPounds(item)).toBeCloseTo(sideGrain(item) / 2, 6);
});

test('a tenon by both its cheeks as deep as its mortise; half as deep it holds half', () => {
  const joins = { 'rail end': { by: 'mortise and tenon' as const } };
  const all = madeOf({ ...newPiece('t', 'standing'), joins }).filter(({ by }) => by === 'mortise and tenon');
  expect(all.length).toBeGreaterThan(4);
  for (const item of all) {
    const isOwn = ({ kind, for: tenon }: Cutout) => kind === 'mortise' && tenon === item.drilled.tag;
    const { from, to, outline } = found(item.into.cuts, isOwn);
    const wide = (at: 0 | 1) => Math.max(...outline.map((p) => p[at])) - Math.min(...outline.map((p) => p[at]));
    const tall = Math.max(wide(0), wide(1));
    expect(tall).toBeLessThan(item.drilled.width);
    expect(poundsFor(item)).toBeCloseTo(2 * toInches(to - from) * toInches(tall) * 200, 6);
    const cuts = item.into.cuts.map((cut) => (isOwn(cut) ? { ...cut, to: (from + to) / 2 } : cut));
    expect(poundsFor({ ...item, into: { ...item.into, cuts } })).toBeCloseTo(poundsFor(item) / 2, 6);
  }
});
