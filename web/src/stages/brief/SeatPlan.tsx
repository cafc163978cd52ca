import { scaleLinear } from 'd3';
import { PLACE, boxOf, inches, topOf, type Part, type Piece, type Seating } from '@sill/core';
import { DimSpan } from '../../words/Dim';
import './SeatPlan.css';

const DEEP = inches(14);
const WIDTH = 420;
const PAD = 34;
/** Room at both sides for the number of the width. */
const ASIDE = 52;

type Props = { readonly piece: Piece; readonly parts: readonly Part[]; readonly seats: Seating };

/** The table from above: what stands on the floor dashed below, a mark for every place. */
export function SeatPlan({ piece, parts, seats }: Props) {
  const { size } = piece;
  const deck = topOf(piece)?.deck ?? 'rectangle';
  const span = Math.max(size.length, size.width * 1.2);
  const scale = scaleLinear()
    .domain([0, span])
    .range([0, WIDTH - 2 * ASIDE]);
  const [w, h] = [scale(size.length), Math.min(300, scale(size.width))];
  const left = (WIDTH - w) / 2;
  const tall = h + 2 * PAD;
  const placeWide = Math.max(8, scale(PLACE));
  // A place is drawn a little smaller than it is; a sliver of a table still gets a mark.
  const placeDeep = Math.max(8, Math.min(scale(DEEP), h * 0.45));
  const standing = parts.filter((part) => !part.loose && boxOf(part).min[2] === 0).map(boxOf);
  const cut = w * 0.2929;
  return (
    <svg
      className="seat-plan"
      viewBox={`0 0 ${WIDTH} ${tall.toFixed(0)}`}
      role="img"
      aria-label={`The ${piece.use === 'bench' ? 'bench' : 'table'} from above with ${seats.total} places`}
    >
      {deck === 'round' ? (
        <ellipse className="top-view" cx={left + w / 2} cy={PAD + h / 2} rx={w / 2} ry={h / 2} />
      ) : deck === 'octagon' ? (
        <path
          className="top-view"
          d={`M${left + cut} ${PAD}h${w - 2 * cut}l${cut} ${cut}v${Math.max(0, h - 2 * cut)}l${-cut} ${cut}h${2 * cut - w}l${-cut} ${-cut}v${-Math.max(0, h - 2 * cut)}Z`}
        />
      ) : (
        <rect className="top-view" x={left} y={PAD} width={w} height={h} />
      )}
      {standing.map((box, at) => (
        <rect
          key={at}
          className="leg-view"
          x={left + scale(box.min[0])}
          y={PAD + scale(box.min[1])}
          width={scale(box.max[0] - box.min[0])}
          height={scale(box.max[1] - box.min[1])}
        />
      ))}
      {piece.use === 'bench' ? (
        <Row
          count={seats.total}
          from={left + (w - seats.total * placeWide) / 2}
          y={PAD + 4}
          wide={placeWide}
          deep={h - 8}
        />
      ) : deck === 'rectangle' ? (
        <>
          {[PAD + 4, PAD + h - placeDeep + 2].map((y) => (
            <Row
              key={y}
              count={seats.sides / 2}
              from={left + (w - (seats.sides / 2) * placeWide) / 2}
              y={y}
              wide={placeWide}
              deep={placeDeep - 6}
            />
          ))}
          {seats.ends > 0 && (
            <g className="place">
              <rect x={left + 4} y={PAD + (h - placeWide) / 2} width={placeDeep - 6} height={placeWide} />
              <rect
                x={left + w - placeDeep + 2}
                y={PAD + (h - placeWide) / 2}
                width={placeDeep - 6}
                height={placeWide}
              />
            </g>
          )}
        </>
      ) : (
        <Around
          count={seats.total}
          x={left + w / 2}
          y={PAD + h / 2}
          radius={w / 2}
          wide={placeWide * 0.8}
          deep={placeDeep * 0.6}
        />
      )}
      <g className="dimension plain">
        <text x={WIDTH / 2} y={PAD - 12}>
          <DimSpan of={size.length} />
        </text>
        <text x={left + w + 26} y={PAD + h / 2 + 5}>
          <DimSpan of={size.width} />
        </text>
      </g>
    </svg>
  );
}

type RowProps = {
  readonly count: number;
  readonly from: number;
  readonly y: number;
  readonly wide: number;
  readonly deep: number;
};

function Row({ count, from, y, wide, deep }: RowProps) {
  return Array.from({ length: count }, (_, at) => (
    <g key={at} className="place">
      <rect x={from + at * wide + 3} y={y} width={wide - 6} height={Math.max(2, deep)} />
    </g>
  ));
}

type AroundProps = {
  readonly count: number;
  readonly x: number;
  readonly y: number;
  readonly radius: number;
  readonly wide: number;
  readonly deep: number;
};

/** Places round a rim, evenly. */
function Around({ count, x, y, radius, wide, deep }: AroundProps) {
  return Array.from({ length: count }, (_, at) => (
    <g key={at} className="place" transform={`rotate(${(360 * at) / count} ${x} ${y})`}>
      <rect x={x - wide / 2} y={y - radius + 8} width={wide} height={deep} />
    </g>
  ));
}
