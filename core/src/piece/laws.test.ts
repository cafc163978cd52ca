import fc from 'fast-check';
import { plain } from '../words';
import {
  colliding,
  loose,
  misassembled,
  outside,
  overlapping,
  twice,
  unconnected,
  undeclared,
  uneven,
  unmated,
  wrongVolume,
} from '../testing/laws';
import { KINDS } from '../testing/jobs';
import { mended, piecesOf } from '../testing/pieces';
import { isTopAlone, refusal, type PieceModel } from './index';
import { runs, someOf } from '../testing/runs';

const LAWS: Readonly<Record<string, (model: PieceModel) => readonly string[]>> = {
  overlapping,
  undeclared,
  loose,
  unconnected,
  uneven,
  unmated,
  wrongVolume,
  colliding,
  misassembled,
  twice,
};

describe.each(['in', 'mm'] as const)('every family with every top, in %s, at random sizes and choices', (units) => {
  // Millimetres take other sizes of boards and nothing else.
  const pairs = units === 'in' ? KINDS : someOf(KINDS, 3);
  test.each(pairs)('%s', (_, family, top) => {
    const enough = units === 'in' ? 4 : 1;
    fc.assert(
      fc.property(piecesOf(family, top, units), (wish) => {
        if (top && refusal(wish, family, top)) {
          // What is refused says why, and offers what can be built.
          const { model, taken } = mended(wish, units);
          expect([model.findings.map((finding) => plain(finding.title, units)), taken > 0]).toEqual([[], true]);
          return;
        }
        // An impossible wish gives findings, never parts; taking their remedies leads to something that can be built.
        const { piece, model } = mended(wish, units);
        expect(model.findings.map((finding) => `${finding.id}: ${plain(finding.because, units)}`)).toEqual([]);
        const box = outside(model);
        // A top by itself stands nowhere: its height is what it is thick.
        const [low, high] = isTopAlone(piece) ? [box?.min[2], box?.max[2]] : [0, piece.size.height];
        expect(box).toEqual({ min: [0, 0, low], max: [piece.size.length, piece.size.width, high] });
        expect(Object.fromEntries(Object.entries(LAWS).map(([name, law]) => [name, law(model)]))).toEqual(
          Object.fromEntries(Object.keys(LAWS).map((name) => [name, []])),
        );
      }),
      runs(enough, 2026),
    );
  });
});
