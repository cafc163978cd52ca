import * as v from 'valibot';
import { OnHandSchema, SIDES, type Entry, type OnHand } from '../job';

const size = v.pipe(v.number('must be a number'), v.integer('must be a whole number'), v.minValue(1));
const PieceRowsSchema = v.object({
  id: v.string('must be text'),
  asBuilt: v.optional(
    v.record(
      v.string(),
      v.object({
        length: v.optional(size),
        width: v.optional(size),
        thickness: v.optional(size),
        cut: v.optional(v.boolean('must be true or false')),
      }),
    ),
    {},
  ),
  diagonals: v.optional(v.record(v.string(), v.strictTuple([size, size])), {}),
  simulated: v.optional(v.array(v.string('must be text')), []),
});
/** What a job of version 4 kept of what was found and measured beside its ledger. */
export const RowsSchema = v.object({
  onHand: v.optional(v.array(OnHandSchema), []),
  pieces: v.array(PieceRowsSchema, 'must be a list of pieces'),
  ledger: v.optional(v.array(v.looseObject({ what: v.string(), of: v.optional(v.unknown()) })), []),
});
export type Rows = v.InferOutput<typeof RowsSchema>;

type Old = Rows['ledger'][number];
/** An entry of the old ledger, which is checked as one of today's after. */
const asIs = (entry: Old): Entry => entry as unknown as Entry;

/** Rows whose wood is cut and which were taken out since: they were there, as wide and long as what was cut. */
function cutSince({ onHand, ledger }: Rows): readonly OnHand[] {
  const known = new Set(onHand.map(({ id }) => id));
  const rows = new Map<string, OnHand>();
  for (const entry of ledger) {
    const [, id, k] = /^hand\.([^/]+):(\d+)$/.exec(String(entry.of)) ?? [];
    if (id === undefined || known.has(id) || entry.what !== 'cut') continue;
    const { material, length, width } = entry as unknown as OnHand;
    const row = { id, material, length, width, squared: false, bad: [], where: '', note: '' };
    rows.set(id, { ...row, count: Math.max(Number(k), rows.get(id)?.count ?? 1) });
  }
  return [...rows.values()];
}

/** What was measured of a piece, as entries without the id that they are given. */
function readings({ id: piece, asBuilt, diagonals, simulated }: Rows['pieces'][number]) {
  const made = (...key: readonly (string | number)[]) => simulated.includes(key.join('.'));
  return [
    ...Object.entries(asBuilt).flatMap(([tag, said]) => [
      ...SIDES.flatMap((side) => {
        const read = said[side];
        return read === undefined
          ? []
          : [
              {
                what: 'measured' as const,
                piece,
                tag,
                side,
                size: read,
                simulated: made('asBuilt', tag, side),
                planned: null,
              },
            ];
      }),
      ...(said.cut === true ? [{ what: 'fitted' as const, piece, tag }] : []),
    ]),
    ...Object.entries(diagonals).flatMap(([step, read]) =>
      ([0, 1] as const).map((which) => ({
        ...{ what: 'diagonal' as const, piece, step, which, size: read[which] },
        simulated: made('diagonals', step, which),
      })),
    ),
  ];
}

/**
 * The ledger of a job that kept rows on hand, sizes as built and diagonals beside it, up to version 4. When wood was
 * found and parts were measured was not kept: found is told first, measured last.
 */
export function ledgerFromRows(job: Rows): readonly Entry[] {
  const rows = new Map(job.onHand.map((hand) => [hand.id, hand]));
  const fetched = new Set(job.ledger.flatMap((entry) => (entry.what === 'fetched' ? [String(entry['row'])] : [])));
  const found = [...cutSince(job), ...job.onHand].filter(({ id }) => !fetched.has(id));
  return [
    ...found.map((hand, at): Entry => ({ id: `found.${at + 1}`, at: null, what: 'found', hand })),
    ...job.ledger.flatMap((entry): readonly Entry[] => {
      if (entry.what !== 'fetched') return [asIs(entry)];
      const { row, ...told } = entry;
      const hand = rows.get(String(row));
      return hand ? [asIs({ ...told, hand })] : [];
    }),
    ...job.pieces.flatMap(readings).map((entry, at): Entry => ({ id: `read.${at + 1}`, at: null, ...entry })),
  ];
}
