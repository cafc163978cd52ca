import fc from 'fast-check';
import { inches, mm, type Length, type Units } from '../length';
import { newJob, type Job, type Piece } from '../job';
import { apronChoices, boardChoices, newPiece } from '../piece';

const keys = <V extends string>(options: Readonly<Record<V, string>>) => Object.keys(options) as V[];

/** A length in quarter inches or whole millimetres. */
export const lengths = (units: Units, from: number, to: number): fc.Arbitrary<Length> =>
  units === 'in'
    ? fc.integer({ min: from * 4, max: to * 4 }).map((quarters) => inches(quarters / 4))
    : fc.integer({ min: Math.ceil(from * 25.4), max: Math.floor(to * 25.4) }).map(mm);

/** Random four-leg tables with joined tops, of sizes people build. For property tests. */
export const tables = (units: Units): fc.Arbitrary<Piece> => {
  const size = (from: number, to: number) => lengths(units, from, to);
  return fc
    .record({
      start: fc.constantFrom('dining', 'desk', 'coffee', 'standing'),
      length: size(36, 84),
      width: size(20, 42),
      height: size(16, 40),
      thickness: fc.constantFrom(...keys(boardChoices.thickness.options)),
      topWidth: fc.constantFrom(...keys(boardChoices.width.options)),
      edges: fc.constantFrom(...keys(boardChoices.edges.options)),
      fixing: fc.constantFrom(...keys(apronChoices.fixing.options)),
      legs: fc.constantFrom('4x4', 'two 2x4', 'three 2x4'),
      apron: fc.constantFrom(...keys(apronChoices.apron.options)),
      ends: size(0, 8),
      sides: size(0, 3),
      setback: fc.constantFrom(0, inches(1 / 4), inches(1 / 2)),
      crossSupports: fc.integer({ min: 0, max: 3 }),
      copies: fc.integer({ min: 1, max: 2 }),
    })
    .map((row) => ({
      ...newPiece('table', row.start),
      copies: row.copies,
      size: { length: row.length, width: row.width, height: row.height },
      choices: {
        legs: row.legs,
        apron: row.apron,
        overhangEnds: row.ends,
        overhangSides: row.sides,
        setback: row.setback,
        crossSupports: row.crossSupports,
        fixing: row.fixing,
      },
      topChoices: { thickness: row.thickness, width: row.topWidth, edges: row.edges },
    }));
};

export const jobOf = (piece: Piece, units: Units): Job => ({ ...newJob('test'), units, pieces: [piece] });
