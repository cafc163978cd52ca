import { first, held } from '../lists';
import { inches } from '../length';
import type { Part } from '../piece';
import { dot, norm, sub, times, type Vec } from '../solid';
import type { OperationOf } from '../work';
import { bodyOf, NEAR, toPiece, use, type RehearsalBench } from './bench';
import { pointed, type Hole } from './body';
import { lengthWritten } from './driving';

/** Dowels, biscuits and loose tenons: the holes of both sides must meet, and be deep enough together. */
export function pushPegs(bench: RehearsalBench, op: OperationOf<'peg'>): void {
  for (const id of op.joints) {
    const joint = held(bench.joints, id);
    const [a, b] = [joint.drilled, joint.into].map((part) => ({
      part: held(bench.parts, part),
      holes: bodyOf(bench, part).holes.filter((hole) => hole.joint === id),
    })) as unknown as [Side, Side];
    if (a.holes.length === 0 || b.holes.length === 0) {
      bench.fault(op, 'not bored', `${id}: one of its sides has no holes`);
      continue;
    }
    const length = op.fastener === 'biscuit' ? inches(15 / 16) : lengthWritten(op.size);
    for (const hole of a.holes) {
      const own = toPiece(a.part, hole);
      const mate = b.holes.find((other) => norm(sub(toPiece(b.part, other).at, own.at)) < NEAR * 1.5);
      if (!mate) bench.fault(op, 'holes do not meet', `${id}: no hole of ${b.part.tag} meets the one in ${a.part.tag}`);
      else if (hole.kind === 'slot' && Math.abs(dot(lieOf(a.part, hole), lieOf(b.part, mate))) < 0.99)
        bench.fault(op, 'holes do not meet', `${id}: its slots lie across each other`);
      else if ((hole.deep ?? 0) + (mate.deep ?? 0) < length - NEAR)
        bench.fault(op, 'holes do not meet', `${id}: too shallow for what goes in`);
    }
    bench.pegged.add(id);
  }
  use(bench, op.fastener, op.size, op.count);
}
/** Which way the long side of a slot lies in the piece. */
function lieOf(part: Part, { hollows }: Hole): Vec {
  const way = sub(first(hollows).to, first(hollows).from);
  return times(pointed(part.frame, way), 1 / Math.max(1, norm(way)));
}
type Side = { readonly part: Part; readonly holes: readonly Hole[] };
