import { Line } from '@react-three/drei';
import { useThree } from '@react-three/fiber';
import { useEffect, useMemo } from 'react';
import type { Box, Leaned } from '@sill/core';
import type { Leaning } from './leaning';
import { bentLines, worldOf, type Vector } from './scene';
import { useSpace } from './space';

/** Across of the mark where the load stands, in: a hand's breadth. */
const HAND = 4;
/** Where a load comes from, in the world of the model. */
const FROM: Readonly<Record<Leaning['way'], Vector>> = { down: [0, 1, 0], along: [-1, 0, 0], across: [0, 0, 1] };

type Props = {
  readonly leaning: Leaning;
  readonly leaned: Leaned | null;
  /** How many times too far it is drawn. */
  readonly times: number;
  readonly whole: Box;
};

/** A load on the piece, and its outline as it bends, over the straight one. */
export function Bent({ leaning, leaned, times, whole }: Props) {
  const space = useSpace();
  const invalidate = useThree((state) => state.invalidate);
  const lines = useMemo(
    () => (leaned?.edges ?? []).map((edge) => bentLines(edge, times, whole)),
    [leaned, times, whole],
  );
  useEffect(() => invalidate(), [invalidate, lines, leaning]);
  useEffect(() => () => lines.forEach((line) => line.dispose()), [lines]);
  const at = worldOf(leaning.at, whole);
  const [x, y, z] = FROM[leaning.way];
  const from: Vector = [at[0] + x * 2.5 * HAND, at[1] + y * 2.5 * HAND, at[2] + z * 2.5 * HAND];
  return (
    <>
      {lines.map((line, k) => (
        <lineSegments key={k} geometry={line}>
          <lineBasicMaterial color={space.driven} depthTest={false} />
        </lineSegments>
      ))}
      <mesh position={at}>
        <sphereGeometry args={[HAND / 2, 20, 14]} />
        <meshLambertMaterial color={space.driven} />
      </mesh>
      <Line points={[from, at]} color={space.driven} lineWidth={5} />
    </>
  );
}
