import { inches, type Length } from '../length';
import type { Board, CutPiece } from '../buying';
import type { Part } from '../piece';

/** A numbered crosscut on a board: the blade's left side at `x`, measured from the board's left end. */
export type NumberedCut = {
  readonly number: number;
  readonly board: number;
  readonly x: Length;
  readonly piece: CutPiece;
};

/** One setting of the saw and everything that is cut with it before it is moved. */
export type Setup = {
  readonly id: string;
  readonly kind: 'stop' | 'fence';
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
};

/** Every crosscut of the job, numbered board by board, left to right. */
export function numberCuts(boards: readonly Board[]): readonly NumberedCut[] {
  let number = 0;
  return boards.flatMap((board) =>
    board.pieces.map((piece) => ({ number: ++number, board: board.number, x: piece.x + piece.length, piece })),
  );
}

/** A mitre saw crosscuts about this much width at once. */
const SAW_REACH: Length = inches(12);

const distinct = <T>(values: readonly T[]): readonly T[] => [...new Set(values)];

/**
 * Saw settings in working order: stops from the longest down (each board has its longest piece first, so this order
 * can be followed on every board), then the rip fence from the widest down.
 */
export function sawSetups(cuts: readonly NumberedCut[]): readonly Setup[] {
  const stops = new Map<string, NumberedCut[]>();
  const fences = new Map<string, NumberedCut[]>();
  const add = (to: Map<string, NumberedCut[]>, key: string, cut: NumberedCut) =>
    to.set(key, [...(to.get(key) ?? []), cut]);
  for (const cut of cuts) {
    const { blank, length } = cut.piece;
    add(stops, `stop:${length}:${blank.thickness}`, cut);
    if (blank.rip) add(fences, `fence:${blank.rip.to}:${blank.thickness}`, cut);
  }
  const setup = (kind: Setup['kind'], [id, made]: [string, NumberedCut[]]): Setup => {
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
      gang: kind === 'stop' ? Math.max(1, Math.min(made.length, Math.floor(SAW_REACH / widest))) : 1,
      extraFor: extras.length === 1 ? extras[0]! : null,
    };
  };
  const longest = (a: Setup, b: Setup) => b.setting - a.setting;
  return [
    ...[...stops].map((entry) => setup('stop', entry)).sort(longest),
    ...[...fences].map((entry) => setup('fence', entry)).sort(longest),
  ];
}
