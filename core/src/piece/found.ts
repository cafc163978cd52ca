import { first, sure } from '../lists';
import { inches, type Length, type Units } from '../length';
import type { Finding, Piece, Shop } from '../job';
import { sizesIn, TABLE_SIZES } from '../stock';
import { say, type Phrase } from '../words';
import { buildPiece } from './build';
import { settled } from './choice';
import { isTopAlone } from './bases/none';
import { familyOf, topOf } from './families';
import { pieceFrom, STARTS, type Start } from './gallery';

/** A top, board or panel that is there, as measured. */
export type FoundTop = { readonly length: Length; readonly width: Length; readonly thickness: Length };

/** What can be made of it, or why it can not. */
export type FromFound = { readonly start: Start; readonly piece: Piece; readonly because: Phrase | null };

/** Narrowest and widest, shortest and longest that still serve, inches, by use. Usual human-factors figures. */
const SERVES: Readonly<
  Record<string, { readonly width: readonly [number, number]; readonly length: readonly [number, number] }>
> = {
  dining: { width: [28, 48], length: [36, 120] },
  desk: { width: [18, 36], length: [36, 84] },
  standing: { width: [18, 48], length: [30, 120] },
  coffee: { width: [14, 36], length: [24, 66] },
  bench: { width: [10, 20], length: [24, 96] },
  side: { width: [8, 26], length: [10, 42] },
};

const outOfRange = (start: Start, { length, width }: FoundTop): Phrase | null => {
  const serves = SERVES[start.use];
  if (!serves) return null;
  const [l, w] = [Math.max(length, width), Math.min(length, width)];
  if (w < inches(serves.width[0]))
    return say`${{ dim: w }} is too narrow; it wants ${{ dim: inches(serves.width[0]) }}.`;
  if (w > inches(serves.width[1]))
    return say`${{ dim: w }} is too wide; over ${{ dim: inches(serves.width[1]) }} is out of reach.`;
  if (l < inches(serves.length[0]))
    return say`${{ dim: l }} is too short; it wants ${{ dim: inches(serves.length[0]) }}.`;
  return l > inches(serves.length[1]) ? say`${{ dim: l }} is too long for one.` : null;
};

/**
 * What can be made of a top that is there: each start with a straight top, at the measured size and its usual height.
 * Overhangs that leave no room are drawn in first; what then still can not be built says why.
 */
export function fromFound(found: FoundTop, shop: Shop, units: Units, id: string): readonly FromFound[] {
  const length = Math.max(found.length, found.width);
  const width = Math.min(found.length, found.width);
  return STARTS.filter(
    (start) =>
      familyOf(start).topped &&
      !isTopAlone(start) &&
      sure(topOf(start), 'top').deck === 'rectangle' &&
      start.top !== 'tiles',
  ).map((start) => {
    const base = pieceFrom(start, id);
    const under = base.size.height - topThickness(base);
    const size = {
      length,
      width,
      height:
        start.family === 'hairpin'
          ? inches(Number(start.choices.height ?? '28')) + found.thickness
          : under + found.thickness,
    };
    const as = (choices: Piece['choices']): Piece =>
      offered({
        ...base,
        top: 'found',
        size,
        choices: { ...start.choices, ...choices },
        topChoices: { thick: found.thickness },
      });
    const tries = [
      as({}),
      as({ overhangEnds: Math.round(length / 12), overhangSides: Math.round(width / 16) }),
      as({ overhangEnds: 0, overhangSides: 0 }),
    ];
    const out = outOfRange(start, found);
    const built = tries.map((piece) => ({ piece, findings: findingsOf(piece, shop, units) }));
    const good = built.find(({ findings }) => findings.length === 0);
    return {
      start,
      piece: good?.piece ?? first(tries),
      because: out ?? (good ? null : (first(built).findings[0]?.because ?? null)),
    };
  });
}

const topThickness = (piece: Piece): Length => {
  const top = sure(topOf(piece), 'top');
  return top.thickness(settled(top.choices, piece.topChoices), sizesIn(piece, TABLE_SIZES));
};

const findingsOf = (piece: Piece, shop: Shop, units: Units): readonly Finding[] =>
  buildPiece(piece, '2x6', shop, units).findings;

/** Only choices that the family offers. */
const offered = (piece: Piece): Piece => {
  const specs = familyOf(piece).choices;
  return { ...piece, choices: Object.fromEntries(Object.entries(piece.choices).filter(([name]) => name in specs)) };
};
