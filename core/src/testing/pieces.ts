import fc from 'fast-check';
import { inches, type Units } from '../length';
import { applyChanges, DEFAULT_SHOP, newJob, type Piece } from '../job';
import { LUMBER_NAMES } from '../stock';
import {
  buildPiece,
  pieceFrom,
  STARTS,
  topCandidates,
  type Family,
  type PieceModel,
  type Spec,
  type Top,
} from '../piece';

/** A value for a choice: any of a pick's, else near where it starts. */
function valueOf(spec: Spec, units: Units): fc.Arbitrary<string | number | boolean> {
  switch (spec.kind) {
    case 'pick':
      return fc.constantFrom(...Object.keys(spec.options));
    case 'yes':
      return fc.boolean();
    case 'count':
      return fc.integer({ min: spec.least, max: Math.min(spec.most, Math.max(spec.initial + 2, spec.least + 2)) });
    case 'angle':
      return fc.integer({ min: spec.least, max: spec.most });
    case 'length': {
      const step = units === 'in' ? inches(1 / 16) : 320;
      const most = Math.min(spec.most, Math.max(spec.initial * 1.5, spec.least + inches(1)));
      return fc
        .integer({ min: Math.ceil(spec.least / step), max: Math.floor(most / step) })
        .map((steps) => steps * step);
    }
  }
}

const choicesOf = (specs: Readonly<Record<string, Spec>>, units: Units) =>
  fc.record(Object.fromEntries(Object.entries(specs).map(([name, spec]) => [name, valueOf(spec, units)])), {
    requiredKeys: [],
  });

/**
 * Random pieces of one family with one top: sizes from three quarters to one and a quarter of the usual, any choices.
 */
export function piecesOf(family: Family, top: Top | null, units: Units): fc.Arbitrary<Piece> {
  const start =
    STARTS.find((one) => one.family === family.id && (top === null || one.top === top.id)) ??
    STARTS.find((one) => one.family === family.id)!;
  const base = pieceFrom(start, 'p');
  const step = units === 'in' ? inches(1 / 8) : 320;
  const near = (size: number) =>
    fc
      .integer({ min: Math.ceil((size * 0.75) / step), max: Math.floor((size * 1.25) / step) })
      .map((steps) => steps * step);
  const square = top !== null && top.deck !== 'rectangle';
  return fc
    .record({
      length: near(base.size.length),
      width: near(base.size.width),
      height: near(base.size.height),
      wood: fc.constantFrom(...LUMBER_NAMES),
      planed: fc.constantFrom(0, 0, inches(1 / 16)),
      planedFor: fc.constantFrom('all', 'top', 'rest'),
      choices: choicesOf(family.choices, units),
      topChoices: top ? choicesOf(top.choices, units) : fc.constant({}),
    })
    .map(({ length, width, height, wood, planed, planedFor, choices, topChoices }): Piece => {
      // A pedestal carries tops about as wide as long; round ones are.
      const wide = square || family.id === 'pedestal' ? length : width;
      return {
        ...base,
        wood,
        planed,
        planedFor,
        top: top?.id ?? base.top,
        size: { length, width: wide, height },
        choices: choices as Piece['choices'],
        topChoices: topChoices as Piece['choices'],
      };
    });
}

/** Takes the first remedy of the first finding again and again until the piece can be built, or twenty times. */
export function mended(
  piece: Piece,
  units: Units,
): { readonly piece: Piece; readonly model: PieceModel; readonly taken: number } {
  let now = piece;
  for (let taken = 0; ; taken++) {
    const candidates = topCandidates(now);
    const model = buildPiece(now, candidates[0]!, DEFAULT_SHOP, units);
    const finding = model.findings[0];
    if (!finding || taken === 20) return { piece: now, model, taken };
    const remedy = finding.remedies[0];
    if (!remedy) return { piece: now, model, taken: 20 };
    now = applyChanges({ ...newJob('j'), pieces: [now] }, remedy.changes).pieces[0]!;
  }
}
