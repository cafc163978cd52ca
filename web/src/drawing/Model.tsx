import { useMediaQuery } from '@mui/material';
import { Edges, Line, OrbitControls } from '@react-three/drei';
import { Canvas, useFrame, useThree } from '@react-three/fiber';
import { useEffect, useMemo, useRef } from 'react';
import { Vector3 } from 'three';
import { around, boxOf, extent, toInches, type Box, type Part } from '@sill/core';
import { useApp, useFrom } from '../state/hooks';
import { marked } from '../state/view';
import { Dim } from '../words/Dim';

/** World of the model: inches, y up, the middle of the piece's foot at the origin. */
type Vector = [number, number, number];

type Placed = { readonly part: Part; readonly size: Vector; readonly middle: Vector };

function place(part: Part, whole: Box): Placed {
  const box = boxOf(part);
  const inch = (axis: 0 | 1 | 2) =>
    toInches(
      (box.min[axis] + box.max[axis]) / 2 - (axis === 2 ? whole.min[2] : (whole.min[axis] + whole.max[axis]) / 2),
    );
  const size = (axis: 0 | 1 | 2) => toInches(extent(box, axis));
  return { part, size: [size(0), size(2), size(1)], middle: [inch(0), inch(2), inch(1)] };
}

/** Pulled apart: away from the middle of the piece, and up by a share of its height for the top. */
const apartBy = ({ part, middle: [x, y, z] }: Placed, apart: number, height: number): Vector => [
  x * (1 + 0.3 * apart),
  y + apart * height * (part.role === 'top' ? 0.3 : part.role === 'leg' ? -0.08 : 0.08),
  z * (1 + (part.role === 'top' ? 0.3 : 0.6) * apart),
];

type SolidProps = { readonly placed: Placed; readonly apart: number; readonly height: number };

function Solid({ placed, apart, height }: SolidProps) {
  const dispatch = useApp();
  const isMarked = useFrom((state) => state.view.marked === placed.part.id);
  const invalidate = useThree((state) => state.invalidate);
  useEffect(() => invalidate(), [invalidate, isMarked, apart, placed]);
  return (
    <mesh
      position={apartBy(placed, apart, height)}
      onPointerOver={(event) => {
        event.stopPropagation();
        dispatch(marked(placed.part.id));
      }}
      onPointerOut={() => dispatch(marked(null))}
    >
      <boxGeometry args={placed.size} />
      <meshLambertMaterial color={isMarked ? '#9cc4e0' : '#f2dfb4'} />
      <Edges threshold={15} color={isMarked ? '#21577f' : '#5f5233'} />
    </mesh>
  );
}

type Measure = { readonly from: Vector; readonly to: Vector; readonly length: number };

/** Lines for the three outside dimensions, a little off the piece. */
function measuresOf(whole: Box): readonly Measure[] {
  const [l, w, h] = [0, 1, 2].map((axis) => toInches(extent(whole, axis as 0 | 1 | 2))) as Vector;
  const out = 3;
  return [
    { from: [-l / 2, 0, w / 2 + out], to: [l / 2, 0, w / 2 + out], length: extent(whole, 0) },
    { from: [l / 2 + out, 0, -w / 2], to: [l / 2 + out, 0, w / 2], length: extent(whole, 1) },
    { from: [l / 2 + out, 0, -w / 2 - out], to: [l / 2 + out, h, -w / 2 - out], length: extent(whole, 2) },
  ];
}

type LabelsProps = {
  readonly measures: readonly Measure[];
  readonly labels: React.RefObject<(HTMLSpanElement | null)[]>;
};

/** Keeps the numbers, which are ordinary text over the picture, at the middle of their lines. */
function Labels({ measures, labels }: LabelsProps) {
  const middle = useMemo(() => new Vector3(), []);
  useFrame(({ camera, size }) => {
    measures.forEach(({ from, to }, at) => {
      middle.set((from[0] + to[0]) / 2, (from[1] + to[1]) / 2, (from[2] + to[2]) / 2).project(camera);
      const [x, y] = [((middle.x + 1) / 2) * size.width, ((1 - middle.y) / 2) * size.height];
      labels.current[at]?.style.setProperty('transform', `translate(${x}px, ${y}px) translate(-50%, -50%)`);
    });
  });
  return measures.map(({ from, to }, at) => <Line key={at} points={[from, to]} color="#b5341c" lineWidth={1.5} />);
}

/** The piece in space: drag to turn, scroll to come closer, pulled apart by the slider. */
export default function Model({ parts, apart }: { readonly parts: readonly Part[]; readonly apart: number }) {
  const whole = useMemo(() => around(parts.map(boxOf))!, [parts]);
  const placed = useMemo(() => parts.map((part) => place(part, whole)), [parts, whole]);
  const measures = useMemo(() => measuresOf(whole), [whole]);
  const labels = useRef<(HTMLSpanElement | null)[]>([]);
  const reach = Math.max(
    toInches(extent(whole, 0)),
    toInches(extent(whole, 1)) * 1.3,
    toInches(extent(whole, 2)) * 1.6,
  );
  const height = toInches(extent(whole, 2));
  // A narrow picture needs the eye farther back to hold the whole width.
  const narrow = useMediaQuery('(max-width: 599px)');
  const back = narrow ? 1.55 : 1;
  return (
    <>
      <Canvas
        key={String(narrow)}
        frameloop="demand"
        flat
        dpr={[1, 2]}
        camera={{
          fov: 28,
          near: 1,
          far: 5000,
          position: [reach * 1.15 * back, reach * back + height / 2, reach * 1.75 * back],
        }}
        role="img"
        aria-label="The piece in space"
      >
        <ambientLight intensity={1.7} />
        <directionalLight position={[60, 140, 90]} intensity={1.75} />
        <directionalLight position={[-90, 40, -60]} intensity={0.7} />
        {placed.map((item) => (
          <Solid key={item.part.id} placed={item} apart={apart} height={height} />
        ))}
        {apart === 0 && <Labels measures={measures} labels={labels} />}
        <OrbitControls
          makeDefault
          target={[0, height * 0.42, 0]}
          enablePan={false}
          minDistance={reach * 0.6}
          maxDistance={reach * 5}
        />
      </Canvas>
      {apart === 0 &&
        measures.map(({ length }, at) => (
          <span
            key={at}
            className="model-dim"
            ref={(element) => {
              labels.current[at] = element;
            }}
          >
            <Dim of={length} />
          </span>
        ))}
    </>
  );
}
