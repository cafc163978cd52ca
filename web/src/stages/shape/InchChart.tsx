import { Button } from '@mui/material';
import { curveStepBefore, extent, line, scaleLinear } from 'd3';
import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import {
  type CostPoint,
  first,
  inches,
  last,
  type Length,
  mm,
  nearestCheaper,
  nth,
  type Piece,
  type PieceSide,
  printLength,
  sure,
  type Units,
} from '@sill/core';
import { useChangePiece, useEdges, useJob, usePlan } from '../../state/hooks';
import { Dim, DimSpan } from '../../words/Dim';
import { difference, dollars } from '../../words/money';
import { useExploring } from '../../state/useExploring';
import { Segmented } from '../../ui/Segmented';
import './InchChart.css';
import '../shared/chart.css';

const SIDES: readonly (readonly [PieceSide, string])[] = [
  ['length', 'length'],
  ['width', 'width'],
  ['height', 'height'],
];
const [WIDE, HIGH] = [560, 172];
const EDGE = { left: 52, right: 16, top: 26, bottom: 26 };
const TICK: Readonly<Record<Units, Length>> = { in: inches(6), mm: mm(100) };

const NONE: readonly CostPoint[] = [];

/** What the whole job would cost with one side of the piece longer or shorter: steps, where boards run out. */
export function InchChart({ piece }: { readonly piece: Piece }) {
  const job = useJob();
  const plan = usePlan();
  const { explorer } = useEdges();
  const [side, setSide] = useState<PieceSide>('length');
  const { found, state } = useExploring(`${piece.id} ${side}`, NONE, (tell) =>
    explorer.exploreCosts(job, piece.id, side, (point) =>
      tell((before) => [...before.filter(({ at }) => at !== point.at), point]),
    ),
  );
  const points = [...found].sort((a, b) => a.at - b.at);
  return (
    <section className="sheet inch-chart" aria-label="What an inch costs">
      <div className="chart-head">
        <h2>What {job.units === 'in' ? 'an inch' : 'a centimetre'} costs</h2>
        <Segmented label="Which side" value={side} options={SIDES} onChange={setSide} />
        <span className="soft" role="status">
          {state === 'waiting' && 'Worked out when the plan is settled.'}
          {state === 'working' && `Working out other sizes, ${points.length} so far.`}
          {state === 'failed' && 'This could not be worked out.'}
        </span>
      </div>
      {points.length > 2 && plan ? (
        <Chart key={`${piece.id} ${side}`} points={points} side={side} piece={piece} done={state === 'done'} />
      ) : (
        <div className="chart-space" aria-hidden />
      )}
    </section>
  );
}

type ChartProps = {
  readonly points: readonly CostPoint[];
  readonly side: PieceSide;
  readonly piece: Piece;
  readonly done: boolean;
};

/** Where a size and a sum lie in the chart. */
function scalesOf(points: readonly CostPoint[]) {
  const payable = points.filter((point): point is CostPoint & { total: number } => point.total !== null);
  const [least = 0, most = 1] = extent(payable, ({ total }) => total);
  const room = Math.max(200, most - least) * 0.18;
  const x = scaleLinear()
    .domain([first(points).at, last(points).at])
    .range([EDGE.left, WIDE - EDGE.right]);
  const y = scaleLinear()
    .domain([least - room, most + room])
    .range([HIGH - EDGE.bottom, EDGE.top]);
  return { x, y, from: least - room, to: most + room };
}
type Scales = ReturnType<typeof scalesOf>;

/** Rules at round sums, marks at round sizes, and what can not be built. */
function Grid({ points, scales: { x, y } }: { readonly points: readonly CostPoint[]; readonly scales: Scales }) {
  const { units } = useJob();
  const first = Math.ceil(nth(points, 0).at / TICK[units]) * TICK[units];
  const ticks = Array.from({ length: 12 }, (_, at) => first + at * TICK[units]).filter((at) => at <= last(points).at);
  return (
    <>
      {y.ticks(3).map((at) => (
        <g key={at} className="rule">
          <line x1={EDGE.left} x2={WIDE - EDGE.right} y1={y(at)} y2={y(at)} />
          <text x={EDGE.left - 8} y={y(at) + 5}>
            ${(at / 100).toFixed(0)}
          </text>
        </g>
      ))}
      {points.map((one, at) =>
        one.total === null ? (
          <rect
            key={one.at}
            className="unbuildable"
            x={x(points[at - 1]?.at ?? one.at)}
            width={x(one.at) - x(points[at - 1]?.at ?? one.at)}
            y={EDGE.top}
            height={HIGH - EDGE.top - EDGE.bottom}
          />
        ) : null,
      )}
      <line className="axis" x1={EDGE.left} x2={WIDE - EDGE.right} y1={HIGH - EDGE.bottom} y2={HIGH - EDGE.bottom} />
      {ticks.map((at) => (
        <g key={at} className="tick">
          <line x1={x(at)} x2={x(at)} y1={HIGH - EDGE.bottom} y2={HIGH - EDGE.bottom + 6} />
          <text x={x(at)} y={HIGH - 5}>
            <DimSpan of={at} />
          </text>
        </g>
      ))}
    </>
  );
}

/** The budget, and the longest that goes into the car, where they lie in the chart. */
function Limits({
  points,
  side,
  scales: { x, y, from, to },
}: {
  readonly points: readonly CostPoint[];
  readonly side: PieceSide;
  readonly scales: Scales;
}) {
  const { budget, shop } = useJob();
  const inside = (at: Length) => at > first(points).at && at < last(points).at;
  return (
    <>
      {budget !== null && budget > from && budget < to && (
        <g className="limit">
          <line x1={EDGE.left} x2={WIDE - EDGE.right} y1={y(budget)} y2={y(budget)} />
          <text x={EDGE.left + 6} y={y(budget) - 5}>
            budget
          </text>
        </g>
      )}
      {side !== 'height' && inside(shop.car) && (
        <g className="limit">
          <line x1={x(shop.car)} x2={x(shop.car)} y1={EDGE.top - 6} y2={HIGH - EDGE.bottom} />
          <text x={x(shop.car) + 5} y={EDGE.top + 4}>
            car
          </text>
        </g>
      )}
    </>
  );
}

/** The size that is tried, with what the whole job costs then. */
function Cursor({ point, scales: { x } }: { readonly point: CostPoint; readonly scales: Scales }) {
  const right = x(point.at) > WIDE * 0.7;
  return (
    <g className="cursor">
      <line x1={x(point.at)} x2={x(point.at)} y1={EDGE.top - 8} y2={HIGH - EDGE.bottom} />
      <text x={x(point.at) + (right ? -8 : 8)} y={EDGE.top - 8} textAnchor={right ? 'end' : 'start'}>
        <DimSpan of={point.at} /> · {point.total === null ? 'can not be built' : dollars(point.total)}
      </text>
    </g>
  );
}

type Cheaper = { readonly below: CostPoint | null; readonly above: CostPoint | null };
type FootProps = {
  readonly now: CostPoint | undefined;
  readonly cursor: CostPoint | undefined;
  readonly cheaper: Cheaper;
  readonly target: Length;
  readonly done: boolean;
  readonly onTake: (size: Length) => void;
  readonly onBack: () => void;
};

/** Under the chart: take what is tried or go back, else the sizes near by that cost less. */
function Foot({ now, cursor, cheaper, target, done, onTake, onBack }: FootProps) {
  const nearby = [cheaper.below, cheaper.above].flatMap((one) => (one ? [one] : []));
  return (
    <div className="chart-foot">
      {cursor && now && cursor.at !== target && cursor.total !== null && now.total !== null ? (
        <>
          <Button variant="contained" color="primary" size="small" onClick={() => onTake(cursor.at)}>
            <span>
              Make it <Dim of={cursor.at} />, {difference(cursor.total - now.total)}
            </span>
          </Button>
          <Button size="small" onClick={onBack}>
            <span>
              Back to <Dim of={target} />
            </span>
          </Button>
        </>
      ) : (
        nearby.map(
          ({ at, total }) =>
            now &&
            now.total !== null && (
              <Button key={at} size="small" color="success" onClick={() => onTake(at)}>
                <span>
                  <Dim of={at} /> {difference(sure(total, 'price') - now.total)}
                </span>
              </Button>
            ),
        )
      )}
      {cursor && cursor.total === null && typeof cursor.because === 'string' && (
        <span className="soft">{cursor.because}</span>
      )}
      {done && nearby.length === 0 && cursor?.at === target && (
        <span className="soft">No size near this one costs less. Drag, or use the arrow keys, to try one.</span>
      )}
    </div>
  );
}

function Chart({ points, side, piece, done }: ChartProps) {
  const { units } = useJob();
  const change = useChangePiece(piece.id);
  const target = piece.size[side];
  const [tried, setTried] = useState<Length | null>(null);
  const now = points.find(({ at }) => at === target);
  const cursor = points.find(({ at }) => at === tried) ?? now;
  const scales = scalesOf(points);
  const { x, y } = scales;
  const steps = line<CostPoint>()
    .defined(({ total }) => total !== null)
    .x(({ at }) => x(at))
    .y(({ total }) => y(sure(total, 'price')))
    .curve(curveStepBefore)(points);
  const cheaper: Cheaper = done ? nearestCheaper(points, target) : { below: null, above: null };
  const take = (size: Length) => {
    setTried(null);
    change(['size', side], size);
  };
  const words = (point: CostPoint | undefined): string =>
    point === undefined
      ? 'nothing tried'
      : `${printLength(point.at, units)}: ${point.total === null ? 'can not be built' : dollars(point.total)}`;
  const step = (by: number) => {
    const place = points.findIndex(({ at }) => at === (cursor?.at ?? target));
    const next = points[Math.min(points.length - 1, Math.max(0, place + by))];
    if (next) setTried(next.at);
  };
  const onKey = (event: KeyboardEvent) => {
    const keys: Readonly<Record<string, () => void>> = {
      ArrowLeft: () => step(-1),
      ArrowDown: () => step(-1),
      ArrowRight: () => step(1),
      ArrowUp: () => step(1),
      Home: () => setTried(first(points).at),
      End: () => setTried(last(points).at),
      Escape: () => setTried(null),
      Enter: () => cursor && cursor.total !== null && cursor.at !== target && take(cursor.at),
    };
    const act = keys[event.key];
    if (!act) return;
    event.preventDefault();
    act();
  };
  const point = (event: PointerEvent<SVGSVGElement>) => {
    const { left, width } = event.currentTarget.getBoundingClientRect();
    const at = x.invert(((event.clientX - left) / width) * WIDE);
    const near = points.reduce((best, next) => (Math.abs(next.at - at) < Math.abs(best.at - at) ? next : best));
    setTried(near.at);
  };
  return (
    <>
      <svg
        className="chart"
        viewBox={`0 0 ${WIDE} ${HIGH}`}
        role="slider"
        tabIndex={0}
        aria-label={`Try another ${side}`}
        aria-valuemin={first(points).at}
        aria-valuemax={last(points).at}
        aria-valuenow={cursor?.at ?? target}
        aria-valuetext={words(cursor)}
        onKeyDown={onKey}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          point(event);
        }}
        onPointerMove={(event) => event.buttons === 1 && point(event)}
      >
        <Grid points={points} scales={scales} />
        <Limits points={points} side={side} scales={scales} />
        <path className="steps" d={steps ?? ''} />
        {[cheaper.below, cheaper.above].map(
          (one) =>
            one && <circle key={one.at} className="cheaper" cx={x(one.at)} cy={y(sure(one.total, 'price'))} r={5.5} />,
        )}
        {now && now.total !== null && <circle className="target" cx={x(target)} cy={y(now.total)} r={5} />}
        {cursor && <Cursor point={cursor} scales={scales} />}
      </svg>
      <Foot
        now={now}
        cursor={cursor}
        cheaper={cheaper}
        target={target}
        done={done}
        onTake={take}
        onBack={() => setTried(null)}
      />
    </>
  );
}
