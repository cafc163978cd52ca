import type { EntryOf, Job, Side } from '../job';
import type { Length } from '../length';
import { standingEntries } from './holdings';

/** What a part measures as built, by side, and whether it is cut though it is one that is cut to fit. */
type AsBuilt = { readonly [one in Side]?: Length } & { readonly cut?: boolean };

/** What was read off one piece: parts by tag, both diagonals of steps by their id. */
export type Readings = {
  readonly asBuilt: Readonly<Record<string, AsBuilt>>;
  readonly diagonals: Readonly<Record<string, readonly [Length | null, Length | null]>>;
  /** All entries of it that stand, in the order they were told: the last of one side or diagonal holds. */
  readonly from: readonly EntryOf<'measured' | 'fitted' | 'diagonal'>[];
};

const NONE: Readings = { asBuilt: {}, diagonals: {}, from: [] };
const known = new WeakMap<Job['ledger'], ReadonlyMap<string, Readings>>();

function readingsFrom(from: Readings['from']): Readings {
  const asBuilt: Record<string, AsBuilt> = {};
  const diagonals: Record<string, readonly [Length | null, Length | null]> = {};
  for (const entry of from)
    if (entry.what === 'diagonal') {
      const [one, two] = diagonals[entry.step] ?? [null, null];
      diagonals[entry.step] = entry.which === 0 ? [entry.size, two] : [one, entry.size];
    } else {
      const said = entry.what === 'fitted' ? { cut: true } : { [entry.side]: entry.size };
      asBuilt[entry.tag] = { ...asBuilt[entry.tag], ...said };
    }
  return { asBuilt, diagonals, from };
}

/** What was measured of a piece of a job: nothing where nothing was. */
export function readingsOf({ ledger }: Pick<Job, 'ledger'>, piece: string): Readings {
  let all = known.get(ledger);
  if (!all) {
    const told = new Map<string, Readings['from'][number][]>();
    for (const entry of standingEntries(ledger))
      if (entry.what === 'measured' || entry.what === 'fitted' || entry.what === 'diagonal')
        told.set(entry.piece, [...(told.get(entry.piece) ?? []), entry]);
    all = new Map([...told].map(([of, entries]) => [of, readingsFrom(entries)]));
    known.set(ledger, all);
  }
  return all.get(piece) ?? NONE;
}
