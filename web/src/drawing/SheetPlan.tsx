import { scaleLinear } from 'd3';
import type { ReactNode } from 'react';
import {
  type Board,
  boardName,
  type CutPiece,
  first,
  inches,
  type Length,
  nth,
  type NumberedCut,
  printLength,
} from '@sill/core';
import { useMark, useUnits } from '../state/hooks';
import { Drawing } from './BoardRow';
import { runs } from '../words/labels';
import { Dim, DimSpan, Text } from '../words/Dim';
import { stateWords } from './board-state';

type Props = {
  readonly board: Board;
  readonly cuts: readonly NumberedCut[];
  readonly label: (partId: string) => string;
  readonly lit: ReadonlySet<number> | null;
  /** Width of the drawing in its own units. */
  readonly wide: number;
  /** Beside its name: what can be settled about it. */
  readonly tools?: ReactNode;
};

/** Sheets are drawn to the scale of a whole one, so that small ones look small. */
const USUAL: Length = inches(96);
const PAD = 16;

type Place = { readonly x: number; readonly y: number; readonly along: 'x' | 'y' };
/** Numbers nearer than this would lie over each other. */
const TOUCH = 17;

/** Where the numbers stand: at the beginning of their cuts, moved along where another stands already. */
function apart(places: readonly Place[]): readonly (readonly [number, number])[] {
  const taken: [number, number][] = [];
  for (const { x, y, along } of places) {
    let [cx, cy] = [x, y];
    for (let tries = 0; tries < 12 && taken.some(([a, b]) => Math.hypot(a - cx, b - cy) < TOUCH); tries++)
      if (along === 'x') cx += TOUCH;
      else cy += TOUCH;
    taken.push([cx, cy]);
  }
  return taken;
}

/** One sheet to scale: pieces with their tags and sizes, and the cuts numbered in the order they are made. */
export function SheetPlan({ board, cuts, label, lit, wide, tools }: Props) {
  const units = useUnits();
  const scale = scaleLinear()
    .domain([0, Math.max(USUAL, board.length)])
    .range([0, wide - 2 * PAD]);
  const tall = scale(board.width);
  // The sheet lies as its drawing does: width upwards.
  const y = (value: Length) => PAD + tall - scale(value);
  const x = (value: Length) => PAD + scale(value);
  const places = apart(
    cuts.map((cut) =>
      cut.kind === 'crosscut'
        ? { x: x(cut.at), y: Math.min(y(cut.from), y(cut.to)) + 2, along: 'y' as const }
        : { x: x(cut.from) + 2, y: y(cut.at), along: 'x' as const },
    ),
  );
  const sizes = (piece: CutPiece) => `${printLength(piece.length, units)} by ${printLength(piece.width, units)}`;
  const name = `Sheet ${board.number}, ${boardName(board, units)}: ${board.pieces.map((piece) => `${label(piece.blank.part.id)} ${sizes(piece)}`).join(', ')}`;
  return (
    <div className="board-row sheet-row">
      <div className="board-name">
        <strong>{board.number}</strong>
        <span>
          <b>
            <Text of={boardName(board, units)} />
          </b>
          <small>{stateWords(board)}</small>
        </span>
        {tools}
      </div>
      <Drawing wide={wide} tall={tall + 2 * PAD} name={name}>
        <rect className="outline" x={x(0)} y={y(board.width)} width={scale(board.length)} height={tall} rx={2} />
        {board.pieces.map((piece, at) => (
          <Lying
            key={at}
            piece={piece}
            tag={label(piece.blank.part.id)}
            x={x(piece.x)}
            y={y(piece.y + piece.width)}
            width={scale(piece.length)}
            tall={scale(piece.width)}
          />
        ))}
        {cuts.map((cut, at) => {
          const [x1, x2] = cut.kind === 'crosscut' ? [x(cut.at), x(cut.at)] : [x(cut.from), x(cut.to)];
          const [y1, y2] = cut.kind === 'crosscut' ? [y(cut.from), y(cut.to)] : [y(cut.at), y(cut.at)];
          const [cx, cy] = nth(places, at);
          return (
            <g key={cut.number} className={lit !== null && !lit.has(cut.number) ? 'cut dimmed' : 'cut'}>
              <line x1={x1} x2={x2} y1={y1} y2={y2} />
              <circle cx={cx} cy={cy} r={9} />
              <text x={cx} y={cy + 4}>
                {cut.number}
              </text>
            </g>
          );
        })}
        <title>{`${name}. Kerf beside every cut.`}</title>
      </Drawing>
      <Sizes
        pieces={board.pieces.filter((piece) => roomForSize(scale(piece.length), scale(piece.width)) === null)}
        label={label}
      />
    </div>
  );
}

/** Where a piece's size can be written on it, drawn so large: beside its tag, below it, or nowhere. */
const roomForSize = (width: number, tall: number): 'beside' | 'below' | null =>
  width > 190 && tall > 18 ? 'beside' : width > 140 && tall > 62 ? 'below' : null;

/** Pieces whose size has no room on the drawing, those of one size together. */
function Sizes({
  pieces,
  label,
}: {
  readonly pieces: readonly CutPiece[];
  readonly label: (partId: string) => string;
}) {
  const rows = new Map<string, CutPiece[]>();
  for (const piece of pieces) {
    const key = `${piece.length} ${piece.width}`;
    rows.set(key, [...(rows.get(key) ?? []), piece]);
  }
  if (rows.size === 0) return null;
  return (
    <p className="sheet-sizes">
      {[...rows].map(([key, row]) => (
        <span key={key}>
          <b>{runs(row.map((piece) => label(piece.blank.part.id)))}</b> <Dim of={first(row).length} /> ×{' '}
          <Dim of={first(row).width} />
        </span>
      ))}
    </p>
  );
}

type LyingProps = {
  readonly piece: CutPiece;
  readonly tag: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly tall: number;
};

function Lying({ piece, tag, x, y, width, tall }: LyingProps) {
  const { part } = piece.blank;
  const { marked, handlers } = useMark(part.id);
  const room = roomForSize(width, tall);
  return (
    <g className={`piece${marked ? ' marked' : ''}`} {...handlers}>
      <rect className="wood" x={x} y={y} width={width} height={tall} />
      <rect className={`role role-${part.role}`} x={x} y={y} width={5} height={tall} />
      {width > 32 + tag.length * 7.6 && tall > 18 && (
        <text className="piece-tag" x={x + 24} y={y + Math.min(tall / 2 + 5, 34)}>
          {tag}
        </text>
      )}
      {room !== null && (
        <text
          className={room === 'beside' ? 'piece-length' : 'piece-below'}
          x={room === 'beside' ? x + width - 7 : x + 24}
          y={y + Math.min(tall / 2 + 5, 34) + (room === 'below' ? 21 : 0)}
        >
          <DimSpan of={piece.length} /> × <DimSpan of={piece.width} />
        </text>
      )}
    </g>
  );
}
