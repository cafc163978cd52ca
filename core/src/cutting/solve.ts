import { nth, sure } from '../lists';
import type { Aim } from './aim';
import { combine, optionsFor, type Options } from './aims';
import { groupsOf, liesOn, type Group } from './group';
import type { IntegerSolver } from './integer';
import { layOut, namesOf, type CutLayout } from './layout';
import { EFFORTS, leastCost } from './least-cost';
import { fewestSettings } from './repeats';
import { fromLength, type CutProblem } from './problem';
import type { Cutting } from './search';
import { SOLUTION_FORMAT, type CutSolution } from './solution';

export type SolveOptions = {
  /** Called now and then; true ends the search and keeps the best so far. The core has no clock of its own. */
  readonly stopped?: () => boolean;
  /** How hard to try where the first cutting is not proved: `quick` while a size changes. */
  readonly effort?: keyof typeof EFFORTS;
  /** Solves integer programs; without one less is proved. See `loadIntegerSolver`. */
  readonly integer?: IntegerSolver | null;
};

type Unplaced = { readonly part: string; readonly quantity: number; readonly because: string };

/** A solved problem in exact lengths: every board on its own, cents, and what was proved. */
export type Solved = {
  readonly status: CutSolution['status'];
  readonly cost: number;
  readonly lowerBound: number;
  readonly layouts: readonly CutLayout[];
  readonly unplaced: readonly Unplaced[];
};

/** Seconds that a list is searched for unless a person says otherwise: one of home size, and a longer one. */
export const usualSeconds = ({ parts }: Pick<CutProblem, 'parts'>): number =>
  parts.reduce((sum, { quantity }) => sum + quantity, 0) <= 120 ? 9.5 : 30;

/** Which items no stock can hold, with the reason, and the group without them. */
function sortOut(group: Group): { group: Group; unplaced: Unplaced[] } {
  const unplaced: Unplaced[] = [];
  const items = group.items.filter((item) => {
    const usable = group.bins.filter((bin) => bin.available !== 0);
    if (usable.some((bin) => liesOn(item, bin).length > 0)) return true;
    const because =
      group.bins.length === 0
        ? 'no stock of its material and thickness'
        : usable.length === 0
          ? 'all stock of its material and thickness is used up'
          : usable.every(
                (bin) => bin.usableWidth < Math.min(item.width, bin.kind === 'sheet' ? item.length : item.width),
              )
            ? 'wider than any stock of its material and thickness'
            : 'longer than any stock of its material and thickness, after trim and defects';
    unplaced.push(...item.parts.map(({ id, quantity }) => ({ part: id, quantity, because })));
    return false;
  });
  return { group: { ...group, items, bins: group.bins.filter((bin) => bin.available !== 0) }, unplaced };
}

/** One of the cuttings that a problem can be answered with: cheaper ones measure more. */
type Cuttable = { readonly cost: number; readonly measure: number; readonly layouts: readonly CutLayout[] };

/** The cheapest cutting of a problem, and the choices beside it for another aim. */
export type Chosen = Solved & {
  readonly choices: readonly Cuttable[];
  /** What no cutting measures less than. */
  readonly atLeast: number;
};

/** What a problem's groups are answered with: each the cheapest, and for another aim the options beside it. */
function answersTo(
  problem: CutProblem,
  aim: Aim,
  { stopped = () => false, effort = 'full', integer = null }: SolveOptions,
) {
  const means = { effort: EFFORTS[effort], integer, stopped };
  const unplaced: Unplaced[] = [];
  const answers = groupsOf(problem).flatMap((whole) => {
    const sorted = sortOut(whole);
    unplaced.push(...sorted.unplaced);
    const { group } = sorted;
    if (group.items.length === 0) return [];
    const { cutting: cheapest, bound } = leastCost(group, means);
    const cutting = effort === 'full' ? fewestSettings(group, cheapest, stopped) : cheapest;
    if (cutting.missing > 0) unplaced.push(...missingFrom(group, cutting));
    const options = aim === 'cost' ? null : optionsFor(group, cutting, aim, means);
    return [{ group, cutting, bound: cutting.missing > 0 ? 0 : bound, options }];
  });
  return { answers, unplaced };
}

const drawnUp = (group: Group, { patterns }: Cutting): readonly CutLayout[] => {
  const nameOf = namesOf(group);
  return patterns.map((pattern) => layOut(group, pattern, nameOf));
};

type Answered = ReturnType<typeof answersTo>;

function cheapestOf({ answers, unplaced }: Answered): Solved {
  const cost = answers.reduce((sum, { cutting }) => sum + cutting.cost, 0);
  const lowerBound = answers.reduce((sum, { bound }) => sum + bound, 0);
  const status = unplaced.length > 0 ? 'infeasible' : lowerBound >= cost ? 'optimal' : 'feasible';
  const layouts = answers.flatMap(({ group, cutting }) => drawnUp(group, cutting));
  return { status, cost, lowerBound: Math.min(lowerBound, cost), layouts, unplaced };
}

/**
 * Least total price of stock for all parts. Materials and thicknesses are independent and solved apart; each gets a
 * lower bound from column generation, a cutting from a seeded search and, where it is small, a complete search.
 * `optimal` is said only when the bound equals the cost. Deterministic unless `stopped` says stop.
 */
export const solveExactly = (problem: CutProblem, options: SolveOptions = {}): Solved =>
  cheapestOf(answersTo(problem, 'cost', options));

/**
 * The cheapest cutting of a problem and, for another aim, the choices beside it from the cheapest to the one that
 * measures least: stock area that is left over, boards bought, or settings of the saw. None is both dearer and no
 * better than another.
 */
export function choicesFor(problem: CutProblem, aim: Exclude<Aim, 'cost'>, options: SolveOptions = {}): Chosen {
  const answered = answersTo(problem, aim, options);
  const lists = answered.answers.map((answer) => sure(answer.options, 'list of choices'));
  const choices = combine(lists).map(({ cost, measure, picked }): Cuttable => ({
    cost,
    measure,
    layouts: picked.flatMap((option, at) => drawnUp(nth(answered.answers, at).group, option.cutting)),
  }));
  return {
    ...cheapestOf(answered),
    choices,
    atLeast: lists.reduce((sum: number, one: Options) => sum + one.atLeast, 0),
  };
}

/** Parts that found no place: the last of each item, as `namesOf` hands out the first ones first. */
const missingFrom = (group: Group, cutting: Cutting): Unplaced[] =>
  group.items.flatMap((item, at) => {
    let placed = cutting.patterns.reduce((sum, pattern) => sum + nth(pattern.counts, at), 0);
    return item.parts.flatMap(({ id, quantity }) => {
      const made = Math.min(placed, quantity);
      placed -= made;
      return made < quantity ? [{ part: id, quantity: quantity - made, because: 'not enough stock is available' }] : [];
    });
  });

/** For another aim a choice is optimal where nothing can measure less. */
const proofOf = ({ status }: Solved, { measure }: Cuttable, atLeast: number): Solved['status'] =>
  status === 'infeasible' ? status : measure <= atLeast ? 'optimal' : 'feasible';

/**
 * Solves a problem and writes the solution in its unit, equal boards counted together. `seconds` is left to the
 * caller's clock.
 */
export function solve(problem: CutProblem, options: SolveOptions = {}): Omit<CutSolution, 'seconds'> {
  const { objective } = problem;
  const found = objective === 'cost' ? null : choicesFor(problem, objective, options);
  const cheapest = found ?? solveExactly(problem, options);
  // Of the choices that cost no more than may be spent besides, the last measures least.
  const most = cheapest.cost + Math.round((problem.extraCost ?? Infinity) * 100);
  const choice = found?.status === 'infeasible' ? undefined : found?.choices.findLast(({ cost }) => cost <= most);
  const solved = choice
    ? { ...cheapest, ...choice, status: proofOf(cheapest, choice, sure(found, 'choice').atLeast) }
    : cheapest;
  const out = (length: number) => fromLength(length, problem.unit);
  const boards = new Map<string, { layout: CutLayout; count: number }>();
  for (const layout of solved.layouts) {
    const key = JSON.stringify(layout);
    boards.set(key, { layout, count: (boards.get(key)?.count ?? 0) + 1 });
  }
  return {
    format: SOLUTION_FORMAT,
    status: solved.status,
    cost: solved.cost / 100,
    lowerBound: solved.lowerBound / 100,
    ...(choice ? { objective: { for: objective, value: choice.measure, atLeast: sure(found, 'choice').atLeast } } : {}),
    boards: [...boards.values()].map(({ layout, count }) => ({
      stock: layout.stock,
      count,
      pieces: layout.pieces.map(({ part, x, y, length, width, turned, flip }) => ({
        part,
        x: out(x),
        y: out(y),
        length: out(length),
        width: out(width),
        turned,
        flip,
      })),
      cuts: layout.cuts.map(({ kind, at, from, to, angle }) => ({
        kind,
        at: out(at),
        from: out(from),
        to: out(to),
        ...(angle === 0 ? {} : { angle }),
      })),
      offcuts: layout.offcuts.map(({ x, y, length, width }) => ({
        x: out(x),
        y: out(y),
        length: out(length),
        width: out(width),
      })),
    })),
    unplaced: solved.unplaced,
  };
}
