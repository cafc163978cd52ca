import { Button, Table, TableBody, TableCell, TableHead, TableRow, useMediaQuery } from '@mui/material';
import { useState } from 'react';
import {
  SPECIES,
  byYard,
  hardwareName,
  isPoured,
  speciesOf,
  offerName,
  printLength,
  soldAt,
  type BoardLine,
  type Plan,
  writeCsv,
} from '@sill/core';
import { saveFile } from '../../platform/files';
import { useApp, useJob } from '../../state/hooks';
import { said } from '../../state/view';
import { Dim, Text } from '../../words/Dim';
import { cents, dollars, taxWords } from '../../words/money';
import { runs, useLabel } from '../../words/labels';
import { missingIn } from '../../words/missing';

/** Where the store is to cut boards that are longer than the car. */
function StoreCuts({ of }: { readonly of: BoardLine['storeCuts'] }) {
  const cuts = of.flatMap((at) => at ?? []);
  if (of.length === 0) return null;
  return (
    <b className="store">
      {' · '}
      {cuts.length > 0 ? 'store cuts at ' : 'longer than the car'}
      {cuts.map((at, k) => (
        <span key={k}>
          {k > 0 && ', '}
          <Dim of={at} />
        </span>
      ))}
    </b>
  );
}

/** The list for the store, with its total against the budget and against the bought price. */
export function BuyingTable({ plan }: { readonly plan: Plan }) {
  const job = useJob();
  const label = useLabel();
  const dispatch = useApp();
  const narrow = useMediaQuery('(max-width: 899px)');
  const [open, setOpen] = useState(false);
  const { list } = plan;
  const hardware = list.hardware.reduce((sum, line) => sum + line.total, 0);
  const bought = job.pieces.every((piece) => piece.boughtPrice !== null)
    ? job.pieces.reduce((sum, piece) => sum + piece.boughtPrice! * piece.copies, 0)
    : null;
  const missing = missingIn(plan, label);
  const csv = () => {
    const rows = [
      ...list.boards.map((line) => [
        soldAt(job, line.offer).name,
        offerName(line.offer, job.units),
        'grade' in line.offer ? line.offer.grade : 'sheet',
        line.count,
        cents(line.offer.price),
        cents(line.total),
        line.spare,
      ]),
      ...list.hardware.map((line) => [
        soldAt(job, line.offer).name,
        hardwareName(line.offer.kind, line.offer.size),
        `${line.offer.count} in one`,
        line.count,
        cents(line.offer.price),
        cents(line.total),
        0,
      ]),
      ...missing.map(({ name, count, why }) => ['no yard here', name, why, count, '', '', 0]),
      ['', 'tax', taxWords(list), '', '', cents(list.tax), ''],
      ['', missing.length > 0 ? 'total, incomplete' : 'total', '', '', '', cents(list.total), ''],
    ];
    saveFile(
      `${job.name} buying list.csv`,
      'text/csv',
      writeCsv(['yard', 'item', 'grade', 'count', 'each', 'total', 'of which spare'], rows),
    );
  };
  /** The list as a message: one line each, for a phone or a friend with a van. */
  const copyText = async () => {
    const several = list.byYard.length > 1;
    const lines = [
      `${job.name}, ${list.byYard.map(({ yard }) => yard.name).join(' and ')}`,
      ...list.boards.map((line) => {
        const cuts = line.storeCuts.flatMap((at) => at ?? []).map((at) => printLength(at, job.units, true));
        return `${several ? `${soldAt(job, line.offer).name}: ` : ''}${line.count} x ${offerName(line.offer, job.units)}, ${cents(line.total)}${cuts.length > 0 ? `, cut at ${cuts.join(', ')}` : ''}`;
      }),
      ...list.hardware.map(
        (line) =>
          `${line.count} x ${hardwareName(line.offer.kind, line.offer.size)} (${line.offer.count}), ${cents(line.total)}`,
      ),
      ...missing.map(({ name, count, why }) => `${count} ${name}: ${why}`),
      `${missing.length > 0 ? 'Incomplete, with' : 'With'} ${taxWords(list).toLowerCase()} ${dollars(list.total)}`,
    ];
    try {
      await navigator.clipboard.writeText(lines.join('\n'));
      dispatch(said({ text: `${lines.length - 2} lines copied.`, bad: false }));
    } catch {
      dispatch(said({ text: 'This browser does not let the list be copied. Save it as CSV instead.', bad: true }));
    }
  };
  return (
    <section className="sheet" aria-label="Buying list">
      <div className="scroll">
        <Table size="small" data-testid="buying-list">
          <TableHead>
            <TableRow>
              <TableCell>Board</TableCell>
              <TableCell className="wide-only">Grade</TableCell>
              <TableCell align="right">Count</TableCell>
              <TableCell align="right" className="wide-only">
                Each
              </TableCell>
              <TableCell align="right">Total</TableCell>
              <TableCell>For</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {byYard(job, list.boards).flatMap(({ yard, lines }) => [
              ...(list.byYard.length > 1
                ? [
                    <TableRow key={yard.id} className="group">
                      <TableCell component="th" scope="row" colSpan={narrow ? 4 : 6}>
                        {yard.name}
                      </TableCell>
                    </TableRow>,
                  ]
                : []),
              ...lines.map((line) => (
                <TableRow key={line.offer.id}>
                  <TableCell className="tag-cell">
                    <Text of={offerName(line.offer, job.units)} />
                  </TableCell>
                  <TableCell className="soft wide-only">
                    {'grade' in line.offer
                      ? `${line.offer.grade} ${SPECIES[speciesOf(line.offer.board)].name}`
                      : 'sheet'}
                  </TableCell>
                  <TableCell align="right">{line.count}</TableCell>
                  <TableCell align="right" className="wide-only">
                    {cents(line.offer.price)}
                  </TableCell>
                  <TableCell align="right">{cents(line.total)}</TableCell>
                  <TableCell className="soft">
                    {runs(line.partIds.map(label))}
                    <StoreCuts of={line.storeCuts} />
                    {line.spare > 0 && (
                      <b>
                        {line.partIds.length > 0 ? ', ' : ''}
                        {line.spare} spare
                      </b>
                    )}
                  </TableCell>
                </TableRow>
              )),
            ])}
            <TableRow>
              <TableCell colSpan={narrow ? 2 : 4} className="soft">
                Screws, hardware, glue and finish · {list.hardware.length}{' '}
                {list.hardware.length === 1 ? 'line' : 'lines'}
              </TableCell>
              <TableCell align="right">{cents(hardware)}</TableCell>
              <TableCell>
                <Button size="small" variant="text" color="primary" aria-expanded={open} onClick={() => setOpen(!open)}>
                  {open ? 'hide' : 'show'}
                </Button>
              </TableCell>
            </TableRow>
            {open &&
              list.hardware.map((line) => (
                <TableRow key={line.offer.id}>
                  <TableCell colSpan={narrow ? 1 : 2}>
                    <Text of={hardwareName(line.offer.kind, line.offer.size)} />
                  </TableCell>
                  <TableCell align="right">{line.count}</TableCell>
                  <TableCell align="right" className="wide-only">
                    {cents(line.offer.price)}
                  </TableCell>
                  <TableCell align="right">{cents(line.total)}</TableCell>
                  <TableCell className="soft">
                    {line.offer.count} {isPoured(line.offer.kind) ? 'fl oz a can' : 'a box'}; {line.need.count} needed
                  </TableCell>
                </TableRow>
              ))}
            {missing.map(({ name, count, why }) => (
              <TableRow key={name}>
                <TableCell colSpan={narrow ? 1 : 2}>
                  <Text of={name} />
                </TableCell>
                <TableCell align="right">{count}</TableCell>
                <TableCell colSpan={narrow ? 2 : 3} className="over">
                  {why}
                </TableCell>
              </TableRow>
            ))}
            <TableRow className="total">
              <TableCell colSpan={narrow ? 2 : 4}>
                With {taxWords(list).toLowerCase()} <span className="soft">({cents(list.tax)})</span>
              </TableCell>
              <TableCell align="right" data-testid="list-total">
                {cents(list.total)}
              </TableCell>
              <TableCell
                className={missing.length > 0 || (job.budget !== null && list.total > job.budget) ? 'over' : 'saves'}
              >
                {missing.length > 0 && 'Incomplete: what is missing stands above'}
                {missing.length === 0 &&
                  job.budget !== null &&
                  (list.total > job.budget
                    ? `${dollars(list.total - job.budget)} over budget`
                    : `${dollars(job.budget - list.total)} under budget`)}
                {missing.length === 0 &&
                  bought !== null &&
                  ` · bought ${job.pieces.length === 1 && job.pieces[0]!.copies === 1 ? 'one costs' : 'ones cost'} ${cents(bought)}`}
              </TableCell>
            </TableRow>
          </TableBody>
        </Table>
      </div>
      <div className="table-tools">
        <Button onClick={() => void copyText()}>Copy as text</Button>
        <Button onClick={csv}>Save as CSV</Button>
      </div>
    </section>
  );
}
