import fc from 'fast-check';
import { tilesOf } from './tiles';

const PAGE = { width: 180, height: 240 };

test('one page for what fits, named A1; more across and down where it does not', () => {
  expect(tilesOf(100, 50, PAGE, 10)).toEqual([{ name: 'A1', x: -8, y: -8, columns: 1, rows: 1 }]);
  expect(tilesOf(300, 400, PAGE, 10).map(({ name }) => name)).toEqual(['A1', 'A2', 'B1', 'B2']);
});

test('every point of any drawing is on a page, neighbours share the overlap', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 3000 }), fc.integer({ min: 1, max: 1500 }), (width, height) => {
      const tiles = tilesOf(width, height, PAGE, 10);
      const across = Math.max(...tiles.map(({ x }) => x)) + PAGE.width;
      const down = Math.max(...tiles.map(({ y }) => y)) + PAGE.height;
      expect(across).toBeGreaterThanOrEqual(width + 8);
      expect(down).toBeGreaterThanOrEqual(height + 8);
      // No page that only repeats what the one before it shows.
      expect(across - (PAGE.width - 10)).toBeLessThan(width + 8 + 10);
      const xs = [...new Set(tiles.map(({ x }) => x))].sort((a, b) => a - b);
      xs.slice(1).forEach((x, at) => expect(xs[at]! + PAGE.width - x).toBe(10));
      expect(new Set(tiles.map(({ name }) => name)).size).toBe(tiles.length);
    }),
  );
});
