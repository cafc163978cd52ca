import { first, held, last, nth } from '../lists';
import { inches, type Length } from '../length';
import type { Joint } from '../piece';
import { add, dot, into as intoFrame, norm, sub, times, type Vec } from '../solid';
import type { OperationOf } from '../work';
import { bodyOf, fix, NEAR, toPiece, type RehearsalBench } from './bench';
import { woodAlong, type Hole } from './body';

/** How long a fastener is, from what is written on its box. */
export function lengthWritten(size: string): Length {
  const text = last(
    size
      .replace(/^#\d+ /, '')
      .replace(/ fine$/, '')
      .split(' x '),
  );
  const sum = text.split(' ').reduce((total, bit) => {
    const [over = NaN, under = 1] = bit.split('/').map(Number);
    return total + over / under;
  }, 0);
  return inches(sum);
}

/** Least wood that holds a fastener, by kind. */
const LEAST_BITE: Readonly<Record<string, number>> = {
  'pocket-screw': 5 / 16,
  screw: 1 / 4,
  lag: 3 / 4,
  bolt: 1 / 2,
  insert: 5 / 16,
  clip: 1 / 4,
  brad: 1 / 8,
};

/** No driver goes into less room than this. */
const ROOM = inches(2);

/** What stands right over the hole of a part, so that no driver gets at it; null where nothing does. */
function covering(
  bench: RehearsalBench,
  through: string,
  { at, direction }: { readonly at: Vec; readonly direction: Vec },
  room: number,
): string | null {
  const back = times(direction, -1);
  for (const id of bench.company.get(through) ?? []) {
    const part = held(bench.parts, id);
    if (id === through || part.role === 'drawer' || part.role === 'door') continue;
    const own = woodAlong(
      bodyOf(bench, id),
      intoFrame(part.frame, at),
      intoFrame({ ...part.frame, at: [0, 0, 0] }, back),
    );
    if (own.some(([low, high]) => high > inches(1 / 8) && low < room)) return part.tag;
  }
  return null;
}

/** Whether the hole for a nut lies across a bolt just before its tip, or the hole for an insert on its line. */
function meetsSeat(
  seat: ReturnType<typeof toPiece>,
  { deep, for: what }: Hole,
  line: ReturnType<typeof toPiece>,
  tip: number,
): boolean {
  if (what !== 'nuts')
    return (
      norm(sub(seat.at, add(line.at, times(line.direction, dot(sub(seat.at, line.at), line.direction))))) < NEAR * 1.5
    );
  const end = add(line.at, times(line.direction, tip - inches(1 / 2)));
  const along = dot(sub(end, seat.at), seat.direction);
  return along > 0 && along < (deep ?? 0) && norm(sub(end, add(seat.at, times(seat.direction, along)))) < inches(1 / 4);
}

/** Screws of a joint, one after the other: through what is bored, into what comes behind. */
export function driveJoint(bench: RehearsalBench, op: OperationOf<'drive'>, joint: Joint): void {
  const length = lengthWritten(op.size === '' ? '1/2' : op.size);
  const [a, b] = [held(bench.parts, joint.drilled), held(bench.parts, joint.into)];
  const both = [a, b].map((part) => ({ part, body: bodyOf(bench, part.id) }));
  const own = both.flatMap(({ part, body }) =>
    body.holes.filter((hole) => hole.joint === joint.id && hole.kind !== 'slot').map((hole) => ({ part, hole })),
  );
  // What takes a nut or an insert is not what the bolt goes in by.
  const isSeat = ({ hole }: (typeof own)[number]) => hole.for === 'nuts' || hole.for.startsWith('threaded inserts');
  const [bored, seats] = [own.filter((one) => !isSeat(one)), own.filter(isSeat)];
  const nails = op.spots.filter(({ joint: id }) => id === joint.id);
  if (op.fastener === 'brad') {
    if (nails.length === 0) bench.fault(op, 'not told', `${joint.id}: where its brads go`);
  } else if (op.fastener === 'clip') {
    const slots = first(both).body.holes.filter((hole) => hole.joint === joint.id && hole.for === 'clip slot');
    if (slots.length === 0) bench.fault(op, 'not bored', `${joint.id}: no slot for its clips`);
  } else if (!bench.blocked.has(joint.id)) {
    if (bored.length === 0) return bench.fault(op, 'not bored', `${joint.id}: nothing is bored for its screws`);
    for (const { part, hole } of bored) {
      const other = part === a ? b : a;
      const line = toPiece(part, hole);
      const at = {
        at: intoFrame(other.frame, line.at),
        direction: intoFrame({ ...other.frame, at: [0, 0, 0] }, line.direction),
      };
      const head = hole.sunk;
      const over = covering(bench, part.id, line, op.fastener === 'bolt' ? 0 : ROOM);
      if (over) bench.fault(op, 'no room', `${joint.id}: ${over} stands over its screws`);
      const stretch = woodAlong(bodyOf(bench, other.id), at.at, at.direction)
        .filter(([, high]) => high > head)
        .map(([low, high]) => [Math.max(low, head), high] as const);
      const tip = head + length;
      const astray =
        seats.length > 0 && !seats.some(({ part: seat, hole: one }) => meetsSeat(toPiece(seat, one), one, line, tip));
      if ((op.fastener === 'insert' || op.nuts === 'in') && (seats.length === 0 || astray))
        bench.fault(
          op,
          'holes do not meet',
          `${joint.id}: a bolt does not meet its ${op.nuts === 'in' ? 'nut' : 'insert'}`,
        );
      const bite = stretch.reduce((sum, [low, high]) => sum + Math.max(0, Math.min(tip, high) - low), 0);
      const least = inches(LEAST_BITE[op.fastener] ?? 1 / 4);
      if (bite < least - NEAR)
        bench.fault(op, 'bites too little', `${joint.id}: ${(bite / inches(1)).toFixed(2)} in of wood`);
      const last = stretch.find(([low]) => low < tip)?.[1] ?? 0;
      if (
        op.fastener !== 'bolt' &&
        bite > 0 &&
        last < tip - NEAR &&
        !stretch.some(([low, high]) => low < tip && high >= tip - NEAR)
      )
        bench.fault(op, 'comes out', `${joint.id}: by ${((tip - last) / inches(1)).toFixed(2)} in`);
      for (const one of [part, other]) {
        const ends = [head, tip].map((reach) =>
          intoFrame(one.frame, [
            line.at[0] + line.direction[0] * reach,
            line.at[1] + line.direction[1] * reach,
            line.at[2] + line.direction[2] * reach,
          ]),
        );
        bodyOf(bench, one.id).metal.push([first(ends), nth(ends, 1)]);
      }
    }
  }
  bench.made.add(joint.id);
  fix(bench, [joint.drilled, joint.into]);
}
