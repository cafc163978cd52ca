import { first, sure } from '../lists';
import type { Job, Lock } from '../job';
import { holdingsOf, isThere, rootOf, type Body, type Holdings } from '../ledger';
import { combine, type SolveOptions, type Solved } from '../cutting';
import type { Blank } from '../milling';
import { boardKey, LUMBER_NAMES, NOMINALS, SHEET_NAMES, type Stocked } from '../stock';
import { settleAround, type Around, type Surroundings, type Unfit } from './around';
import type { Board } from './board';
import { marketOf, worthOf } from './market';
import { offerMaterial } from './offers';
import { solvePool, type BoardLaid, type SolveCache, type Solving, type Unplaced } from './pool';

export type Boards = {
  readonly boards: readonly Board[];
  readonly status: Solved['status'];
  /** Cents before tax, spares not counted: what was paid and what is still to be bought. */
  readonly cost: number;
  readonly lowerBound: number;
  readonly unplaced: readonly Unplaced[];
  /** Bought, there still, and no piece of the plan comes from them now: to be taken back or kept where whole. */
  readonly idle: readonly Body[];
  /** Offcuts and cut pieces that are there and come to nothing in the plan. */
  readonly left: readonly Body[];
  /** Pieces that are cut and are no part of the plan. */
  readonly unfit: readonly Unfit[];
  /** Wishes that can not stand any more, and were left out. */
  readonly lostLocks: readonly Lock[];
  /** Cents more than without the boards that are kept by wish; 0 where there are none. */
  readonly wish: number;
  /** Where boards are chosen for something else than their price: what that comes to, settled boards left out. */
  readonly aim: {
    readonly for: Exclude<Job['aim']['for'], 'cost'>;
    readonly value: number;
    /** Nothing measures less. */
    readonly atLeast: number;
    readonly cheapest: { readonly cost: number; readonly value: number };
  } | null;
};

/** What was cut off and is there still, but for the pieces that are parts where they were cut. */
function leftOf(bodies: readonly Body[], boards: readonly BoardLaid[]): readonly Body[] {
  const at = new Map(boards.flatMap((board) => (board.body === null ? [] : [[board.body, board] as const])));
  return bodies.filter(({ id, from, piece, state }) => {
    if (from === null || state !== 'whole' || at.has(id)) return false;
    return !piece || !(at.get(from)?.pieces.some(({ x, y }) => x === piece.x && y === piece.y) ?? false);
  });
}

/** How pools of boards are searched: all alike, or only so many of them for long, the others quickly. */
export type ChooseOptions = SolveOptions & { readonly searched?: number };

/** Materials in the order they are cut: boards thick and wide first, then sheets. */
const ORDER: readonly Stocked[] = [
  ...[...NOMINALS].reverse().flatMap((nominal) => LUMBER_NAMES.map((line) => boardKey(line, nominal))),
  ...SHEET_NAMES,
];

const longest = (board: BoardLaid) => Math.max(...board.pieces.map((piece) => piece.length));

/** What the board of each wish is: as it is sold, as it was bought, or as it lies there; null where it is none. */
function wishesOf(locks: Job['locks'], offers: Surroundings['offers'], { bodies, hands }: Holdings) {
  const materials = new Map<string, Stocked>([
    ...[...bodies.values()].flatMap(({ bought, id, material }) => [
      ...(bought ? [[bought.offer, material] as const] : []),
      [`hand.${id}`, material] as const,
    ]),
    ...offers.map((offer) => [offer.id, offerMaterial(offer)] as const),
    ...[...hands.values()].map(({ id, material }) => [`hand.${id}`, material] as const),
  ]);
  return locks.map((lock) => ({ lock, material: materials.get(lock.from) ?? null }));
}

/**
 * The boards and sheets for all blanks, each material solved on its own: around what is bought, cut and wished for, the
 * rest with the least that must be bought besides.
 */
export function chooseBoards(
  blanks: readonly Blank[],
  job: Solving & Pick<Job, 'ledger'> & Partial<Pick<Job, 'locks' | 'aim'>>,
  { searched = Infinity, ...solving }: ChooseOptions,
  cache: SolveCache,
): Boards {
  const market = marketOf(job);
  const worth = worthOf(job);
  const holdings = holdingsOf(job);
  const bodies = [...holdings.bodies.values()];
  const aim = job.aim ?? { for: 'cost', extra: null };
  const offers = [...market.boards, ...market.sheets];
  const wishes = wishesOf(job.locks ?? [], offers, holdings);
  const pools: Around[] = [];
  let wish = 0;
  for (const material of ORDER) {
    const wanted = blanks.filter((blank) => blank.material === material);
    const locks = wishes.flatMap(({ lock, material: of }) => (of === material ? [lock] : []));
    const isCutOf = bodies.some((body) => body.material === material && body.cut !== null);
    if (wanted.length === 0 && locks.length === 0 && !isCutOf) continue;
    const options: SolveOptions = pools.length < searched ? solving : { ...solving, effort: 'quick' };
    const asked = (byPrice: boolean, around: readonly Lock[]): Surroundings => ({
      ...{ material, blanks: wanted, locks: around, holdings, job, worth, byPrice },
      offers: offers.filter((offer) => offerMaterial(offer) === material),
      solve: (rest, there) => solvePool(rest, { there, job, market, aim: byPrice ? 'cost' : aim.for, options, cache }),
    });
    const around = settleAround(asked(aim.for === 'cost', locks));
    pools.push(around);
    // What it would cost if only what is bought or cut stayed as it is.
    if (locks.length > around.lost.length) wish += around.cost - settleAround(asked(true, [])).cost;
  }
  // The pools share what may be spent besides: every mix worth having, and the last that is not too dear.
  const mixes = combine(pools);
  const most = first(mixes).cost + (aim.extra ?? Infinity);
  const mix = sure(
    mixes.findLast(({ cost }) => cost <= most),
    'mix within the cost',
  );
  const chosen = mix.picked.flatMap(({ boards }) =>
    [...boards].sort((a, b) => longest(b) - longest(a) || b.length - a.length),
  );
  const used = new Set(chosen.flatMap(({ body }) => (body === null ? [] : [rootOf(body)])));
  const unplaced = pools.flatMap((pool) => pool.unplaced);
  // What was paid is paid, whatever becomes of it.
  const paid = bodies.reduce((sum, { bought, state }) => sum + (state === 'returned' ? 0 : (bought?.price ?? 0)), 0);
  const lost = pools.flatMap((pool) => pool.lost);
  return {
    boards: chosen.map((board, at) => ({ ...board, number: at + 1 })),
    status: unplaced.length > 0 ? 'infeasible' : pools.every(({ optimal }) => optimal) ? 'optimal' : 'feasible',
    cost: mix.cost + paid,
    lowerBound: pools.reduce((sum, { lowerBound }) => sum + lowerBound, paid),
    unplaced,
    idle: bodies.filter((body) => body.bought && isThere(body) && !used.has(body.id)),
    left: leftOf(bodies, chosen),
    unfit: pools.flatMap((pool) => pool.unfit),
    lostLocks: wishes.flatMap(({ lock, material }) => (material === null || lost.includes(lock) ? [lock] : [])),
    wish,
    aim:
      aim.for === 'cost'
        ? null
        : {
            for: aim.for,
            value: mix.measure,
            atLeast: pools.reduce((sum, { atLeast }) => sum + atLeast, 0),
            cheapest: { cost: first(mixes).cost + paid, value: first(mixes).measure },
          },
  };
}
