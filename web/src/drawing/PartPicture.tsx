import { useMemo } from 'react';
import {
  add,
  alongOf,
  around,
  boxOf,
  contacts,
  cornersOf,
  edgesOf,
  extent,
  type Fastening,
  first,
  nth,
  type Part,
  type Solid,
  solidOf,
  times,
  type Vec,
} from '@sill/core';
import { usePointing } from '../state/hooks';
import { DimSpan } from '../words/Dim';
import {
  axesOf,
  boundsOf,
  clearestView,
  project,
  sideOf,
  viewTowards,
  type Bounds,
  type Screen,
  type View,
} from './iso';
import { paintOrder, type Patch } from './paint';
import './PartPicture.css';

export type Drawn = {
  readonly part: Part;
  /** New in this step, already there, or joined later (dashed). */
  readonly as: 'new' | 'there' | 'later';
  /** What is drawn instead of the part's own body: a block that is glued to it. */
  readonly body?: Solid;
};

const bodyOf = ({ part, body }: Drawn): Solid => body ?? solidOf(part);

type Props = {
  readonly parts: readonly Drawn[];
  readonly view?: View;
  readonly tags?: boolean;
  /** Dimension lines over the whole, or along one part. */
  readonly measure?: 'outside' | Part | null;
  /** Joints made now: their fasteners are drawn through the wood, and the faces that take glue. */
  readonly joints?: readonly Fastening[];
  /** Its name; empty for a picture that says nothing its words do not. */
  readonly label: string;
  /** Width in its own units: about the pixels it will have, so that text stays its size. */
  readonly width?: number;
};

const NONE: readonly Fastening[] = [];
const USUAL_WIDTH = 480;
const PAD = 46;

type At = (point: Screen) => Screen;

/**
 * Neighbours in the order of painting that are of one part: drawn together, as no face of a part hides another of it.
 */
function runsOf(patches: readonly Patch<Drawn>[]): readonly (readonly Patch<Drawn>[])[] {
  const runs: Patch<Drawn>[][] = [];
  for (const patch of patches) {
    const run = runs.at(-1);
    if (run && first(run).of === patch.of) run.push(patch);
    else runs.push([patch]);
  }
  return runs;
}

const line = (from: Screen, to: Screen) =>
  `M${from[0].toFixed(1)},${from[1].toFixed(1)}L${to[0].toFixed(1)},${to[1].toFixed(1)}`;

type FacesProps = {
  readonly run: readonly Patch<Drawn>[];
  readonly at: At;
  readonly view: View;
  readonly marked: boolean;
};

/** What is seen of a part at one depth: its faces by tone, and the sides that are its edges. */
function Faces({ run, at, view, marked }: FacesProps) {
  const { part, as } = first(run).of;
  const fills = new Map<string, string>();
  let edges = '';
  for (const { points, drawn, normal } of run) {
    const flat = points.map((point) => at(project(point, view)));
    const side = sideOf(normal, view);
    fills.set(side, `${fills.get(side) ?? ''}M${flat.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join('L')}Z`);
    flat.forEach((point, k) => {
      if (drawn[k]) edges += line(point, nth(flat, (k + 1) % flat.length));
    });
  }
  return (
    <g className={`solid ${as}${marked ? ' marked' : ''}`} data-part={part.id}>
      {[...fills].map(([side, d]) => (
        <path key={side} className={`face face-${side}`} d={d} />
      ))}
      {edges !== '' && <path className="edge" d={edges} />}
    </g>
  );
}

/** A part that comes later: its edges, dashed. */
function Later({ part, at, view }: { readonly part: Part; readonly at: At; readonly view: View }) {
  const lines = edgesOf(solidOf(part)).map(([a, b]) => {
    const [from, to] = [at(project(a, view)), at(project(b, view))];
    return line(from, to);
  });
  return <path className="later" d={lines.join('')} />;
}

/** Tags stand outside the picture, left and right, a line from each to its part; none over another. */
function placeTags(drawn: readonly Drawn[], view: View, at: (point: Screen) => Screen, width: number, height: number) {
  const middle = width / 2;
  const rows = drawn.map(({ part, as }) => {
    const { min, max } = boxOf(part);
    const point = at(
      project(
        [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2, part.role === 'leg' ? min[2] + (max[2] - min[2]) / 3 : max[2]],
        view,
      ),
    );
    return { part, as, point, side: point[0] < middle ? ('left' as const) : ('right' as const) };
  });
  return (['left', 'right'] as const).flatMap((side) => {
    const column = rows.filter((row) => row.side === side).sort((a, b) => a.point[1] - b.point[1]);
    let last = -Infinity;
    const placed = column.map((row) => {
      last = Math.max(row.point[1], last + 26);
      return { ...row, x: side === 'left' ? 20 : width - 20, y: last };
    });
    const over = Math.max(0, last - (height - 14));
    return placed.map((row) => ({ ...row, y: row.y - over }));
  });
}

/** How much of what comes later is shown around what is there, as a share of its larger side. */
const AROUND = 0.3;

/** Bounds a little wider than what is there, and never wider than the whole: the step fills its picture. */
function near(there: Bounds, whole: Bounds): Bounds {
  const more = AROUND * Math.max(there.width, there.height);
  const clamp = (from: number, size: number, least: number, most: number) => {
    const start = Math.max(least, from - more);
    return { start, size: Math.min(least + most, from + size + more) - start };
  };
  const across = clamp(there.x, there.width, whole.x, whole.width);
  const down = clamp(there.y, there.height, whole.y, whole.height);
  return { x: across.start, y: down.start, width: across.size, height: down.size };
}

/** The corner to look from that shows best what is new. */
const viewOf = (parts: readonly Drawn[]): View =>
  viewTowards(
    parts.filter(({ as }) => as === 'new').map(({ part }) => boxOf(part)),
    parts.map(({ part }) => boxOf(part)),
  );

/** What of the drawing is in the picture, how large, and how high the picture is: in the units of `width`. */
function framed(parts: readonly Drawn[], view: View, width: number) {
  const pointsOf = (drawn: readonly Drawn[]) =>
    drawn.flatMap((item) => cornersOf(bodyOf(item)).map((point) => project(point, view)));
  const now = parts.filter(({ as }) => as !== 'later');
  const whole = boundsOf(pointsOf(parts));
  const bounds = now.length > 0 ? near(boundsOf(pointsOf(now)), whole) : whole;
  const scale = Math.min((width - 2 * PAD) / bounds.width, 360 / bounds.height);
  return { bounds, scale, height: bounds.height * scale + 2 * PAD };
}

/** Height of the picture of these parts, drawn so wide. */
export const pictureHeight = (parts: readonly Drawn[], width: number, joints: readonly Fastening[] = []): number =>
  framed(parts, viewOnJoints(parts, joints), width).height;

/** The corner that shows best where the screws are driven, and what is new. */
function viewOnJoints(parts: readonly Drawn[], joints: readonly Fastening[]): View {
  const now = parts.filter(({ as }) => as !== 'later');
  return clearestView(
    joints.flatMap(({ shanks }) => shanks.map(({ from, direction, behind }) => add(from, times(direction, -behind)))),
    now.filter(({ as }) => as === 'new').map(bodyOf),
    now.map(bodyOf),
    viewOf(parts),
  );
}

/** Joints of more fasteners than this are drawn without them: they would hide the parts. */
const MOST_SHANKS = 120;

/** Fasteners of the joints made now, from the surface to the tip, and outlines of the faces that take glue. */
function Fastened({ joints, view, at }: Placed & { readonly joints: readonly Fastening[] }) {
  const shanks = joints.flatMap((joint) => joint.shanks);
  const glue = joints
    .filter((joint) => joint.glue > 0)
    .flatMap(({ drilled, into }) => contacts(solidOf(drilled), solidOf(into)));
  const on = (point: Vec) => at(project(point, view));
  return (
    <g className="fastened">
      {glue.map(({ points }, k) => (
        <path
          key={`g${k}`}
          className="glued"
          d={`M${points
            .map((point) =>
              on(point)
                .map((value) => value.toFixed(1))
                .join(','),
            )
            .join('L')}Z`}
        />
      ))}
      {shanks.length <= MOST_SHANKS &&
        shanks.map(({ from, direction, length, behind }, k) => {
          const [head, tip] = [on(add(from, times(direction, -behind))), on(add(from, times(direction, length)))];
          return (
            <g key={k}>
              <path className="screw" d={line(head, tip)} />
              <circle className="screw-head" cx={head[0]} cy={head[1]} r={2.6} />
            </g>
          );
        })}
    </g>
  );
}

/**
 * Parts as a drawing on paper, from the same geometry as the model: solid, new in blue, later ones dashed. Fits any
 * print; where there is no WebGL it stands in for the model.
 */
export function PartPicture({
  parts,
  view: given,
  tags = false,
  measure = null,
  joints = NONE,
  label,
  width = USUAL_WIDTH,
}: Props) {
  const view = useMemo(() => given ?? viewOnJoints(parts, joints), [given, parts, joints]);
  const painted = useMemo(
    () =>
      paintOrder(
        parts.filter(({ as }) => as !== 'later').map((item) => ({ of: item, solid: bodyOf(item) })),
        view,
      ),
    [parts, view],
  );
  const { marked: markedPart, handlers } = usePointing(label !== '');
  if (parts.length === 0) return null;
  const now = parts.filter(({ as }) => as !== 'later');
  const { bounds, scale, height } = framed(parts, view, width);
  const left = (width - bounds.width * scale) / 2;
  const at = ([x, y]: Screen): Screen => [(x - bounds.x) * scale + left, (y - bounds.y) * scale + PAD];
  const later = parts.filter(({ as }) => as === 'later');
  const shownTags = tags
    ? placeTags(
        now.filter(({ body }) => !body),
        view,
        at,
        width,
        height,
      )
    : [];

  return (
    <svg
      className="part-picture"
      viewBox={`0 0 ${width} ${height.toFixed(0)}`}
      {...(label === '' ? { 'aria-hidden': true } : { role: 'img', 'aria-label': label })}
      {...handlers}
    >
      {later.map((item) => (
        <Later key={item.part.id} part={item.part} at={at} view={view} />
      ))}
      {runsOf(painted).map((run, k) => (
        <Faces key={k} run={run} at={at} view={view} marked={first(run).of.part.id === markedPart} />
      ))}
      {joints.length > 0 && <Fastened joints={joints} view={view} at={at} />}
      {shownTags.map(({ part, as, point, x, y }) => (
        <g key={part.id} className={`tag-flag ${as}`}>
          <line x1={point[0]} y1={point[1]} x2={x} y2={y} />
          <circle cx={point[0]} cy={point[1]} r={2.5} />
          <rect x={x - 17} y={y - 12} width={34} height={24} rx={3} />
          <text x={x} y={y + 5}>
            {part.tag}
          </text>
        </g>
      ))}
      {measure === 'outside' && <Outside parts={parts.map(({ part }) => part)} view={view} at={at} />}
      {measure !== null && measure !== 'outside' && <Along part={measure} view={view} at={at} />}
    </svg>
  );
}

type DimensionProps = {
  readonly from: Screen;
  readonly to: Screen;
  readonly length: number;
  /** How far above the line its number stands; 0 breaks the line. */
  readonly raised?: number;
};

function Dimension({ from, to, length, raised = 0 }: DimensionProps) {
  const [x, y] = [(from[0] + to[0]) / 2, (from[1] + to[1]) / 2 - raised];
  return (
    <g className="dimension">
      <line x1={from[0]} y1={from[1]} x2={to[0]} y2={to[1]} />
      <circle cx={from[0]} cy={from[1]} r={2.5} />
      <circle cx={to[0]} cy={to[1]} r={2.5} />
      <rect x={x - 25} y={y - 11} width={50} height={22} />
      <text x={x} y={y + 5}>
        <DimSpan of={length} />
      </text>
    </g>
  );
}

type Placed = { readonly view: View; readonly at: (point: Screen) => Screen };

/** Length, width and height of the whole, along the edges nearest the eye. */
function Outside({ parts, view, at }: Placed & { readonly parts: readonly Part[] }) {
  const box = around(parts.map(boxOf));
  if (!box) return null;
  const { eye } = axesOf(view);
  const near = (axis: 0 | 1) => (eye[axis] < 0 ? box.min[axis] : box.max[axis]);
  const away = (axis: 0 | 1) => (eye[axis] < 0 ? box.max[axis] : box.min[axis]);
  const [x, y] = [near(0), near(1)];
  const far = [away(0), away(1)] as const;
  const top = box.max[2];
  const shift = (point: Screen, dx: number, dy: number): Screen => [point[0] + dx, point[1] + dy];
  const corner = (a: number, b: number, c: number) => at(project([a, b, c], view));
  return (
    <>
      <Dimension
        from={shift(corner(far[0], y, top), -10, 16)}
        to={shift(corner(x, y, top), -10, 16)}
        length={extent(box, 0)}
      />
      <Dimension
        from={shift(corner(x, y, top), 12, 14)}
        to={shift(corner(x, far[1], top), 12, 14)}
        length={extent(box, 1)}
      />
      <Dimension
        from={shift(corner(far[0], y, box.min[2]), -20, 0)}
        to={shift(corner(far[0], y, top), -20, 0)}
        length={extent(box, 2)}
      />
    </>
  );
}

/** The length of one part, above it. */
function Along({ part, view, at }: Placed & { readonly part: Part }) {
  const { min, max } = boxOf(part);
  const along = alongOf(part);
  const end = [...min] as [number, number, number];
  end[along] = nth(max, along);
  const start = [...min] as [number, number, number];
  if (along !== 2) start[2] = end[2] = max[2];
  const lift = ([x, y]: Screen): Screen => [x, y - 9];
  return (
    <Dimension
      from={lift(at(project(start, view)))}
      to={lift(at(project(end, view)))}
      raised={20}
      length={part.length}
    />
  );
}
