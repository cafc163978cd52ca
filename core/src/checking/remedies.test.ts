import { inches } from '../length';
import { applyChanges, FINDINGS, newJob, type Finding, type Job, type Piece } from '../job';
import { newPiece, STARTS } from '../piece';
import { planning } from '../testing/planning';
import { someOf, THOROUGH } from '../testing/runs';

const pieceAs = (job: Job, change: (piece: Piece) => Partial<Piece>): Job => ({
  ...job,
  pieces: job.pieces.map((piece) => ({ ...piece, ...change(piece) })),
});
const larger = (by: { readonly length?: number; readonly height?: number }) => (job: Job) =>
  pieceAs(job, ({ size }) => ({
    size: { ...size, length: size.length + (by.length ?? 0), height: size.height + (by.height ?? 0) },
  }));

/** What makes findings: shops, yards, wishes and sizes that are not as they should be. */
const BENDS: readonly (readonly [string, (job: Job) => Job])[] = [
  ['as it comes', (job) => job],
  ['no money', (job) => ({ ...pieceAs(job, () => ({ boughtPrice: 1000 })), budget: 1000, spares: 'each' })],
  ['hand tools', (job) => ({ ...job, shop: { ...job.shop, tools: ['hand saw', 'drill'], drivers: [] } })],
  ['a circular saw', (job) => ({ ...job, shop: { ...job.shop, tools: ['circular saw', 'drill'] } })],
  ['a small car', (job) => ({ ...job, shop: { ...job.shop, car: inches(40) } })],
  ['twenty seats', (job) => pieceAs(job, () => ({ seats: 20 }))],
  ['higher', larger({ height: inches(8) })],
  ['lower', larger({ height: -inches(8) })],
  ['longer', larger({ length: inches(40) })],
  ['much longer', larger({ length: inches(140) })],
  ['oak', (job) => pieceAs(job, () => ({ wood: 'oak' }))],
  ['planed', (job) => pieceAs(job, () => ({ planed: inches(1 / 16) }))],
  ['no screws', (job) => ({ ...job, yard: { ...job.yard, hardware: [] } })],
  ['no boards', (job) => ({ ...job, yard: { ...job.yard, boards: [] } })],
  ['parts set by hand', (job) => pieceAs(job, () => ({ overrides: { L1: { width: inches(20) } } }))],
];

const RANK = { good: 0, care: 1, stop: 2 } as const;
/** Figures of which more is better. */
const ROOM = ['tipsAtPounds', 'kneesInches'];
/** Whether a note says less than before: gone, less grave, or of a smaller sum. */
const isLess = (before: Finding, after: Finding | undefined): boolean =>
  !after ||
  RANK[after.level] < RANK[before.level] ||
  Object.entries(before.numbers).some(([name, was]) => {
    const now = after.numbers[name] ?? 0;
    return ROOM.includes(name) ? now > was : now < was;
  });

/** What was taken of a start: what is offered again as it is, beside another wish, is not taken again in `npm test`. */
const taken = new Set<string>();

/** A start each, in turn; all of them where all is asked for. */
const ROWS = BENDS.map(([how, bend], at) => [how, bend, someOf(STARTS, 24, at).map(({ id }) => id)] as const);

describe.each(ROWS)('%s: every way out that is offered', (_, bend, starts) => {
  test.each(starts)('mends %s', (id) => {
    const job = bend({ ...newJob('j'), pieces: [newPiece('p', id)] });
    const planOf = planning();
    const findingsOf = (one: Job) => planOf(one).findings;
    const before = findingsOf(job);
    for (const finding of before)
      for (const { changes } of finding.remedies) {
        const offer = JSON.stringify([id, finding.id, finding.numbers, changes]);
        if (taken.has(offer) && !THOROUGH) continue;
        taken.add(offer);
        const after = findingsOf(applyChanges(job, changes));
        const less = isLess(
          finding,
          after.find((other) => other.id === finding.id),
        );
        expect([finding.id, less]).toEqual([finding.id, true]);
        // And what mends a care never stops the piece instead; boards chosen anew may want another tool, which says so.
        const stops = after.filter(
          (other) => other.level === 'stop' && other.kind !== 'shop' && !before.some((one) => one.id === other.id),
        );
        expect(finding.level === 'stop' ? [] : stops.map((other) => other.id)).toEqual([]);
      }
    // Nothing that stops is said twice with the same way out.
    const outs = before
      .filter(({ level }) => level === 'stop')
      .map(({ piece, remedies }) => JSON.stringify([piece, remedies.map(({ changes }) => changes)]))
      .filter((text) => !text.endsWith('[]]'));
    expect(new Set(outs).size).toBe(outs.length);
    for (const { kind } of before) expect(Object.hasOwn(FINDINGS, kind)).toBe(true);
  });
});
