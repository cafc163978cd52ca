import { max, scaleBand, scaleLinear } from 'd3';
import { format, parseISO } from 'date-fns';
import { byMonth, type JobRecord } from '@sill/core';
import { dollars } from '../words/money';
import './MonthChart.css';

const [WIDE, HIGH] = [760, 190];
const EDGE = { left: 52, right: 62, top: 12, bottom: 26 };
/** Months that are drawn; older ones stand in no picture. */
const MOST = 24;
const named = (month: string): string => format(parseISO(`${month}-01`), 'MMM');

/** Hours and money of all jobs by month: hours as posts, money as a line of knots along them. */
export function MonthChart({ records }: { readonly records: readonly JobRecord[] }) {
  const months = byMonth(records).slice(-MOST);
  if (months.length === 0) return null;
  const x = scaleBand(
    months.map(({ month }) => month),
    [EDGE.left, WIDE - EDGE.right],
  ).padding(0.6);
  const hours = scaleLinear([0, max(months, ({ minutes }) => minutes / 60) || 1], [HIGH - EDGE.bottom, EDGE.top]).nice(
    3,
  );
  const money = scaleLinear([0, max(months, ({ cents }) => cents) || 1], [HIGH - EDGE.bottom, EDGE.top]).nice(3);
  const middle = (month: string) => (x(month) ?? 0) + x.bandwidth() / 2;
  const words = months
    .map(({ month, minutes, cents }) => `${named(month)}: ${Math.round(minutes / 6) / 10} h, ${dollars(cents)}`)
    .join('; ');
  return (
    <figure className="months">
      <svg viewBox={`0 0 ${WIDE} ${HIGH}`} role="img" aria-label={`Hours and money by month. ${words}.`}>
        {hours.ticks(3).map((at) => (
          <g key={at}>
            <line className="rule" x1={EDGE.left} x2={WIDE - EDGE.right} y1={hours(at)} y2={hours(at)} />
            <text className="left" x={EDGE.left - 8} y={hours(at) + 5}>
              {at} h
            </text>
          </g>
        ))}
        {money.ticks(3).map((at) => (
          <text key={at} x={WIDE - EDGE.right + 8} y={money(at) + 5}>
            ${Math.round(at / 100)}
          </text>
        ))}
        {months.map(({ month, minutes, cents }) => (
          <g key={month}>
            <rect
              className="post"
              x={x(month)}
              width={x.bandwidth()}
              y={hours(minutes / 60)}
              height={HIGH - EDGE.bottom - hours(minutes / 60)}
            />
            {cents !== 0 && (
              <path
                className="paid"
                d={`M${middle(month) - x.bandwidth() * 0.75},${money(cents)}h${x.bandwidth() * 1.5}`}
              />
            )}
            <text className="month" x={middle(month)} y={HIGH - 8}>
              {named(month)}
            </text>
          </g>
        ))}
      </svg>
      <figcaption className="soft">Posts are hours at work, the blue lines money that went out.</figcaption>
    </figure>
  );
}
