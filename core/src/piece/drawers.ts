import { nth } from '../lists';
import { inches, type Length } from '../length';
import type { Material, LumberSizes } from '../stock';
import { say } from '../words';
import { pick } from './choice';
import { boxAt, cutFor, type Kit } from './kit';
import type { Box } from './geometry';

/** Slides usually take 1/2 in a side; lengths sold, inches. Domain figures; the slide's own sheet comes first. */
const SLIDE_GAP: Length = inches(0.5);
const SLIDE_LENGTHS = [10, 12, 14, 16, 18, 20, 22] as const;
/** Groove for a bottom: half the side's thickness deep, 1/4 up from the edge. */
const GROOVE_UP: Length = inches(1 / 4);
/** Room above and below a box in its opening. */
const BOX_CLEAR: Length = inches(1 / 2);

export type DrawerSizes = {
  readonly slide: number;
  readonly box: { readonly width: Length; readonly depth: Length; readonly height: Length };
  readonly groove: Length;
  /** The two pieces between the sides, and the bottom. */
  readonly between: Length;
  readonly bottom: { readonly width: Length; readonly depth: Length };
  readonly front: { readonly width: Length; readonly height: Length };
};

/**
 * Sizes of a drawer from its opening. The box is the opening less a slide each side and as deep as the longest slide
 * that goes in; the bottom reaches half a side's thickness into each groove; the applied front covers the opening and
 * `cover` around it. Null where no slide is short enough or the opening too small for a box.
 */
export function drawerSizes(
  opening: { readonly width: Length; readonly height: Length; readonly depth: Length },
  side: Length,
  cover: { readonly width: Length; readonly height: Length },
): DrawerSizes | null {
  const slide = SLIDE_LENGTHS.filter((length) => inches(length) <= opening.depth).at(-1);
  const width = opening.width - 2 * SLIDE_GAP;
  const height = opening.height - 2 * BOX_CLEAR;
  if (slide === undefined || width < inches(4) || height < inches(1.5)) return null;
  const depth = inches(slide);
  const groove = Math.floor(side / 2);
  const between = width - 2 * side;
  return {
    slide,
    box: { width, depth, height },
    groove,
    between,
    bottom: { width: between + 2 * groove, depth: depth - 2 * side + 2 * groove },
    front: { width: opening.width + 2 * cover.width, height: opening.height + 2 * cover.height },
  };
}

export type Drawer = {
  /** 1, 2, ...: tags are W1A (left), W1B (right), W1C (front), W1D (back), W1E (bottom), W1F (applied front). */
  readonly number: number;
  /** The opening: its front plane is at min y. */
  readonly opening: Box;
  readonly sides: readonly [string, string];
  readonly stock: Material;
  readonly side: Length;
  readonly front: { readonly material: Material; readonly box: Box };
  /** The back ends above the bottom, which slides in below it. */
  readonly shortBack: boolean;
};

/** How the back of a drawer box meets its bottom. */
export const drawerBacks = {
  backs: pick(
    'Drawer backs',
    { full: 'full, the bottom in a groove', short: 'shorter, the bottom slides in below' },
    'full',
    {
      help: 'A shorter back lets the bottom slide in from behind once the box is square, and out again.',
    },
  ),
};

const BOTTOM = 'ply 1/4' as const;

/** One drawer on slides, closed. Its box starts at the opening's front plane; the applied front stands before it. */
export function drawer(
  kit: Kit,
  sizes: DrawerSizes,
  { number, opening, sides, stock, side, front, shortBack }: Drawer,
): readonly string[] {
  const name = (letter: string) => `W${number}${letter}`;
  const spec = (letter: string, label: string, material: Material = stock) => ({
    tag: name(letter),
    role: 'drawer' as const,
    name: label,
    material,
  });
  const { box, groove, between } = sizes;
  const x = opening.min[0] + SLIDE_GAP;
  const y = opening.min[1];
  const z = opening.min[2] + BOX_CLEAR;
  kit.board(spec('A', 'drawer side'), boxAt([x, y, z], [side, box.depth, box.height]), 1, 2);
  kit.board(spec('B', 'drawer side'), boxAt([x + box.width - side, y, z], [side, box.depth, box.height]), 1, 2);
  kit.board(spec('C', 'drawer front'), boxAt([x + side, y, z], [between, side, box.height]), 0, 2);
  const bottomThick = kit.sizes.thickness(BOTTOM);
  const lift = shortBack ? GROOVE_UP + bottomThick : 0;
  const back = boxAt([x + side, y + box.depth - side, z + lift], [between, side, box.height - lift]);
  kit.board(spec('D', 'drawer back'), back, 0, 2);
  const deep = shortBack ? box.depth - side + groove : sizes.bottom.depth;
  kit.board(
    spec('E', 'drawer bottom', BOTTOM),
    boxAt([x + side - groove, y + side - groove, z + GROOVE_UP], [sizes.bottom.width, deep, bottomThick]),
    0,
    1,
  );
  for (const letter of shortBack ? ['A', 'B', 'C'] : ['A', 'B', 'C', 'D']) {
    kit.put(cutFor(kit.get(name(letter)), kit.get(name('E')), 'groove', 0));
    kit.join('groove', name('E'), name(letter));
  }
  if (shortBack) kit.join('glue', name('E'), name('D'));
  for (const end of ['C', 'D']) for (const long of ['A', 'B']) kit.join('screws', name(long), name(end));
  kit.board({ ...spec('F', 'applied front', front.material) }, front.box, 0, 2);
  kit.join('screws', name('C'), name('F'));
  kit.join('slide', name('A'), sides[0], true);
  kit.join('slide', name('B'), sides[1], true);
  kit.need({ kind: 'slide', size: String(sizes.slide), count: 1 });
  kit.need({ kind: 'pull', size: '', count: 1 });
  const tags = ['A', 'B', 'C', 'D', 'E', 'F'].map(name);
  kit.moves(`drawer-${number}`, `drawer ${number}`, tags, {
    kind: 'slide',
    along: [0, -1, 0],
    travel: inches(sizes.slide) - inches(1),
  });
  return tags;
}

/** How drawers go together and into their places, one after the other, once `from` is made. */
export function assembleDrawers(kit: Kit, numbers: readonly number[], from: string, shortBacks: boolean): void {
  numbers.forEach((number, at) => {
    const name = (letter: string) => `W${number}${letter}`;
    kit.assemble(
      `drawer-${number}`,
      say`Build drawer box ${number}`,
      (shortBacks ? ['A', 'B', 'C', 'D'] : ['A', 'B', 'C', 'D', 'E']).map(name),
      [],
      shortBacks ? [] : [say`Slide the bottom in dry: it squares the box.`],
    );
    const bottomed = shortBacks ? `drawer-bottom-${number}` : `drawer-${number}`;
    if (shortBacks)
      kit.assemble(
        bottomed,
        say`Slide the bottom into drawer box ${number}`,
        [name('E')],
        [`drawer-${number}`],
        [say`From behind, under the back, dry in its grooves: it squares the box.`],
      );
    const before = at === 0 ? from : `drawer-front-${nth(numbers, at - 1)}`;
    kit.assemble(`drawer-in-${number}`, say`Hang drawer ${number}`, [], [before, bottomed]);
    kit.assemble(
      `drawer-front-${number}`,
      say`Fix the front of drawer ${number}`,
      [name('F')],
      [`drawer-in-${number}`],
      [
        {
          says: say`Tape the front on with even gaps all round, pull the drawer out with it, drive its screws from inside.`,
          atHand: [say`masking tape`],
        },
      ],
    );
  });
}

/** Boards for drawer boxes, by name. */
export const DRAWER_STOCK = { 'ply 1/2': '1/2 plywood', '1x4': '1×4', '1x6': '1×6', '1x8': '1×8' } as const;
export type DrawerStock = keyof typeof DRAWER_STOCK;
export const sideOf = (stock: DrawerStock, sizes: LumberSizes): Length => sizes.thickness(stock);
/** The tallest side that can be cut from it. */
export const tallestSide = (stock: DrawerStock, sizes: LumberSizes): Length =>
  stock === 'ply 1/2' ? inches(24) : sizes.dressed(stock).width;
