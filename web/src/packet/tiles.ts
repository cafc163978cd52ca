/** One page of a drawing that is larger than paper: where its window begins, and its name: A1, A2, B1. */
export type Tile = {
  readonly name: string;
  readonly x: number;
  readonly y: number;
  readonly columns: number;
  readonly rows: number;
};

/** A little air round the drawing, mm, so that no line lies on a page's edge. */
const AIR = 8;

/**
 * Windows on a drawing `width` by `height`, each a page in size, neighbours sharing `overlap`; millimetres. Every point
 * of the drawing is on a page.
 */
export function tilesOf(
  width: number,
  height: number,
  page: { readonly width: number; readonly height: number },
  overlap: number,
): readonly Tile[] {
  const count = (size: number, on: number) => Math.max(1, Math.ceil((size + 2 * AIR - overlap) / (on - overlap)));
  const [columns, rows] = [count(width, page.width), count(height, page.height)];
  return Array.from({ length: rows }, (_, row) =>
    Array.from({ length: columns }, (_, column) => ({
      name: `${String.fromCharCode(65 + row)}${column + 1}`,
      x: -AIR + column * (page.width - overlap),
      y: -AIR + row * (page.height - overlap),
      columns,
      rows,
    })),
  ).flat();
}
