import { inches, type Length } from '../length';
import type { FinishTold } from '../finishing';
import { KEEP_OFFCUT, type Board } from '../buying';
import { BLOCK as CORNER_BLOCK, boughtFor, type Fastening } from '../joinery';
import type { Piece } from '../job';
import type { Part, PieceModel } from '../piece';
import { isSheet } from '../stock';
import { counted, dim, say, strong, type Phrase } from '../words';
import type { Step } from './step';

/** A job for an offcut, and how much of its length that takes. */
type OffcutJob = {
  readonly kind: 'sample' | 'spacers' | 'test' | 'blocks' | 'plugs' | 'pulls';
  readonly what: Phrase;
  readonly takes: Length;
  /** Of spacers: the piece they are for, and how thick they are. */
  /** Of samples: the piece they are for. */
  readonly piece?: string;
  readonly spacer?: { readonly piece: string; readonly thickness: Length };
};

/** What is left of a board and what becomes of it. */
export type OffcutUse = {
  readonly board: number;
  readonly offcut: Board['offcuts'][number];
  readonly jobs: readonly OffcutJob[];
  /** Length left for the rack once the jobs are done; 0 where that is too short to be kept. */
  readonly keep: Length;
};

type Made = {
  readonly piece: Piece;
  readonly model: Pick<PieceModel, 'needs'>;
  readonly parts: readonly Part[];
  readonly fastenings: readonly Fastening[];
  readonly steps: readonly Step[];
  readonly finishing: FinishTold;
};

/** A want of an offcut: from which boards, best first, and how long. */
type Want = OffcutJob & { readonly rank: (board: Board) => number };

/** A stain or finish sample: room for the coats beside each other. */
const SAMPLE: Length = inches(6);
/** As much more for each recipe that is only tried beside. */
const TRY: Length = inches(3);
/** A test of jig, collar and screw: two scraps this long, screwed to each other. */
const TEST: Length = inches(10);
/** Spacers are ripped from a stick no shorter than this, then cut into blocks so long. */
const STICK: Length = inches(12);
const BLOCK: Length = inches(3);

const NEVER = Infinity;

/** A sample from the very boards that are seen most: the top's; else any of the same material. */
function sampleOf({ piece, parts, finishing }: Made): readonly Want[] {
  const coated = finishing.treatments.filter(({ sittings }) => sittings.length > 0);
  const names = [...new Set([...coated, ...finishing.tries].map(({ recipe }) => recipe.name))];
  if (names.length === 0) return [];
  const shown = parts.filter(({ role, material }) => role === 'top' && material !== 'bought');
  const of = shown.length > 0 ? shown : parts.filter(({ material }) => material !== 'bought');
  const ids = new Set(of.map(({ id }) => id));
  const materials = new Set(of.map(({ material }) => material));
  const what = names.map((name) => `“${name}”`).join(' and ');
  return [
    {
      kind: 'sample',
      what: say`sample of ${what} for ${piece.name}`,
      takes: SAMPLE + finishing.tries.length * TRY,
      piece: piece.id,
      rank: ({ pieces, material }) =>
        pieces.some(({ blank }) => ids.has(blank.part.id)) ? 0 : materials.has(material) ? 1 : NEVER,
    },
  ];
}

/** Spacers of every thickness that a step asks for: as many as the step that needs most of them. */
function spacersOf({ piece, steps }: Made): readonly Want[] {
  const most = new Map<Length, number>();
  for (const { thickness, count } of steps.flatMap(({ spacers }) => spacers))
    most.set(thickness, Math.max(count, most.get(thickness) ?? 0));
  return [...most].map(([thickness, count]) => ({
    kind: 'spacers' as const,
    what: say`${strong(count)} ${count === 1 ? 'spacer' : 'spacers'} ${dim(thickness)} for ${piece.name}: rip, then cut to blocks`,
    takes: Math.max(STICK, count * BLOCK),
    spacer: { piece: piece.id, thickness },
    rank: ({ material, width }) => (width < thickness ? NEVER : isSheet(material) ? 1 : 0),
  }));
}

/** So many plugs are bored from a hand's length of wood. */
const PLUGS: Length = inches(6);

/** Corner blocks that joints ask for, and plugs of the very wood they are set in. */
function blocksAndPlugsOf({ piece, fastenings }: Made): readonly Want[] {
  const blocks = fastenings.filter(({ by }) => by === 'corner block');
  const plugged = fastenings.filter((item) => boughtFor(item).some(({ kind }) => kind === 'plug'));
  const plugs = plugged.reduce((sum, { positions }) => sum + positions.length, 0) * piece.copies;
  const woods = new Set(plugged.flatMap(({ drilled, into }) => [drilled.material, into.material]));
  const wants: Want[] = [];
  const widths = [...new Set(blocks.map(({ drilled }) => drilled.width))];
  for (const width of widths) {
    const count = blocks.filter(({ drilled }) => drilled.width === width).length * piece.copies;
    wants.push({
      kind: 'blocks',
      what: say`${strong(count)} corner blocks ${dim(CORNER_BLOCK)} by ${dim(CORNER_BLOCK)}, ${dim(width)} long, for ${piece.name}`,
      takes: count * width,
      rank: (board) =>
        !isSheet(board.material) && thickOf(board) >= CORNER_BLOCK && board.width >= CORNER_BLOCK ? 0 : NEVER,
    });
  }
  if (plugs > 0)
    wants.push({
      kind: 'plugs',
      what: say`${strong(plugs)} plugs for ${piece.name}: bore them across the grain with a plug cutter`,
      takes: PLUGS,
      rank: ({ material }) => (woods.has(material) ? 0 : NEVER),
    });
  return wants;
}

/** As thick as what is cut from it; nothing where nothing is. */
const thickOf = ({ pieces }: Board): Length => Math.max(0, ...pieces.map(({ blank }) => blank.thickness));

/** A pull to be shaped by hand: so long with its saw cuts, from stock no thinner. */
const PULL: Length = inches(5);
const PULL_THICK: Length = inches(3 / 4);

/** Pulls that could be made instead of bought. */
function pullsOf({ piece, model }: Made): readonly Want[] {
  const count =
    model.needs.reduce((sum, { kind, count: each }) => sum + (kind === 'pull' ? each : 0), 0) * piece.copies;
  if (count === 0) return [];
  return [
    {
      kind: 'pulls',
      what: say`${strong(count)} pulls for ${piece.name}, ${dim(inches(4))} each, if you make them yourself: then buy none`,
      takes: count * PULL,
      rank: (board) => (!isSheet(board.material) && thickOf(board) >= PULL_THICK ? 0 : NEVER),
    },
  ];
}

/** Scraps to try the jig on, one for each setting: of the thickness that is drilled. */
function testsOf(made: readonly Made[]): readonly Want[] {
  const settings = new Map<string, Fastening>();
  for (const fastening of made.flatMap(({ fastenings }) => fastenings))
    if (fastening.by === 'pocket screws') settings.set(`${fastening.jig} ${fastening.screw}`, fastening);
  return [...settings.values()].map(({ jig, screw }) => ({
    kind: 'test' as const,
    what: say`test of the jig at ${dim(jig)} with a ${screw} screw`,
    takes: TEST,
    rank: ({ pieces }) => (pieces.some(({ blank }) => blank.thickness === jig) ? 0 : NEVER),
  }));
}

/**
 * A job for each offcut that can have one: samples first, from the same boards, then spacers and tests, each from the
 * shortest offcut that will do, so that the long ones stay whole; what is left long enough is for the rack. Wants that
 * no offcut fills are left out: any scrap will do for those.
 *
 * @param kerf between two things cut from one offcut.
 */
export function offcutUses(boards: readonly Board[], made: readonly Made[], kerf: Length): readonly OffcutUse[] {
  const left = boards.flatMap((board) =>
    board.offcuts
      .map((offcut) => ({ board, offcut, free: offcut.length, jobs: [] as OffcutJob[] }))
      .filter(({ offcut }) => Math.min(offcut.length, offcut.width) > 0),
  );
  const wants = [
    ...made.flatMap(sampleOf),
    ...made.flatMap(spacersOf),
    ...made.flatMap(blocksAndPlugsOf),
    ...testsOf(made),
    ...made.flatMap(pullsOf),
  ];
  for (const { rank, ...job } of wants) {
    const able = left.filter((row) => row.free >= job.takes && rank(row.board) < NEVER);
    if (able.length === 0) continue;
    const best = able.reduce((a, b) => ((rank(b.board) - rank(a.board) || b.free - a.free) < 0 ? b : a));
    best.jobs.push(job);
    best.free -= job.takes + kerf;
  }
  return left.flatMap(({ board, offcut, free, jobs }) => {
    const wide = !('sheet' in board.offer) || offcut.width >= KEEP_OFFCUT;
    const keep = free >= KEEP_OFFCUT && wide ? free : 0;
    return jobs.length > 0 || keep > 0 ? [{ board: board.number, offcut, jobs, keep }] : [];
  });
}

/** The offcut that spacers of a piece are cut from; undefined where none is long enough and any scrap will do. */
export const offcutForSpacers = (uses: readonly OffcutUse[], piece: string, thickness: Length): OffcutUse | undefined =>
  uses.find(({ jobs }) => jobs.some(({ spacer }) => spacer?.piece === piece && spacer.thickness === thickness));

/** `3 offcuts have a job, 5 are kept`, for a heading. */
export const offcutsInWords = (uses: readonly OffcutUse[]): string => {
  const jobs = uses.filter((use) => use.jobs.length > 0).length;
  const kept = uses.filter((use) => use.keep > 0).length;
  return `${counted(jobs, 'offcut has', 'offcuts have')} a job · ${kept} kept`;
};
