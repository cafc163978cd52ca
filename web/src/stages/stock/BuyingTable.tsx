import { Button, Table, TableBody, TableCell, TableHead, TableRow, useMediaQuery } from '@mui/material';
import { useState } from 'react';
import {
  type BoardLine,
  type BuyingList,
  byYard,
  first,
  hardwareName,
  isPoured,
  offerName,
  type Plan,
  SPECIES,
  speciesOf,
  sure,
} from '@sill/core';
import { saveFile } from '../../platform/files';
import { useApp, useJob } from '../../state/hooks';
import { said } from '../../state/view';
import { StoreCuts } from '../../sheets/StoreCuts';
import { Text } from '../../words/Dim';
import { besides } from '../../words/besides';
import { cents, dollars, sumRows, taxWords } from '../../words/money';
import { runs, useLabel } from '../../words/labels';
import { missingIn } from '../../words/missing';
import { buyingCsv, buyingText } from './buying-files';
import './BuyingTable.css';

type AmountsProps = { readonly count: number; readonly price: number; readonly total: number };

const Amounts = ({ count, price, total }: AmountsProps) => (
  <>
    <TableCell align="right">{count}</TableCell>
    <TableCell align="right" className="wide-only">
      {cents(price)}
    </TableCell>
    <TableCell align="right">{cents(total)}</TableCell>
  </>
);

function BoardRow({ line }: { readonly line: BoardLine }) {
  const { offer, count, total, partIds, storeCuts } = line;
  const rest = besides(line);
  const { units } = useJob();
  const label = useLabel();
  return (
    <TableRow className={count === 0 ? 'nothing' : undefined}>
      <TableCell className="tag-cell">
        <Text of={offerName(offer, units)} />
      </TableCell>
      <TableCell className="soft wide-only">
        {'grade' in offer ? `${offer.grade} ${SPECIES[speciesOf(offer.board)].name}` : 'sheet'}
      </TableCell>
      <Amounts count={count} price={offer.price} total={total} />
      <TableCell className="soft">
        {runs(partIds.map(label))}
        <StoreCuts of={storeCuts} />
        {rest !== '' && (
          <b>
            {partIds.length > 0 ? ' · ' : ''}
            {rest}
          </b>
        )}
      </TableCell>
    </TableRow>
  );
}

/** Boards and sheets; under the yard's name where several are bought at. */
function BoardRows({ list, narrow }: { readonly list: BuyingList; readonly narrow: boolean }) {
  return byYard(useJob(), list.boards).flatMap(({ yard, lines }) => [
    list.byYard.length > 1 && (
      <TableRow key={yard.id} className="group">
        <TableCell component="th" scope="row" colSpan={narrow ? 4 : 6}>
          {yard.name}
        </TableCell>
      </TableRow>
    ),
    ...lines.map((line) => <BoardRow key={line.offer.id} line={line} />),
  ]);
}

/** Screws, hardware, glue and finish: one line, or each. */
function HardwareRows({ list, narrow }: { readonly list: BuyingList; readonly narrow: boolean }) {
  const [open, setOpen] = useState(false);
  const sum = list.hardware.reduce((all, { total }) => all + total, 0);
  const bought = list.hardware.filter(({ count }) => count === 0).length;
  return (
    <>
      <TableRow>
        <TableCell colSpan={narrow ? 2 : 4} className="soft">
          Screws, hardware, glue and finish · {list.hardware.length} {list.hardware.length === 1 ? 'line' : 'lines'}
          {bought > 0 && `, ${bought} bought`}
        </TableCell>
        <TableCell align="right">{cents(sum)}</TableCell>
        <TableCell>
          <Button size="small" variant="text" color="primary" aria-expanded={open} onClick={() => setOpen(!open)}>
            {open ? 'hide' : 'show'}
          </Button>
        </TableCell>
      </TableRow>
      {open &&
        list.hardware.map(({ offer, count, total, need, ...owned }) => (
          <TableRow key={offer.id} className={count === 0 ? 'nothing' : undefined}>
            <TableCell colSpan={narrow ? 1 : 2}>
              <Text of={hardwareName(offer.kind, offer.size)} />
            </TableCell>
            <Amounts count={count} price={offer.price} total={total} />
            <TableCell className="soft">
              {offer.count} {isPoured(offer.kind) ? 'fl oz a can' : 'a box'}; {need.count} needed
              {owned.owned > 0 && <b> · {besides({ spare: 0, ...owned })}</b>}
            </TableCell>
          </TableRow>
        ))}
    </>
  );
}

/** The total against the budget and against the bought price; nothing of that where not all is in it. */
function TotalRow({
  list,
  complete,
  narrow,
}: {
  readonly list: BuyingList;
  readonly complete: boolean;
  readonly narrow: boolean;
}) {
  const { budget, pieces } = useJob();
  const bought = pieces.every(({ boughtPrice }) => boughtPrice !== null)
    ? pieces.reduce((sum, { boughtPrice, copies }) => sum + sure(boughtPrice, 'price of the bought one') * copies, 0)
    : null;
  const over = budget !== null && list.total > budget;
  return (
    <TableRow className="total">
      <TableCell colSpan={narrow ? 2 : 4}>
        With {taxWords(list).toLowerCase()} <span className="soft">({cents(list.tax)})</span>
      </TableCell>
      <TableCell align="right" data-testid="list-total">
        {cents(list.total)}
      </TableCell>
      <TableCell className={!complete || over ? 'over' : 'saves'}>
        {!complete && 'Incomplete: what is missing stands above'}
        {complete &&
          budget !== null &&
          (over ? `${dollars(list.total - budget)} over budget` : `${dollars(budget - list.total)} under budget`)}
        {complete &&
          bought !== null &&
          ` · bought ${pieces.length === 1 && first(pieces).copies === 1 ? 'one costs' : 'ones cost'} ${cents(bought)}`}
      </TableCell>
    </TableRow>
  );
}

/** The list for the store, with its total against the budget and against the bought price. */
export function BuyingTable({ plan }: { readonly plan: Plan }) {
  const job = useJob();
  const label = useLabel();
  const dispatch = useApp();
  const narrow = useMediaQuery('(max-width: 899px)');
  const { list } = plan;
  const missing = missingIn(plan, label);
  const copyText = async () => {
    const lines = buyingText(plan, job, label);
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
            <BoardRows list={list} narrow={narrow} />
            <HardwareRows list={list} narrow={narrow} />
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
            {sumRows(list).map(([name, value]) => (
              <TableRow key={name}>
                <TableCell colSpan={narrow ? 2 : 4} className="soft">
                  {name}, with tax
                </TableCell>
                <TableCell align="right">{cents(value)}</TableCell>
                <TableCell />
              </TableRow>
            ))}
            <TotalRow list={list} complete={missing.length === 0} narrow={narrow} />
          </TableBody>
        </Table>
      </div>
      <div className="table-tools">
        <Button onClick={() => void copyText()}>Copy as text</Button>
        <Button onClick={() => saveFile(`${job.name} buying list.csv`, 'text/csv', buyingCsv(plan, job, label))}>
          Save as CSV
        </Button>
      </div>
    </section>
  );
}
