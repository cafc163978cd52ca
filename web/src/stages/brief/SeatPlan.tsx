import { scaleLinear } from 'd3';
import { PLACE, inches, legSection, seating, type Piece } from '@sill/core';
import { DimSpan } from '../../words/Dim';

const DEEP = inches(14);
const WIDTH = 420;
const PAD = 34;
/** Room at both sides for the number of the width. */
const ASIDE = 52;

/** The table from above: legs dashed below, a mark for every place. */
export function SeatPlan({ piece }: { readonly piece: Piece }) {
  const { size, choices } = piece;
  const seats = seating(piece);
  const leg = legSection(choices.legs);
  const span = Math.max(size.length, size.width * 1.2);
  const scale = scaleLinear()
    .domain([0, span])
    .range([0, WIDTH - 2 * ASIDE]);
  const [w, h] = [scale(size.length), Math.min(300, scale(size.width))];
  const left = (WIDTH - w) / 2;
  const tall = h + 2 * PAD;
  const aside = seats.sides / 2;
  const placeWide = Math.max(8, scale(PLACE));
  // A place is drawn a little smaller than it is; a sliver of a table still gets a mark.
  const placeDeep = Math.max(8, Math.min(scale(DEEP), h * 0.45));
  const from = left + (w - aside * placeWide) / 2;
  const [ends, sides] = [scale(choices.overhang.ends), scale(choices.overhang.sides)];
  const [legX, legY] = [scale(leg.along), scale(leg.across)];
  const corners = [
    [left + ends, PAD + sides],
    [left + w - ends - legX, PAD + sides],
    [left + ends, PAD + h - sides - legY],
    [left + w - ends - legX, PAD + h - sides - legY],
  ] as const;
  return (
    <svg
      className="seat-plan"
      viewBox={`0 0 ${WIDTH} ${tall.toFixed(0)}`}
      role="img"
      aria-label={`The table from above with ${seats.total} places`}
    >
      <rect className="top-view" x={left} y={PAD} width={w} height={h} />
      {corners.map(([x, y], at) => (
        <rect key={at} className="leg-view" x={x} y={y} width={legX} height={legY} />
      ))}
      {Array.from({ length: aside }, (_, at) => (
        <g key={at} className="place">
          <rect x={from + at * placeWide + 3} y={PAD + 4} width={placeWide - 6} height={placeDeep - 6} />
          <rect
            x={from + at * placeWide + 3}
            y={PAD + h - placeDeep + 2}
            width={placeWide - 6}
            height={placeDeep - 6}
          />
        </g>
      ))}
      {seats.ends > 0 && (
        <g className="place">
          <rect x={left + 4} y={PAD + (h - placeWide) / 2} width={placeDeep - 6} height={placeWide} />
          <rect x={left + w - placeDeep + 2} y={PAD + (h - placeWide) / 2} width={placeDeep - 6} height={placeWide} />
        </g>
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
