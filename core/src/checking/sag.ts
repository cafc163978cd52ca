import { first } from '../lists';
import { inches, toInches, type Length } from '../length';
import { applyChanges, note, set, type Change, type Finding, type Job, type Piece } from '../job';
import {
  boxOf,
  buildPiece,
  choosable,
  extent,
  familyOf,
  settled,
  topCandidates,
  type Part,
  type PieceModel,
} from '../piece';
import { sizesOf } from '../stock';
import { BOOKS, bendsBy, decksOf, sagOf, shows, showsAt, type Deck, type Load, type Sag } from '../strength';
import { dim, say } from '../words';
import type { PieceFacts } from './facts';
import { fine, toSixteenth } from './rounded';

/** What the top of a table is checked for, and a seat, lb at the worst point. */
const [TABLE, SEAT] = [200, 250];

/** A top or shelf that bends the most for what would show on it. */
type Worst = Sag & { readonly deck: Deck; readonly load: Load };

/** What stands on decks of a kind: as it is used, and what a person says it must carry for years. */
function loadsOn({ use, carries, size }: Piece, kind: Deck['kind']): readonly Load[] {
  if (kind === 'shelf') return [{ aFoot: carries.shelf ?? BOOKS }];
  const usual: Load = use === 'storage' ? { aFoot: carries.shelf ?? BOOKS } : { point: use === 'bench' ? SEAT : TABLE };
  return carries.top === null
    ? [usual]
    : [usual, { aFoot: Math.ceil((carries.top * 12) / toInches(Math.max(size.length, size.width))) }];
}

function worstOf({ parts, joints }: Pick<PieceModel, 'parts' | 'joints'>, piece: Piece, kind: Deck['kind']) {
  const loads = loadsOn(piece, kind);
  return decksOf(parts, joints)
    .filter((deck) => deck.kind === kind)
    .flatMap((deck) => loads.map((load) => ({ deck, load, sag: sagOf(deck, load) })))
    .reduce<Worst | null>(
      (worst, { deck, load, sag }) => (sag && (!worst || shows(sag) > shows(worst)) ? { ...sag, deck, load } : worst),
      null,
    );
}

/** Counts of a family that may carry what sags: tried one more at a time. */
const COUNTS = ['crossSupports', 'columns'] as const;
const MORE = [1, 2, 3] as const;
/** A size less is looked for in steps so large, down to half. */
const STEP: Length = inches(2);

/** The first change of a kind with which the worst is stiff enough, and how it is called. */
function wayOut({ piece }: PieceFacts, job: Job, kind: Deck['kind']): Finding['remedies'] {
  const isStiff = (change: Change): boolean => {
    const then = first(applyChanges({ ...job, pieces: [piece] }, [change]).pieces);
    const model = buildPiece(then, first(topCandidates(then)), job.shop, job.units, sizesOf(job.measured));
    const worst = model.findings.length === 0 ? worstOf(model, then, kind) : null;
    return worst !== null && shows(worst) <= 1;
  };
  const choices = settled(familyOf(piece).choices, piece.choices);
  const more = COUNTS.flatMap((name) => {
    const now = choices[name];
    const spec = choosable(piece, name);
    if (typeof now !== 'number' || !spec) return [];
    const tries = MORE.map((by) => ({
      label: name === 'columns' ? say`Divide it into ${now + by} columns` : say`Use ${now + by} cross supports`,
      changes: [set(piece.id, ['choices', name], now + by)],
    }));
    return tries.find(({ changes }) => isStiff(first(changes))) ?? [];
  });
  if (more.length > 0) return more;
  for (let length = piece.size.length - STEP; length >= piece.size.length / 2; length -= STEP) {
    const shorter = set(piece.id, ['size', 'length'], length);
    if (isStiff(shorter)) return [{ label: say`Make it ${dim(length)} long`, changes: [shorter] }];
  }
  return [];
}

/** Lower than it is long either way: a batten or a rail, not the side of a case. */
const lies = (part: Part): boolean => {
  const box = boxOf(part);
  return extent(box, 2) < Math.max(extent(box, 0), extent(box, 1));
};
/** What carries a deck hangs on one line itself: a batten on a beam in its middle, held at its ends by a ring. */
const isBalanced = ({ carried }: Deck): boolean =>
  carried.some((way) => way.some(({ part, on }) => on.length === 1 && lies(part)));

/**
 * The worst of a kind of deck. Where what carries it is itself carried in one line, no beam formula says how it bends:
 * the whole piece is asked, which knows of all that holds it.
 */
function settledWorst({ piece, model, parts, fastenings }: PieceFacts, kind: Deck['kind']): Worst | null {
  const worst = worstOf(model, piece, kind);
  if (!worst || shows(worst) <= 1 || !isBalanced(worst.deck)) return worst;
  const bends = bendsBy(parts, fastenings, worst.deck, worst.load);
  return bends !== null && bends < worst.sag ? { ...worst, sag: bends } : worst;
}

function sagNote(facts: PieceFacts, job: Job, kind: Deck['kind']): readonly Finding[] {
  const { piece } = facts;
  const worst = settledWorst(facts, kind);
  if (!worst) return [];
  const { sag, span, load } = worst;
  const stiff = shows(worst) <= 1;
  const what = kind === 'top' ? 'top' : 'shelf';
  const under = 'point' in load ? say`${load.point} lb where it bends most` : say`${load.aFoot} lb a foot, for years`;
  return [
    note(piece.id, kind === 'top' ? 'sag' : 'shelf-sag', stiff ? 'good' : 'care', 'shape', {
      about: stiff ? [] : worst.deck.parts.map(({ id }) => id),
      title: stiff ? (kind === 'top' ? say`Stiff enough` : say`Shelves stiff enough`) : say`The ${what} will sag`,
      because: say`${under}, over ${dim(toSixteenth(span))}, bends it ${fine(sag)}. It would show at ${fine(showsAt(span))}. An estimate for home use, not a rating.`,
      numbers: { sagInches: sag, spanInches: span },
      remedies: stiff ? [] : wayOut(facts, job, kind),
    }),
  ];
}

/** Whether tops and shelves bend so that it shows, and the change that helps, tried on the piece. */
export const sagNotes = (facts: PieceFacts, job: Job): readonly Finding[] => [
  ...sagNote(facts, job, 'top'),
  ...sagNote(facts, job, 'shelf'),
];
