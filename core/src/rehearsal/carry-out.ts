import { first, held } from '../lists';
import type { Operation, OperationOf } from '../work';
import { fix, lifted, use, type RehearsalBench } from './bench';
import { bring, runsOut } from './bringing';
import { driveJoint } from './driving';
import { pushPegs } from './pegging';
import { drill, shapeParts, trimWhole } from './shaping';

/** Glue holds what was brought together and pulled shut, once it has had its time. */
function setGlue(bench: RehearsalBench): void {
  for (const id of bench.shut) {
    const { drilled, into: other } = held(bench.joints, id);
    if (!bench.stands.has(drilled) || !bench.stands.has(other)) continue;
    bench.made.add(id);
    fix(bench, [drilled, other]);
  }
}

/** Adhesive is spread for tiles that come; what is grouted and sealed must lie in it. */
function setTile(bench: RehearsalBench, op: OperationOf<'tile'>): void {
  for (const { kind, size, count } of op.takes) use(bench, kind, size, count);
  for (const { id, kind, drilled } of bench.joints.values()) {
    if (kind !== 'set' || !op.on.includes(drilled)) continue;
    if (op.what === 'set') bench.spread.add(id);
    else if (!bench.made.has(id)) bench.fault(op, 'wrong order', `${id}: the tile is not set yet`);
  }
}

/** Carries out one operation, or says why it can not be done. */
export function carryOut(bench: RehearsalBench, op: Operation): void {
  if (op.tool !== null && !bench.shop.tools.includes(op.tool)) bench.fault(op, 'no tool', `there is no ${op.tool}`);
  switch (op.kind) {
    case 'laminate':
      return use(bench, 'glue', bench.glue, 0);
    case 'plane':
    case 'rip':
    case 'trim':
    case 'fit':
    case 'mitre':
    case 'outline':
    case 'cut':
      return shapeParts(bench, op);
    case 'trim whole':
      lifted(bench, op, op.on);
      return trimWhole(bench, op);
    case 'bore':
    case 'pocket':
    case 'slot':
      return drill(bench, op);
    case 'place':
      return bring(bench, op);
    case 'glue':
      // What was glued before and never clamped has not taken.
      bench.glued.clear();
      bench.shut.clear();
      for (const id of op.joints) bench.glued.add(id);
      use(bench, 'glue', bench.glue, 0);
      return;
    case 'clamp':
      for (const id of bench.glued) bench.shut.add(id);
      return;
    case 'wait':
      return setGlue(bench);
    case 'peg':
      return pushPegs(bench, op);
    case 'block':
      use(bench, 'glue', bench.glue, 0);
      for (const id of op.joints) bench.blocked.add(id);
      return;
    case 'drive':
      use(bench, op.fastener, op.size, op.count);
      for (const id of op.joints) {
        const joint = held(bench.joints, id);
        if (!bench.stands.has(joint.drilled) || !bench.stands.has(joint.into))
          bench.fault(op, 'wrong order', `${id}: its parts are not together`);
        else driveJoint(bench, op, joint);
      }
      return;
    case 'plug':
    case 'fit hardware':
      return use(bench, op.fastener, op.size, op.count);
    case 'hang':
      if (op.fastener) use(bench, op.fastener, op.size, op.count);
      for (const id of op.joints) {
        const { drilled, into: other } = held(bench.joints, id);
        if (!bench.stands.has(drilled) || !bench.stands.has(other))
          bench.fault(op, 'wrong order', `${id}: its parts are not together`);
        bench.made.add(id);
        fix(bench, [drilled, other]);
      }
      return;
    case 'turn': {
      const all = op.on;
      const one = bench.whole.get(first(all)) ?? new Set();
      const loose = all.find((id) => !one.has(id));
      if (loose)
        bench.fault(
          op,
          'loose when turned',
          `${held(bench.parts, loose).tag} is not fixed to ${held(bench.parts, first(all)).tag}`,
        );
      runsOut(bench, op, new Set(all));
      return lifted(bench, op, all);
    }
    case 'tile':
      return setTile(bench, op);
    case 'coat':
    case 'sample':
    case 'sand':
    case 'flatten':
    case 'fill':
    case 'mask':
    case 'strip':
      for (const { kind, size, count } of op.takes) use(bench, kind, size, count);
      return;
    default:
      return;
  }
}
