import { first, held, nth, sure } from '../lists';
import { inches } from '../length';
import { circle, into as intoFrame, type Vec } from '../solid';
import type { Operation, OperationOf } from '../work';
import { bodyOf, partsOf, type RehearsalBench } from './bench';
import { keepInside, narrow, placed, slantEnd, takeOut, trimTo } from './body';
import { boreAt, hitsMetal, meetsHole, pocketAt, slotAt } from './holes';

export function shapeParts(bench: RehearsalBench, op: Operation): void {
  for (const part of partsOf(bench, op)) {
    const body = bodyOf(bench, part.id);
    switch (op.kind) {
      case 'plane':
        narrow(body, 2, 0, op.to * part.plies);
        break;
      case 'rip':
        narrow(body, 1, 0, op.to);
        break;
      case 'trim':
      case 'fit': {
        const to = op.kind === 'trim' ? op.to : op.planned;
        if (body.high - body.low < to - 2) bench.fault(op, 'not ready', `${part.tag} is shorter than that`);
        trimTo(body, 0, to);
        break;
      }
      case 'mitre':
        for (const { end, mitre, bevel, long } of op.ends)
          if (mitre !== 0 || bevel !== 0) slantEnd(body, end.sign, mitre, bevel, long, part.width, part.thickness);
        break;
      case 'outline':
        keepInside(body, op.outline, part.thickness);
        break;
      case 'cut':
        for (const taken of op.taken[part.id] ?? [])
          if (takeOut(body, taken) <= 0) bench.fault(op, 'no wood', `${part.tag}: a ${taken.kind} takes nothing`);
        break;
    }
  }
}

/** Boards of a panel cut to size together: square off both ends, or round. */
export function trimWhole(bench: RehearsalBench, op: OperationOf<'trim whole'>): void {
  const parts = partsOf(bench, op);
  const body = new Set(bench.whole.get(first(op.on)) ?? []);
  if (!op.on.every((id) => body.has(id))) bench.fault(op, 'wrong order', 'the boards are not one yet');
  const xs = parts.flatMap((part) => [placed(part.frame, [0, 0, 0]), placed(part.frame, [part.length, part.width, 0])]);
  const middle: Vec = ([0, 1, 2] as const).map(
    (axis) => (Math.min(...xs.map((point) => point[axis])) + Math.max(...xs.map((point) => point[axis]))) / 2,
  ) as unknown as Vec;
  for (const part of parts) {
    const own = bodyOf(bench, part.id);
    const crosses = (place: number) =>
      own.metal.some(
        ([from, to]) =>
          Math.min(from[0], to[0]) < place + inches(1 / 16) && Math.max(from[0], to[0]) > place - inches(1 / 16),
      );
    if (op.round === null) {
      if (own.high - own.low < op.to - 2) bench.fault(op, 'not ready', `${part.tag} is shorter than that`);
      const low = own.low + op.off;
      for (const place of [low, low + op.to])
        if (crosses(place)) bench.fault(op, 'hits a screw', `the saw meets a screw in ${part.tag}`);
      trimTo(own, low, low + op.to);
    } else {
      const [x, y] = intoFrame(part.frame, middle);
      keepInside(own, circle(x, y, op.round), part.thickness);
      // What was left long is off: its ends are where the round is longest over its width.
      const off = Math.max(0, -y, y - part.width);
      const half = Math.sqrt(op.round ** 2 - off ** 2);
      [own.low, own.high] = [x - half, x + half];
    }
  }
}

export function drill(
  bench: RehearsalBench,
  op: OperationOf<'bore'> | OperationOf<'pocket'> | OperationOf<'slot'>,
): void {
  op.spots.forEach((spot, at) => {
    const part = held(bench.parts, spot.part);
    const body = bodyOf(bench, spot.part);
    const hole =
      op.kind === 'bore'
        ? boreAt(body, part, spot, nth(op.ways, at), op)
        : op.kind === 'pocket'
          ? pocketAt(body, part, spot, sure(op.exits[spot.joint], 'way out of the pocket'), op.jig)
          : slotAt(body, part, spot, nth(op.ways, at), op);
    if (typeof hole === 'string') return bench.fault(op, 'not told', hole);
    if (hitsMetal(body, hole.at, hole.direction, hole.deep ?? inches(1)))
      bench.fault(op, 'hits a screw', `${spot.tag}: the bit meets a screw`);
    const met = meetsHole(body, hole.joint, hole.hollows);
    if (met) bench.fault(op, 'meets a hole', `${spot.tag}: ${hole.joint} runs into the hole for ${met}`);
    body.holes.push(hole);
  });
}
