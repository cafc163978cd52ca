import type { Length } from '../length';
import type { Pattern, Slot } from './fill';
import type { Group } from './group';

/** A board as it will be cut, in exact lengths. The exact twin of a `CutBoard` in the solution file. */
export type Layout = {
  readonly stock: string;
  readonly pieces: readonly {
    readonly part: string;
    readonly x: Length;
    readonly y: Length;
    readonly length: Length;
    readonly width: Length;
    readonly turned: boolean;
  }[];
  readonly cuts: readonly {
    readonly kind: 'crosscut' | 'rip';
    readonly at: Length;
    readonly from: Length;
    readonly to: Length;
  }[];
  readonly offcuts: readonly {
    readonly x: Length;
    readonly y: Length;
    readonly length: Length;
    readonly width: Length;
  }[];
};

/** Hands out the parts an item stands for, one after the other, over all boards of a group. */
export function namesOf(group: Group): (item: number) => string {
  const queues = group.items.map((item) =>
    item.parts.flatMap(({ id, quantity }) => Array.from({ length: quantity }, () => id)),
  );
  return (item) => queues[item]!.shift()!;
}

/**
 * Turns a pattern into pieces, the straight cuts that make them in order, and the offcuts that remain.
 *
 * @param nameOf the part that the next piece of an item is.
 */
export function layOut(group: Group, pattern: Pattern, nameOf: (item: number) => string): Layout {
  const bin = group.bins[pattern.bin]!;
  const low = bin.bottom;
  const high = bin.bottom + bin.usableWidth;
  const pieces: Layout['pieces'][number][] = [];
  const cuts: Layout['cuts'][number][] = [];
  const offcuts: Layout['offcuts'][number][] = [];
  const keep = (x: Length, y: Length, length: Length, width: Length) => {
    if (length > 0 && width > 0) offcuts.push({ x, y, length, width });
  };

  const take = ({ cut, ...slot }: Slot): void => {
    if (cut === null) return keep(slot.x, slot.y, slot.length, slot.width);
    const { piece, crosscutFirst, right, top } = cut;
    const { x, y, length, width, turned } = piece;
    pieces.push({ part: nameOf(piece.item), x, y, length, width, turned });
    const crosscut = (to: Length) =>
      length < slot.length && cuts.push({ kind: 'crosscut', at: x + length, from: y, to });
    const rip = (to: Length) => width < slot.width && cuts.push({ kind: 'rip', at: y + width, from: x, to });
    if (crosscutFirst) {
      crosscut(y + slot.width);
      rip(x + length);
    } else {
      rip(x + slot.length);
      crosscut(y + width);
    }
    if (right) take(right);
    if (top) take(top);
  };
  pattern.slots?.forEach((slot, at) => {
    if (slot.cut === null) return take(slot);
    // The run is parted from what lies before and behind it: squared ends, or a stretch that is no good.
    if (bin.trimmedEnds || at > 0) cuts.push({ kind: 'crosscut', at: slot.x, from: low, to: high });
    if (bin.trimmedEnds || at < bin.runs.length - 1)
      cuts.push({ kind: 'crosscut', at: slot.x + slot.length, from: low, to: high });
    take(slot);
  });

  for (const run of pattern.slots ? [] : bin.runs) {
    const sections = pattern.sections.filter((section) => section.x >= run.from && section.x < run.to);
    let free = run.from;
    if (sections.length > 0 && (bin.trimmedEnds || run.from > 0))
      cuts.push({ kind: 'crosscut', at: run.from, from: low, to: high });
    for (const section of sections) {
      const end = section.x + section.length;
      // What ends with the run is cut off all the same where there is more board behind it.
      if (end < run.to || bin.trimmedEnds || run !== bin.runs.at(-1))
        cuts.push({ kind: 'crosscut', at: end, from: low, to: high });
      free = end + group.gap;
      for (const lane of section.lanes) {
        const top = lane.y + lane.width;
        if (top < high) cuts.push({ kind: 'rip', at: top, from: section.x, to: end });
        for (const piece of lane.pieces) {
          pieces.push({
            part: nameOf(piece.item),
            x: piece.x,
            y: piece.y,
            length: piece.length,
            width: piece.width,
            turned: piece.turned,
          });
          if (piece.x + piece.length < end)
            cuts.push({ kind: 'crosscut', at: piece.x + piece.length, from: lane.y, to: top });
          if (piece.width < lane.width) {
            cuts.push({ kind: 'rip', at: piece.y + piece.width, from: piece.x, to: piece.x + piece.length });
            keep(piece.x, piece.y + piece.width + group.kerf, piece.length, lane.width - piece.width - group.kerf);
          }
        }
        const last = lane.pieces[lane.pieces.length - 1]!;
        const laneEnd = last.x + last.length + group.gap;
        keep(laneEnd, lane.y, end - laneEnd, lane.width);
      }
      const lastLane = section.lanes[section.lanes.length - 1]!;
      const beside = lastLane.y + lastLane.width + group.kerf;
      keep(section.x, beside, section.length, high - beside);
    }
    keep(free, low, run.to - free, bin.usableWidth);
  }
  return { stock: bin.id, pieces, cuts, offcuts };
}
