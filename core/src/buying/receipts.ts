import type { EntryOf } from '../job';
import { rootOf, type Body, type Holdings } from '../ledger';
import { taxOn, type HardwareNeed, type Yard } from '../stock';
import type { Boards } from './boards';

/** A purchase that was not taken back. */
export type Purchase = EntryOf<'bought'> | EntryOf<'box'>;
/** What became of it: it is in the work or kept as a spare, nothing comes from it, or it is spoiled or given away. */
export type Fate = 'used' | 'idle' | 'lost';

/** What was bought at one yard on one day, the returns taken off. Cents. */
export type Receipt = {
  readonly yard: Pick<Yard, 'id' | 'name' | 'tax'>;
  /** `2026-11-28`; empty where it was not kept. */
  readonly day: string;
  readonly purchases: readonly Purchase[];
  readonly subtotal: number;
  readonly tax: number;
};

export const priceOf = (purchases: readonly Purchase[]): number => purchases.reduce((sum, { price }) => sum + price, 0);

/** All receipts, the earliest first; tax is rounded once on each. */
export function receiptsOf({ bodies, boxes }: Holdings): readonly Receipt[] {
  const wood = [...bodies.values()].flatMap(({ bought, state }) => (bought && state !== 'returned' ? [bought] : []));
  const groups = new Map<string, Purchase[]>();
  for (const purchase of [...wood, ...boxes]) {
    const { at, yard } = purchase;
    const key = JSON.stringify([at?.slice(0, 10) ?? '', yard.id, yard.tax]);
    groups.set(key, [...(groups.get(key) ?? []), purchase]);
  }
  return [...groups]
    .map(([, purchases]): Receipt => {
      const { yard, at } = purchases[0] as Purchase;
      const subtotal = priceOf(purchases);
      return { yard, day: at?.slice(0, 10) ?? '', purchases, subtotal, tax: taxOn(subtotal, yard) };
    })
    .sort((a, b) => (a.day < b.day ? -1 : a.day > b.day ? 1 : 0));
}

/** What became of a board that was bought. A board that is kept as a spare is put to use. */
function fateOf(body: Body, { idle }: Boards, spares: readonly Body[], { bodies }: Holdings): Fate {
  if (body.state === 'spoiled' || body.state === 'gone') return 'lost';
  if (body.state === 'racked') return 'idle';
  if (!idle.includes(body) || spares.includes(body)) return 'used';
  const isSpoiled = [...bodies.values()].some(
    ({ id, state, piece }) => piece !== null && state === 'spoiled' && rootOf(id) === body.id,
  );
  return isSpoiled ? 'lost' : 'idle';
}

/** Boxes by what they are needed for: as many, the largest first, as it takes; the others lie idle. */
function usedBoxes(boxes: Holdings['boxes'], needs: readonly HardwareNeed[]): ReadonlySet<Purchase> {
  const used = new Set<Purchase>();
  for (const need of needs) {
    let lacks = need.count;
    const own = boxes.filter(({ kind, size }) => kind === need.kind && size === need.size);
    for (const box of [...own].sort((a, b) => b.count - a.count)) {
      if (lacks <= 0 || used.has(box)) continue;
      used.add(box);
      lacks -= box.count;
    }
  }
  return used;
}

/** What became of each purchase. */
export function fates(
  holdings: Holdings,
  boards: Boards,
  spares: readonly Body[],
  needs: readonly HardwareNeed[],
): ReadonlyMap<Purchase, Fate> {
  const used = usedBoxes(holdings.boxes, needs);
  return new Map<Purchase, Fate>([
    ...[...holdings.bodies.values()].flatMap((body) =>
      body.bought ? [[body.bought, fateOf(body, boards, spares, holdings)] as const] : [],
    ),
    ...holdings.boxes.map((box) => [box, used.has(box) ? ('used' as const) : ('idle' as const)] as const),
  ]);
}
