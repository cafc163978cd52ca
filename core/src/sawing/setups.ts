import type { Length } from '../length';
import type { Board, CutPiece } from '../buying';
import type { Part } from '../piece';

/** A numbered cut. A crosscut is at x from y to y, measured from the left end; a rip is at y from x to x. */
export type NumberedCut = {
  readonly number: number;
  readonly board: number;
  readonly kind: 'crosscut' | 'rip';
  readonly at: Length;
  readonly from: Length;
  readonly to: Length;
  /** The piece that a crosscut on a board frees; null on sheets, where one cut frees several. */
  readonly piece: CutPiece | null;
};

/** One setting of the saw and everything that is cut with it before it is moved. */
export type Setup = {
  readonly id: string;
  /** A stop on the crosscut saw, a rip fence, or a guide clamped across a sheet. */
  readonly kind: 'stop' | 'fence' | 'guide';
  /** Length or width that the stop or fence is set to; 0 for a sheet, whose cuts are each marked. */
  readonly setting: Length;
  readonly parts: readonly Part[];
  /** Pieces cut at this setting. */
  readonly count: number;
  readonly boards: readonly number[];
  /** Numbers of the crosscuts; empty for rips. */
  readonly cuts: readonly number[];
  /** How many may be laid side by side and cut at once: only narrow crosscuts of one length. */
  readonly gang: number;
  /** Left long on purpose, and for what. */
  readonly extraFor: CutPiece['blank']['extraFor'];
  /** Angles the saw is turned to at the two ends, degrees; null for square ones. */
  readonly ends: CutPiece['blank']['ends'];
};

/** Every crosscut on boards and every cut through sheets, numbered board by board, in the order they are made. */
export function numberCuts(boards: readonly Board[]): readonly NumberedCut[] {
  let number = 0;
  return boards.flatMap((board): readonly NumberedCut[] =>
    'sheet' in board.offer
      ? board.cuts.map((cut) => ({ number: ++number, board: board.number, ...cut, piece: null }))
      : board.pieces.map((piece) => ({
          number: ++number,
          board: board.number,
          kind: 'crosscut',
          at: piece.x + piece.length,
          from: 0,
          to: board.width,
          piece,
        })),
  );
}

const distinct = <T>(values: readonly T[]): readonly T[] => [...new Set(values)];

type BoardCut = NumberedCut & { readonly piece: CutPiece };

/**
 * Saw settings in working order: stops from the longest down (each board has its longest piece first, so this order
 * can be followed on every board), then the rip fence from the widest down, then the sheets one by one.
 *
 * @param reach width that the crosscut saw takes at once: so many boards may lie side by side.
 */
export function sawSetups(cuts: readonly NumberedCut[], boards: readonly Board[], reach: Length): readonly Setup[] {
  const stops = new Map<string, BoardCut[]>();
  const fences = new Map<string, BoardCut[]>();
  const add = (to: Map<string, BoardCut[]>, key: string, cut: BoardCut) => to.set(key, [...(to.get(key) ?? []), cut]);
  for (const cut of cuts) {
    if (cut.piece === null) continue;
    const made = { ...cut, piece: cut.piece };
    const { blank, length } = cut.piece;
    add(stops, `stop:${length}:${blank.thickness}${blank.ends ? `:${blank.ends.left}:${blank.ends.right}` : ''}`, made);
    if (blank.rip) add(fences, `fence:${blank.rip.to}:${blank.thickness}`, made);
  }
  const setup = (kind: 'stop' | 'fence', [id, made]: [string, BoardCut[]]): Setup => {
    const { blank, length } = made[0]!.piece;
    const widest = Math.max(...made.map((cut) => cut.piece.blank.width));
    const extras = distinct(made.map((cut) => cut.piece.blank.extraFor));
    return {
      id,
      kind,
      setting: kind === 'stop' ? length : blank.rip!.to,
      parts: distinct(made.map((cut) => cut.piece.blank.part)),
      count: made.length,
      boards: distinct(made.map((cut) => cut.board)),
      cuts: kind === 'stop' ? made.map((cut) => cut.number) : [],
      gang: kind === 'stop' && !blank.ends ? Math.max(1, Math.min(made.length, Math.floor(reach / widest))) : 1,
      extraFor: extras.length === 1 ? extras[0]! : null,
      ends: kind === 'stop' ? blank.ends : null,
    };
  };
  const longest = (a: Setup, b: Setup) => b.setting - a.setting;
  const sheets = boards
    .filter((board) => 'sheet' in board.offer)
    .map((board): Setup => {
      const own = cuts.filter((cut) => cut.board === board.number);
      return {
        id: `guide:${board.offer.id}:${board.pieces.map((piece) => piece.blank.part.id).join('+')}`.slice(0, 118),
        kind: 'guide',
        setting: 0,
        parts: distinct(board.pieces.map((piece) => piece.blank.part)),
        count: own.length,
        boards: [board.number],
        cuts: own.map((cut) => cut.number),
        gang: 1,
        extraFor: null,
        ends: null,
      };
    });
  // Two sheets cut alike would have one name: they are told apart by their place.
  const named = sheets.map((sheet, at) => ({
    ...sheet,
    id: `${sheet.id}`.slice(0, 114) + (sheets.findIndex((other) => other.id === sheet.id) === at ? '' : `:${at}`),
  }));
  return [
    ...[...stops].map((entry) => setup('stop', entry)).sort(longest),
    ...[...fences].map((entry) => setup('fence', entry)).sort(longest),
    ...named,
  ];
}
