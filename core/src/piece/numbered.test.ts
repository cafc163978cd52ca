import { pieceFrom, STARTS } from './gallery';
import { buildPiece, topCandidates } from './build';
import { DEFAULT_SHOP } from '../job';
import { numbered } from './numbered';

const piece = pieceFrom(STARTS[0]!, 'p');
const [part] = buildPiece(piece, topCandidates(piece)[0]!, DEFAULT_SHOP, 'in').parts;

describe('parts by what they have in common', () => {
  test('the same number for what is the same, another for what is not', () => {
    const byLength = numbered(({ length }) => length);
    const same = { ...part!, width: part!.width + 1 };
    expect(byLength(same)).toBe(byLength(part!));
    expect(byLength({ ...part!, length: part!.length + 1 })).not.toBe(byLength(part!));
  });

  test('after more shapes than are remembered no number is given twice', () => {
    const byLength = numbered(({ length }) => length);
    const given = Array.from({ length: 12_000 }, (_, length) => byLength({ ...part!, length }));
    expect(new Set(given).size).toBe(given.length);
    const again = byLength({ ...part!, length: 3 });
    expect(given.indexOf(again) === -1 || given.indexOf(again) === 3).toBe(true);
  });
});
