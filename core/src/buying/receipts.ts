import { rootOf, type Body, type Holdings, type Purchase } from '../ledger';
import type { HardwareNeed } from '../stock';
import type { Boards } from './boards';

/** What became of it: it is in the work or kept as a spare, nothing comes from it, or it is spoiled or given away. */
export type Fate = 'used' | 'idle' | 'lost';

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
