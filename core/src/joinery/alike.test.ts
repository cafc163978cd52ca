import { DEFAULT_SHOP } from '../job';
import { buildPiece, pieceFrom, STARTS, topCandidates } from '../piece';
import { norm, sub } from '../solid';
import { clash, measured } from './shank';
import { fastenings, type Fastening } from './index';

/** A case of three columns and twelve drawers: joints that repeat, some beside slide screws that stand otherwise. */
const chest = (width: number) => {
  const start = STARTS.find(({ id }) => id === 'chest')!;
  const piece = pieceFrom(
    { ...start, size: [width, 20, 41], choices: { front: 'drawers', columns: 3, drawers: 4 } },
    'p',
  );
  const model = buildPiece(piece, topCandidates(piece)[0]!, DEFAULT_SHOP, 'in');
  return fastenings(model.joints, model.parts, 'in', piece, DEFAULT_SHOP);
};
const corners = (made: readonly Fastening[]) =>
  made.filter(({ drilled, into, by }) => drilled.role === 'drawer' && into.role === 'drawer' && by === 'screws');

describe('joints that lie alike are laid out once', () => {
  const made = chest(66);

  test('each screw, measured in its own place, holds as much as is said, and names its own parts', () => {
    expect(corners(made).length).toBe(12 * 5);
    for (const { drilled, into, shanks } of corners(made))
      for (const shank of shanks) {
        const [first, second] = shank.through === drilled.id ? [drilled, into] : [into, drilled];
        expect(first.id).toBe(shank.through);
        const anew = measured(shank, first, second, shank.length - shank.bite);
        expect(anew.bite).toBeCloseTo(shank.bite, 6);
        expect(anew.left).toBeCloseTo(shank.left, 6);
        expect(anew.held).toBe(shank.held);
      }
  });

  test('none meets a slide screw or another of its part', () => {
    for (const item of corners(made)) {
      const own = new Set([item.drilled.id, item.into.id]);
      const others = made
        .filter((other) => other !== item && (own.has(other.drilled.id) || own.has(other.into.id)))
        .flatMap(({ shanks }) => shanks);
      for (const shank of item.shanks) expect(others.some((other) => clash(shank, other))).toBe(false);
    }
  });

  test('drawers of one size have their screws in one place', () => {
    const of = (drawer: string) =>
      corners(made)
        .filter(({ drilled }) => drilled.tag.startsWith(drawer))
        .flatMap(({ drilled, shanks }) => shanks.map(({ from }) => sub(from, drilled.frame.at)));
    const [first, second] = [of('W1'), of('W5')];
    expect(first.length).toBeGreaterThan(0);
    for (const [at, place] of of('W2').entries()) expect(norm(sub(place, first[at]!))).toBeLessThan(1e-6);
    for (const [at, place] of second.entries()) expect(norm(sub(place, first[at]!))).toBeLessThan(1e-6);
  });
});
