import { first, held, nth } from '../lists';
import { inches } from '../length';
import { solidOf, SWINGS, type Joint, type Part } from '../piece';
import { blocks, dot, outOfFrame, times, type Vec } from '../solid';
import type { OperationOf } from '../work';
import { bodyOf, fix, lifted, NEAR, toPiece, use, type RehearsalBench } from './bench';
import { differs, placed, slackOf } from './body';
import { standsAsTold } from './standing';

/** Whether a part is what it should be: but for ends that are trimmed once it is fixed, and the round of a panel. */
function readiness(bench: RehearsalBench, part: Part): string | null {
  if (part.material === 'bought' || part.kept || part.loose) return null;
  const body = bodyOf(bench, part.id);
  if (part.trimmedLater || part.flush) return null;
  const difference = differs(outOfFrame(part.frame, body.solid), solidOf(part));
  return difference > slackOf(part)
    ? `${part.tag} is not what it should be: ${(difference / inches(1) ** 3).toFixed(2)} cubic inches differ`
    : null;
}

/** The way that pegs leave for a joint to close by: along its holes. */
function pegLine(bench: RehearsalBench, joint: Joint): Vec | null {
  const part = held(bench.parts, joint.drilled);
  const hole = bodyOf(bench, joint.drilled).holes.find((one) => one.joint === joint.id);
  return hole ? times(toPiece(part, hole).direction, -1) : null;
}

/** Boards laid side by side as told, left ends or middles level: which does not lie where it belongs then. */
function outOfRow(bench: RehearsalBench, op: OperationOf<'place'>): string | null {
  const places = op.comes
    .flatMap(({ parts }) => parts)
    .map((id) => {
      const [part, body] = [held(bench.parts, id), bodyOf(bench, id)];
      const along = op.row === 'ends' ? body.low : (body.low + body.high) / 2;
      return { tag: part.tag, at: dot(part.frame.u, placed(part.frame, [along, 0, 0])) };
    });
  const stray = places.find(({ at }) => Math.abs(at - first(places).at) > NEAR);
  return stray ? `${stray.tag} does not lie level with ${first(places).tag}` : null;
}

/** Drawers run out of what is turned, and doors swing, unless they are out of the way first. */
export function runsOut(
  bench: RehearsalBench,
  op: OperationOf<'place'> | OperationOf<'turn'>,
  there: ReadonlySet<string>,
): void {
  for (const { id, kind, drilled, into: other } of bench.joints.values())
    if (
      (kind === 'slide' || SWINGS.includes(kind)) &&
      bench.made.has(id) &&
      there.has(drilled) &&
      there.has(other) &&
      !op.out.includes(drilled)
    )
      bench.fault(op, 'loose when turned', `${held(bench.parts, drilled).tag} runs out or swings`);
}

/** What comes together, by the way that is told: every part ready, every way free, everything where its marks say. */
export function bring(bench: RehearsalBench, op: OperationOf<'place'>): void {
  const here = new Set<string>();
  op.comes.forEach(({ parts: ids, way }, at) => {
    const first = nth(ids, 0);
    const one = bench.whole.get(first) ?? new Set();
    const strange = ids.find((id) => !one.has(id)) ?? [...one].find((id) => !ids.includes(id));
    if (strange)
      bench.fault(
        op,
        'not held',
        `${held(bench.parts, first).tag} and ${bench.parts.get(strange)?.tag} are not one, or come apart`,
      );
    for (const id of ids) {
      const part = held(bench.parts, id);
      const why = bench.stands.has(id) ? null : readiness(bench, part);
      if (why) bench.fault(op, 'not ready', why);
      if (part.bought && !bench.stands.has(id)) use(bench, part.bought.kind, part.bought.size, 1);
    }
    if (at > 0 || way !== null) {
      const there = [...here].map((id) => held(bench.parts, id));
      if (way === null && there.length > 0)
        bench.fault(op, 'no way in', `${held(bench.parts, first).tag} has no way in`);
      if (way !== null) {
        const out = times(way, -1);
        const stuck = ids.find((id) => {
          const solid = solidOf(held(bench.parts, id));
          return there.some((other) => blocks(solid, solidOf(other), out));
        });
        if (stuck) bench.fault(op, 'no way in', `${held(bench.parts, stuck).tag} is blocked`);
        for (const joint of bench.joints.values()) {
          if (!bench.pegged.has(joint.id)) continue;
          const moving =
            ids.includes(joint.drilled) && here.has(joint.into)
              ? 1
              : ids.includes(joint.into) && here.has(joint.drilled)
                ? -1
                : 0;
          const line = moving === 0 ? null : pegLine(bench, joint);
          if (line && Math.abs(dot(line, way)) < 0.99)
            bench.fault(op, 'blocked by pegs', `${joint.id} closes along its pegs only`);
        }
      }
    }
    if (way !== null) lifted(bench, op, ids);
    for (const id of ids) here.add(id);
  });
  for (const id of here) {
    bench.stands.add(id);
    bench.company.set(id, here);
  }
  if (op.over) runsOut(bench, op, here);
  const crooked = op.row === null ? null : outOfRow(bench, op);
  if (crooked) bench.fault(op, 'not told', crooked);
  for (const mark of op.marks) {
    const why = standsAsTold(mark, bench.parts);
    if (why) bench.fault(op, 'not told', why);
  }
  if (!op.fixed)
    for (const joint of bench.joints.values())
      if (joint.kind === 'rest' && here.has(joint.drilled) && here.has(joint.into)) bench.made.add(joint.id);
  for (const id of bench.spread) {
    const { drilled, into } = held(bench.joints, id);
    if (!here.has(drilled) || !here.has(into)) continue;
    bench.made.add(id);
    fix(bench, [drilled, into]);
  }
  // What slides in a groove, or through a passage, is caught by it.
  for (const joint of bench.joints.values())
    if (
      (joint.kind === 'groove' || (joint.kind === 'rest' && joint.apart)) &&
      here.has(joint.drilled) &&
      here.has(joint.into)
    ) {
      bench.made.add(joint.id);
      fix(bench, [joint.drilled, joint.into]);
    }
}
