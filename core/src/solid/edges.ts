import { nth } from '../lists';
import type { Solid } from './solid';
import { facesOf } from './solid';
import { dot, norm, sub, unit, type Vec } from './vector';

export type Edge = readonly [Vec, Vec];

const place = (value: number) => Math.round(value * 2) / 2;
const key = (point: Vec) => point.map(place).join(',');

/** Keeps whole and half lengths off the borders of the grid that lines are told apart by. */
const OFF = 0.137;

/** A line's name: its direction either way round, and the point of it nearest the origin. */
function lineOf(a: Vec, b: Vec): { readonly name: string; readonly along: Vec; readonly foot: Vec } {
  let along = unit(sub(b, a));
  const lead = along.findIndex((value) => Math.abs(value) > 1e-4);
  if (nth(along, lead) < 0) along = [-along[0], -along[1], -along[2]];
  const run = dot(a, along);
  const foot: Vec = [a[0] - along[0] * run, a[1] - along[1] * run, a[2] - along[2] * run];
  return {
    name: `${along.map((value) => Math.round(value * 1e4 + OFF)).join()}|${foot.map((value) => Math.round(value / 4 + OFF)).join()}`,
    along,
    foot,
  };
}

/** One cell whose faces all lie on surfaces of their own, as a plain board: every side of every face is an edge. */
const isPlain = (solid: Solid): boolean =>
  solid.length === 1 && new Set(nth(solid, 0).map((face) => face.surface)).size === nth(solid, 0).length;

/** Of an edge that two faces share, the one way round it is kept. */
const first = (a: Vec, b: Vec): boolean =>
  a[0] < b[0] || (a[0] === b[0] && (a[1] < b[1] || (a[1] === b[1] && a[2] < b[2])));

const edges = new WeakMap<Solid, readonly Edge[]>();

/**
 * The edges of a body worth drawing: where two surfaces meet. Seams between faces of one surface cancel: along such a
 * seam the surface lies on both sides, so the two runs in opposite directions add up to nothing. Kept with the body.
 */
export function edgesOf(solid: Solid): readonly Edge[] {
  const known = edges.get(solid);
  if (known) return known;
  const found = isPlain(solid)
    ? nth(solid, 0).flatMap(({ points }) =>
        points.flatMap((point, at): Edge[] => {
          const next = nth(points, (at + 1) % points.length);
          return first(point, next) ? [[point, next]] : [];
        }),
      )
    : drawnEdges(solid);
  edges.set(solid, found);
  return found;
}

function drawnEdges(solid: Solid): readonly Edge[] {
  const lines = new Map<string, { along: Vec; foot: Vec; marks: Map<number, { at: number; by: number }[]> }>();
  for (const { points, surface } of facesOf(solid))
    points.forEach((point, at) => {
      const next = nth(points, (at + 1) % points.length);
      if (norm(sub(next, point)) < 1) return;
      const { name, along, foot } = lineOf(point, next);
      const line = lines.get(name) ?? { along, foot, marks: new Map() };
      lines.set(name, line);
      const marks = line.marks.get(surface) ?? [];
      line.marks.set(surface, marks);
      marks.push({ at: dot(point, along), by: 1 }, { at: dot(next, along), by: -1 });
    });
  const drawn = new Map<string, Edge>();
  for (const { along, foot, marks } of lines.values())
    for (const row of marks.values()) {
      row.sort((a, b) => a.at - b.at);
      const point = (run: number): Vec => [
        foot[0] + along[0] * run,
        foot[1] + along[1] * run,
        foot[2] + along[2] * run,
      ];
      let cover = 0;
      let start = 0;
      for (let index = 0; index < row.length;) {
        const { at } = nth(row, index);
        const before = cover;
        while (index < row.length && nth(row, index).at - at < 1) cover += nth(row, index++).by;
        if (before === 0) start = at;
        if (before === 0 || cover !== 0) continue;
        const edge: Edge = [point(start), point(at)];
        drawn.set(`${key(edge[0])} ${key(edge[1])}`, edge);
      }
    }
  return [...drawn.values()];
}

/** A face with its corners, and which of its sides are drawn: seams of one surface are not. */
export type OutlinedFace = {
  readonly normal: Vec;
  readonly points: readonly Vec[];
  readonly drawn: readonly boolean[];
};

const outlined = new WeakMap<Solid, readonly OutlinedFace[]>();

/** The faces that show, each side cut where a drawn edge begins or ends on it. Kept with the body. */
export function outlinedFaces(solid: Solid): readonly OutlinedFace[] {
  const known = outlined.get(solid);
  if (known) return known;
  if (isPlain(solid)) {
    const plain = nth(solid, 0).map(({ normal, points }): OutlinedFace => ({
      normal,
      points,
      drawn: points.map(() => true),
    }));
    outlined.set(solid, plain);
    return plain;
  }
  const lines = new Map<string, { along: Vec; runs: [number, number][] }>();
  for (const [a, b] of edgesOf(solid)) {
    const { name, along } = lineOf(a, b);
    const line = lines.get(name) ?? { along, runs: [] };
    lines.set(name, line);
    line.runs.push([dot(a, along), dot(b, along)].sort((p, q) => p - q) as [number, number]);
  }
  const faces = facesOf(solid).map(({ normal, points }): OutlinedFace => {
    const corners: Vec[] = [];
    const drawn: boolean[] = [];
    points.forEach((point, at) => {
      const next = nth(points, (at + 1) % points.length);
      const line = lines.get(lineOf(point, next).name);
      const [from, to] = line ? [dot(point, line.along), dot(next, line.along)] : [0, 1];
      const share = (run: number) => (run - from) / (to - from);
      const inside = (value: number) => value > 1e-4 && value < 1 - 1e-4;
      const stops = (line?.runs ?? []).flat().map(share).filter(inside);
      const marks = [0, ...[...new Set(stops)].sort((a, b) => a - b), 1];
      for (let k = 0; k + 1 < marks.length; k++) {
        const [start, end] = [nth(marks, k), nth(marks, k + 1)];
        const middle = from + ((start + end) / 2) * (to - from);
        corners.push([
          point[0] + (next[0] - point[0]) * start,
          point[1] + (next[1] - point[1]) * start,
          point[2] + (next[2] - point[2]) * start,
        ]);
        drawn.push(line?.runs.some(([low, high]) => middle > low && middle < high) ?? false);
      }
    });
    return { normal, points: corners, drawn };
  });
  outlined.set(solid, faces);
  return faces;
}
