import { last, nth } from '../lists';
import { toInches, type Length } from '../length';
import { kerfFor, toolFor, WAYS, type Shop, type Tool } from '../job';
import type { Board, CutPiece } from '../buying';
import { lean } from '../cutting';
import type { Rip } from '../milling';
import { SHEETS, isSheet } from '../stock';
import { arrange, PAST, type SawnBoard, type Stick } from './arrange';
import { breakDown } from './breakdown';
import { cautionsFor } from './cautions';
import type { NumberedCut, Setup } from './setup';

/** Boards in the order and places they are sawn, every cut numbered, and the settings of the saws in working order. */
export type Sawing = {
  readonly boards: readonly Board[];
  readonly cuts: readonly NumberedCut[];
  readonly setups: readonly Setup[];
};

const distinct = <T>(values: readonly T[]): readonly T[] => [...new Set(values)];

/** Share of a sheet that one person lifts. */
function liftable({ material, length, width }: Board, lift: number): number {
  if (!isSheet(material)) return 1;
  const { density, thickness } = SHEETS[material];
  return lift / (((toInches(length) * toInches(width) * toInches(thickness)) / 1728) * density);
}

/** Where an end of a piece begins at the lower edge: x is its long point on that side. */
const lowAt = ({ x, length, width, slants }: CutPiece, end: 'left' | 'right'): Length =>
  end === 'left' ? x - Math.min(0, lean(slants.left, width)) : x + length - Math.max(0, lean(slants.right, width));

/** The piece whose left or right end a crosscut of a lane makes. */
const madeBy = (
  pieces: readonly CutPiece[],
  end: 'left' | 'right',
  { at, angle }: Board['cuts'][number],
): CutPiece | null =>
  pieces.find((piece) => Math.abs(piece.slants[end] - angle) < ALIKE && Math.abs(lowAt(piece, end) - at) <= 2) ?? null;
/** Degrees within which two slants are one cut. */
const ALIKE = 1e-4;

/** The number of the cut that frees each piece of a lane. */
export const cutNumbers = (cuts: readonly NumberedCut[]): ReadonlyMap<CutPiece, number> =>
  new Map(cuts.flatMap(({ piece, number }) => (piece ? [[piece, number] as const] : [])));

function numberCuts(sawn: readonly SawnBoard[], shop: Shop): readonly NumberedCut[] {
  let number = 0;
  return sawn.flatMap(({ board, lane }): readonly NumberedCut[] => {
    if (!lane)
      return breakDown(
        board,
        kerfFor(shop, 'sheet' in board.offer ? 'sheet' : 'board'),
        liftable(board, shop.lift),
      ).map(({ kind, at, from, to, angle, begins, ...setting }) => ({
        number: ++number,
        board: board.number,
        ...{ kind, at, from, to, angle },
        piece: null,
        begins,
        setting,
      }));
    // A square cut that only begins a stretch squares its end: it is part of making the board ready, not numbered.
    const afterSlant = (begun: CutPiece) =>
      board.pieces
        .filter(({ x }) => x < begun.x)
        .reduce<CutPiece | null>((last, one) => (last && last.x > one.x ? last : one), null)?.slants.right ?? 0;
    return board.cuts.flatMap((cut): readonly NumberedCut[] => {
      const piece = madeBy(board.pieces, 'right', cut);
      const begins = piece === null ? madeBy(board.pieces, 'left', cut) : null;
      const readies = cut.angle === 0 && (begins === null || afterSlant(begins) === 0);
      if (piece === null && (readies || cut.kind === 'rip')) return [];
      return [{ number: ++number, board: board.number, ...cut, piece, begins, setting: null }];
    });
  });
}

/** What crosscuts a board so wide, turned so far: a mitre saw where it reaches. */
function crosscutTool(shop: Shop, width: Length, angle: number): Tool | null {
  const reaches = width <= shop.crosscut && angle <= shop.mitre;
  return toolFor(shop.tools, [
    ...(reaches ? [['mitre saw'] as const] : []),
    ['circular saw'],
    ['table saw'],
    ['hand saw'],
  ]);
}

/** A piece with the cut that frees it, and the one that begins it where its left end is slanted and cut on its own. */
type Made = { readonly cut: NumberedCut; readonly piece: CutPiece; readonly before: readonly number[] };

/** A mitred piece has a cut at its left end too, unless the piece before it lent its slant. */
const degreesOf = ({ ends }: CutPiece['blank']): number =>
  ends ? Math.max(...[ends.left, ends.right].map(Math.abs)) : 0;

function stopSetup(id: string, made: readonly Made[], shop: Shop, when: Setup['when']): Setup {
  const { blank, length } = nth(made, 0).piece;
  const widest = Math.max(...made.map(({ piece }) => piece.blank.width));
  const extras = distinct(made.map(({ piece }) => piece.blank.extraFor));
  const tool = crosscutTool(shop, widest, degreesOf(blank));
  const square = blank.ends === null;
  return drawnUp({
    id,
    kind: 'stop',
    tool,
    setting: length,
    made,
    gang: tool === 'mitre saw' && square ? Math.max(1, Math.min(made.length, Math.floor(shop.crosscut / widest))) : 1,
    extraFor: extras.length === 1 ? nth(extras, 0) : null,
    ends: blank.ends,
    when,
  });
}

type Rough = Pick<Setup, 'id' | 'kind' | 'tool' | 'setting'> &
  Partial<Setup> & { readonly made: readonly Made[]; readonly others?: readonly CutPiece[] };

/** Fills in what follows from the cuts and pieces of a setting. */
function drawnUp({ made, others = [], ...given }: Rough): Setup {
  const pieces = [...made.map(({ piece }) => piece), ...others];
  const setup = {
    passes: [],
    jointed: false,
    runs: [],
    parts: distinct(pieces.map((piece) => piece.blank.part)),
    count: made.reduce((sum, { before }) => sum + 1 + before.length, 0),
    boards: distinct(made.map(({ cut }) => cut.board)),
    cuts: made.flatMap(({ cut, before }) => [...before, cut.number]),
    pieces,
    gang: 1,
    extraFor: null,
    ends: null,
    when: 'as usual' as const,
    ...given,
  };
  return { ...setup, cautions: cautionsFor(setup) };
}

/** Sticks and single pieces ripped to one width. */
type ToRip = { readonly rip: Rip; readonly board: number; readonly pieces: readonly CutPiece[] };

function fenceSetup(id: string, rows: readonly ToRip[], shop: Shop): Setup {
  const { to } = nth(rows, 0).rip;
  const pieces = rows.flatMap((row) => row.pieces);
  const both = rows.some(({ rip }) => rip.why === 'square edges');
  const { from } = rows.find(({ rip }) => rip.why === 'square edges')?.rip ?? nth(rows, 0).rip;
  const tool = toolFor(shop.tools, WAYS.rip);
  const jointer = shop.tools.includes('jointer');
  const share = (k: number, of: number) => from - Math.round(((from - to) * k) / of);
  // A fence needs a straight edge: without a jointer each edge goes through twice, which straightens as well.
  const passes = !both
    ? []
    : tool === 'table saw' && !jointer
      ? [1, 2, 3, 4].map((k) => share(k, 4))
      : [share(1, 2), to];
  return drawnUp({
    id,
    kind: 'fence',
    tool,
    setting: to,
    made: [],
    others: pieces,
    runs: rows.map(({ board, pieces: stick }) => ({ board, pieces: stick })),
    passes,
    jointed: both && tool === 'table saw' && jointer,
    count: rows.length * Math.max(1, passes.length),
    boards: distinct(rows.map(({ board }) => board)),
  });
}

function by<T>(rows: readonly T[], key: (row: T) => string): readonly (readonly [string, readonly T[]])[] {
  const groups = new Map<string, T[]>();
  for (const row of rows) {
    const name = key(row);
    groups.set(name, [...(groups.get(name) ?? []), row]);
  }
  return [...groups];
}

const largest = (a: Setup, b: Setup) => b.setting - a.setting;

/** The settings of a lane's crosscuts and rips. */
function laneSetups(sawn: readonly SawnBoard[], cuts: readonly NumberedCut[], shop: Shop): readonly Setup[] {
  const cutOf = new Map(cuts.flatMap((cut) => (cut.piece ? [[cut.piece, cut] as const] : [])));
  const beginsAt = new Map(cuts.flatMap((cut) => (cut.begins ? [[cut.begins, cut.number] as const] : [])));
  const making = (pieces: readonly CutPiece[]): readonly Made[] =>
    pieces.flatMap((piece) => {
      const cut = cutOf.get(piece);
      const begin = beginsAt.get(piece);
      return cut ? [{ cut, piece, before: begin === undefined ? [] : [begin] }] : [];
    });
  const lanes = sawn.filter(({ lane }) => lane);
  const parted = lanes.flatMap(({ sticks }) => sticks.filter(({ past }) => past !== null));
  const lastOf = ({ pieces }: Stick) => last(pieces);
  const onLine = new Set(parted.filter(({ past }) => past === 0).map(lastOf));
  const marks = (id: string, setting: Length, sticks: readonly Stick[]): readonly Setup[] => {
    const made = making(sticks.map(lastOf));
    if (made.length === 0) return [];
    const widest = Math.max(...made.map(({ piece }) => piece.blank.width));
    const extras = distinct(made.map(({ piece }) => piece.blank.extraFor));
    const extraFor = setting === 0 && extras.length === 1 ? nth(extras, 0) : null;
    return [drawnUp({ id, kind: 'marks', tool: crosscutTool(shop, widest, 0), setting, made, extraFor })];
  };
  const nameOf = ({ piece: { length, blank } }: Made) =>
    `${length}:${blank.thickness}${blank.ends ? `:${blank.ends.left}:${blank.ends.right}` : ''}`;
  const stops = (kind: 'stop' | 'early', of: readonly SawnBoard[]) =>
    by(making(of.flatMap(({ board }) => board.pieces.filter((piece) => !onLine.has(piece)))), nameOf)
      .map(([name, made]) => stopSetup(`${kind}:${name}`, made, shop, kind === 'early' ? 'before ripping' : 'as usual'))
      .sort(largest);
  const fences = (rows: readonly ToRip[]) =>
    by(rows, ({ rip, pieces }) => `${rip.to}:${nth(pieces, 0).blank.thickness}`)
      .map(([name, row]) => fenceSetup(`fence:${name}`, row, shop))
      .sort(largest);
  // Plies are ripped once they are glued: that is work on the part, not on the board.
  const alone = (board: Board): readonly ToRip[] =>
    board.pieces.flatMap((piece) => {
      const { rip, part } = piece.blank;
      return rip && part.plies === 1 ? [{ rip, board: board.number, pieces: [piece] }] : [];
    });
  const whole = lanes.flatMap(({ board, sticks, crosscutFirst }) =>
    crosscutFirst
      ? alone(board)
      : sticks.flatMap(({ rip, pieces }) => (rip ? [{ rip, board: board.number, pieces }] : [])),
  );
  return [
    ...marks(
      'marks:line',
      0,
      parted.filter(({ past }) => past === 0),
    ),
    ...marks(
      'marks:past',
      PAST,
      parted.filter(({ past }) => past !== null && past > 0),
    ),
    ...stops(
      'early',
      lanes.filter(({ crosscutFirst }) => crosscutFirst),
    ),
    ...fences(whole),
    ...stops(
      'stop',
      lanes.filter(({ crosscutFirst }) => !crosscutFirst),
    ),
  ];
}

/** What is broken down from edge to edge: one setup a sheet, since each cut is set on its own. */
function sheetSetups(sawn: readonly SawnBoard[], cuts: readonly NumberedCut[], shop: Shop): readonly Setup[] {
  const names = new Set<string>();
  return sawn.flatMap(({ board, lane }): readonly Setup[] => {
    if (lane) return [];
    const own = cuts.filter((cut) => cut.board === board.number);
    const base = `guide:${board.offer.id}:${board.pieces.map((piece) => piece.blank.part.id).join('+')}`.slice(0, 114);
    // Two sheets cut alike would have one name: they are told apart by their place.
    let id = base;
    for (let at = 2; names.has(id); at++) id = `${base}:${at}`;
    names.add(id);
    const tool =
      'sheet' in board.offer
        ? toolFor(shop.tools, [['circular saw', 'guide'], ['table saw']])
        : toolFor(shop.tools, WAYS.rip);
    return [
      drawnUp({
        id,
        kind: 'guide',
        tool,
        setting: 0,
        made: [],
        others: board.pieces,
        count: own.length,
        boards: [board.number],
        cuts: own.map((cut) => cut.number),
      }),
    ];
  });
}

/**
 * From boards laid out to boards that can be sawn: pieces in the order they are best cut, every cut numbered board by
 * board, and the settings in working order: rough cuts by marks, what must be crosscut before it is ripped, rips from
 * the widest down, stops from the longest down, then sheets. The order can be followed on
 * every board; each setting comes once.
 */
export function sawingOf(boards: readonly Board[], shop: Shop): Sawing {
  const sawn = boards.map((board) => arrange(board, shop));
  const cuts = numberCuts(sawn, shop);
  const setupsFor = (of: readonly SawnBoard[]) => [...laneSetups(of, cuts, shop), ...sheetSetups(of, cuts, shop)];
  // A setting that has boards left tells of them alone: what is cut is not cut again.
  const left = sawn.filter(({ board }) => board.state !== 'cut');
  const open = new Map(left.length < sawn.length ? setupsFor(left).map((setup) => [setup.id, setup]) : []);
  return {
    boards: sawn.map(({ board }) => board),
    cuts,
    setups: setupsFor(sawn).map((setup) => open.get(setup.id) ?? setup),
  };
}

/** Minutes for one crosscut with a stop or by a mark, one rip, one board squared. One person, not hurried. */
const CROSSCUT = 2;
const RIP = 4;
const SQUARE = 2;

/** Minutes at one setting: each cut, and a board made ready where it is crosscut. Several cut at once count as one. */
export const minutesAt = ({ kind, count, gang, boards }: Setup): number =>
  kind === 'stop' || kind === 'marks' ? CROSSCUT * Math.ceil(count / gang) + SQUARE * boards.length : RIP * count;
