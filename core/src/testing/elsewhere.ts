import { execFileSync } from 'node:child_process';
import { join } from 'node:path';
import type { Frame, Plane } from '../solid';

type Points = readonly (readonly [number, number])[];
/** A body described anew for the other library: nothing of our own solids goes into it. */
export type Body = {
  readonly outline: Points;
  readonly height: number;
  readonly planes?: readonly Plane[];
  readonly cutters?: readonly {
    readonly axis: 0 | 1 | 2;
    readonly outline: Points;
    readonly from: number;
    readonly to: number;
  }[];
  readonly frame?: Frame;
};

/** Volumes and surfaces of bodies, and what pairs of them share, by another library in a process of its own. */
export const elsewhere = (
  bodies: readonly Body[],
  pairs: readonly (readonly [number, number])[] = [],
): { readonly volumes: readonly number[]; readonly surfaces: readonly number[]; readonly shared: readonly number[] } =>
  JSON.parse(
    execFileSync(process.execPath, [join(process.cwd(), 'core/src/testing/volumes.mjs')], {
      input: JSON.stringify({ bodies, pairs }),
      encoding: 'utf8',
      maxBuffer: 1 << 28,
    }),
  );
