import { nth, pairs } from '../lists';
import { add, dot, sub, times, type Vec } from '../solid';
import { platesLayers, sectionOf, type GluedBody } from './bodies';
import { beam, rod, type BeamSection, type Grip, type Mode } from './frame';
import { stiffness } from './sag';

/** A body with its nodes: where they lie, what stretches and bends between them, what holds a point of it. */
export type LaidBody = {
  readonly body: GluedBody;
  readonly places: readonly Vec[];
  readonly modes: readonly Mode[];
  readonly gripAt: (point: Vec) => Grip;
};

/** Places along a length: both ends, where something holds on, no nearer than `near`, no farther than `far`. */
export function stations(length: number, held: readonly number[], near: number, far: number): readonly number[] {
  const inner = [...held].sort((a, b) => a - b).filter((at) => at > near && at < length - near);
  const kept = inner.reduce<readonly number[]>(
    (all, at) => (at - nth(all, all.length - 1) >= near ? [...all, at] : all),
    [0],
  );
  return pairs([...kept, length]).reduce<readonly number[]>(
    (all, [low, high]) => {
      const steps = Math.max(1, Math.ceil((high - low) / far - 1e-9));
      return [...all, ...Array.from({ length: steps }, (_, k) => low + ((high - low) * (k + 1)) / steps)];
    },
    [0],
  );
}

/** Where a point lies along a body's ways; the third from the middle of its thickness. */
const within = ({ from, ways }: GluedBody, point: Vec): Vec => {
  const off = sub(point, from);
  return [dot(off, ways[0]), dot(off, ways[1]), dot(off, ways[2])];
};
const pointAt = ({ from, ways }: GluedBody, x: number, y: number): Vec =>
  add(from, add(times(ways[0], x), times(ways[1], y)));

const NEAR = { stick: 0.75, plate: 3 } as const;
const FAR = { stick: 40, plate: 15 } as const;

/** The two stations that a place lies between, each with its share. */
function beside(at: readonly number[], value: number): readonly (readonly [number, number])[] {
  const here = Math.min(nth(at, at.length - 1), Math.max(0, value));
  const above = at.findIndex((next) => next > here);
  const low = (above === -1 ? at.length - 1 : above) - 1;
  const share = (here - nth(at, low)) / (nth(at, low + 1) - nth(at, low));
  return (
    [
      [low, 1 - share],
      [low + 1, share],
    ] as const
  ).filter(([, by]) => by > 1e-6);
}

/**
 * How far a point lies from a node, as what it moves with: all of what lies across the body, half of what lies along
 * it. Between two nodes that is right for what is bent evenly, and for what only moves and turns.
 */
function armTo(point: Vec, place: Vec, along: readonly Vec[]): Vec {
  const off = sub(point, place);
  return along.reduce((arm, way) => sub(arm, times(way, dot(off, way) / 2)), off);
}

function layStick(body: GluedBody, held: readonly Vec[], node: number): LaidBody {
  const { size, ways } = body;
  const at = stations(
    size[0],
    held.map((point) => within(body, point)[0]),
    NEAR.stick,
    FAR.stick,
  );
  const places = at.map((x) => pointAt(body, x, size[1] / 2));
  const section = sectionOf(body);
  const modes = pairs(places).flatMap(([from, to], k) => beam([node + k, node + k + 1], from, to, ways[1], section));
  const gripAt = (point: Vec): Grip =>
    beside(at, within(body, point)[0]).map(([k, share]) => ({
      node: node + k,
      share,
      arm: armTo(point, nth(places, k), [ways[0]]),
    }));
  return { body, places, modes, gripAt };
}

/** Half of what lies to both neighbours: the strip that a line of nodes stands for. */
const strip = (at: readonly number[], k: number): number => ((at[k + 1] ?? nth(at, k)) - (at[k - 1] ?? nth(at, k))) / 2;

/**
 * A plate as strips both ways that bend and twist, braced in its plane by two rods across each cell whose stretch is
 * its shear: E A = G t d^3 / 2 a b each (equal energy). Twist of G t^3 / 6 an inch either way (Timoshenko, Plates and
 * Shells, ch. 11).
 */
function layPlate(body: GluedBody, held: readonly Vec[], node: number): LaidBody {
  const { size, ways } = body;
  const inside = held.map((point) => within(body, point));
  const [xs, ys] = ([0, 1] as const).map((way) =>
    stations(
      size[way],
      inside.map((place) => place[way]),
      Math.max(NEAR.plate, size[way] / 7),
      FAR.plate,
    ),
  ) as [readonly number[], readonly number[]];
  const name = (i: number, j: number) => i * ys.length + j;
  const places = xs.flatMap((x) => ys.map((y) => pointAt(body, x, y)));
  const layers = ([0, 1] as const).map((way) => platesLayers(body, way));
  const thick = nth(layers, 0).reduce((sum, { from, to }) => sum + to - from, 0);
  const shear = nth(layers, 0).reduce((sum, layer) => sum + layer.shear * (layer.to - layer.from), 0);
  const section = (way: 0 | 1, wide: number): BeamSection => {
    const own = nth(layers, way);
    const axial = own.reduce((sum, { from, to, modulus }) => sum + modulus * (to - from), 0) * wide;
    return {
      axial,
      torsion: (wide * shear * thick ** 2) / 6,
      bending: [stiffness(own) * wide, (axial * wide ** 2) / 12],
      shear: null,
    };
  };
  const between = (a: number, b: number, way: 0 | 1, wide: number): Mode[] =>
    beam([node + a, node + b], nth(places, a), nth(places, b), ways[2], section(way, wide));
  const modes: Mode[] = [];
  xs.forEach((x, i) =>
    ys.forEach((y, j) => {
      if (i + 1 < xs.length) modes.push(...between(name(i, j), name(i + 1, j), 0, strip(ys, j)));
      if (j + 1 < ys.length) modes.push(...between(name(i, j), name(i, j + 1), 1, strip(xs, i)));
      if (i + 1 === xs.length || j + 1 === ys.length) return;
      const [a, b] = [nth(xs, i + 1) - x, nth(ys, j + 1) - y];
      const axial = (shear * Math.hypot(a, b) ** 3) / (2 * a * b);
      for (const [from, to] of [
        [name(i, j), name(i + 1, j + 1)],
        [name(i + 1, j), name(i, j + 1)],
      ] as const)
        modes.push(rod([node + from, node + to], nth(places, from), nth(places, to), axial));
    }),
  );
  const gripAt = (point: Vec): Grip => {
    const [x, y] = within(body, point);
    return beside(xs, x).flatMap(([i, a]) =>
      beside(ys, y).map(([j, b]) => ({
        node: node + name(i, j),
        share: a * b,
        arm: armTo(point, nth(places, name(i, j)), [ways[0], ways[1]]),
      })),
    );
  };
  return { body, places, modes, gripAt };
}

/** A body with nodes from number `node` on, some of them where it is held. */
export const lay = (body: GluedBody, held: readonly Vec[], node: number): LaidBody =>
  body.kind === 'stick' ? layStick(body, held, node) : layPlate(body, held, node);
