import type { HardwareKind } from '../stock';
import { isDense, type Fastening } from './fasten';
import { isCountersunk } from './methods';
import { fastenerOf, plugsFor } from './needs';
import { drillingOf } from './other-fasteners';

/** A line of the list of fasteners: how many of a kind and size, and what is drilled for it. */
export type FastenerLine = {
  readonly kind: HardwareKind;
  readonly size: string;
  readonly head: string;
  readonly thread: string;
  readonly pilot: string;
  readonly clearance: string;
  readonly counterbore: string;
  readonly bit: string;
  readonly count: number;
};

const HEADS: Readonly<Partial<Record<HardwareKind, readonly [head: string, thread: string]>>> = {
  'pocket-screw': ['washer', 'coarse'],
  screw: ['flat', 'wood'],
  lag: ['hex', 'lag'],
  bolt: ['hex', '3/8-16'],
  insert: ['hex drive', '1/4-20'],
  clip: ['with its own screw', ''],
};

/**
 * All fasteners of a piece by kind, size, head and thread, with pilot, clearance hole, counterbore and bit for each: the
 * harder of the two woods says the pilot. Pocket holes are drilled by the jig's own step bit.
 *
 * @param copies of the piece.
 */
export function fastenerLines(made: readonly Fastening[], copies: number): readonly FastenerLine[] {
  const rows = new Map<string, FastenerLine>();
  for (const item of made) {
    const count = item.positions.length * copies;
    if (count === 0) continue;
    const hard = isDense(item.drilled) || isDense(item.into);
    for (const need of [fastenerOf(item), plugsFor(item)]) {
      if (!need) continue;
      const drilling = drillingOf(need.size);
      const [head, thread] = HEADS[need.kind] ?? ['', ''];
      const pocket = need.kind === 'pocket-screw';
      const line = {
        kind: need.kind,
        size: need.size,
        head,
        thread: pocket && need.size.endsWith('fine') ? 'fine' : thread,
        pilot: pocket ? 'by the jig' : (drilling?.pilot?.[hard ? 1 : 0] ?? borePlain(need.kind, need.size)),
        clearance: pocket ? 'by the jig' : (drilling?.clearance ?? ''),
        counterbore: pocket ? '3/8 pocket' : isCountersunk(item.by) ? 'countersink' : (drilling?.counterbore ?? ''),
        bit: pocket ? 'square #2, long' : (drilling?.bit ?? ''),
      };
      const key = JSON.stringify(line);
      const before = rows.get(key);
      rows.set(key, { ...line, count: count + (before?.count ?? 0) });
    }
  }
  return [...rows.values()].sort((a, b) => a.kind.localeCompare(b.kind) || a.size.localeCompare(b.size, 'en', { numeric: true })); // prettier-ignore
}

/** Dowels and plugs go into a hole of their own thickness. */
const borePlain = (kind: HardwareKind, size: string): string =>
  kind === 'dowel' || kind === 'plug' ? size.split(' x ')[0]! : '';
