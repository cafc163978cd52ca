import { useMediaQuery } from '@mui/material';
import { Line, OrbitControls } from '@react-three/drei';
import { Canvas, useFrame, useThree } from '@react-three/fiber';
import { useEffect, useMemo, useRef } from 'react';
import type { BufferGeometry, Group } from 'three';
import {
  around,
  type Box,
  boxOf,
  extent,
  type Fastening,
  nth,
  type Part,
  PER_INCH,
  rawSolidOf,
  solidOf,
  tipOf,
  toInches,
  type Vec,
} from '@sill/core';
import { Lights } from './Lights';
import { rendererLater } from './renderer';
import { useSpace } from './space';
import { linesOf, reachOf, surfaceOf, wholeOf, worldOf, type Vector } from './scene';

/** How a part is at a moment of the work. */
export type At = 'boards' | 'bench' | 'worked' | 'coming' | 'there';

/** What is shown: each part as it is, which way what comes comes, what is driven, and whether all lies on its head. */
export type BenchScene = {
  readonly key: string;
  readonly at: (part: Part) => At;
  readonly shaped: (part: Part) => boolean;
  readonly way: (part: Part) => Vec | null;
  readonly driven: readonly Fastening[];
  readonly over: boolean;
  /** What is put together so far, each a body of its own, by ids. */
  readonly bodies: readonly ReadonlySet<string>[];
};

/** What comes in starts so far off, inches, and takes so long. */
const OFF = 14;
const SECONDS = 0.7;
const GAP = 2;

/**
 * Where bodies stand that are not one yet: the one with most parts in its place, the others behind it, on the floor.
 */
function bodyPlaces(bodies: BenchScene['bodies'], parts: readonly Part[], whole: Box): ReadonlyMap<string, Vector> {
  const places = new Map<string, Vector>();
  let back = 0;
  [...bodies]
    .sort((a, b) => b.size - a.size)
    .forEach((body, at) => {
      const box = around(parts.filter(({ id }) => body.has(id)).map(boxOf));
      if (!box) return;
      const drop = toInches(whole.min[2] - box.min[2]);
      const behind = toInches(whole.min[1] - box.min[1]);
      // The second body stands just behind the piece, and so on.
      const shift: Vector = at === 0 ? [0, drop, 0] : [0, drop, behind - toInches(extent(whole, 1)) - 6 - back];
      if (at > 0) back += toInches(extent(box, 1)) + 4;
      for (const id of body) places.set(id, shift);
    });
  return places;
}

/** Where each part lies on the bench before it is put in: in rows before the piece, on the floor. */
function rowsBefore(parts: readonly Part[], whole: Box, wide: number): ReadonlyMap<string, Vector> {
  const size = (box: Box, axis: 0 | 1 | 2) => toInches(extent(box, axis));
  const across = wide * Math.max(size(whole, 0), 30);
  const places = new Map<string, Vector>();
  let [x, z, deep] = [-across / 2, size(whole, 1) / 2 + 8, 0];
  for (const part of parts) {
    const box = boxOf(part);
    const [length, width] = [size(box, 0), size(box, 1)];
    if (x + length > across / 2 && x > -across / 2) {
      x = -across / 2;
      z += deep + GAP;
      deep = 0;
    }
    const corner = worldOf([box.min[0], box.max[1], box.min[2]], whole);
    places.set(part.id, [x - corner[0], -corner[1], z - corner[2]]);
    x += length + GAP;
    deep = Math.max(deep, width);
  }
  return places;
}

/** What a body looks like where it is: which colours of the theme. */
const TONES: Readonly<Record<At, 'wood' | 'onBench' | 'lit'>> = {
  boards: 'wood',
  bench: 'onBench',
  worked: 'lit',
  coming: 'lit',
  there: 'wood',
};

type BodyProps = {
  readonly surface: BufferGeometry;
  readonly lines: BufferGeometry;
  readonly at: At;
  readonly place: Vector;
  readonly from: Vector | null;
  readonly moment: string;
  readonly still: boolean;
};

function Body({ surface, lines, at, place, from, moment, still }: BodyProps) {
  const space = useSpace();
  const group = useRef<Group>(null);
  const started = useRef<number | null>(null);
  const invalidate = useThree((state) => state.invalidate);
  useEffect(() => {
    started.current = null;
    invalidate();
  }, [moment, at, invalidate]);
  useFrame(({ clock }) => {
    if (!group.current) return;
    if (from && !still) {
      started.current ??= clock.elapsedTime;
      const share = Math.min(1, (clock.elapsedTime - started.current) / SECONDS);
      const eased = 1 - (1 - share) ** 2;
      group.current.position.set(...(place.map((value, axis) => value + nth(from, axis) * (1 - eased)) as Vector));
      if (share < 1) invalidate();
    } else group.current.position.set(...place);
  });
  return (
    <group ref={group}>
      <mesh geometry={surface}>
        <meshLambertMaterial color={space[TONES[at]]} polygonOffset polygonOffsetFactor={1} polygonOffsetUnits={1} />
      </mesh>
      <lineSegments geometry={lines}>
        <lineBasicMaterial color={TONES[at] === 'lit' ? space.litLine : space.line} />
      </lineSegments>
    </group>
  );
}

/** Where the eye is, towards it, a unit long; how much it takes in, degrees. */
const EYE: Vector = [0.3, 0.5, 0.81];
const FIELD = 30;

/** Looks from where all is seen; anew when what is seen changes, and left to the person in between. */
function Eye({ at, target }: { readonly at: Vector; readonly target: Vector }) {
  const { camera, invalidate } = useThree();
  const controls = useThree((state) => state.controls) as { update?: () => void } | null;
  const key = [...at, ...target].map(Math.round).join();
  useEffect(() => {
    camera.position.set(...at);
    camera.lookAt(...target);
    controls?.update?.();
    invalidate();
    // The key says when it is another place.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [key, controls]);
  return null;
}

type Places = ReadonlyMap<string, Vector>;

/** All that is seen at a moment, as a box: what stands, what lies behind and before it. */
const seenAt = (scene: BenchScene, parts: readonly Part[], rows: Places, places: Places): Box | null =>
  around(
    parts.flatMap((part) => {
      const at = scene.at(part);
      if (at === 'boards') return [];
      const box = boxOf(part);
      const off: Vector = (at === 'bench' || at === 'worked' ? rows : places).get(part.id) ?? [0, 0, 0];
      const moved = ([x, y, z]: Vec): Vec => [x + off[0] * PER_INCH, y - off[2] * PER_INCH, z + off[1] * PER_INCH];
      return [{ min: moved(box.min), max: moved(box.max) } as Box];
    }),
  );

type Props = { readonly parts: readonly Part[]; readonly scene: BenchScene };

/** The work in space: what is cut lies before the piece, what is put on comes in the way it must. */
export default function Bench3D({ parts: all, scene }: Props) {
  const space = useSpace();
  const parts = useMemo(() => all.filter(({ loose }) => !loose), [all]);
  const whole = useMemo(() => wholeOf(parts), [parts]);
  const still = useMediaQuery('(prefers-reduced-motion: reduce)');
  const narrow = useMediaQuery('(max-width: 599px)');
  const bodies = useMemo(
    () =>
      parts.map((part) => {
        const [raw, final] = [rawSolidOf(part), solidOf(part)];
        const drawn = (solid: typeof raw) => ({ surface: surfaceOf(solid, whole), lines: linesOf(solid, whole) });
        return { part, final: drawn(final), raw: part.cuts.length > 0 ? drawn(raw) : null };
      }),
    [parts, whole],
  );
  const rows = useMemo(() => rowsBefore(parts, whole, narrow ? 1 : 1.9), [parts, whole, narrow]);
  const height = toInches(extent(whole, 2));
  const places = bodyPlaces(scene.bodies, parts, whole);
  const seen = seenAt(scene, parts, rows, places) ?? whole;
  const low = worldOf([seen.min[0], seen.max[1], seen.min[2]], whole);
  const high = worldOf([seen.max[0], seen.min[1], seen.max[2]], whole);
  const target: Vector = [(low[0] + high[0]) / 2, (low[1] + high[1]) / 2, (low[2] + high[2]) / 2];
  const reach = 0.95 * reachOf([high[0] - low[0], high[1] - low[1], high[2] - low[2]], narrow ? 0.85 : 2.1, EYE, FIELD);
  const eye: Vector = [EYE[0] * reach + target[0], EYE[1] * reach + target[1], EYE[2] * reach + target[2]];
  return (
    <Canvas
      key={`${parts[0]?.piece} ${String(narrow)}`}
      frameloop="demand"
      gl={rendererLater}
      flat
      dpr={[1, 2]}
      camera={{ fov: FIELD, near: 1, far: 6000, position: eye }}
      role="img"
      aria-label="The work as it stands now"
    >
      <Lights />
      {/* On its head: turned half round its length, feet up. */}
      <group rotation={scene.over ? [Math.PI, 0, 0] : [0, 0, 0]} position={scene.over ? [0, height, 0] : [0, 0, 0]}>
        {bodies.map(({ part, final, raw }) => {
          const at = scene.at(part);
          if (at !== 'there' && at !== 'coming') return null;
          const way = scene.way(part);
          const from: Vector | null = way ? [-way[0] * OFF, -way[2] * OFF, way[1] * OFF] : null;
          return (
            <Body
              key={part.id}
              {...(scene.shaped(part) ? final : (raw ?? final))}
              at={at}
              place={places.get(part.id) ?? [0, 0, 0]}
              from={from}
              moment={scene.key}
              still={still}
            />
          );
        })}
        {scene.driven.flatMap(({ joint, shanks }) =>
          shanks.map((shank, at) => (
            <Line
              key={`${joint.id} ${at}`}
              points={[worldOf(shank.from, whole), worldOf(tipOf(shank), whole)]}
              color={space.driven}
              lineWidth={4}
              depthTest={false}
              renderOrder={2}
            />
          )),
        )}
      </group>
      {bodies.map(({ part, final, raw }) => {
        const at = scene.at(part);
        if (at !== 'bench' && at !== 'worked') return null;
        return (
          <Body
            key={part.id}
            {...(scene.shaped(part) ? final : (raw ?? final))}
            at={at}
            place={rows.get(part.id) ?? [0, 0, 0]}
            from={null}
            moment={scene.key}
            still={still}
          />
        );
      })}
      <Eye at={eye} target={target} />
      <OrbitControls
        makeDefault
        target={target}
        enablePan={false}
        minDistance={reach * 0.2}
        maxDistance={reach * 2.5}
      />
    </Canvas>
  );
}
