import { inches, mm, type Length } from '../length';
import { applyChanges, type Change, type Job, type Piece, set } from '../job';
import { familyOf, topOf, type Part, type Specs } from '../piece';
import { planJob, priceJob, type Plan, type PlanOptions } from '../plan';
import type { Yard } from '../stock';
import { dim, say, strong, type Phrase } from '../words';

/** One change and what the whole job costs with it. */
type Saving = {
  readonly id: string;
  readonly label: Phrase;
  readonly changes: readonly Change[];
  /** Cents with tax, and less than now by so much. */
  readonly total: number;
  readonly saves: number;
  /** What the margin would then warn of that it does not now. */
  readonly but: Phrase | null;
};

export type Wish = Pick<Saving, 'id' | 'label' | 'changes'> & {
  /** The piece and side it makes smaller, where it does. */
  readonly side?: string;
};

/** What a piece is for: a change that leaves it without one of these it had is no way to save. */
const GIVES: readonly Part['role'][] = ['shelf', 'drawer', 'door', 'back'];
const given = (parts: readonly Part[]): ReadonlySet<string> =>
  new Set(parts.filter(({ role }) => GIVES.includes(role)).map(({ piece, role }) => `${piece} ${role}`));

/** At most so much comes off a side. */
const LESS = { in: [inches(1), inches(2), inches(4)], mm: [mm(25), mm(50), mm(100)] } as const;

function otherChoices(piece: Piece, specs: Specs, path: 'choices' | 'topChoices'): readonly Wish[] {
  const now = piece[path];
  return Object.entries(specs).flatMap(([key, spec]) => {
    if (spec.kind !== 'pick' || (spec.when && !spec.when(now))) return [];
    const chosen = now[key] ?? spec.initial;
    return Object.entries(spec.options).flatMap(([value, words]) =>
      value === chosen
        ? []
        : [
            {
              id: `${piece.id}.${path}.${key}.${value}`,
              label: say`${strong(piece.name)}: ${lower(spec.label)} ${words}`,
              changes: [set(piece.id, [path, key], value)],
            },
          ],
    );
  });
}

const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** Once something is bought or cut, half an inch may be what saves a board. */
const lessOf = ({ units, ledger }: Job): readonly Length[] =>
  ledger.length === 0 ? LESS[units] : [units === 'in' ? inches(1 / 2) : mm(12), ...LESS[units]];

/** A side less by so much. */
const smaller = (job: Job, by: readonly Length[]): readonly Wish[] =>
  job.pieces.flatMap((piece) =>
    (['length', 'width'] as const).flatMap((side) =>
      by.flatMap((less): readonly Wish[] => {
        const size = piece.size[side] - less;
        return size < inches(8)
          ? []
          : [
              {
                id: `${piece.id}.${side}.${less}`,
                side: `${piece.id}.${side}`,
                label: say`${strong(piece.name)}: ${dim(size)} ${side === 'length' ? 'long' : 'wide'}, not ${dim(piece.size[side])}`,
                changes: [set(piece.id, ['size', side], size)],
              },
            ];
      }),
    ),
  );

/** Bought elsewhere, or no spares bought. */
function otherBuys(job: Job, yards: readonly Yard[]): readonly Wish[] {
  const others = yards
    .filter(({ id }) => id !== job.yard.id && !job.alsoAt.some((other) => other.id === id))
    .flatMap((yard): readonly Wish[] => [
      {
        id: `yard.${yard.id}`,
        label: say`Buy at ${strong(yard.name)}`,
        changes: [set(null, ['yard'], yard)],
      },
      {
        id: `also.${yard.id}`,
        label: say`Buy some of it at ${strong(yard.name)} too, a second stop`,
        changes: [set(null, ['alsoAt', yard.id], yard)],
      },
    ]);
  const spares: readonly Wish[] =
    job.spares === 'none'
      ? []
      : [{ id: 'spares', label: say`Buy no spares`, changes: [set(null, ['spares'], 'none')] }];
  return [...others, ...spares];
}

/** Every single change worth a try: a size less, another choice, another yard, no spares. */
export function wishes(job: Job, yards: readonly Yard[]): readonly Wish[] {
  const choices = job.pieces.flatMap((piece) => {
    const top = topOf(piece);
    return [
      ...otherChoices(piece, familyOf(piece).choices, 'choices'),
      ...(top ? otherChoices(piece, top.choices, 'topChoices') : []),
    ];
  });
  return [...smaller(job, lessOf(job)), ...choices, ...otherBuys(job, yards)];
}

/** Changes small enough to make once the work has begun: half an inch or one less, another yard, no further spare. */
export const smallWishes = (job: Job, yards: readonly Yard[]): readonly Wish[] => [
  ...smaller(job, job.units === 'in' ? [inches(1 / 2), inches(1)] : [mm(12), mm(25)]),
  ...otherBuys(job, yards),
];

/** So many of the best are worked out to the end. */
const SHORTLIST = 8;

export type SavingsProgress = { readonly done: number; readonly of: number; readonly found: readonly Saving[] };

/**
 * The single changes that save most, each computed: every wish is priced quickly, the best are planned to the end, so
 * that taking one changes the total by exactly what it says. What can not be built, or saves nothing, is left out; so
 * is a size where one nearer to the present costs no more.
 *
 * @param plan of the job as it is, proved or searched to the end, from the same `options`.
 * @param all what is tried: `wishes` or `smallWishes`.
 */
export function* savings(
  job: Job,
  plan: Plan,
  all: readonly Wish[],
  options: PlanOptions,
): Generator<SavingsProgress, void, void> {
  const now = plan.list.total;
  const quick: { readonly wish: Wish; readonly total: number }[] = [];
  const of = all.length + SHORTLIST;
  const asked = given(plan.parts);
  for (const [at, wish] of all.entries()) {
    const { list, buying, findings, parts } = priceJob(applyChanges(job, wish.changes), {
      ...options,
      effort: 'quick',
    });
    const gives = given(parts);
    const able =
      buying.unplaced.length === 0 &&
      !findings.some(({ level }) => level === 'stop') &&
      [...asked].every((thing) => gives.has(thing));
    // Sizes of one side come the nearest first.
    const nearer = quick.some((row) => row.wish.side === wish.side && wish.side && row.total <= list.total);
    if (able && !nearer && list.notSold.length <= plan.list.notSold.length && list.total < now)
      quick.push({ wish, total: list.total });
    yield { done: at + 1, of, found: [] };
  }
  const short = quick.sort((a, b) => a.total - b.total || a.wish.id.localeCompare(b.wish.id)).slice(0, SHORTLIST);
  const known = new Set(plan.findings.filter(({ level }) => level !== 'good').map(({ id }) => id));
  const found: Saving[] = [];
  for (const [at, { wish }] of short.entries()) {
    const then = planJob(applyChanges(job, wish.changes), options);
    const worse = then.findings.filter(({ id, level }) => level !== 'good' && !known.has(id));
    const saves = now - then.list.total;
    if (saves > 0 && !worse.some(({ level }) => level === 'stop'))
      found.push({ ...wish, total: then.list.total, saves, but: worse[0]?.title ?? null });
    yield { done: all.length + at + 1, of, found: [...found].sort((a, b) => b.saves - a.saves) };
  }
  yield { done: of, of, found: [...found].sort((a, b) => b.saves - a.saves) };
}
