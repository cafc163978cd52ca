import { first } from '../lists';
import { inches } from '../length';
import { able, note, set, type Finding, type Job, type Piece, type Remedy } from '../job';
import { WAYS_FOR, WAYS_TO_JOIN, type Fastening } from '../joinery';
import { JOINT_KINDS, ON_EDGE } from '../piece';
import {
  BOOKS,
  hungOf,
  IN_DRAWER,
  judgedFor,
  LOOSE,
  OVERASKED,
  type CaseKind,
  type Hung,
  type Judged,
  type Sag,
  shows,
  showsAt,
  SITS_APART,
} from '../strength';
import { dim, say, strong, tag, type Phrase } from '../words';
import type { PieceFacts } from './facts';
import { COARSE, fine, toSixteenth } from './rounded';
import { firmerChoices, OF_ONE, triedWith } from './tried';

/** So many choices are tried at most: each builds the whole piece. */
const TRIES = 6;

const isFirm = ({ sway }: Judged): boolean => sway === null || Math.max(...sway) <= LOOSE;
const isSagging = (sag: Sag): boolean => shows(sag) > COARSE;
const isLevel = ({ droops }: Judged): boolean => droops === null || !isSagging(droops);
const holds = ({ weakest, falls }: Judged): boolean => !falls && (weakest === null || weakest.share <= OVERASKED);

/** What may stiffen a piece or strengthen a joint of it: choices that are made for that, then other ways to join. */
function candidates({ piece }: PieceFacts, job: Job, weak: Fastening | null): readonly Remedy[] {
  const choices = firmerChoices(piece);
  if (!weak) return choices;
  const { kind } = weak.joint;
  const joins = WAYS_FOR[kind]
    .filter((by) => by !== weak.by && able(job.shop.tools, WAYS_TO_JOIN[by].tools))
    .map((by) => ({
      label: say`${WAYS_TO_JOIN[by].name} for all such joints`,
      changes: [set(piece.id, ['joins', kind], { by })],
    }));
  return [...choices.slice(0, TRIES), ...joins.slice(0, OF_ONE)];
}

/** Ways out of a note that a piece is loose or a joint gives: those that mend it when tried on the whole piece. */
export function firmWays(facts: PieceFacts, job: Job, { kind }: Pick<Finding, 'kind'>): readonly Remedy[] {
  const now = judgedFor(facts.parts, facts.fastenings, facts.piece);
  const mends = kind === 'sway' ? isFirm : kind === 'rail-sag' ? isLevel : holds;
  const weak = now.weakest && now.weakest.share > OVERASKED ? now.weakest.hold.item : null;
  return candidates(facts, job, weak).filter(({ changes }) => {
    const tried = triedWith(first(changes), facts.piece, job);
    const then = tried && judgedFor(tried.parts, tried.fastenings, tried.piece);
    return then && mends(then) && (!isFirm(now) || isFirm(then)) && (!holds(now) || holds(then));
  });
}

const underOf = ({ carries }: Piece): Readonly<Record<CaseKind, Phrase>> => ({
  'push along': say`a push of 40 lb along it at the top`,
  'push across': say`a push of 40 lb across it at the top`,
  someone: say`someone of 250 lb who leans or sits on an edge`,
  seated: say`someone of 250 lb on every ${dim(inches(SITS_APART))} of it`,
  standing: say`someone of 300 lb who stands on its middle`,
  drag: say`a foot that catches as it is dragged`,
  books: say`${carries.shelf ?? BOOKS} lb a foot of shelf, for years`,
  load: say`${carries.top ?? 0} lb ${carries.lies === 'middle' ? 'in the middle of' : 'on'} its top, for years`,
  weight: say`its own weight, for years`,
  drawers: say`${carries.drawer ?? IN_DRAWER} lb in each drawer, for years`,
  'drawn out': say`${carries.drawer ?? IN_DRAWER} lb in a drawer that is drawn out`,
});
const ESTIMATE = say`An estimate for home use, not a rating.`;

function swayNote({ piece }: PieceFacts, now: Judged): readonly Finding[] {
  if (!now.sway) return [];
  const [along, across] = now.sway;
  const firm = isFirm(now);
  return [
    note(piece.id, 'sway', firm ? 'good' : 'care', 'shape', {
      title: firm ? say`It stands firm` : say`It will feel loose`,
      because: say`With its feet held, a push of 20 lb at the top moves it ${fine(along)} along and ${fine(across)} across. Over ${dim(inches(LOOSE))} feels loose. ${ESTIMATE}`,
      numbers: { alongInches: along, acrossInches: across },
    }),
  ];
}

const percent = (share: number): Phrase => say`${Math.round(share * 100)} %`;
const times = (share: number): Phrase => say`${Math.round(share * 10) / 10} times`;

function jointNote({ piece }: PieceFacts, { weakest, falls }: Judged): readonly Finding[] {
  if (falls)
    return [
      note(piece.id, 'joint-gives', 'care', 'shape', {
        about: falls.on ? [falls.on.id] : [],
        title: falls.on ? say`${tag(falls.on.tag)} tilts off` : say`Nothing holds it together`,
        because: say`What holds it does so in one line: under ${underOf(piece)[falls.kind]} it turns about that. ${ESTIMATE}`,
      }),
    ];
  if (!weakest) return [];
  const { drilled, into } = weakest.hold.item;
  const pair = say`${tag(drilled.tag)} on ${tag(into.tag)}`;
  if (weakest.share <= OVERASKED)
    return [
      note(piece.id, 'joint-gives', 'good', 'shape', {
        title: say`The joints hold`,
        because: say`Nearest to what it may bear is ${pair}: ${percent(weakest.share)} of that, under ${underOf(piece)[weakest.kind]}. ${ESTIMATE}`,
        numbers: { share: weakest.share },
      }),
    ];
  const much = Number.isFinite(weakest.share)
    ? say`asks ${times(weakest.share)} what it may bear, when all has given that can`
    : say`levers it off, and nothing else holds there`;
  return [
    note(piece.id, 'joint-gives', 'care', 'shape', {
      about: [drilled.id, into.id],
      title: say`The joint of ${pair} gives`,
      because: say`${strong(JOINT_KINDS[weakest.hold.item.joint.kind])}: ${underOf(piece)[weakest.kind]} ${much}. Joints differ by half from one to the next. ${ESTIMATE}`,
      numbers: { share: Math.min(99, weakest.share) },
    }),
  ];
}

/** A rail or stretcher that dips so that it shows. */
function droopNote({ piece }: PieceFacts, { droops }: Judged): readonly Finding[] {
  if (!droops || !isSagging(droops)) return [];
  const { part, sag, span, kind } = droops;
  return [
    note(piece.id, 'rail-sag', 'care', 'shape', {
      about: [part.id],
      title: say`${tag(part.tag)} will sag`,
      because: say`Under ${underOf(piece)[kind]}, it dips ${fine(sag)} over ${dim(toSixteenth(span))}. It would show at ${fine(showsAt(span))}. ${ESTIMATE}`,
      numbers: { sagInches: sag, spanInches: span },
    }),
  ];
}

/** What is said of things that hang by too little, by what they hang by. */
const HUNG_TITLES: Readonly<Record<Hung['by'], Phrase>> = {
  slides: say`Too much for these slides`,
  hinges: say`Too heavy for its hinges`,
  runners: say`Drawn out too far for its runners`,
  stays: say`Too much for its stays`,
};

function hungBecause({ part, by, asks, bears }: Hung, inside: number): Phrase {
  const [asked, borne] = [Math.round(asks), Math.round(bears)];
  switch (by) {
    case 'slides':
      return say`The heaviest drawer and the ${inside} lb in it weigh ${asked} lb. A pair of side slides bears about ${borne} lb drawn out; what its own sheet says comes first. Take slides that are rated for it, or put less in it.`;
    case 'hinges':
      return say`${tag(part.tag)} and an arm on its handle pull its upper hinge off with ${asked} lb; three screws bear about ${borne} lb. ${ESTIMATE}`;
    case 'runners':
      return say`${tag(part.tag)} drawn out, with ${ON_EDGE} lb of arms and dishes at its edge, is bent over the apron by ${asked} lb there; its runners bear about ${borne} lb. ${ESTIMATE}`;
    case 'stays':
      return say`${tag(part.tag)} down, with ${ON_EDGE} lb leaning on its edge, asks ${asked} lb there of two stays; their screws bear about ${borne} lb. What their own sheet says comes first. ${ESTIMATE}`;
  }
}

/** What makes it hang well: less in a drawer, a leaf that comes out less, doors instead of a high drop front. */
function hungWays({ by, asks, bears, arm }: Hung, inside: number, { id, choices }: Piece): readonly Remedy[] {
  const less = Math.floor(bears - asks + inside);
  const { travel } = choices;
  const out = typeof travel === 'number' ? Math.floor((travel - inches(arm * (1 - bears / asks))) / STEP) * STEP : 0;
  if (by === 'slides' && less >= 1)
    return [{ label: say`${less} lb in each drawer`, changes: [set(id, ['carries', 'drawer'], less)] }];
  if (by === 'runners' && out >= LEAST_OUT)
    return [{ label: say`Let it come out ${dim(out)}`, changes: [set(id, ['choices', 'travel'], out)] }];
  return by === 'stays' ? [{ label: say`Take doors`, changes: [set(id, ['choices', 'front'], 'doors')] }] : [];
}
/** A leaf comes out by whole quarters of an inch, and at least by so much. */
const [STEP, LEAST_OUT] = [inches(1 / 4), inches(4)] as const;

/** What hangs by less than is asked of it. */
function hungNotes({ piece, parts, model }: PieceFacts): readonly Finding[] {
  const inside = piece.carries.drawer ?? IN_DRAWER;
  const over = hungOf(parts, model, inside).filter(({ asks, bears }) => asks > bears);
  return (['slides', 'hinges', 'runners', 'stays'] as const).flatMap((way): readonly Finding[] => {
    const own = over.filter(({ by }) => by === way);
    const [worst] = [...own].sort((a, b) => b.asks / b.bears - a.asks / a.bears);
    if (!worst) return [];
    return [
      note(piece.id, 'hung', 'care', 'shape', {
        which: way,
        about: own.map(({ part: { id } }) => id),
        title: HUNG_TITLES[way],
        because: hungBecause(worst, inside),
        numbers: { asksPounds: worst.asks, bearsPounds: worst.bears },
        remedies: hungWays(worst, inside, piece),
      }),
    ];
  });
}

/** Whether it stands firm, its joints and rails hold, and what hangs on it hangs well. */
export function firmNotes(facts: PieceFacts): readonly Finding[] {
  const now = judgedFor(facts.parts, facts.fastenings, facts.piece);
  return [...swayNote(facts, now), ...jointNote(facts, now), ...droopNote(facts, now), ...hungNotes(facts)];
}
