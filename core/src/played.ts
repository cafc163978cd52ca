import { doingOf, type Step } from './building';
import { boardsNow, boughtAs, boxBought, purchaseOf, type Stamp } from './buying';
import { clockAt, plannedFor, stepOf, type PlacedTask } from './calendar';
import { seeded } from './cutting';
import { applyChanges, localTime, type Entry, type EntryOf, type Job } from './job';
import { doneAs, entered, holdingsOf } from './ledger';
import { last } from './lists';
import { reckoned } from './reckoned';
import { planJob, type Plan } from './plan';
import { minutesAt, passDoing, passesOf, sawnAt, type Setup } from './sawing';
import { taxOn } from './stock';

/** A builder who works through a plan: how fast against the usual, and how far one operation strays from that. */
export type Builder = {
  readonly pace: number;
  /** Standard deviation of the logarithm of the time of one operation. */
  readonly spread: number;
  readonly seed: number;
};

/** Normal numbers out of even ones (Box and Muller). */
const normals = (random: () => number) => (): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());

type Bench = {
  job: Job;
  readonly plan: Plan;
  readonly taken: (planned: number) => number;
  readonly id: () => string;
};

const tell = (bench: Bench, entries: readonly Entry[]): void => {
  bench.job = applyChanges(bench.job, entries.map(entered));
};

const timed = (
  { taken }: Bench,
  { id, at }: { readonly id: string; readonly at: string | null },
  about: Pick<EntryOf<'timed'>, 'of' | 'piece' | 'work' | 'planned'>,
): Entry => ({ id, at, what: 'timed', ...about, minutes: taken(about.planned), until: null });

/** All that is still to be bought, on one receipt. */
function shopFor(bench: Bench, stamp: Stamp): void {
  const { plan } = bench;
  const boards = plan.buying.boards.flatMap((board) => boughtAs(bench.job, board, stamp));
  const spares = plan.list.boards.flatMap(({ offer, spare }) =>
    Array.from({ length: spare }, () => purchaseOf(bench.job, offer, [], stamp)),
  );
  const boxes = plan.list.hardware.flatMap(({ offer, count }) =>
    Array.from({ length: count }, () => boxBought(bench.job, offer, stamp)),
  );
  const bought = [...boards, ...spares, ...boxes].flatMap((entry) =>
    entry.what === 'bought' || entry.what === 'box' ? [entry] : [],
  );
  tell(bench, bought);
  for (const yard of new Map(bought.map((entry) => [entry.yard.id, entry.yard])).values()) {
    const own = bought.filter((entry) => entry.yard.id === yard.id);
    const subtotal = own.reduce((sum, { price }) => sum + price, 0);
    const tax = taxOn(subtotal, yard);
    tell(bench, [
      {
        ...{ id: stamp.id(), at: stamp.at, what: 'receipt', yard: yard.name, of: own.map(({ id }) => id), extras: [] },
        ...{ tax, total: subtotal + tax, photo: null },
      },
    ]);
  }
}

function sawAt(bench: Bench, setup: Setup, stamp: Stamp): void {
  const { plan } = bench;
  const passes = passesOf(setup, plan.cuts);
  const boards = boardsNow(plan.buying.boards, holdingsOf(bench.job));
  const sign = () => ({ id: stamp.id(), at: stamp.at });
  tell(
    bench,
    passes.map((pass) => doneAs(passDoing(pass), sign())),
  );
  tell(bench, sawnAt(bench.job, setup, { boards, setups: plan.setups }, stamp));
  tell(bench, [timed(bench, sign(), { of: `saw.${setup.id}`, piece: null, work: 'saw', planned: minutesAt(setup) })]);
}

function doStep(bench: Bench, step: Step, facts: Plan['pieces'][number], stamp: Stamp): void {
  const sign = () => ({ id: stamp.id(), at: stamp.at });
  tell(
    bench,
    step.actions.flatMap((action) => {
      const { work, minutes } = plannedFor(step, action.id, facts.piece.copies);
      const about = { of: action.id, piece: facts.piece.id, work, planned: minutes };
      return [doneAs(doingOf(step, action, facts.parts), sign()), timed(bench, sign(), about)];
    }),
  );
}

/** What has a go at it: the last of its parts, so that a step is done when all of it is. */
const isLastGo = ({ task: { part } }: PlacedTask): boolean => part[0] === part[1];

/**
 * A job as it stands after a builder worked through its days to a share of its sessions: everything told as it is told
 * in a workshop, at the times it is planned for. Seeded: the same builder does the same again. What the demo shows and
 * what estimates are tried on.
 *
 * @param today when it begins.
 * @param share of the sessions, 0 to 1.
 * @param between called after each session, with the stamp of its hour: what more happened.
 */
export function playedThrough(
  job: Job,
  { pace, spread, seed }: Builder,
  today: string,
  share = 1,
  between: (bench: { job: Job; plan: Plan }, session: number, stamp: Stamp) => readonly Entry[] = () => [],
): Job {
  const plan = planJob(job, { today, effort: 'quick' });
  const { sessions, zone } = plan.calendar;
  const random = normals(seeded(seed));
  let count = 0;
  const bench: Bench = {
    job,
    plan,
    id: () => `play-${seed}-${++count}`,
    taken: (planned) => Math.round(10 * planned * pace * Math.exp(spread * random() - spread ** 2 / 2)) / 10,
  };
  const setups = new Map(plan.setups.map((setup) => [`saw.${setup.id}`, setup]));
  const steps = new Map(plan.pieces.flatMap((facts) => facts.steps.map((step) => [step.id, { step, facts }] as const)));
  const doneSteps = new Set<string>();
  sessions.slice(0, Math.ceil(share * sessions.length)).forEach(({ placed }, number) => {
    for (const one of placed) {
      const { day, minute } = clockAt(zone, one.end);
      const stamp: Stamp = { id: bench.id, at: localTime(day, minute) };
      if (bench.job.ledger.every(({ what }) => what !== 'set out'))
        tell(bench, [{ id: bench.id(), at: stamp.at, what: 'set out', ...reckoned(plan) }]);
      const setup = setups.get(one.task.of);
      const found = steps.get(stepOf(one.task));
      if (one.task.errand) {
        shopFor(bench, stamp);
        tell(bench, [
          timed(
            bench,
            { id: bench.id(), at: stamp.at },
            { of: 'yard', piece: null, work: 'errand', planned: job.calendar.trip },
          ),
        ]);
      } else if (setup) sawAt(bench, setup, stamp);
      else if (found && isLastGo(one) && !doneSteps.has(found.step.id)) {
        doneSteps.add(found.step.id);
        doStep(bench, found.step, found.facts, stamp);
      }
    }
    const { day, minute } = clockAt(zone, last(placed).end);
    tell(bench, between(bench, number, { id: bench.id, at: localTime(day, minute) }));
  });
  return bench.job;
}
