import { first, nth } from '@sill/core';
import { scaleLinear } from 'd3';
import type { Fastening } from '@sill/core';
import { DimSpan } from '../../words/Dim';
import './PocketPicture.css';

const WIDTH = 210;

/** The face that is drilled, flat on the bench, with a mark at every pocket or clip. */
export function PocketPicture({ fastening }: { readonly fastening: Fastening }) {
  const { drilled, into, joint, positions, by } = fastening;
  const end = joint.kind === 'rail end';
  const shown = end ? Math.min(drilled.length, drilled.width * 2.6) : drilled.length;
  const x = scaleLinear()
    .domain([0, shown])
    .range([0, WIDTH - 40]);
  const tall = end ? x(drilled.width) : Math.max(26, Math.min(60, x(drilled.width)));
  const y = scaleLinear()
    .domain([0, drilled.width])
    .range([12, 12 + tall]);
  const few = positions.length <= 3;
  return (
    <svg
      className="pocket-picture"
      viewBox={`0 0 ${WIDTH} ${tall + 44}`}
      role="img"
      aria-label={`${drilled.tag} with ${positions.length} ${by === 'clips' ? 'clips' : 'pockets'} towards ${into.tag}`}
    >
      <path
        className="wood"
        d={`M20 12 H${WIDTH - 20} ${end ? `l -7 ${tall / 3} l 10 ${tall / 3} l -6 ${tall / 3}` : `V${12 + tall}`} H20 Z`}
      />
      {positions.map((position) =>
        end ? (
          <g key={position} className="pocket">
            <ellipse cx={20 + Math.min(34, x(shown) / 4)} cy={y(position)} rx={16} ry={5.5} />
            <line x1={4} x2={20 + 16} y1={y(position)} y2={y(position)} />
          </g>
        ) : by === 'clips' ? (
          <rect key={position} className="clip" x={20 + x(position) - 5} y={10} width={10} height={9} />
        ) : (
          <g key={position} className="pocket">
            <ellipse cx={20 + x(position)} cy={12 + 14} rx={4} ry={9} />
            <line x1={20 + x(position)} x2={20 + x(position)} y1={2} y2={20} />
          </g>
        ),
      )}
      <text x={WIDTH / 2} y={tall + 34} className="picture-words">
        {end ? (
          few &&
          positions.map((position, at) => (
            <tspan key={position}>
              {at > 0 && ' · '}
              <DimSpan of={position} />
            </tspan>
          ))
        ) : (
          <>
            first at <DimSpan of={first(positions)} />
            {positions.length > 1 && (
              <>
                , then every <DimSpan of={nth(positions, 1) - first(positions)} about />
              </>
            )}
          </>
        )}
      </text>
    </svg>
  );
}
