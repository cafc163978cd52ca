import { inches, type Length } from '../length';
import { kerfFor, type Job, type Piece } from '../job';
import type { Board, BuyingList, CutPiece } from '../buying';
import { localSolid, solidOf, type Joint, type Part } from '../piece';
import type { NumberedCut, Setup } from '../sawing';
import { outOfFrame } from '../solid';
import { held } from '../lists';
import type { Operation, OperationKind } from '../work';
import { newBench, type RehearsalBench } from './bench';
import { carryOut } from './carry-out';
import { bodyFrom, differs, slackOf, slantEnd, type BenchPart } from './body';
import type { Fault } from './fault';
import { sawBoards } from './sawing';

/** What is rehearsed: a plan, as far as it says what is there and what is done. */
export type Rehearsed = {
  readonly buying: { readonly boards: readonly Board[]; readonly unplaced: readonly unknown[] };
  readonly list: Pick<BuyingList, 'hardware' | 'there' | 'notSold'>;
  readonly cuts: readonly NumberedCut[];
  readonly setups: readonly Setup[];
  readonly pieces: readonly {
    readonly piece: Piece;
    readonly parts: readonly Part[];
    readonly model: { readonly joints: readonly Joint[] };
    readonly steps: readonly {
      readonly operations: readonly Operation[];
      readonly work: number;
      readonly wait: number;
      readonly pause: number;
    }[];
  }[];
};

/** A part's board as it comes from the saw: how much too long, too wide and too thick it still is. */
function bodyOf(part: Part, pieces: readonly CutPiece[]): BenchPart | null {
  const own = pieces.find(({ blank }) => blank.part.id === part.id);
  if (!own) return null;
  const { blank } = own;
  const over = blank.extra / 2;
  const plane = blank.plane?.each ?? 0;
  // A stick that is thicker than wide, where its part is wider than thick, is turned a quarter.
  const turned =
    part.plies === 1 && blank.width < part.width && blank.width === part.thickness && blank.thickness === part.width;
  const thick = turned ? blank.width : blank.thickness * part.plies;
  const wide: Length = turned ? blank.thickness : blank.rip && part.plies === 1 ? blank.rip.to : blank.width;
  const off = (wide - part.width) / 2;
  const deep = Math.max(0, thick - part.thickness) / 2;
  const body = bodyFrom(part.id, part.tag, {
    low: -over,
    high: part.length + over,
    width: [-off, part.width + off],
    thick: plane > 0 ? [-deep, part.thickness + deep] : [0, thick],
  });
  if (blank.ends)
    for (const [sign, end] of [
      [-1, 'left'],
      [1, 'right'],
    ] as const) {
      const { mitre } = part.ends[end];
      if (mitre !== 0)
        slantEnd(body, sign, mitre, 0, [{ axis: 1, sign: mitre * sign > 0 ? 1 : -1 }], part.width, part.thickness);
    }
  return body;
}

/** What is bought as it is, or kept, comes in the shape it is drawn in. */
const boughtBody = (part: Part): BenchPart => ({
  id: part.id,
  tag: part.tag,
  solid: localSolid(part),
  low: 0,
  high: part.length,
  holes: [],
  metal: [],
});

/** What of a finished piece is not what the plan draws, or was never joined. */
function compared(bench: RehearsalBench, parts: readonly Part[], joints: readonly Joint[]): readonly Fault[] {
  const faults: Fault[] = [];
  for (const part of parts) {
    if (part.loose) continue;
    if (!bench.stands.has(part.id))
      faults.push({ operation: null, kind: 'left over', why: `${part.tag} is put nowhere` });
    if (part.material === 'bought' || part.kept) continue;
    const body = bench.bodies.get(part.id);
    if (!body) continue;
    const difference = differs(outOfFrame(part.frame, body.solid), solidOf(part));
    if (difference > slackOf(part))
      faults.push({
        operation: null,
        kind: 'wrong shape',
        why: `${part.tag}: ${(difference / inches(1) ** 3).toFixed(2)} cubic inches differ`,
      });
  }
  for (const { id, kind, drilled, into } of joints)
    if (!bench.made.has(id) && kind !== 'rest') {
      // A rail that only lies under a board that its neighbours hold is joined to nothing there.
      const held = kind === 'top clips' || kind === 'top screws';
      const one = bench.whole.get(drilled);
      if (!(held && one?.has(into))) faults.push({ operation: null, kind: 'never joined', why: id });
    }
  return faults;
}

/** What is used up by and by: some of it must be there. */
const BY_AND_BY: readonly string[] = [
  'glue',
  'stain',
  'finish',
  'filler',
  'disc',
  'paper',
  'belt',
  'rag',
  'glove',
  'tape',
  'roller',
  'brush',
  'cartridge',
  'lead-test',
  'tile-adhesive',
  'tile-spacer',
  'grout',
  'sealant',
  'tile-tool',
];

/** After these a part is left alone for as long as its step waits. */
const WETS: ReadonlySet<OperationKind> = new Set(['coat', 'fill', 'tile']);

/** What was used of everything against what was bought. */
function settled(used: ReadonlyMap<string, number>, { hardware, there, notSold }: Rehearsed['list']): readonly Fault[] {
  const faults: Fault[] = [];
  const bought = new Map<string, number>();
  const poured = new Set<string>();
  for (const { offer, count, owned, need } of hardware) {
    const key = `${offer.kind} ${offer.size}`;
    // What was bought and is not needed any more lies idle: that is told where the money is.
    if (need.count === 0) continue;
    bought.set(key, (bought.get(key) ?? 0) + (count + owned) * offer.count);
    if (BY_AND_BY.includes(offer.kind)) poured.add(key);
  }
  for (const { kind, size, count } of there) {
    const key = `${kind} ${size}`;
    bought.set(key, (bought.get(key) ?? 0) + count);
    poured.add(key);
  }
  const missing = new Set(notSold.map(({ kind, size }) => `${kind} ${size}`));
  for (const [key, count] of used) {
    if (missing.has(key)) continue;
    const have = bought.get(key) ?? 0;
    if (have === 0 || (!poured.has(key) && have < count))
      faults.push({ operation: null, kind: 'not there', why: `${key}: ${count} used, ${have} bought` });
  }
  for (const key of bought.keys())
    if (!used.has(key)) faults.push({ operation: null, kind: 'left over', why: `${key} is used for nothing` });
  return faults;
}

/** What a rehearsal found: nothing where all can be done as it is told. `stopped` is the first thing that can not. */
export type Rehearsal = {
  readonly faults: readonly Fault[];
  readonly stopped: Fault | null;
  readonly operations: number;
};

/**
 * Carries out a whole plan, from the boards to the finished pieces, exactly as told: numbers as they are printed, in
 * the order of the steps. One copy of each piece is built; boards, screws and hardware are counted for all.
 */
export function rehearse(plan: Rehearsed, job: Pick<Job, 'shop'>): Rehearsal {
  // What is cut is there; only what is left goes through the saw.
  const left = plan.buying.boards.filter(({ state }) => state !== 'cut');
  const numbers = new Set(left.map(({ number }) => number));
  const setups = plan.setups.filter((setup) => setup.boards.some((number) => numbers.has(number)));
  const sawnNow = sawBoards(left, plan.cuts, setups, (board) =>
    kerfFor(job.shop, 'sheet' in board.offer ? 'sheet' : 'board'),
  );
  const cutBefore = plan.buying.boards.flatMap(({ state, pieces }) => (state === 'cut' ? pieces : []));
  const sawn = { faults: sawnNow.faults, pieces: [...cutBefore, ...sawnNow.pieces] };
  const faults: Fault[] = [...sawn.faults];
  const used = new Map<string, number>();
  let operations = 0;
  for (const { piece, parts, model, steps } of plan.pieces) {
    if (steps.length === 0) continue;
    const bodies = new Map<string, BenchPart>();
    for (const part of parts) {
      if (part.loose) continue;
      if (part.material === 'bought' || part.kept) {
        bodies.set(part.id, boughtBody(part));
        continue;
      }
      const body = bodyOf(part, sawn.pieces);
      if (!body) faults.push({ operation: null, kind: 'never cut', why: `${part.tag}: no board gives it` });
      const there = sawn.pieces.filter(({ blank }) => blank.part.id === part.id).length;
      if (body && there < part.plies * part.count * piece.copies)
        faults.push({
          operation: null,
          kind: 'never cut',
          why: `${part.tag}: ${there} of ${part.plies * part.count * piece.copies} boards`,
        });
      bodies.set(
        part.id,
        body ??
          bodyFrom(part.id, part.tag, {
            low: 0,
            high: part.length,
            width: [0, part.width],
            thick: [0, part.thickness],
          }),
      );
    }
    const own = parts.filter((part) => !part.loose);
    const bench = newBench(job, piece, own, model.joints, bodies, faults);
    let clock = 0;
    const dry = new Map<string, number>();
    for (const { operations: list, work, wait, pause } of steps) {
      for (const operation of list) {
        operations++;
        const wet = operation.on.find((id) => (dry.get(id) ?? 0) > clock);
        // What only tells of a wait touches nothing.
        if (wet && operation.kind !== 'heed')
          bench.fault(operation, 'wet', `${held(bench.parts, wet).tag} is not dry yet`);
        carryOut(bench, operation);
      }
      clock += work;
      for (const operation of list)
        if (WETS.has(operation.kind)) for (const id of operation.on) dry.set(id, clock + wait);
      clock += pause;
    }
    faults.push(...compared(bench, own, model.joints));
    for (const [key, count] of bench.used) used.set(key, (used.get(key) ?? 0) + count * piece.copies);
  }
  faults.push(...settled(used, plan.list));
  return { faults, stopped: faults[0] ?? null, operations };
}
