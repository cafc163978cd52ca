import { inches, type Length } from '../../length';
import type { OnHand } from '../../job';

/** A plank end shorter than this is not laid: it would lift. */
export const SHORTEST: Length = inches(6);

/**
 * Lengths without a fault that pieces on hand give, each end squared where it is not; of as many copies as share them.
 */
export function usableLengths(
  pieces: readonly Pick<OnHand, 'length' | 'count' | 'squared' | 'bad'>[],
  squareEnds: Length,
  copies = 1,
): readonly Length[] {
  return pieces.flatMap(({ length, count, squared, bad }) => {
    const trim = squared ? 0 : squareEnds;
    const stops = [...bad].sort((a, b) => a.from - b.from);
    const found: Length[] = [];
    let at = trim;
    for (const { from, to } of [...stops, { from: length - trim, to: length }]) {
      if (Math.min(from, length - trim) - at >= SHORTEST) found.push(Math.min(from, length - trim) - at);
      at = Math.max(at, to);
    }
    return Array.from({ length: Math.floor(count / copies) }, () => found).flat();
  });
}

/** Planks of one row, left to right; `found` false where one must be bought. */
export type Plank = { readonly length: Length; readonly found: boolean };

/** So many ways to fill a row are looked at; the best found by then is taken. */
const MOST_WAYS = 4000;

type RowFilling = {
  readonly planks: readonly Plank[];
  readonly bought: Length;
  readonly waste: Length;
  readonly left: readonly Length[];
};

/** Less bought, then less cut off, then fewer planks. All three only grow as a row is filled. */
const better = (a: RowFilling, b: RowFilling | null): boolean => {
  if (b === null) return true;
  if (a.bought !== b.bought) return a.bought < b.bought;
  return a.waste !== b.waste ? a.waste < b.waste : a.planks.length < b.planks.length;
};

const without = (lengths: readonly Length[], one: Length): readonly Length[] =>
  lengths.toSpliced(lengths.indexOf(one), 1);

/**
 * Fills rows `length` long from planks of random lengths, so that no two seams in neighbouring rows are nearer than
 * `stagger`. Of each row the way that buys least is taken, then the one that cuts least off; what is cut off goes back
 * while it is long enough to lay. A bought plank is `plank` long at most.
 *
 * Depth first over what can come next, row after row, at most `MOST_WAYS` ways a row: not the least over all rows, but
 * never a seam too near. Where a seam can fall nowhere the row is one bought plank, or null if none is so long.
 */
export function salvageRows(
  length: Length,
  rows: number,
  available: readonly Length[],
  plank: Length,
  stagger: Length,
  kerf: Length,
): readonly (readonly Plank[])[] | null {
  const laid: (readonly Plank[])[] = [];
  let left = [...available].sort((a, b) => b - a);
  let before: readonly Length[] = [];
  for (let row = 0; row < rows; row++) {
    const way = bestRow(length, left, plank, stagger, kerf, before);
    if (way === null) return null;
    laid.push(way.planks);
    left = [...way.left].sort((a, b) => b - a);
    before = seamsOf(way.planks);
  }
  return laid;
}

/** Where the planks of a row meet. */
export function seamsOf(planks: readonly Plank[]): readonly Length[] {
  let at = 0;
  return planks.slice(0, -1).map((plank) => (at += plank.length));
}

function bestRow(
  length: Length,
  available: readonly Length[],
  plank: Length,
  stagger: Length,
  kerf: Length,
  before: readonly Length[],
): RowFilling | null {
  let best: RowFilling | null = null;
  let ways = 0;
  const clear = (at: Length) => before.every((seam) => Math.abs(seam - at) >= stagger);
  /** The farthest place up to `at` where a seam may fall. */
  const seamUpTo = (at: Length): Length => {
    let place = Math.min(at, length - SHORTEST);
    for (let tries = 0; tries <= before.length; tries++) {
      const near = before.find((seam) => Math.abs(seam - place) < stagger);
      if (near === undefined) return place;
      place = near - stagger;
    }
    return 0;
  };
  /** What a cut leaves of a piece: the saw takes its width, and what is then too short is waste. */
  const cut = (piece: Length, to: Length): { readonly waste: Length; readonly kept: readonly Length[] } => {
    const rest = piece - to - kerf;
    return rest >= SHORTEST ? { waste: kerf, kept: [rest] } : { waste: piece - to, kept: [] };
  };
  const go = (at: Length, way: RowFilling): void => {
    if (++ways > MOST_WAYS || (best !== null && !better(way, best))) return;
    const room = length - at;
    const end = (next: RowFilling) => {
      if (better(next, best)) best = next;
    };
    // The row can end here: with the shortest piece that reaches, its end cut off.
    const last = [...way.left].reverse().find((piece) => piece >= room);
    if (last !== undefined) {
      const { waste, kept } = cut(last, room);
      end({
        planks: [...way.planks, { length: room, found: true }],
        bought: way.bought,
        waste: way.waste + waste,
        left: [...without(way.left, last), ...kept],
      });
    } else if (room <= plank)
      end({ ...way, planks: [...way.planks, { length: room, found: false }], bought: way.bought + room });
    for (const piece of new Set(way.left)) {
      const whole = at + piece;
      const seam = whole <= length - SHORTEST && clear(whole) ? whole : seamUpTo(whole);
      if (seam - at < SHORTEST) continue;
      const { waste, kept } = cut(piece, seam - at);
      go(seam, {
        planks: [...way.planks, { length: seam - at, found: true }],
        bought: way.bought,
        waste: way.waste + waste,
        left: [...without(way.left, piece), ...kept],
      });
    }
    const seam = seamUpTo(at + plank);
    if (seam - at >= SHORTEST)
      go(seam, {
        ...way,
        planks: [...way.planks, { length: seam - at, found: false }],
        bought: way.bought + seam - at,
      });
  };
  go(0, { planks: [], bought: 0, waste: 0, left: available });
  return best;
}
