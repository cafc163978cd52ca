import { PER_MM } from '../length';
import { endRun, tan, type Cutout, type Part } from '../piece';
import { clipped, flatten, rectangle, spanOf, type Corner, type Flat, type Outline } from '../solid';

/**
 * A closed line of a template in millimetres, arcs as bulges; `through` is cut all the way, `hidden` is seen from
 * another side.
 */
export type Line = {
  readonly kind: 'outline' | 'through' | 'pocket' | 'hidden' | 'far edge';
  readonly points: Outline;
  readonly note: string;
};
/** One side of a part at full size: face (length by width) or edge (length by thickness). Origin at the lower left. */
export type Template = {
  readonly view: 'face' | 'edge';
  readonly width: number;
  readonly height: number;
  readonly lines: readonly Line[];
  /** Words on it, each about its middle, by height of its letters. */
  readonly texts?: readonly { readonly at: readonly [number, number]; readonly size: number; readonly text: string }[];
};

const mm = (length: number): number => length / PER_MM;
const inMm = (outline: Outline): Outline =>
  outline.map((corner): Corner =>
    corner[2] === undefined ? [mm(corner[0]), mm(corner[1])] : [mm(corner[0]), mm(corner[1]), corner[2]],
  );

/** The part's outline on its face at a depth: straight ends slanted by their angles. */
function faceAt(part: Part, z: number): Outline {
  const { length, width, thickness, ends } = part;
  if (part.outline) return part.outline;
  const [leastLeft] = endRun(ends.left, width, thickness);
  const [, mostRight] = endRun(ends.right, width, thickness);
  const left = (y: number) => y * tan(ends.left.mitre) + z * tan(ends.left.bevel) - leastLeft;
  const right = (y: number) => length + y * tan(ends.right.mitre) + z * tan(ends.right.bevel) - mostRight;
  return [
    [left(0), 0],
    [right(0), 0],
    [right(width), width],
    [left(width), width],
  ];
}

/** The part's outline on its edge, at half its width. */
function edgeOutline(part: Part): Outline {
  const { length, width, thickness, ends } = part;
  const [leastLeft] = endRun(ends.left, width, thickness);
  const [, mostRight] = endRun(ends.right, width, thickness);
  const y = width / 2;
  const left = (z: number) => y * tan(ends.left.mitre) + z * tan(ends.left.bevel) - leastLeft;
  const right = (z: number) => length + y * tan(ends.right.mitre) + z * tan(ends.right.bevel) - mostRight;
  if (ends.left.bevel === 0 && ends.right.bevel === 0) return rectangle(length, thickness);
  return [
    [left(0), 0],
    [right(0), 0],
    [right(thickness), thickness],
    [left(thickness), thickness],
  ];
}

type Range = readonly [number, number];
const held = ([from, to]: Range, most: number): Range => [Math.max(0, from), Math.min(most, to)];
const box = ([x0, x1]: Range, [y0, y1]: Range): Outline => [
  [x0, y0],
  [x1, y0],
  [x1, y1],
  [x0, y1],
];

/** What a cut-out shows in a view: its own outline where it is cut from that side, else the strip it takes. */
function cutLine(part: Part, cut: Cutout, view: Template['view']): Line | null {
  const sizes = [part.length, part.width, part.thickness] as const;
  const normal = view === 'face' ? 2 : 1;
  const up = view === 'face' ? 1 : 2;
  if (cut.axis === normal) {
    const through = cut.from <= 0 && cut.to >= sizes[normal];
    const deep = Math.min(cut.to, sizes[normal]) - Math.max(cut.from, 0);
    const outline = cut.outline.some((corner) => corner[2]) ? cut.outline : within(cut.outline, sizes[0], sizes[up]);
    return {
      kind: through ? 'through' : 'pocket',
      points: inMm(outline),
      note: through ? cut.kind : `${cut.kind}, ${mm(deep).toFixed(1)} mm deep`,
    };
  }
  const { x, y } = spanOf(flatten(cut.outline).points);
  // A cut along x has its outline in y and z; one along the other level axis in x and what is up.
  const along: Range = cut.axis === 0 ? [cut.from, cut.to] : x;
  const across: Range = cut.axis === 0 ? (up === 1 ? x : y) : [cut.from, cut.to];
  const [wide, tall] = [held(along, sizes[0]), held(across, sizes[up])];
  return wide[1] > wide[0] && tall[1] > tall[0]
    ? { kind: 'hidden', points: inMm(box(wide, tall)), note: cut.kind }
    : null;
}

/** The part of an outline of straight sides that lies on the part. */
function within(outline: Outline, length: number, height: number): Outline {
  const sides: readonly (readonly [Flat, number])[] = [
    [[-1, 0], 0],
    [[1, 0], length],
    [[0, -1], 0],
    [[0, 1], height],
  ];
  return sides.reduce<readonly Flat[]>(
    (rest, [normal, reach]) => clipped(rest, normal, reach),
    outline.map(([x, y]): Flat => [x, y]),
  );
}

/** A part's face and edge at full size, with everything that is cut out of it. */
export function templatesOf(part: Part): readonly Template[] {
  return (['face', 'edge'] as const).map((view): Template => {
    const near = view === 'face' ? faceAt(part, part.thickness) : edgeOutline(part);
    const far = view === 'face' && (part.ends.left.bevel !== 0 || part.ends.right.bevel !== 0) ? faceAt(part, 0) : null;
    return {
      view,
      width: mm(part.length),
      height: mm(view === 'face' ? part.width : part.thickness),
      lines: [
        { kind: 'outline', points: inMm(near), note: '' },
        ...(far ? [{ kind: 'far edge' as const, points: inMm(far), note: 'other face' }] : []),
        ...part.cuts.flatMap((cut) => cutLine(part, cut, view) ?? []),
      ],
    };
  });
}
