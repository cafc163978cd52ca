import { scaleLinear } from 'd3';
import type { ReactNode } from 'react';
import {
  type Board,
  boardName,
  cutNumbers,
  type CutPiece,
  first,
  KEEP_OFFCUT,
  type Length,
  nth,
  type NumberedCut,
  type OffcutUse,
  printLength,
  storeCuts,
  toInches,
  wholeInches,
} from '@sill/core';
import { useJob, useMark, useUnits } from '../state/hooks';
import { DropPlace, useHeld } from './held';
import { DimSpan, Text } from '../words/Dim';
import { stateWords } from './board-state';
import './BoardRow.css';

type Props = {
  readonly board: Board;
  readonly cuts: readonly NumberedCut[];
  /** The longest board in view, so that all are to one scale. */
  readonly longest: Length;
  readonly label: (partId: string) => string;
  /** Cuts of the saw setup being looked at; the others step back. Null shows all alike. */
  readonly lit: ReadonlySet<number> | null;
  /** Width of the drawing in its own units: as many as the pixels it will have, so that text stays its size. */
  readonly wide: number;
  /** What becomes of what is left, where it has a job. */
  readonly uses: readonly OffcutUse[];
  /** Beside its name: what can be settled about it. */
  readonly tools?: ReactNode;
  /** What stands below it. */
  readonly children?: ReactNode;
};

/** Room above a board for one row of numbers, and for each further row. */
const ROW = 26;
const MORE = 21;

/** Where the numbers of a board's cuts stand along it. */
const placesOf = (cuts: readonly NumberedCut[], width: Length, longest: Length, wide: number): readonly number[] =>
  cuts.map((cut) => 1 + ((cut.at + lean(cut.angle, width)) / longest) * wide);

/** Rows of numbers beyond the first that a board's drawing needs, and what each adds to its height. */
export const moreRows = (board: Board, cuts: readonly NumberedCut[], longest: Length, wide: number): number =>
  Math.max(0, ...rowsOf(placesOf(cuts, first(board.pieces).blank.width, longest, wide))) * MORE;

/** Numbers that would touch their neighbour stand in a row above. */
function rowsOf(places: readonly number[]): readonly number[] {
  const ends: number[] = [];
  return places.map((place) => {
    const row = ends.findIndex((end) => place - end >= 21);
    const taken = row < 0 ? ends.length : row;
    ends[taken] = place;
    return taken;
  });
}

/** About how wide text of this many letters is at 15 px. */
const room = (letters: number) => letters * 7.6;

/**
 * One board to scale: squared ends hatched, pieces with their tags and lengths, numbered cuts, rips dashed inside, and
 * what is kept. What a narrow piece has no room for is left out of the drawing and stands in its name.
 */
export function BoardRow({ board, cuts, longest, label, lit, wide: total, uses, tools, children }: Props) {
  const units = useUnits();
  const { car } = useJob().shop;
  const x = scaleLinear().domain([0, longest]).range([0, total]);
  const width = nth(board.pieces, 0).blank.width;
  const tall = Math.max(26, Math.min(44, 8 + toInches(width) * 6));
  const places = placesOf(cuts, width, longest, total);
  const rows = rowsOf(places);
  const top = ROW + MORE * Math.max(0, ...rows);
  const inches = (length: Length) => printLength(length, units, true);
  const [first, last] = [nth(board.pieces, 0), nth(board.pieces, board.pieces.length - 1)];
  const cutOf = cutNumbers(cuts);
  const name = `Board ${board.number}, ${boardName(board, units)}: ${board.pieces.map((piece) => `${label(piece.blank.part.id)} ${inches(piece.length)}`).join(', ')}`;
  const atStore = board.hand ? [] : (storeCuts(board, car) ?? []);
  const kept = board.offcuts.filter(
    ({ length, x: at }) => length >= KEEP_OFFCUT || uses.some((use) => use.offcut.x === at),
  );
  return (
    <div className="board-row">
      <div className="board-name">
        <strong>{board.number}</strong>
        <span>
          <b>
            <Text of={boardName(board, units)} />
          </b>
          <small>{stateWords(board, atStore.length > 0)}</small>
        </span>
        {tools}
        <EndSection width={width} thickness={first.blank.thickness} />
      </div>
      <DropPlace board={board}>
        <Drawing wide={total + 14} tall={top + tall + 8} name={name}>
          <rect className="outline" x={1} y={top} width={x(board.length)} height={tall} rx={2} />
          <rect className="waste" x={1} y={top} width={x(first.x)} height={tall} />
          {board.hand?.bad.map(({ from, to }) => (
            <rect key={from} className="waste" x={1 + x(from)} y={top} width={x(to) - x(from)} height={tall} />
          ))}
          {board.pieces.map((piece, at) => (
            <Piece
              key={at}
              board={board}
              piece={piece}
              at={at}
              x={1 + x(piece.x)}
              y={top}
              width={x(piece.length)}
              tall={tall}
              left={x(lean(piece.slants.left, width))}
              right={x(lean(piece.slants.right, width))}
              tag={label(piece.blank.part.id)}
              digits={printLength(piece.length, units).length}
              dimmed={lit !== null && !lit.has(cutOf.get(piece) ?? -1)}
            />
          ))}
          {kept.map((offcut) => {
            const wide = x(offcut.length);
            const job = uses.find((use) => use.offcut.x === offcut.x)?.jobs[0]?.kind ?? null;
            const words = job === null ? 'keep ' : `${job} `;
            return (
              wide > room(words.length + 4) && (
                <text key={offcut.x} className="keep" x={1 + x(offcut.x) + wide / 2} y={top + tall / 2 + 5}>
                  {words}
                  <DimSpan of={wholeInches(offcut.length)} />
                </text>
              )
            );
          })}
          {atStore.map((at) => (
            <line key={at} className="store-cut" x1={1 + x(at)} x2={1 + x(at)} y1={top - 4} y2={top + tall + 8} />
          ))}
          {cuts.map((cut, at) => (
            <g key={cut.number} className={lit !== null && !lit.has(cut.number) ? 'cut dimmed' : 'cut'}>
              <CutLine
                low={1 + x(cut.at)}
                top={top}
                tall={tall}
                lean={x(lean(cut.angle, width))}
                up={8 + MORE * nth(rows, at)}
              />
              <circle cx={places[at]} cy={top - 15 - MORE * nth(rows, at)} r={10} />
              <text x={places[at]} y={top - 11 - MORE * nth(rows, at)}>
                {cut.number}
              </text>
            </g>
          ))}
          <title>{`${name}. Kerf after every cut. Last cut ${inches(last.x + last.length)} from the left end.`}</title>
        </Drawing>
      </DropPlace>
      {children}
    </div>
  );
}

/** How far an end runs to the right from the lower edge of a board to the upper one. */
const lean = (degrees: number, width: Length): Length => width * Math.tan((degrees * Math.PI) / 180);

type LineProps = {
  readonly low: number;
  readonly top: number;
  readonly tall: number;
  readonly lean: number;
  readonly up: number;
};

/** A cut from where it begins at the lower edge, along its slant, with a stub up to its number. */
function CutLine({ low, top, tall, lean: to, up }: LineProps) {
  if (to === 0) return <line x1={low} x2={low} y1={top - up} y2={top + tall + 5} />;
  return <path className="slant" d={`M${low + to} ${top - up} V${top} L${low} ${top + tall}`} />;
}

/** A drawing as wide as its place, or, enlarged, one that is scrolled. */
export function Drawing({
  wide,
  tall,
  name,
  children,
}: {
  readonly wide: number;
  readonly tall: number;
  readonly name: string;
  readonly children: ReactNode;
}) {
  return (
    <div className="drawing" tabIndex={wide > 700 ? 0 : undefined}>
      <svg className="board" viewBox={`0 0 ${wide} ${tall.toFixed(0)}`} width={wide} role="img" aria-label={name}>
        {children}
      </svg>
    </div>
  );
}

type Side = readonly [low: number, lean: number];

/** Corners of a strip between two sides, each by where it begins at the lower edge and how far it runs to the right. */
const slanted = ([a, leanA]: Side, [b, leanB]: Side, y: number, tall: number): string =>
  `${a},${y + tall} ${a + leanA},${y} ${b + leanB},${y} ${b},${y + tall}`;

type PieceProps = {
  readonly board: Board;
  readonly piece: CutPiece;
  readonly at: number;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly tall: number;
  /** How far its left and right end run to the right from the lower edge to the upper one; 0 where they are square. */
  readonly left: number;
  readonly right: number;
  readonly tag: string;
  readonly digits: number;
  readonly dimmed: boolean;
};

function Piece({ board, piece, at, x, y, width, tall, left, right, tag, digits, dimmed }: PieceProps) {
  const { rip: ripped, part } = piece.blank;
  const { marked, handlers } = useMark(part.id);
  const held = useHeld(board, piece, at);
  // Height of what is ripped off, on the drawing.
  const rip = ripped ? (1 - ripped.to / ripped.from) * tall : 0;
  const square = ripped?.why === 'square edges';
  const middle = y + tall / 2 + 5;
  const start = x - Math.min(0, left);
  // What is written stands clear of the slants.
  const clear = { left: Math.abs(left), right: Math.abs(right) };
  const tagFits = width - clear.left - clear.right > room(tag.length) + 12;
  const lengthFits = width - clear.left - clear.right > room(tag.length + digits) + 30;
  return (
    <g className={`piece${marked ? ' marked' : ''}${dimmed ? ' dimmed' : ''}`} {...handlers} {...held}>
      {left === 0 && right === 0 ? (
        <rect className="wood" x={x} y={y} width={width} height={tall} />
      ) : (
        <polygon className="wood" points={slanted([start, left], [x + width - Math.max(0, right), right], y, tall)} />
      )}
      {[0.22, 0.5, 0.8].map((at, k) => (
        <path
          key={at}
          className="grain"
          d={`M${x + 6} ${y + tall * at} q ${width * 0.3} ${k % 2 ? 3 : -3} ${width * 0.5} 0 t ${Math.max(0, width * 0.5 - 8)} 0`}
        />
      ))}
      {rip > 0 && square && (
        <line className="rip" x1={x} x2={x + width} y1={y + Math.max(2, rip / 2)} y2={y + Math.max(2, rip / 2)} />
      )}
      {rip > 0 && (
        <line
          className="rip"
          x1={x}
          x2={x + width}
          y1={y + tall - Math.max(2, square ? rip / 2 : rip)}
          y2={y + tall - Math.max(2, square ? rip / 2 : rip)}
        />
      )}
      <polygon className={`role role-${part.role}`} points={slanted([start, left], [start + 5, left], y, tall)} />
      {tagFits && (
        <text className="piece-tag" x={x + 11 + clear.left} y={middle}>
          {tag}
        </text>
      )}
      {lengthFits && (
        <text className="piece-length" x={x + width - 7 - clear.right} y={middle}>
          <DimSpan of={piece.length} />
        </text>
      )}
    </g>
  );
}

/** The end of the board, with its rings: how it stands on the saw. */
function EndSection({ width, thickness }: { readonly width: Length; readonly thickness: Length }) {
  const tall = Math.max(18, Math.min(40, toInches(width) * 5));
  const wide = Math.max(7, (tall * thickness) / width);
  return (
    <svg className="end-section" viewBox="10 0 24 44" aria-hidden>
      <rect x={22 - wide / 2} y={22 - tall / 2} width={wide} height={tall} rx={2} />
      {[0.3, 0.6].map((at) => (
        <path key={at} d={`M${22 - wide / 2} ${22 - tall / 2 + tall * at + 4} q ${wide / 2} -8 ${wide} 0`} />
      ))}
    </svg>
  );
}
