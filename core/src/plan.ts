import { first, nth } from './lists';
import { finishingNeeds, finishingTold, finishingWork, finishPlan, UNPLANNED, type FinishPlan } from './finishing';
import { blanksOf } from './milling';
import { buildPiece, knownOf, partNumber, topCandidates, weightOf, type Joint, type Part } from './piece';
import {
  buyingList,
  chooseBoards,
  withOffcutsLeft,
  type Boards,
  type BuyingList,
  type ChooseOptions,
  type SolveCache,
} from './buying';
import { fastenings, hardwareNeeds, weathered, type Fastening } from './joinery';
import type { NumberedCut, Setup } from './sawing';
import { daysOf, hoursOf, type BenchCalendar } from './calendar';
import { paceFor, type JobRecord, type Pace, type Range } from './record';
import { dayNotes, findingsOf, sortedFindings, type PieceFacts } from './checking';
import { holdingsOf } from './ledger';
import { kerfFor, longestDay, type Finding, type Job, type Piece } from './job';
import { boardKey, sizesOf, type HardwareNeed, type Nominal } from './stock';
import { sawable, unbuilt, unordered } from './unworked';
import { offcutUses, stepsOf, stuckByPegs, type OffcutUse, type Step } from './building';

/** Everything that follows from a job. Always computed, never saved. */
export type Plan = {
  readonly pieces: readonly (PieceFacts & { readonly topNominal: Nominal; readonly weight: number })[];
  readonly parts: readonly Part[];
  readonly joints: readonly Joint[];
  readonly needs: readonly HardwareNeed[];
  readonly buying: Boards;
  readonly list: BuyingList;
  readonly cuts: readonly NumberedCut[];
  readonly setups: readonly Setup[];
  /** Jobs for what is left of the boards. */
  readonly offcuts: readonly OffcutUse[];
  readonly calendar: BenchCalendar;
  /** How fast this builder is, and the minutes that are left, with the range they lie in. */
  readonly pace: Pace;
  readonly hours: Range;
  readonly findings: readonly Finding[];
  /** Pounds of the heaviest piece, and how many people carry it. */
  readonly carry: { readonly pounds: number; readonly people: number };
};

export type PlanOptions = ChooseOptions & {
  /** Date or local time, like `2026-11-28T14:05`; the core has no clock. */
  readonly today: string;
  /** What other jobs of this builder say. */
  readonly records?: readonly JobRecord[];
  /** Kept by the caller between plans, so that what did not change is not worked out again. */
  readonly cache?: PlanCache;
};

/** What is remembered between plans: pools of boards solved, pieces built, and the steps of each way to build one. */
export type PlanCache = {
  readonly solved: SolveCache;
  readonly models: Map<string, Modelled>;
  /** Parts by all that they are: what is worked out of a part is kept with it, so alike ones are the same one. */
  readonly parts: Map<number, Part>;
  readonly steps: WeakMap<readonly Fastening[], { readonly shop: string; readonly steps: readonly Step[] }>;
};
export const newPlanCache = (): PlanCache => ({
  solved: new Map(),
  models: new Map(),
  parts: new Map(),
  steps: new WeakMap(),
});

/** A piece as built: all but its steps. */
type Modelled = Omit<PieceFacts, 'steps' | 'finishing'> & { readonly finishing: FinishPlan };

/** The steps of a piece as built: worked out once for its joints and the shop. */
function stepsFor(
  piece: Piece,
  { model, fastenings: made, finishing }: Modelled,
  job: Job,
  { steps: known }: PlanCache,
) {
  const key = JSON.stringify([
    job.shop,
    job.units,
    job.measured,
    job.recipes,
    piece.first,
    piece.size,
    piece.finish,
    piece.planed,
  ]);
  const before = known.get(made);
  if (before?.shop === key) return before.steps;
  const steps = stepsOf(piece, model, made, job, finishingWork(piece, model, finishing, job));
  known.set(made, { shop: key, steps });
  return steps;
}

type PlanBegun = Pick<Plan, 'parts' | 'joints' | 'needs' | 'buying' | 'list'> & {
  readonly models: readonly {
    readonly piece: Piece;
    readonly topNominal: Nominal;
    readonly facts: Modelled;
  }[];
};

/** A piece as built for one top width, kept so that what did not change is not built again. */
function modelOf(piece: Piece, topNominal: Nominal, job: Job, { models: known, parts: alike }: PlanCache): Modelled {
  const about = knownOf(piece, job);
  const key = JSON.stringify([
    piece,
    topNominal,
    job.units,
    job.recipes,
    job.shop.edgeRip,
    longestDay(job.calendar),
    job.measured,
    about,
    kerfFor(job.shop, 'board'),
    job.shop.drivers,
    job.shop.spacing,
    job.shop.tools,
  ]);
  const before = known.get(key);
  if (before) return { ...before, piece };
  const built = buildPiece(piece, topNominal, job.shop, job.units, sizesOf(job.measured), about);
  const same = (part: Part): Part => {
    const number = partNumber(part);
    return alike.get(number) ?? (alike.set(number, part), part);
  };
  const model = { ...built, parts: built.parts.map(same) };
  const pegged = fastenings(model.joints, model.parts, job.units, piece, job.shop);
  const stuck = stuckByPegs(model, pegged, job.shop);
  const made = stuck.size === 0 ? pegged : fastenings(model.joints, model.parts, job.units, piece, job.shop, stuck);
  const fast = weathered(made, piece);
  const finishing = finishPlan(piece, model, fast, job);
  const facts = { piece, model, parts: model.parts, fastenings: fast, finishing };
  known.set(key, facts);
  return facts;
}

/** The way from brief to list, for settled top widths. */
function draft(job: Job, tops: readonly Nominal[], options: PlanOptions, cache: PlanCache): PlanBegun {
  const models = job.pieces.map((piece, at) => {
    const topNominal = nth(tops, at);
    try {
      return { piece, topNominal, facts: modelOf(piece, topNominal, job, cache) };
    } catch (error) {
      return {
        piece,
        topNominal,
        facts: { piece, model: unbuilt(piece, error), parts: [], fastenings: [], finishing: UNPLANNED },
      };
    }
  });
  const parts = models.flatMap(({ facts }) => facts.parts);
  const made = models.flatMap(({ facts }) => facts.fastenings);
  const asked = new Map(models.map(({ piece, facts }) => [piece.id, facts.model.needs]));
  const needs = [
    ...hardwareNeeds(job, parts, made, asked),
    ...finishingNeeds(
      models.map(({ piece, facts }) => ({ piece, plan: facts.finishing })),
      job.shop,
    ),
  ];
  const buying = chooseBoards(blanksOf(job, parts), job, options, cache.solved);
  const joints = models.flatMap(({ facts }) => facts.model.joints);
  return { models, parts, joints, needs, buying, list: buyingList(job, buying, needs) };
}

const NO_RECORDS: readonly JobRecord[] = [];

/** All combinations of "cheapest" tops are tried up to this many; beyond, pieces are settled one by one. */
const MOST_COMBINATIONS = 30;
/** In jobs of more pieces than this, a top is not tried again with all the others beside it. */
const MOST_TOGETHER = 4;

const combinations = <T>(options: readonly (readonly T[])[]): readonly (readonly T[])[] =>
  options.reduce<readonly (readonly T[])[]>(
    (rows, choices) => rows.flatMap((row) => choices.map((choice) => [...row, choice])),
    [[]],
  );

/** Whether one draft is to be preferred: it finds boards for more, it uses more of what is cut, it costs less. */
const cheaper = (a: PlanBegun, b: PlanBegun): boolean =>
  a.buying.unplaced.length !== b.buying.unplaced.length
    ? a.buying.unplaced.length < b.buying.unplaced.length
    : a.buying.unfit.length !== b.buying.unfit.length
      ? a.buying.unfit.length < b.buying.unfit.length
      : a.list.total < b.list.total;

/** A board of a top, by its tag. */
const TOP_BOARD = /^T\d/;

/** Widths that a top may be joined from. Left to the cheapest it is settled once the first of its boards is cut. */
function widthsOpen(piece: Piece, job: Job): readonly Nominal[] {
  const open = topCandidates(piece);
  if (open.length === 1) return open;
  const isOwn = (part: string) => part.startsWith(`${piece.id}.`) && TOP_BOARD.test(part.slice(piece.id.length + 1));
  const cut = new Set<string>();
  for (const { state, cut: laid, piece: own, material } of holdingsOf(job).bodies.values())
    if (state === 'begun' ? laid?.pieces.some(({ part }) => isOwn(part)) : state === 'whole' && own && isOwn(own.part))
      cut.add(material);
  const settled = open.filter((nominal) => cut.has(boardKey(piece.wood, nominal)));
  return settled.length === 1 ? settled : open;
}

/**
 * Settles "cheapest" tops: the widths that make the whole job cost least, boards and screws together. All
 * combinations are tried where they are few. Else the pieces settled each on its own are set against all of one width,
 * and in a job of few pieces each is tried once more among the others; that can miss the least by a little.
 */
function settleTops(job: Job, options: PlanOptions, cache: PlanCache): PlanBegun {
  if (options.effort !== 'quick' && job.pieces.some((piece) => widthsOpen(piece, job).length > 1)) {
    // Which widths are cheapest shows without a long search; only the boards of those are searched for long.
    const quick = settleTops(job, { ...options, effort: 'quick' }, cache);
    return draft(
      job,
      quick.models.map((model) => model.topNominal),
      options,
      cache,
    );
  }
  const best = (of: Job, rows: readonly (readonly Nominal[])[]): { tops: readonly Nominal[]; found: PlanBegun } =>
    rows
      .map((tops) => ({ tops, found: draft(of, tops, options, cache) }))
      .reduce((least, next) => (cheaper(next.found, least.found) ? next : least));
  const candidates = job.pieces.map((piece) => widthsOpen(piece, job));
  const count = candidates.reduce((product, row) => product * row.length, 1);
  if (count <= MOST_COMBINATIONS) return best(job, combinations(candidates)).found;
  const alone = job.pieces.map((piece, at) => {
    const rows = nth(candidates, at).map((nominal) => [nominal]);
    return rows.length === 1 ? first(first(rows)) : first(best({ ...job, pieces: [piece] }, rows).tops);
  });
  const widest = Math.max(...candidates.map((row) => row.length));
  const alike = Array.from({ length: widest }, (_, width) =>
    candidates.map((row) => nth(row, Math.min(width, row.length - 1))),
  );
  let settled = best(job, [alone, ...alike]);
  if (job.pieces.length <= MOST_TOGETHER)
    candidates.forEach((row, at) => {
      if (row.length > 1)
        settled = best(
          job,
          row.map((nominal) => settled.tops.with(at, nominal)),
        );
    });
  return settled.found;
}

/** What a job's list would come to, without steps, cuts and findings but those of the pieces themselves. */
export type PricedJob = Pick<PlanBegun, 'list' | 'buying' | 'parts'> & {
  readonly findings: readonly Finding[];
  readonly topNominals: readonly Nominal[];
};

/** The price of a job: the same list as in its plan, worked out without the rest. */
export function priceJob(job: Job, options: PlanOptions): PricedJob {
  const { models, list, buying, parts } = settleTops(job, options, options.cache ?? newPlanCache());
  return {
    list,
    buying,
    parts,
    findings: models.flatMap(({ facts }) => facts.model.findings),
    topNominals: models.map(({ topNominal }) => topNominal),
  };
}

/** What is bought, cut and done: a plan without its days and without what is said of it. */
export type WorkPlan = Omit<Plan, 'calendar' | 'pace' | 'hours' | 'findings' | 'carry'> & {
  /** Of boards whose cuts could not be worked out. */
  readonly notes: readonly Finding[];
};

/** The work of a job, from its brief to its steps: the same as in its plan, worked out without the rest. */
export function planWork(job: Job, options: PlanOptions): WorkPlan {
  const cache = options.cache ?? newPlanCache();
  const { models, parts, joints, needs, buying: chosen, list } = settleTops(job, options, cache);
  const { boards, cuts, setups, unsawn, notes } = sawable(chosen.boards, job.shop);
  const buying = {
    ...chosen,
    boards,
    unplaced: [
      ...chosen.unplaced,
      ...unsawn.flatMap(({ pieces: own }) =>
        own.map(({ blank }) => ({ blank, quantity: 1, because: 'one whose cuts could not be worked out' })),
      ),
    ],
  };
  const pieces = models.map(({ piece, topNominal, facts }) => {
    const finishing = finishingTold(facts.finishing);
    const weight = facts.parts.reduce((sum, part) => sum + weightOf(part), 0);
    try {
      return { ...facts, finishing, topNominal, weight, steps: stepsFor(piece, facts, job, cache) };
    } catch (error) {
      const model = { ...facts.model, findings: [...facts.model.findings, unordered(piece, error)] };
      return { ...facts, finishing, model, topNominal, weight, steps: [] };
    }
  });
  const offcuts = offcutUses(withOffcutsLeft(boards, holdingsOf(job)), pieces, kerfFor(job.shop, 'board'));
  return { pieces, parts, joints, needs, buying, list, cuts, setups, offcuts, notes };
}

/** The whole plan of a job: brief, piece, parts, blanks, boards, cuts, joints, steps, calendar, findings. */
export function planJob(job: Job, options: PlanOptions): Plan {
  const { notes, ...work } = planWork(job, options);
  const { pieces, buying, list, setups, offcuts } = work;
  const records = options.records ?? NO_RECORDS;
  const pace = paceFor(job, records);
  const calendar = daysOf({ setups, buying, list, pieces }, job, options.today, 'quick', pace);
  const hours = hoursOf(
    calendar.sessions.flatMap(({ placed }) => placed.map(({ task }) => task)),
    pace,
  );
  const pounds = Math.max(0, ...pieces.map((item) => item.weight));
  return {
    ...work,
    calendar,
    pace,
    hours,
    findings: [...notes, ...findingsOf({ job, pieces, buying, list, offcuts, calendar, pace, hours, records })],
    carry: { pounds, people: Math.max(1, Math.ceil(pounds / job.shop.lift)) },
  };
}

/** A plan with its days laid out anew: as they are, and what is said of them. */
export const withDays = (plan: Plan, job: Job, calendar: BenchCalendar): Plan => ({
  ...plan,
  calendar,
  findings: sortedFindings([
    ...plan.findings.filter(({ stage }) => stage !== 'days'),
    ...dayNotes({ calendar, job, pace: plan.pace }),
  ]),
});

/** True where no mix of boards is better: cheaper, or better by what boards are chosen for. */
export const isProved = ({ buying }: Plan): boolean =>
  buying.boards.length === 0 ||
  (buying.aim ? buying.aim.value <= buying.aim.atLeast + 1e-9 : buying.status === 'optimal');

/**
 * The plan searched for long, one material after the other: told after each, so that what is better is seen at once.
 *
 * @param heard told the share of the materials that were searched, and the plan so far where its list came to less than
 * all told before it, the quick one first of all; null where it did not. What is returned has all of them.
 */
export function planByMaterials(
  job: Job,
  options: PlanOptions,
  heard: (plan: Plan | null, share: number) => void,
): Plan {
  const cache = options.cache ?? newPlanCache();
  const quick = priceJob(job, { ...options, effort: 'quick', cache });
  const count = new Set(blanksOf(job, quick.parts).map(({ material }) => material)).size;
  let least = quick.list.total;
  for (let searched = 1; searched < count; searched++) {
    const so: PlanOptions = { ...options, effort: 'full', cache, searched };
    const { total } = priceJob(job, so).list;
    heard(total < least ? planJob(job, so) : null, searched / count);
    least = Math.min(least, total);
  }
  return planJob(job, { ...options, effort: 'full', cache });
}
