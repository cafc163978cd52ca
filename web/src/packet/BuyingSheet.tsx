import type { ReactNode } from 'react';
import { hardwareName, isPoured, offerName, type Job, type Plan } from '@sill/core';
import { StoreCuts, storeCutLetters } from '../sheets/StoreCuts';
import { besides } from '../words/besides';
import { runs } from '../words/labels';
import { missingIn } from '../words/missing';
import { Dim, Text } from '../words/Dim';
import { cents, sumRows, taxWords } from '../words/money';
import { TickBox } from './TickBox';

type BuyingRow = {
  readonly key: string;
  readonly height: number;
  readonly cells: readonly ReactNode[];
  readonly total?: boolean;
};

/** Rows of the list with their heights on paper, mm, the sums at the end. */
export function buyingRows(plan: Plan, job: Job, label: (id: string) => string): readonly BuyingRow[] {
  const { list } = plan;
  const high = (lines: number) => 2.8 + 5.5 * lines;
  const boards = list.boards
    .filter(({ count, storeCuts }) => count > 0 || storeCuts.length > 0)
    .map((line): BuyingRow => {
      const name = offerName(line.offer, job.units);
      const use = [runs(line.partIds.map(label)), besides(line)].filter((text) => text !== '').join(' · ');
      const letters = use.length + storeCutLetters(line.storeCuts);
      return {
        key: line.offer.id,
        height: high(Math.max(Math.ceil(name.length / 15), Math.ceil(line.count / 5), Math.ceil(letters / 42))),
        cells: [
          Array.from({ length: line.count }, (_, at) => <TickBox key={at} />),
          <>
            <b>
              <Text of={name} />
            </b>{' '}
            {'grade' in line.offer ? line.offer.grade : ''}
          </>,
          line.count,
          cents(line.offer.price),
          cents(line.total),
          <>
            {use}
            <StoreCuts of={line.storeCuts} />
          </>,
        ],
      };
    });
  const hardware = list.hardware
    .filter(({ count }) => count > 0)
    .map((line): BuyingRow => {
      const name = hardwareName(line.offer.kind, line.offer.size);
      return {
        key: line.offer.id,
        height: high(Math.ceil(name.length / 15)),
        cells: [
          <TickBox key="box" />,
          <Text key="name" of={name} />,
          line.count,
          cents(line.offer.price),
          cents(line.total),
          `${line.need.count} ${isPoured(line.offer.kind) ? 'fl oz' : ''} needed, ${line.offer.count} in one`,
        ],
      };
    });
  const elsewhere = missingIn(plan, label).map(({ name, count, why }): BuyingRow => {
    const cells = [<TickBox key="box" />, <Text key="name" of={name} />, count, '', '', why];
    return { key: name, height: high(Math.max(Math.ceil(why.length / 42), Math.ceil(name.length / 15))), cells };
  });
  return [
    ...boards,
    ...hardware,
    ...elsewhere,
    ...sumRows(list).map(([name, value]) => ({
      key: name,
      height: high(1),
      cells: ['', name, '', '', cents(value), 'with tax'],
    })),
    { key: 'tax', height: high(1), cells: ['', taxWords(list), '', '', cents(list.tax), ''] },
    {
      key: 'total',
      height: high(1),
      total: true,
      cells: [
        '',
        elsewhere.length > 0 ? 'Total, incomplete' : 'Total',
        '',
        '',
        cents(list.total),
        job.budget !== null && `budget ${cents(job.budget)}`,
      ],
    },
  ];
}

export function BuyingSheet({
  rows,
  job,
  last,
}: {
  readonly rows: readonly BuyingRow[];
  readonly job: Job;
  readonly last: boolean;
}) {
  return (
    <>
      <table className="print-table">
        <thead>
          <tr>
            <th />
            <th>Board</th>
            <th>Count</th>
            <th>Each</th>
            <th>Total</th>
            <th>For</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.key} className={row.total ? 'total' : ''}>
              {row.cells.map((cell, at) => (
                <td key={at}>{cell}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {last && (
        <p>
          At the yard: sight down each board from both ends for crook, bow and twist. Leave boards with long splits or
          loose knots. The car takes <Dim of={job.shop.car} mark />; what is longer the store cuts where the list says,
          before it is carried out.
        </p>
      )}
    </>
  );
}
