import { nth } from '../lists';
import type { Length } from '../length';
import type { Axis, Cutout, Part } from '../piece';
import { arcOf, type Outline } from '../solid';
import { dim, listOf, say, strong, type Phrase } from '../words';
import type { Taken } from './operation';
import { named, sizeOf, told, type Teller } from './side';

const NAMES: Readonly<Record<Cutout['kind'], string>> = {
  lap: 'half lap',
  notch: 'notch',
  groove: 'groove',
  rebate: 'rebate',
  dado: 'dado',
  hole: 'hole',
  relief: 'relief',
  corner: 'clipped corner',
  mortise: 'mortise',
  tenon: 'tenon',
  taper: 'taper',
};
export const cutoutName = (kind: Cutout['kind']): string => NAMES[kind];

/** The two directions that an outline along an axis is given in. */
const PLANE: Readonly<Record<Axis, readonly [Axis, Axis]>> = { 0: [1, 2], 1: [0, 2], 2: [0, 1] };

/** Nearer to a side than this a cut-out runs out of it. */
const AT: Length = 16;

/** Where a cut-out lies along one direction of its part, as it is told: from a side, or from end to end. */
type Reach = { readonly low: Length; readonly high: Length; readonly whole: boolean; readonly says: Phrase };

/** How a stretch along a direction is told: all of it, so much from a side, or from here to there. */
function reachOf(part: Part, axis: Axis, low: number, high: number, teller: Teller): Reach {
  const size = sizeOf(part, axis);
  const [first, last] = [named(part, { axis, sign: -1 }, teller), named(part, { axis, sign: 1 }, teller)];
  const starts = low <= AT;
  const ends = high >= size - AT;
  if (starts && ends) return { low: -1, high: size + 1, whole: true, says: say`from ${first.name} to ${last.name}` };
  if (starts) {
    const to = told(high, teller.units);
    return { low: -1, high: to, whole: false, says: say`the first ${dim(to)} from the ${first.name}` };
  }
  if (ends) {
    const to = told(size - low, teller.units);
    return { low: size - to, high: size + 1, whole: false, says: say`the first ${dim(to)} from the ${last.name}` };
  }
  const back = low + high > size + AT;
  const near = told(back ? size - high : low, teller.units);
  const far = told(back ? size - low : high, teller.units);
  const [from, to] = back ? [size - far, size - near] : [near, far];
  return {
    low: from,
    high: to,
    whole: false,
    says: say`${dim(near)} to ${dim(far)} from the ${back ? last.name : first.name}`,
  };
}

const isBox = (outline: Outline): boolean =>
  outline.length === 4 &&
  outline.every(([x, y, bulge = 0], at) => {
    const [nextX, nextY] = nth(outline, (at + 1) % 4);
    return bulge === 0 && (Math.abs(x - nextX) <= 2 || Math.abs(y - nextY) <= 2);
  });

/** The side it is cut in from, and how deep: of the directions in which it runs out on one side only, the least. */
function openSide(
  part: Part,
  spans: readonly (readonly [number, number])[],
): { readonly axis: Axis; readonly sign: 1 | -1; readonly deep: number } | null {
  let best: { axis: Axis; sign: 1 | -1; deep: number } | null = null;
  for (const axis of [2, 1, 0] as const) {
    const [low, high] = nth(spans, axis);
    const size = sizeOf(part, axis);
    const [starts, ends] = [low <= AT, high >= size - AT];
    if (starts === ends) continue;
    const deep = starts ? high : size - low;
    if (!best || deep / size < best.deep / sizeOf(part, best.axis)) best = { axis, sign: starts ? -1 : 1, deep };
  }
  return best;
}

/** One cut-out as it is told: how large, and where from; with the numbers told as data. */
function tellOne(part: Part, cut: Cutout, teller: Teller): { readonly taken: Taken; readonly says: Phrase } {
  const [a, b] = PLANE[cut.axis];
  const spans: (readonly [number, number])[] = [
    [0, 0],
    [0, 0],
    [0, 0],
  ];
  spans[cut.axis] = [cut.from, cut.to];
  const round = cut.outline.length === 2 && cut.outline.every(([, , bulge = 0]) => Math.abs(bulge) === 1);
  if (round) {
    const [[x1, y1], [x2]] = cut.outline as [Outline[number], Outline[number]];
    const radius = told(Math.abs(x2 - x1), teller.units) / 2;
    const place = (axis: Axis, at: number) => {
      const size = sizeOf(part, axis);
      const back = at > size / 2 + AT;
      const from = told(back ? size - at : at, teller.units);
      const { name } = named(part, { axis, sign: back ? 1 : -1 }, teller);
      const says =
        from < 0
          ? say`${dim(-from)} beyond the ${name}, on a scrap clamped against it`
          : say`${dim(from)} from the ${name}`;
      return { at: back ? size - from : from, says };
    };
    const [x, y] = [place(a, (x1 + x2) / 2), place(b, y1)];
    return {
      taken: {
        ...cut,
        outline: [
          [x.at - radius, y.at, 1],
          [x.at + radius, y.at, 1],
        ],
      },
      says: say`${dim(2 * radius)} across, right through, its middle ${x.says} and ${y.says}`,
    };
  }
  const flat = isBox(cut.outline);
  for (const [at, axis] of [a, b].entries()) {
    const values = cut.outline.map((corner) => corner[at as 0 | 1]);
    spans[axis] = [Math.min(...values), Math.max(...values)];
  }
  const reaches = spans.map(([low, high], axis) => reachOf(part, axis as Axis, low, high, teller));
  const open = openSide(part, spans);
  const own = nth(reaches, cut.axis);
  const through = { from: own.low, to: own.high };
  if (flat) {
    const rest = ([0, 1, 2] as const).filter((axis) => axis !== open?.axis);
    const where = rest
      .map((axis) => (nth(reaches, axis).whole ? null : nth(reaches, axis).says))
      .filter((one) => one !== null);
    const [u, v] = [nth(reaches, a), nth(reaches, b)];
    const corners: Outline = [
      [u.low, v.low],
      [u.high, v.low],
      [u.high, v.high],
      [u.low, v.high],
    ];
    const deep = open ? told(open.deep, teller.units) : null;
    const whole = rest.find((axis) => nth(reaches, axis).whole);
    return {
      taken: { kind: cut.kind, axis: cut.axis, outline: corners, ...through },
      says: say`${
        open && deep !== null
          ? say`${dim(deep)} deep into the ${named(part, open, teller).name}, `
          : say`right through, `
      }${where.length > 0 ? listOf(where) : say`all over`}${whole === undefined || where.length === 0 ? '' : whole === 0 ? ', from end to end' : ', right across'}`,
    };
  }
  // Slanted or many-cornered: every corner told from two sides.
  const [left, low] = [named(part, { axis: a, sign: -1 }, teller), named(part, { axis: b, sign: -1 }, teller)];
  const clamp = (value: number, axis: Axis) => Math.min(Math.max(value, 0), sizeOf(part, axis));
  const corners = cut.outline.map(
    ([x, y]) => [told(clamp(x, a), teller.units), told(clamp(y, b), teller.units)] as const,
  );
  // What lies outside the part is left where it is: the saw runs out there.
  const outline = cut.outline.map(([x, y, ...bulge], at): Outline[number] => [
    x === clamp(x, a) ? nth(corners, at)[0] : x,
    y === clamp(y, b) ? nth(corners, at)[1] : y,
    ...(bulge as []),
  ]);
  const deep = own.whole ? say`right through` : say`${own.says}`;
  const arc = cut.outline.findIndex(([, , bulge = 0]) => bulge !== 0);
  const [p, q] = [cut.outline[arc], cut.outline[(arc + 1) % cut.outline.length]];
  const radius = p && q && arc >= 0 ? Math.round(arcOf([p[0], p[1]], [q[0], q[1]], p[2] ?? 0).radius) : null;
  return {
    taken: { kind: cut.kind, axis: cut.axis, outline, ...through },
    says: say`${deep}, corners (from the ${left.name} | from the ${low.name}) ${listOf(corners.map(([x, y]) => say`${dim(x)} | ${dim(y)}`))}${radius === null ? '' : say`, the round ones on a radius of ${dim(radius)}`}`,
  };
}

/** The cut-outs of one kind in a part, told one after the other, with what lies in them. */
export type ToldCuts = {
  readonly kind: Cutout['kind'];
  readonly taken: readonly Taken[];
  readonly for: readonly string[];
  readonly says: Phrase;
};

/**
 * Grooves and rebates run on square stock, before ends are slanted; the others once the part has its length and angles.
 */
export const isPloughed = (kind: Cutout['kind']): boolean => kind === 'groove' || kind === 'rebate';

/** Whether a cut-out reaches into the wood at all: round what stands at a corner a part of it may lie outside. */
const takesWood = (part: Part, { axis, outline, from, to }: Cutout): boolean => {
  const [a, b] = PLANE[axis];
  const spans = ([a, b] as const).map((along, at) => ({
    along,
    low: Math.min(...outline.map((corner) => corner[at as 0 | 1])),
    high: Math.max(...outline.map((corner) => corner[at as 0 | 1])),
  }));
  const round = outline.some(([, , bulge = 0]) => bulge !== 0);
  return (
    round ||
    [...spans, { along: axis, low: from, high: to }].every(
      ({ along, low, high }) => low < sizeOf(part, along) - AT && high > AT,
    )
  );
};

/** Tapers of the faces that look into the piece: where they begin, and what they leave at the foot. */
function tapersIn(part: Part, own: readonly Cutout[], teller: Teller): Phrase {
  const faces = own.map(({ axis, outline }) => {
    const size = axis === 2 ? part.width : part.thickness;
    const across = outline.filter(([along]) => along === 0).map(([, at]) => at);
    const leaves = told(size - (Math.max(...across) - Math.min(...across)), teller.units);
    return { leaves, start: told(Math.max(...outline.map(([along]) => along)), teller.units) };
  });
  const [{ leaves, start }] = faces as [(typeof faces)[number]];
  const left = faces.every((face) => face.leaves === leaves)
    ? say`${dim(leaves)}${faces.length > 1 ? ' both ways' : ''}`
    : listOf(faces.map((face) => dim(face.leaves)));
  return say`the ${faces.length > 1 ? 'two faces that look' : 'face that looks'} into the piece, from ${dim(start)} up down to the foot, where ${left} is left. Mark those faces first${faces.length > 1 ? '; tape the first offcut back on to mark and cut the second' : ''}. Cut beside the line, plane or sand to it`;
}

/** The cut-outs of a part as a person marks and cuts them, those of one kind together. */
export function tellCuts(part: Part, teller: Teller): readonly ToldCuts[] {
  const kinds = [...new Set(part.cuts.map(({ kind }) => kind))];
  return kinds.flatMap((kind) => {
    const own = part.cuts.filter((cut) => cut.kind === kind && takesWood(part, cut));
    const all = own.map((cut) => ({ cut, ...tellOne(part, cut, teller) }));
    const says = all.map(({ cut, says: words }) =>
      cut.for && own.length > 1 ? say`for ${strong(cut.for)} ${words}` : words,
    );
    if (all.length === 0) return [];
    return {
      kind,
      taken: all.map(({ taken }) => taken),
      for: [...new Set(own.flatMap((cut) => cut.for ?? []))],
      says: kind === 'taper' ? tapersIn(part, own, teller) : says.reduce((sum, next) => say`${sum}; ${next}`),
    };
  });
}
