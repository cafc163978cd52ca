import { first, nth } from '@sill/core';
import { extent, line, scaleLinear, scaleTime } from 'd3';
import { format, parseISO } from 'date-fns';
import type { DayPrice } from '@sill/core';
import { usePriceHistoryQuery } from '../../state/server';
import { Text } from '../../words/Dim';
import { dollars } from '../../words/money';
import { useEdges } from '../../state/hooks';
import '../shared/chart.css';
import './PriceHistory.css';

const [WIDE, HIGH] = [300, 150];
const EDGE = { left: 50, right: 10, top: 12, bottom: 24 };

type Props = { readonly yard: string; readonly offer: string; readonly name: string };

/** What an offer has cost in the last half year, and when it was not to be had. */
export function PriceHistory({ yard, offer, name }: Props) {
  const { today } = useEdges();
  const { currentData: days, error } = usePriceHistoryQuery({ params: { yard, offer }, query: { day: today() } });
  return (
    <section className="sheet price-history" aria-label="Price history">
      <h2>
        <Text of={name} />
      </h2>
      {!days && !error && <p role="status">Asking the yard.</p>}
      {error && <p className="soft">The yard keeps no history of this: {error.message} Rows of your own have none.</p>}
      {days && <Line days={days} />}
    </section>
  );
}

function Line({ days }: { readonly days: readonly DayPrice[] }) {
  const dates = days.map(({ day }) => parseISO(day));
  const [least = 0, most = 1] = extent(days, ({ price }) => price);
  const x = scaleTime()
    .domain([first(dates), nth(dates, dates.length - 1)])
    .range([EDGE.left, WIDE - EDGE.right]);
  const y = scaleLinear()
    .domain([least, most])
    .nice(3)
    .range([HIGH - EDGE.bottom, EDGE.top]);
  const path = line<DayPrice>()
    .x(({ day }) => x(parseISO(day)))
    .y(({ price }) => y(price))(days);
  const last = nth(days, days.length - 1);
  const cheapest = days.reduce((best, next) => (next.price < best.price ? next : best));
  const out = days.filter(({ inStock }) => !inStock);
  const words = `Now ${dollars(last.price)}${last.inStock ? '' : ', not in stock'}; from ${dollars(least)} to ${dollars(most)} in half a year.`;
  return (
    <>
      <svg className="chart still" viewBox={`0 0 ${WIDE} ${HIGH}`} role="img" aria-label={words}>
        {y.ticks(3).map((at) => (
          <g key={at} className="rule">
            <line x1={EDGE.left} x2={WIDE - EDGE.right} y1={y(at)} y2={y(at)} />
            <text x={EDGE.left - 6} y={y(at) + 5}>
              ${(at / 100).toFixed(2)}
            </text>
          </g>
        ))}
        {x.ticks(3).map((date) => (
          <g key={date.getTime()} className="tick">
            <line x1={x(date)} x2={x(date)} y1={HIGH - EDGE.bottom} y2={HIGH - EDGE.bottom + 5} />
            <text x={x(date)} y={HIGH - 5}>
              {format(date, 'MMM')}
            </text>
          </g>
        ))}
        {out.map(({ day }) => (
          <line
            key={day}
            className="out"
            x1={x(parseISO(day))}
            x2={x(parseISO(day))}
            y1={HIGH - EDGE.bottom - 7}
            y2={HIGH - EDGE.bottom}
          />
        ))}
        <path className="steps" d={path ?? ''} />
        <circle className="target" cx={x(nth(dates, dates.length - 1))} cy={y(last.price)} r={4} />
      </svg>
      <p>{words}</p>
      <p className="soft">
        Cheapest on {format(parseISO(cheapest.day), 'd MMM')}.
        {out.length > 0 && ` Not to be had on ${out.length} of ${days.length} days (marks at the foot).`}
      </p>
    </>
  );
}
