import { first, nth, type Part, pathOf, PER_MM, type Template, templatesOf } from '@sill/core';
import { DimSpan } from '../words/Dim';
import './PartSheet.css';

const WIDE = 290;
const PAD = 40;

/** A part on paper: its face and its edge, every cut-out in place, length and width beside them. */
export function PartSheet({ part }: { readonly part: Part }) {
  const templates = templatesOf(part);
  const scale = Math.min((WIDE - 2 * PAD) / first(templates).width, 130 / first(templates).height);
  const heights = templates.map((template) => Math.max(4, template.height * scale));
  const tops = [PAD, PAD + first(heights) + 30];
  const total = nth(tops, 1) + nth(heights, 1) + 24;
  const left = (WIDE - first(templates).width * scale) / 2;
  return (
    <svg
      className="part-sheet"
      viewBox={`0 0 ${WIDE} ${total.toFixed(0)}`}
      role="img"
      aria-label={`${part.tag} from its face and its edge`}
    >
      {templates.map((template, at) => (
        <View key={template.view} template={template} x={left} y={nth(tops, at)} scale={scale} />
      ))}
      <Along x={left} y={PAD - 12} wide={part.length / PER_MM} scale={scale} length={part.length} />
      <Up x={left + (part.length / PER_MM) * scale + 12} y={first(tops)} tall={first(heights)} length={part.width} />
      <Up
        x={left + (part.length / PER_MM) * scale + 12}
        y={nth(tops, 1)}
        tall={nth(heights, 1)}
        length={part.thickness}
      />
    </svg>
  );
}

function View({
  template,
  x,
  y,
  scale,
}: {
  readonly template: Template;
  readonly x: number;
  readonly y: number;
  readonly scale: number;
}) {
  return (
    <g transform={`translate(${x} ${y}) scale(${scale})`}>
      {template.lines.map(({ kind, points, note }, at) => (
        <path
          key={at}
          className={`sheet-line ${kind.replace(' ', '-')}`}
          d={pathOf(points, template.height)}
          vectorEffect="non-scaling-stroke"
        >
          {note !== '' && <title>{note}</title>}
        </path>
      ))}
    </g>
  );
}

function Along({
  x,
  y,
  wide,
  scale,
  length,
}: {
  readonly x: number;
  readonly y: number;
  readonly wide: number;
  readonly scale: number;
  readonly length: number;
}) {
  const end = x + wide * scale;
  return (
    <g className="dimension">
      <line x1={x} x2={end} y1={y} y2={y} />
      <circle cx={x} cy={y} r={2} />
      <circle cx={end} cy={y} r={2} />
      <rect x={(x + end) / 2 - 26} y={y - 11} width={52} height={22} />
      <text x={(x + end) / 2} y={y + 5}>
        <DimSpan of={length} />
      </text>
    </g>
  );
}

function Up({
  x,
  y,
  tall,
  length,
}: {
  readonly x: number;
  readonly y: number;
  readonly tall: number;
  readonly length: number;
}) {
  return (
    <g className="dimension plain">
      <text className="start" x={x - 6} y={y + tall / 2 + 5} style={{ textAnchor: 'start' }}>
        <DimSpan of={length} />
      </text>
    </g>
  );
}
