import { useMemo } from 'react';
import { nth, type Part, solidOf, type SurfaceKey, type Vec } from '@sill/core';
import { boundsOf, project, sideOf, type Screen, type View } from './iso';
import { paintOrder } from './paint';
import './SurfacePicture.css';

type Props = {
  readonly parts: readonly Part[];
  readonly view: View;
  /** Which surface a face of a part belongs to; null where it is none. */
  readonly surfaceOf: (part: Part, normal: Vec) => SurfaceKey | null;
  /** How each surface looks; what is left out stands bare. */
  readonly colours: Readonly<Partial<Record<SurfaceKey, string>>>;
  /** The surface that stands out. */
  readonly picked: SurfaceKey | null;
  readonly onPick: (surface: SurfaceKey) => void;
  readonly label: string;
};

const [WIDTH, MOST, PAD] = [420, 300, 12] as const;
/** How much darker a side is than what looks up, as a veil over its colour. */
const VEIL = { top: 0, left: 0.1, right: 0.24 } as const;

/** A piece with each of its surfaces in the colour that it will have. A click on one picks it. */
export function SurfacePicture({ parts, view, surfaceOf, colours, picked, onPick, label }: Props) {
  const painted = useMemo(
    () =>
      paintOrder(
        parts.map((part) => ({ of: part, solid: solidOf(part) })),
        view,
      ),
    [parts, view],
  );
  const all = useMemo(() => painted.map(({ points }) => points.map((point) => project(point, view))), [painted, view]);
  if (painted.length === 0) return null;
  const bounds = boundsOf(all.flat());
  const scale = Math.min((WIDTH - 2 * PAD) / bounds.width, MOST / bounds.height);
  const height = bounds.height * scale + 2 * PAD;
  const left = (WIDTH - bounds.width * scale) / 2;
  const at = ([x, y]: Screen) =>
    `${((x - bounds.x) * scale + left).toFixed(1)},${((y - bounds.y) * scale + PAD).toFixed(1)}`;
  return (
    <svg className="surface-picture" viewBox={`0 0 ${WIDTH} ${height.toFixed(0)}`} role="img" aria-label={label}>
      {painted.map(({ of, normal, drawn }, k) => {
        const flat = nth(all, k);
        const surface = surfaceOf(of, normal);
        const colour = (surface && colours[surface]) ?? null;
        const d = `M${flat.map(at).join('L')}Z`;
        const edges = flat
          .map((point, side) => (drawn[side] ? `M${at(point)}L${at(nth(flat, (side + 1) % flat.length))}` : ''))
          .join('');
        return (
          <g key={k} data-picked={surface !== null && surface === picked} onClick={() => surface && onPick(surface)}>
            <path
              className={colour ? 'surface' : 'surface bare'}
              d={d}
              fill={colour ?? undefined}
              stroke={colour ?? undefined}
            />
            <path className="veil" d={d} opacity={VEIL[sideOf(normal, view)]} />
            {edges !== '' && <path className="edge" d={edges} />}
          </g>
        );
      })}
    </svg>
  );
}
