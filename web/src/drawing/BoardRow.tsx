import { useMediaQuery } from '@mui/material';
import { scaleLinear } from 'd3';
import {
  KEEP_OFFCUT,
  PER_INCH,
  toInches,
  printLength,
  boardName,
  storeCuts,
  type Board,
  type Length,
  type NumberedCut,
} from '@sill/core';
import { useJob, useMark, useUnits } from '../state/hooks';
import type { ROLE_TONE } from '../theme';
import { DimSpan, Text } from '../words/Dim';

type Props = {
  readonly board: Board;
  readonly cuts: readonly NumberedCut[];
  /** The longest board in view, so that all are to one scale. */
  readonly longest: Length;
  readonly label: (partId: string) => string;
  /** Cuts of the saw setup being looked at; the others step back. Null shows all alike. */
  readonly lit: ReadonlySet<number> | null;
};

/** Width of the drawing in its own units: as many as the pixels it will have, so that text stays its size. */
const WIDE = 640;
const NARROW = 330;
const TOP = 26;

/** About how wide text of this many letters is at 15 px. */
const room = (letters: number) => letters * 7.6;

/**
 * One board to scale: squared ends hatched, pieces with their tags and lengths, numbered cuts, rips dashed inside, and
 * what is kept. What a narrow piece has no room for is left out of the drawing and stands in its name.
 */
export function BoardRow({ board, cuts, longest, label, lit }: Props) {
  const units = useUnits();
  const { car } = useJob().shop;
  const narrow = useMediaQuery('(max-width: 599px)');
  const total = narrow ? NARROW : WIDE;
  const x = scaleLinear().domain([0, longest]).range([0, total]);
  const width = board.pieces[0]!.blank.width;
  const tall = Math.max(26, Math.min(44, 8 + toInches(width) * 6));
  const inches = (length: Length) => printLength(length, units, true);
  const [first, last] = [board.pieces[0]!, board.pieces.at(-1)!];
  const name = `Board ${board.number}, ${boardName(board, units)}: ${board.pieces.map((piece) => `${label(piece.blank.part.id)} ${inches(piece.length)}`).join(', ')}`;
  const atStore = board.hand ? [] : (storeCuts(board, car) ?? []);
  const kept = board.offcuts.filter((offcut) => offcut.length >= KEEP_OFFCUT);
  return (
    <div className="board-row">
      <div className="board-name">
        <strong>{board.number}</strong>
        <span>
          <b>
            <Text of={boardName(board, units)} />
          </b>
          <small>{board.hand ? 'on hand' : atStore.length > 0 ? 'store cuts' : 'buy'}</small>
        </span>
        <EndSection width={width} thickness={first.blank.thickness} />
      </div>
      <svg className="board" viewBox={`0 0 ${total + 14} ${TOP + tall + 8}`} role="img" aria-label={name}>
        <rect className="outline" x={1} y={TOP} width={x(board.length)} height={tall} rx={2} />
        <rect className="waste" x={1} y={TOP} width={x(first.x)} height={tall} />
        {board.hand?.bad.map(({ from, to }) => (
          <rect key={from} className="waste" x={1 + x(from)} y={TOP} width={x(to) - x(from)} height={tall} />
        ))}
        {board.pieces.map((piece, at) => (
          <Piece
            key={at}
            x={1 + x(piece.x)}
            y={TOP}
            width={x(piece.length)}
            tall={tall}
            left={x(lean(piece.slants.left, width))}
            right={x(lean(piece.slants.right, width))}
            id={piece.blank.part.id}
            role={piece.blank.part.role}
            tag={label(piece.blank.part.id)}
            length={piece.length}
            digits={printLength(piece.length, units).length}
            rip={piece.blank.rip ? (1 - piece.blank.rip.to / piece.blank.rip.from) * tall : 0}
            square={piece.blank.rip?.why === 'square edges'}
            dimmed={lit !== null && !lit.has(cuts[at]!.number)}
          />
        ))}
        {kept.map((offcut) => {
          const wide = x(offcut.length);
          const words = wide > room(9);
          return (
            words && (
              <text key={offcut.x} className="keep" x={1 + x(offcut.x) + wide / 2} y={TOP + tall / 2 + 5}>
                keep <DimSpan of={Math.floor(offcut.length / PER_INCH) * PER_INCH} />
              </text>
            )
          );
        })}
        {atStore.map((at) => (
          <line key={at} className="store-cut" x1={1 + x(at)} x2={1 + x(at)} y1={TOP - 4} y2={TOP + tall + 8} />
        ))}
        {cuts.map((cut) => (
          <g key={cut.number} className={lit !== null && !lit.has(cut.number) ? 'cut dimmed' : 'cut'}>
            <CutLine x={1 + x(cut.at)} tall={tall} lean={x(lean(cut.piece?.slants.right ?? 0, width))} />
            <circle cx={1 + x(cut.at)} cy={TOP - 15} r={10} />
            <text x={1 + x(cut.at)} y={TOP - 11}>
              {cut.number}
            </text>
          </g>
        ))}
        <title>{`${name}. Kerf after every cut. Last cut ${inches(last.x + last.length)} from the left end.`}</title>
      </svg>
    </div>
  );
}

/** How far an end runs to the right from the lower edge of a board to the upper one. */
const lean = (degrees: number, width: Length): Length => width * Math.tan((degrees * Math.PI) / 180);

/** A cut at a piece's right end, along its slant, with a stub up to its number. */
function CutLine({ x, tall, lean: to }: { readonly x: number; readonly tall: number; readonly lean: number }) {
  if (to === 0) return <line x1={x} x2={x} y1={TOP - 8} y2={TOP + tall + 5} />;
  const [low, high] = [x - Math.max(0, to), x - Math.max(0, to) + to];
  return <path className="slant" d={`M${x} ${TOP - 8} L${high} ${TOP} L${low} ${TOP + tall}`} />;
}

type Side = readonly [low: number, lean: number];

/** Corners of a strip between two sides, each by where it begins at the lower edge and how far it runs to the right. */
const slanted = ([a, leanA]: Side, [b, leanB]: Side, y: number, tall: number): string =>
  `${a},${y + tall} ${a + leanA},${y} ${b + leanB},${y} ${b},${y + tall}`;

type PieceProps = {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly tall: number;
  /** How far its left and right end run to the right from the lower edge to the upper one; 0 where they are square. */
  readonly left: number;
  readonly right: number;
  readonly id: string;
  readonly role: keyof typeof ROLE_TONE;
  readonly tag: string;
  readonly length: Length;
  readonly digits: number;
  /** Height of what is ripped off, on the drawing. */
  readonly rip: number;
  readonly square: boolean;
  readonly dimmed: boolean;
};

function Piece({ x, y, width, tall, left, right, id, role, tag, length, digits, rip, square, dimmed }: PieceProps) {
  const { marked, handlers } = useMark(id);
  const middle = y + tall / 2 + 5;
  const start = x - Math.min(0, left);
  // What is written stands clear of the slants.
  const clear = { left: Math.abs(left), right: Math.abs(right) };
  const tagFits = width - clear.left - clear.right > room(tag.length) + 12;
  const lengthFits = width - clear.left - clear.right > room(tag.length + digits) + 30;
  return (
    <g className={`piece${marked ? ' marked' : ''}${dimmed ? ' dimmed' : ''}`} {...handlers}>
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
      <polygon className={`role role-${role}`} points={slanted([start, left], [start + 5, left], y, tall)} />
      {tagFits && (
        <text className="piece-tag" x={x + 11 + clear.left} y={middle}>
          {tag}
        </text>
      )}
      {lengthFits && (
        <text className="piece-length" x={x + width - 7 - clear.right} y={middle}>
          <DimSpan of={length} />
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
    <svg className="end-section" viewBox="0 0 44 44" aria-hidden>
      <rect x={22 - wide / 2} y={22 - tall / 2} width={wide} height={tall} rx={2} />
      {[0.3, 0.6].map((at) => (
        <path key={at} d={`M${22 - wide / 2} ${22 - tall / 2 + tall * at + 4} q ${wide / 2} -8 ${wide} 0`} />
      ))}
    </svg>
  );
}
