import { nth } from '../lists';
/**
 * A closed outline in a plane, counter-clockwise. A corner's third number is the bulge of the edge that leaves it:
 * the tangent of a quarter of the arc's angle, positive where it turns left, as DXF has it. Left out for a straight
 * edge.
 */
export type Corner = readonly [x: number, y: number] | readonly [x: number, y: number, bulge: number];
export type Outline = readonly Corner[];
export type Flat = readonly [x: number, y: number];

/** Arcs are drawn and measured as chords of about this many degrees. */
const CHORD = 10;

export const rectangle = (length: number, width: number): Outline => [
  [0, 0],
  [length, 0],
  [length, width],
  [0, width],
];

/** A whole circle as two half arcs. */
export const circle = (x: number, y: number, radius: number): Outline => [
  [x - radius, y, 1],
  [x + radius, y, 1],
];

/** Centre and radius of the arc from `a` to `b` with a bulge. */
export function arcOf(a: Flat, b: Flat, bulge: number): { readonly centre: Flat; readonly radius: number } {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]];
  const away = (1 - bulge * bulge) / (4 * bulge);
  const centre: Flat = [(a[0] + b[0]) / 2 - dy * away, (a[1] + b[1]) / 2 + dx * away];
  return { centre, radius: Math.hypot(a[0] - centre[0], a[1] - centre[1]) };
}

/** Two arcs of one circle, one after the other, are one surface: they have no corner between them. */
function sameCircle(outline: Outline, at: number, before: number): boolean {
  const arc = (index: number) => {
    const [x, y, bulge = 0] = nth(outline, index);
    const [nextX, nextY] = nth(outline, (index + 1) % outline.length);
    return bulge === 0 ? null : arcOf([x, y], [nextX, nextY], bulge);
  };
  const [a, b] = [arc(at), arc(before)];
  return (
    a !== null &&
    b !== null &&
    Math.hypot(a.centre[0] - b.centre[0], a.centre[1] - b.centre[1]) < 1 &&
    Math.abs(a.radius - b.radius) < 1
  );
}

/** The corners with every arc in chords, and for each edge which edge of the outline it is of. */
export function flatten(outline: Outline): { readonly points: readonly Flat[]; readonly edges: readonly number[] } {
  const points: Flat[] = [];
  const edges: number[] = [];
  outline.forEach(([x, y, bulge = 0], index) => {
    let at = index;
    while (at > 0 && sameCircle(outline, at, at - 1)) at--;
    const [nextX, nextY] = nth(outline, (index + 1) % outline.length);
    points.push([x, y]);
    edges.push(at);
    if (bulge === 0) return;
    const { centre, radius } = arcOf([x, y], [nextX, nextY], bulge);
    const angle = 4 * Math.atan(bulge);
    const start = Math.atan2(y - centre[1], x - centre[0]);
    // Corners lie at whole multiples of the chord's angle, so that the outermost points of a circle are among them.
    const chord = (CHORD * Math.PI) / 180;
    const sign = Math.sign(angle);
    const [from, to] = [(sign * start) / chord, (sign * (start + angle)) / chord];
    for (let step = Math.floor(from + 1e-6) + 1; step < to - 1e-6; step++) {
      const turn = sign * step * chord;
      points.push([centre[0] + radius * Math.cos(turn), centre[1] + radius * Math.sin(turn)]);
      edges.push(at);
    }
  });
  return { points, edges };
}

/** Area enclosed by points in order; positive counter-clockwise (shoelace). */
export const areaOf = (points: readonly Flat[]): number =>
  points.reduce((sum, [x, y], at) => {
    const [nextX, nextY] = nth(points, (at + 1) % points.length);
    return sum + x * nextY - nextX * y;
  }, 0) / 2;

/** Least and most of x and y. */
export function spanOf(points: readonly Flat[]): { readonly x: Flat; readonly y: Flat } {
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  return { x: [Math.min(...xs), Math.max(...xs)], y: [Math.min(...ys), Math.max(...ys)] };
}

/** A convex polygon cut by a line: what lies where normal . p <= reach. */
export function clipped(points: readonly Flat[], normal: Flat, reach: number): readonly Flat[] {
  return points.flatMap((point, at): Flat[] => {
    const next = nth(points, (at + 1) % points.length);
    const side = (p: Flat) => normal[0] * p[0] + normal[1] * p[1] - reach;
    const [here, there] = [side(point), side(next)];
    const share = here / (here - there);
    const crossing: Flat = [point[0] + (next[0] - point[0]) * share, point[1] + (next[1] - point[1]) * share];
    return [...(here <= 0 ? [point] : []), ...((here < 0 && there > 0) || (here > 0 && there < 0) ? [crossing] : [])];
  });
}
