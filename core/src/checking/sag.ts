import { first, nth } from '../lists';
import { inches, toInches, type Length } from '../length';
import { note, set, type Finding, type Job, type Piece, type Remedy } from '../job';
import { boxOf, choosable, extent, familyOf, settled, type Part, type PieceModel } from '../piece';
import {
  BOOKS,
  bendsBy,
  decksOf,
  dipsBy,
  lastingFor,
  sagOf,
  shows,
  showsAt,
  SITS_APART,
  type Deck,
  type Load,
  type Sag,
} from '../strength';
import { dim, say } from '../words';
import type { PieceFacts } from './facts';
import { COARSE, fine, toSixteenth } from './rounded';
import { firmerChoices, triedWith, type Tried } from './tried';
import { isSoldSoLong } from './unplaced';

/** What the top of a table is checked for, and a seat, lb at the worst point. */
const [TABLE, SEAT] = [200, 250];

/** A top or shelf that bends the most for what would show on it. */
type Worst = Sag & { readonly deck: Deck; readonly load: Load };

/** What stands on decks of a kind: as it is used, and what a person says it must carry for years. */
function loadsOn({ use, carries, size }: Piece, kind: Deck['kind']): readonly Load[] {
  if (kind === 'shelf') return [{ aFoot: carries.shelf ?? BOOKS }];
  const usual: readonly Load[] =
    use === 'storage'
      ? [{ aFoot: carries.shelf ?? BOOKS }]
      : use === 'bench'
        ? [{ point: SEAT }, { aFoot: Math.round((12 * SEAT) / SITS_APART), briefly: true }]
        : [{ point: TABLE }];
  if (carries.top === null) return usual;
  return carries.lies === 'middle'
    ? [...usual, { point: carries.top, years: true }]
    : [...usual, { aFoot: Math.ceil((carries.top * 12) / toInches(Math.max(size.length, size.width))) }];
}

/** Decks of a kind under each of their loads, by the beam formula, the one that bends most for what shows first. */
function bentOf({ parts, joints }: Pick<PieceModel, 'parts' | 'joints'>, piece: Piece, kind: Deck['kind']) {
  const loads = loadsOn(piece, kind);
  return decksOf(parts, joints)
    .filter((deck) => deck.kind === kind)
    .flatMap((deck) =>
      loads.flatMap((load): readonly Worst[] => {
        const sag = sagOf(deck, load);
        return sag ? [{ ...sag, deck, load }] : [];
      }),
    )
    .sort((a, b) => shows(b) - shows(a));
}

/** Of the decks that bend most by the beam formula so many are looked at by the whole piece. */
const BY_THE_PIECE = 3;

/** Lower than it is long either way: a batten or a rail, not the side of a case. */
const lies = (part: Part): boolean => {
  const box = boxOf(part);
  return extent(box, 2) < Math.max(extent(box, 0), extent(box, 1));
};
/** What carries a deck hangs on one line itself: a batten on a beam in its middle, held at its ends by a ring. */
const isBalanced = ({ carried }: Deck): boolean =>
  carried.some((way) => way.some(({ part, on }) => on.length === 1 && lies(part)));

/**
 * Narrower than this, in, one of several decks is a slat: it bends by itself, and what stands on it stands on its
 * neighbours too.
 */
const SLAT = 12;

/**
 * The worst of a kind of deck. A top bends with what carries it as the whole piece does, in which aprons and the top
 * itself share a load. So it is told where what carries a deck hangs on one line: there no beam formula says how it
 * bends. Of slats, and of what lies from one side to the other under a load for years, the formula is told: no end of
 * theirs can be counted on to stay clamped so long.
 */
function settledWorst({ piece, model, parts, fastenings }: Tried, kind: Deck['kind']): Worst | null {
  const all = bentOf(model, piece, kind);
  const [worst] = all;
  if (!worst) return null;
  if (isBalanced(worst.deck)) {
    const bends = shows(worst) > 1 ? bendsBy(parts, fastenings, worst.deck, worst.load) : null;
    return bends !== null && bends < worst.sag ? { ...worst, sag: bends } : worst;
  }
  if (kind === 'shelf') return worst;
  const isOne = new Set(all.map(({ deck }) => deck)).size === 1;
  return all
    .slice(0, BY_THE_PIECE)
    .flatMap((one): readonly Worst[] => {
      const { deck, load } = one;
      const isSlat = !isOne && toInches(Math.min(extent(deck.box, 0), extent(deck.box, 1))) < SLAT;
      const isBeam = lastingFor(deck, load) > 1 && deck.carried.some((lines) => lines.length < 2);
      const dips = isSlat || isBeam ? null : dipsBy(parts, fastenings, deck, load);
      return dips ? dips.map((dip) => ({ ...one, ...dip })) : [one];
    })
    .reduce((most, one) => (shows(one) > shows(most) ? one : most));
}

/** Counts of a family that may carry what sags: tried one more at a time. */
const COUNTS = ['crossSupports', 'columns'] as const;
const MORE = [1, 2, 3] as const;
/** A size less is looked for in steps so large, down to half. */
const STEP: Length = inches(2);

/** More supports, then a shorter piece. */
const supports = ({ piece }: PieceFacts): readonly (readonly Remedy[])[] => {
  const choices = settled(familyOf(piece).choices, piece.choices);
  return COUNTS.map((name) => {
    const now = choices[name];
    const spec = choosable(piece, name);
    if (typeof now !== 'number' || !spec) return [];
    return MORE.map((by) => ({
      label: name === 'columns' ? say`Divide it into ${now + by} columns` : say`Use ${now + by} cross supports`,
      changes: [set(piece.id, ['choices', name], now + by)],
    }));
  });
};
const shorter = ({ piece }: PieceFacts): readonly Remedy[] => {
  const { length } = piece.size;
  return Array.from({ length: Math.floor(length / 2 / STEP) }, (_, at) => {
    const less = length - (at + 1) * STEP;
    return { label: say`Make it ${dim(less)} long`, changes: [set(piece.id, ['size', 'length'], less)] };
  });
};

const isStiffBy = (tried: Tried | null, worst: (tried: Tried) => Worst | null): boolean => {
  const then = tried && worst(tried);
  return then !== null && shows(then) <= COARSE;
};

/** The piece as a way out leaves it; null where it can not be built so. */
const triedBy = ({ changes }: Remedy, { piece }: PieceFacts, job: Job): Tried | null =>
  triedWith(first(changes), piece, job);

/** Of each kind of support the fewest more that will do. */
const fewestSupports = (facts: PieceFacts, job: Job, isStiff: (tried: Tried | null) => boolean): readonly Remedy[] =>
  supports(facts).flatMap((tries) => tries.find((one) => isStiff(triedBy(one, facts, job))) ?? []);

/** The first of each kind of change with which the worst is stiff enough: found by formula, then seen on the piece. */
function wayOut(facts: PieceFacts, job: Job, kind: Deck['kind']): Finding['remedies'] {
  const isStiff = (tried: Tried | null): boolean =>
    isStiffBy(tried, ({ model, piece }) => bentOf(model, piece, kind)[0] ?? null) &&
    isStiffBy(tried, (then) => settledWorst(then, kind));
  const more = fewestSupports(facts, job, isStiff);
  return more.length > 0 ? more : longestOf(facts, job, isStiff);
}

/** The first of lengths, each shorter than the one before, that will do and is sold: a shorter one bends less. */
function longestOf(facts: PieceFacts, job: Job, isStiff: (tried: Tried | null) => boolean): readonly Remedy[] {
  const lengths = shorter(facts);
  const willDo = (one: Remedy): boolean => {
    const tried = triedBy(one, facts, job);
    return tried !== null && isSoldSoLong(tried.piece, tried.parts, job) && isStiff(tried);
  };
  let [stiff, bent] = [lengths.length, -1];
  while (stiff - bent > 1) {
    const middle = Math.floor((stiff + bent) / 2);
    if (willDo(nth(lengths, middle))) stiff = middle;
    else bent = middle;
  }
  return lengths.slice(stiff, stiff + 1);
}

/** What makes a top or shelf stiff enough, each tried on the whole piece: supports, thicker rails, a shorter piece. */
export function stiffWays(facts: PieceFacts, job: Job, kind: Deck['kind']): readonly Remedy[] {
  const isStiff = (tried: Tried | null): boolean => isStiffBy(tried, (then) => settledWorst(then, kind));
  const firmer = firmerChoices(facts.piece).filter((one) => isStiff(triedBy(one, facts, job)));
  return [...fewestSupports(facts, job, isStiff), ...firmer, ...longestOf(facts, job, isStiff)];
}

function sagNote(facts: PieceFacts, job: Job, kind: Deck['kind']): readonly Finding[] {
  const { piece } = facts;
  const worst = settledWorst(facts, kind);
  if (!worst) return [];
  const { sag, span, load } = worst;
  const stiff = shows(worst) <= COARSE;
  const what = kind === 'top' ? 'top' : 'shelf';
  const under =
    'point' in load
      ? say`${load.point} lb where it bends most${load.years ? ', for years' : ''}`
      : load.briefly
        ? say`Someone of ${SEAT} lb on every ${dim(inches(SITS_APART))} of it`
        : say`${load.aFoot} lb a foot, for years`;
  return [
    note(piece.id, kind === 'top' ? 'sag' : 'shelf-sag', stiff ? 'good' : 'care', 'shape', {
      about: stiff ? [] : worst.deck.parts.map(({ id }) => id),
      title: stiff
        ? say`${kind === 'top' ? 'Stiff' : 'Shelves stiff'} enough${shows(worst) > 1 ? ', just' : ''}`
        : say`The ${what} will sag`,
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
