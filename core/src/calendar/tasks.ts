import { doingOf, type Step } from '../building';
import type { Boards, BuyingList } from '../buying';
import type { Job, Piece, Tool, WorkKind } from '../job';
import { isDone, type Holdings } from '../ledger';
import { first, last, nth } from '../lists';
import { factorOf, type Pace } from '../record';
import type { Part } from '../piece';
import { isSawn, minutesAt, type Setup } from '../sawing';
import { say } from '../words';
import type { Operation, OperationKind } from '../work';
import { DAY, instantOf, type Instant } from './instant';
import { SHORT_WAIT, type After, type Task } from './task';

/** What is planned, as far as the calendar asks. */
export type Planned = {
  readonly setups: readonly Setup[];
  readonly buying: Pick<Boards, 'boards'>;
  readonly list: Pick<BuyingList, 'boards' | 'hardware'>;
  readonly pieces: readonly {
    readonly piece: Piece;
    readonly parts: readonly Part[];
    readonly steps: readonly Step[];
  }[];
};

/** What nobody may hear on a quiet evening. */
const LOUD: ReadonlySet<Tool> = new Set([
  'circular saw',
  'mitre saw',
  'table saw',
  'jigsaw',
  'band saw',
  'router',
  'planer',
  'jointer',
  'biscuit joiner',
  'sander',
]);
/** Work that can be put down after any of it. What is glued, driven, poured or in clamps goes on to its end. */
const PUT_DOWN: ReadonlySet<OperationKind> = new Set([
  'plane',
  'rip',
  'trim',
  'mitre',
  'outline',
  'cut',
  'pocket',
  'bore',
  'slot',
  'elongate',
  'arrange',
  'fit',
  'flatten',
  'sand',
  'profile',
  'fit hardware',
  'plug',
  'heed',
  'spacers',
  'measure',
  'sample',
]);
/** One goes on no longer than this before something else may come, and puts nothing down sooner than this. Minutes. */
const [LONG_GO, SHORT_GO] = [45, 10] as const;
/** Glue sets above this, degrees F. */
const GLUE_AIR = [50, 110, 100] as const;
/** A coat that hardened takes so much of its time again to be sanded first: 0.3 against 0.85 minutes a square foot. */
const SANDED_FIRST = 0.35;

/** Work that a saw or a router does, where the work order leaves open which. */
const SAWN: ReadonlySet<OperationKind> = new Set([
  'plane',
  'rip',
  'mitre',
  'outline',
  'cut',
  'trim whole',
  'profile',
  'flatten',
]);

const isLoud = ({ kind, tool }: Operation): boolean => (tool === null ? SAWN.has(kind) : LOUD.has(tool));
const mainTool = (ops: readonly Operation[]): Tool | null =>
  ops
    .filter(({ tool }) => tool !== null)
    .reduce<Operation | null>((a, b) => (a && a.minutes >= b.minutes ? a : b), null)?.tool ?? null;

function kindOf(ops: readonly Pick<Operation, 'kind'>[]): WorkKind {
  const has = (...kinds: readonly OperationKind[]) => ops.some(({ kind }) => kinds.includes(kind));
  if (has('coat', 'fill', 'mask', 'rub', 'cure')) return 'coat';
  if (has('sand', 'flatten', 'strip')) return 'sand';
  if (has('glue', 'drive', 'laminate', 'place', 'hang', 'tile')) return 'join';
  return has('sample', 'heed', 'level', 'measure', 'anchor', 'carry') ? 'other' : 'prepare';
}

/** What pace an operation takes. */
export const workOf = (op: Pick<Operation, 'kind'>): WorkKind => kindOf([op]);
/**
 * What an action is planned to take, as it is ticked off: minutes for all copies, getting ready with the first of its
 * step, at the usual pace.
 */
export function plannedFor(step: Step, action: string, copies: number): { work: WorkKind; minutes: number } {
  const at = step.operations.findIndex(({ id }) => id === action);
  const op = nth(step.operations, at);
  const all = step.operations.reduce((sum, { minutes }) => sum + minutes, 0);
  return { work: workOf(op), minutes: copies * (op.minutes + (at === 0 ? Math.max(0, step.work - all) : 0)) };
}

const paced = (op: Operation, pace: Pace): Operation => ({ ...op, minutes: op.minutes * factorOf(pace, workOf(op)) });

/** The least and most that all ask of the air; null where none does. */
function airOf(ops: readonly Operation[]): Task['air'] {
  const all = ops.flatMap((op): readonly (readonly [number, number, number])[] =>
    op.kind === 'coat' ? [op.air] : ['glue', 'laminate', 'tile'].includes(op.kind) ? [GLUE_AIR] : [],
  );
  return all.length === 0
    ? null
    : [
        Math.max(...all.map(([cold]) => cold)),
        Math.min(...all.map(([, hot]) => hot)),
        Math.min(...all.map(([, , damp]) => damp)),
      ];
}

/** Operations done in one go: each run of them, and its minutes. What is long and can be put down is parted. */
type Go = { readonly ops: readonly Operation[]; readonly minutes: number };

function goesOf(ops: readonly Operation[], ready: number): readonly Go[] {
  const goes: { ops: Operation[]; minutes: number }[] = [];
  const minutesOf = (rest: readonly Operation[]) => rest.reduce((sum, { minutes }) => sum + minutes, 0);
  ops.forEach((op, at) => {
    const before = goes.at(-1);
    const free = before && [op, nth(ops, at - 1)].every(({ kind }) => PUT_DOWN.has(kind));
    const isLong = before && before.minutes + op.minutes > LONG_GO;
    const isOther = before && before.ops.some(isLoud) !== ops.slice(at).some(isLoud);
    const apart = free && (isLong || isOther) && before.minutes >= SHORT_GO && minutesOf(ops.slice(at)) >= SHORT_GO;
    if (before && !apart) {
      before.ops.push(op);
      before.minutes += op.minutes;
    } else goes.push({ ops: [op], minutes: op.minutes });
  });
  const parted = goes.flatMap(({ ops: own, minutes }): readonly Go[] => {
    const count = own.every(({ kind }) => PUT_DOWN.has(kind)) ? Math.max(1, Math.ceil(minutes / LONG_GO)) : 1;
    return Array.from({ length: count }, () => ({ ops: own, minutes: minutes / count }));
  });
  return parted.map((go, at) => (at === 0 ? { ...go, minutes: go.minutes + ready } : go));
}

/** Whole minutes of rows that come to the whole of their sum. */
function wholeMinutes(rows: readonly Go[]): readonly number[] {
  let [sum, told] = [0, 0];
  return rows.map(({ minutes }) => {
    sum += minutes;
    const now = Math.max(1, Math.round(sum) - told);
    told += now;
    return now;
  });
}

/** The most that a coat of this step may be left before the next, minutes, where that is not sanded anyway. */
function windowOf(step: Step, next: Step): number | null {
  const coats = ({ operations }: Step) => operations.filter((op) => op.kind === 'coat');
  const windows = coats(step).flatMap(({ window, on }) =>
    window !== null && coats(next).some((one) => one.between === 0 && one.on.some((id) => on.includes(id)))
      ? [60 * window]
      : [],
  );
  return windows.length === 0 ? null : Math.min(...windows);
}

/** What a step of one copy goes by, and the step that it is of. */
const copyOf = (step: string, copy: number): string => (copy === 0 ? step : `${step}#${copy + 1}`);
export const stepOf = ({ of }: Pick<Task, 'of'>): string => of.replace(/#\d+$/, '');

/** What is done of a step, and when the last of it was; minutes left. */
function leftOf(step: Step, parts: readonly Part[], holdings: Holdings) {
  // What nobody ever ticked is not looked at more closely.
  const done = step.actions.map(
    (action) => holdings.done.has(action.id) && isDone(doingOf(step, action, parts), holdings),
  );
  const left = step.operations.filter((_, at) => !done[at]);
  const times = step.actions.flatMap(({ id }) => holdings.done.get(id)?.at ?? []);
  return { left, isBegun: done.some(Boolean), at: times.sort().at(-1) ?? null };
}

/** The trip to the yard, where anything is still to be bought. */
function tripOf({ list }: Planned, { calendar }: Job, pace: Pace): readonly Task[] {
  const isOpen = list.boards.some(({ count }) => count > 0) || list.hardware.some(({ count }) => count > 0);
  return isOpen && calendar.trip > 0
    ? [
        {
          ...PLAIN_WORK,
          id: 'yard',
          of: 'yard',
          piece: null,
          title: say`The yard`,
          kind: 'errand',
          minutes: Math.max(1, Math.round(calendar.trip * factorOf(pace, 'errand'))),
          errand: true,
        },
      ]
    : [];
}

/** Work that nothing is special about. */
export const PLAIN_WORK = {
  part: [1, 1],
  loud: false,
  errand: false,
  people: 1,
  tool: null,
  air: null,
  after: [],
  fresh: null,
  release: 0,
  wait: 0,
  clamps: null,
  lies: false,
} as const satisfies Partial<Task>;

/** Settings of the saw that are left, one after the other; and by part, the last that it goes through. */
function sawing(own: readonly Setup[], trip: readonly Task[], rest: number, release: number, pace: Pace) {
  const idOf = (setup: Setup) => `saw.${setup.id}`;
  const cutBy = new Map<string, string>();
  own.forEach((setup) => setup.pieces.forEach(({ blank }) => cutBy.set(blank.part.id, idOf(setup))));
  const tasks = own.map((setup, at): Task => {
    const before = own[at - 1];
    return {
      ...PLAIN_WORK,
      id: idOf(setup),
      of: idOf(setup),
      piece: null,
      title:
        setup.cuts.length === 0
          ? say`Rough cuts`
          : Math.min(...setup.cuts) === Math.max(...setup.cuts)
            ? say`Cut ${first(setup.cuts)}`
            : say`Cuts ${Math.min(...setup.cuts)} to ${Math.max(...setup.cuts)}`,
      kind: 'saw',
      minutes: Math.max(1, Math.round(minutesAt(setup) * factorOf(pace, 'saw'))),
      loud: setup.tool !== null && LOUD.has(setup.tool),
      tool: setup.tool,
      release: before ? 0 : release,
      after: before ? [{ task: idOf(before), wait: 0 }] : trip.map(({ id }) => ({ task: id, wait: rest })),
    };
  });
  return { tasks, cutBy };
}

/** The goes of one step of one copy; what is done of it already is left out. */
function goesOfStep(
  step: Step,
  { left: open, isBegun }: Pick<ReturnType<typeof leftOf>, 'left' | 'isBegun'>,
  id: string,
  after: readonly After[],
  pace: Pace,
) {
  const all = step.operations.reduce((sum, { minutes }) => sum + minutes, 0);
  const left = open.map((op) => paced(op, pace));
  const goes = goesOf(left, isBegun ? 0 : Math.max(0, step.work - all) * factorOf(pace, kindOf(open)));
  const minutes = wholeMinutes(goes);
  return goes.map(({ ops }, at): Task => {
    const isLast = at + 1 === goes.length;
    const clamps = left.find((op) => op.kind === 'clamp');
    const wets = kindOf(left) === 'coat' || left.some(({ kind }) => kind === 'glue' || kind === 'laminate');
    return {
      ...PLAIN_WORK,
      id: goes.length === 1 ? id : `${id}/${at + 1}`,
      of: id,
      piece: step.piece,
      title: step.title,
      kind: kindOf(ops),
      part: [at + 1, goes.length],
      minutes: nth(minutes, at),
      loud: ops.some(isLoud),
      people: Math.max(1, ...ops.map(({ lift }) => lift?.people ?? 1)),
      tool: mainTool(ops),
      air: airOf(ops),
      after: at === 0 ? after : [{ task: `${id}/${at}`, wait: 0 }],
      wait: isLast ? step.wait : 0,
      clamps: isLast && step.clamps > 0 && step.wait > 0 ? { count: step.clamps, span: clamps?.span ?? 0 } : null,
      lies: isLast && wets && step.wait >= SHORT_WAIT,
    };
  });
}

/**
 * All that is left to do of a job, as work in goes: the trip, each setting of the saw, each step of each copy. What is
 * ticked off is done; what it left to dry is waited for still.
 */
export function tasksOf(planned: Planned, job: Job, holdings: Holdings, now: Instant, pace: Pace): readonly Task[] {
  const { calendar, ledger } = job;
  const since = (at: string | null, wait: number): number =>
    at === null ? 0 : Math.max(0, instantOf(calendar.zone, at) + wait - now);
  /** Minutes of a wait that are left, none or less where it is over. */
  const minutesLeft = (at: string, wait: number): number => instantOf(calendar.zone, at) + wait - now;
  const trip = tripOf(planned, job, pace);
  // A day in the room is one from evening to morning too.
  const rest = Math.max(0, calendar.rest * DAY - DAY / 2);
  const bought = ledger.flatMap((entry) => (entry.what === 'bought' ? [entry.at] : []));
  const hasSawn = ledger.some(({ what }) => what === 'cut');
  const release = hasSawn || bought.length === 0 ? 0 : since(bought.at(-1) ?? null, rest);
  const sawnSo = { boards: planned.buying.boards, setups: planned.setups };
  const open = planned.setups.filter((setup) => setup.tool !== null && !isSawn(setup, sawnSo, holdings));
  const sawn = sawing(open, trip, hasSawn ? 0 : rest, release, pace);
  const steps = planned.pieces.flatMap(({ piece, parts, steps: own }) =>
    Array.from({ length: piece.copies }, (_, copy) => {
      const idOf = (id: string) => copyOf(id, copy);
      const lastGo = new Map<string, string>();
      const waits = new Map<string, { readonly at: string | null; readonly over: number }>();
      const byId = new Map(own.map((step) => [step.id, step]));
      return own.flatMap((step): readonly Task[] => {
        const { left, isBegun, at } = leftOf(step, parts, holdings);
        if (left.length === 0) {
          waits.set(step.id, { at, over: since(at, step.wait) });
          return [];
        }
        // Samples are made on what the saw leaves.
        const offcuts = left.some(({ kind }) => kind === 'sample') ? sawn.tasks.slice(-1) : [];
        const cuts = [
          ...[...step.adds, ...left.flatMap(({ on }) => on)].flatMap((part) => sawn.cutBy.get(part) ?? []),
          ...offcuts.map(({ id }) => id),
        ];
        const after: readonly After[] = [
          ...trip.map(({ id }) => ({ task: id, wait: 0 })),
          ...[...new Set(cuts)].map((task) => ({ task, wait: 0 })),
          ...step.after.flatMap((id) => {
            const task = lastGo.get(id);
            return task === undefined ? [] : [{ task, wait: byId.get(id)?.wait ?? 0 }];
          }),
        ];
        const tasks = goesOfStep(step, { left, isBegun }, idOf(step.id), after, pace);
        lastGo.set(step.id, last(tasks).id);
        const over = Math.max(0, ...step.after.map((id) => waits.get(id)?.over ?? 0));
        const coated = step.after.flatMap((id) => byId.get(id) ?? []).find((one) => windowOf(one, step) !== null);
        const within = coated ? windowOf(coated, step) : null;
        const done = coated && waits.get(coated.id);
        const fresh = coated && (done ? null : lastGo.get(coated.id));
        const long = step.operations.reduce((sum, op) => sum + (op.kind === 'coat' ? op.minutes : 0), 0);
        return tasks.map((task, k) =>
          k > 0
            ? task
            : {
                ...task,
                release: over,
                fresh:
                  fresh !== undefined && within !== null && done?.at !== null
                    ? {
                        after: fresh,
                        within: done ? minutesLeft(done.at, within) : within,
                        extra: Math.ceil(SANDED_FIRST * long * factorOf(pace, 'coat')),
                      }
                    : null,
              },
        );
      });
    }).flat(),
  );
  return [...trip, ...sawn.tasks, ...steps];
}
