import fc from 'fast-check';
import { inches, mm, type Length, type Units } from '../length';
import { APRON_STOCK, LEGS, TOP_WIDTHS, USES, newJob, newPiece, type Job, type Piece } from '../job';

/** Random four-leg tables of sizes people build, in quarter inches or whole millimetres. For property tests. */
export const tables = (units: Units): fc.Arbitrary<Piece> => {
  const size = (from: number, to: number): fc.Arbitrary<Length> =>
    units === 'in'
      ? fc.integer({ min: from * 4, max: to * 4 }).map((quarters) => inches(quarters / 4))
      : fc.integer({ min: Math.ceil(from * 25.4), max: Math.floor(to * 25.4) }).map(mm);
  return fc
    .record({
      use: fc.constantFrom(...USES),
      length: size(36, 84),
      width: size(20, 42),
      height: size(16, 40),
      thickness: fc.constantFrom('1x' as const, '2x' as const),
      topWidth: fc.constantFrom(...TOP_WIDTHS),
      edges: fc.constantFrom('ripped' as const, 'as bought' as const),
      fixing: fc.constantFrom('clips' as const, 'screwed' as const),
      legs: fc.constantFrom(...LEGS),
      apron: fc.constantFrom(...APRON_STOCK),
      ends: size(0, 8),
      sides: size(0, 3),
      setback: fc.constantFrom(0, inches(1 / 4), inches(1 / 2)),
      crossSupports: fc.integer({ min: 0, max: 3 }),
      copies: fc.integer({ min: 1, max: 2 }),
    })
    .map((row) => ({
      ...newPiece('table', row.use),
      copies: row.copies,
      size: { length: row.length, width: row.width, height: row.height },
      choices: {
        top: { thickness: row.thickness, width: row.topWidth, edges: row.edges, fixing: row.fixing },
        legs: row.legs,
        apron: row.apron,
        overhang: { ends: row.ends, sides: row.sides },
        setback: row.setback,
        crossSupports: row.crossSupports,
      },
    }));
};

export const jobOf = (piece: Piece, units: Units): Job => ({ ...newJob('test'), units, pieces: [piece] });
