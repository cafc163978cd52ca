import type { HardwareKind } from '../stock';
import { isDense, type Fastening } from './fastening';
import { WAYS_TO_JOIN } from './methods';
import { boughtFor } from './needs';

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

/**
 * All fasteners of a piece by kind, size, head and thread, with pilot, clearance hole, counterbore and bit for each:
 * the harder of the two woods says the pilot. Pocket holes are drilled by the jig's own step bit.
 *
 * @param copies of the piece.
 */
export function fastenerLines(made: readonly Fastening[], copies: number): readonly FastenerLine[] {
  const rows = new Map<string, FastenerLine>();
  for (const item of made) {
    const hard = isDense(item.drilled) || isDense(item.into);
    for (const { kind, size, count } of boughtFor(item)) {
      // A plug has the bore of its counterbore.
      const own = item.fastener?.kind === kind ? item.fastener : null;
      const pocket = kind === 'pocket-screw';
      const sunk = item.by !== 'hardware' && item.by !== 'nothing' && WAYS_TO_JOIN[item.by].countersunk;
      const line = {
        kind,
        size,
        head: own?.head ?? '',
        thread: own?.thread ?? '',
        pilot: pocket ? 'by the jig' : (own?.pilot?.[hard ? 'hard' : 'soft'].name ?? (kind === 'plug' ? size : '')),
        clearance: pocket ? 'by the jig' : (own?.clearance?.name ?? ''),
        counterbore: pocket ? '3/8 pocket' : sunk ? 'countersink' : (own?.counterbore?.name ?? ''),
        bit: own?.driver ?? '',
      };
      const key = JSON.stringify(line);
      const before = rows.get(key);
      rows.set(key, { ...line, count: count * copies + (before?.count ?? 0) });
    }
  }
  return [...rows.values()].sort(
    (a, b) => a.kind.localeCompare(b.kind) || a.size.localeCompare(b.size, 'en', { numeric: true }),
  );
}
