import { inches, type Length } from '../length';
import { about, dim, say, strong, type Phrase } from '../words';

/**
 * A board as sighted at the rack, lengths in 1/320 mm: how far it strays over its whole length, and what is wrong with
 * it.
 */
export type Sighted = {
  readonly crook: Length;
  readonly bow: Length;
  readonly twist: Length;
  readonly cup: Length;
  /** Length of a split from one end; 0 for none. */
  readonly split: Length;
  /** Where along it a loose knot is; null for none. */
  readonly looseKnot: Length | null;
  /** Percent by the meter. */
  readonly moisture: number;
};

/** One board in a rack. */
export type RackBoard = Sighted & { readonly number: number };

export type Judgement = {
  readonly verdict: 'keep' | 'stretch' | 'reject';
  readonly because: Phrase;
  /** Stretches to mark and cut round, for a board that is kept with them. */
  readonly bad: readonly { readonly from: Length; readonly to: Length }[];
};

/**
 * How far the longest piece of a board may stray and still pull straight in a glued or screwed joint at home: usual
 * shop practice, meant to be overruled by the eye.
 */
export const LIMITS = {
  crook: inches(3 / 16),
  bow: inches(3 / 8),
  twist: inches(1 / 8),
  cup: inches(1 / 8),
} as const;
/** Wetter wood shrinks and warps in the house. */
export const WET = 15;
const SOAKED = 19;
/** Wood given up past the end of a split, and either side of a loose knot. */
const PAST_SPLIT = inches(1);
const ROUND_KNOT = inches(1.5);

/**
 * Whether to keep a board, for a longest piece so long. Crook and bow are arcs: over a shorter piece they shrink with
 * the square of its length, twist with the length itself; cup stays. What is split or has a loose knot may be kept
 * where what is left still gives the longest piece.
 */
export function judge(board: Sighted, length: Length, longest: Length): Judgement {
  const share = Math.min(1, longest / length);
  const strays = {
    crook: board.crook * share ** 2,
    bow: board.bow * share ** 2,
    twist: board.twist * share,
    cup: board.cup,
  };
  const worst = (Object.keys(strays) as (keyof typeof strays)[]).find((way) => strays[way] > LIMITS[way]);
  if (worst)
    return {
      verdict: 'reject',
      because: say`${worst === 'twist' ? 'Twist' : worst === 'cup' ? 'Cup' : worst === 'bow' ? 'Bow' : 'Crook'} of ${about(strays[worst])} over a piece of ${dim(longest)}; ${dim(LIMITS[worst])} would still pull straight.`,
      bad: [],
    };
  if (board.moisture > SOAKED)
    return {
      verdict: 'reject',
      because: say`The meter says ${strong(`${board.moisture} %`)}: it would shrink and warp.`,
      bad: [],
    };
  const bad = [
    ...(board.looseKnot === null
      ? []
      : [{ from: Math.max(0, board.looseKnot - ROUND_KNOT), to: Math.min(length, board.looseKnot + ROUND_KNOT) }]),
    ...(board.split > 0 ? [{ from: Math.max(0, length - board.split - PAST_SPLIT), to: length }] : []),
  ].sort((a, b) => a.from - b.from);
  if (bad.length > 0) {
    let from = 0;
    let run = 0;
    for (const stretch of [...bad, { from: length, to: length }]) {
      run = Math.max(run, stretch.from - from);
      from = Math.max(from, stretch.to);
    }
    return run >= longest
      ? {
          verdict: 'stretch',
          because: say`Good but for ${bad.length === 1 ? 'one stretch' : 'two stretches'}: a run of ${dim(Math.floor(run / inches(1)) * inches(1))} is left, and its longest piece is ${dim(longest)}.`,
          bad,
        }
      : {
          verdict: 'reject',
          because: say`The good run left is shorter than its longest piece, ${dim(longest)}.`,
          bad: [],
        };
  }
  return {
    verdict: 'keep',
    because:
      board.moisture > WET
        ? say`Straight and sound, but ${strong(`${board.moisture} %`)} wet. Over ${WET}: let it lie two weeks before you mill it, or pick another.`
        : say`Straight and sound.`,
    bad: [],
  };
}
