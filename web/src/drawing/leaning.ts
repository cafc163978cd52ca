import { useEffect, useMemo, useState } from 'react';
import { boxOf, toInches, type Lean, type Leaned, type Part, type Vec } from '@sill/core';

/** Which way a person leans: down, or a push from the side. */
export const WAYS = { down: 'down', along: 'along it', across: 'across it' } as const;
export type LeanWay = keyof typeof WAYS;
/** Someone who leans on it; a push from the side, lb. */
export const USUAL: Readonly<Record<LeanWay, number>> = { down: 250, along: 40, across: 40 };
const FORCE: Readonly<Record<LeanWay, Vec>> = { down: [0, 0, -1], along: [1, 0, 0], across: [0, 1, 0] };

/** A load as a person sets it: on what part, where, which way and how many pounds. */
export type Leaning = { readonly part: string; readonly at: Vec; readonly way: LeanWay; readonly pounds: number };

/** Someone who leans, on the middle of the front edge of what lies highest. */
export function firstLean(parts: readonly Part[]): Leaning | null {
  const tops = parts.filter(({ role }) => role === 'top' || role === 'shelf');
  const [part] = [...(tops.length > 0 ? tops : parts)].sort((a, b) => boxOf(b).max[2] - boxOf(a).max[2]);
  return part ? { ...middleOn(part), way: 'down', pounds: USUAL.down } : null;
}

/** The middle of the upper side of a part. */
export function middleOn(part: Part): Pick<Leaning, 'part' | 'at'> {
  const { min, max } = boxOf(part);
  return { part: part.id, at: [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2, max[2]] };
}

/** How many times too far a bend is drawn so that it is seen: a tenth of the piece at most, in round numbers. */
export function timesDrawn(edges: Leaned['edges']): number {
  const most = Math.max(1e-9, ...edges.flatMap(({ by }) => by.map((one) => Math.hypot(...one))));
  const all = edges.flatMap(({ points }) => points);
  const size = ([0, 1, 2] as const).map((axis) => {
    const along = all.map((point) => point[axis]);
    return Math.max(0, ...along) - Math.min(0, ...along);
  });
  const wanted = toInches(Math.max(...size)) / 10 / most;
  return [1000, 500, 200, 100, 50, 20, 10, 5, 2].find((round) => round <= wanted) ?? 1;
}

export type LeanOn = (lean: Lean) => Promise<Leaned | null>;
export type LeanState =
  | { readonly state: 'waiting' | 'failed' | 'hangs' }
  | { readonly state: 'done'; readonly leaned: Leaned };

/** What comes of a load, worked out elsewhere; the last one asked for counts. */
function useLeaned(leaning: Leaning | null, leanOn: LeanOn | undefined): LeanState {
  const [so, setSo] = useState<LeanState & { readonly of: Leaning | null }>({ state: 'waiting', of: null });
  useEffect(() => {
    if (!leaning || !leanOn) return;
    let current = true;
    const { part, at, way, pounds } = leaning;
    const force = FORCE[way].map((share) => share * pounds) as unknown as Vec;
    leanOn({ part, at, force }).then(
      (leaned) => current && setSo(leaned ? { state: 'done', leaned, of: leaning } : { state: 'hangs', of: leaning }),
      () => current && setSo({ state: 'failed', of: leaning }),
    );
    return () => {
      current = false;
    };
  }, [leaning, leanOn]);
  return so.of === leaning ? so : { state: 'waiting' };
}

/** The load on a piece, what comes of it, and how many times too far that is drawn. */
export function useLeaning(placed: readonly Part[], leanOn: LeanOn | undefined) {
  const [set, setLeaning] = useState<Leaning | null>(null);
  // A load stays while the piece changes under it, as long as its part is there.
  const leaning = set && placed.some(({ id }) => id === set.part) ? set : null;
  const result = useLeaned(leaning, leanOn);
  const leaned = result.state === 'done' ? result.leaned : null;
  const times = useMemo(() => timesDrawn(leaned?.edges ?? []), [leaned]);
  return { leaning, result, leaned, times, setLeaning };
}
