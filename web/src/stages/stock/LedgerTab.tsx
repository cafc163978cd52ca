import { Button, Table, TableBody, TableCell, TableHead, TableRow } from '@mui/material';
import { format, parseISO } from 'date-fns';
import { useMemo, useState } from 'react';
import { standingEntries, type Entry, type Plan } from '@sill/core';
import { useJob } from '../../state/hooks';
import { about, useHoldings, useTell } from '../../state/useLedger';
import { entryWords, stepSentences } from '../../words/entries';
import { useLabel } from '../../words/labels';
import { cents, dollars, sumRows } from '../../words/money';
import './LedgerTab.css';

/** Entries that are there at once; the rest on request. */
const FIRST = 60;

const when = (at: string | null): string => (at === null ? 'before' : format(parseISO(at), 'd MMM HH:mm'));
const priceOf = (entry: Entry): number | null => (entry.what === 'bought' || entry.what === 'box' ? entry.price : null);

/** Everything that happened in the job, the newest first, and where its money is. A mistake is taken back. */
export function LedgerTab({ plan }: { readonly plan: Plan | null }) {
  const job = useJob();
  const label = useLabel();
  const holdings = useHoldings();
  const tell = useTell();
  const [all, setAll] = useState(false);
  const standing = useMemo(() => new Set(standingEntries(job.ledger)), [job.ledger]);
  const steps = useMemo(() => (plan ? stepSentences(plan, job.units) : null), [plan, job.units]);
  const told = [...job.ledger].reverse().filter(({ what }) => what !== 'corrected');
  const telling = { holdings, units: job.units, label, steps };
  if (told.length === 0)
    return (
      <section className="sheet">
        <p className="soft">
          Nothing yet. What is bought, cut, spoiled and done is kept here, at the price paid; the plan is made around
          it.
        </p>
      </section>
    );
  return (
    <div className="stack">
      {plan && <Money plan={plan} />}
      <section className="sheet ledger-rows" aria-label="What happened">
        <div className="scroll">
          <Table size="small" aria-label="What happened">
            <TableHead>
              <TableRow>
                <TableCell>When</TableCell>
                <TableCell>What</TableCell>
                <TableCell align="right">Paid</TableCell>
                <TableCell />
              </TableRow>
            </TableHead>
            <TableBody>
              {told.slice(0, all ? told.length : FIRST).map((entry) => {
                const price = priceOf(entry);
                const stands = standing.has(entry);
                return (
                  <TableRow key={entry.id} className={stands ? undefined : 'taken-back'}>
                    <TableCell className="soft">{when(entry.at)}</TableCell>
                    <TableCell>{entryWords(entry, telling)}</TableCell>
                    <TableCell align="right">{price !== null && cents(price)}</TableCell>
                    <TableCell align="right" className="actions">
                      {stands ? (
                        <Button size="small" onClick={() => tell([about('corrected', entry.id)])}>
                          A mistake
                        </Button>
                      ) : (
                        <span className="soft">taken back</span>
                      )}
                    </TableCell>
                  </TableRow>
                );
              })}
            </TableBody>
          </Table>
        </div>
        {!all && told.length > FIRST && <Button onClick={() => setAll(true)}>Show all {told.length}</Button>}
      </section>
    </div>
  );
}

/** Where the money is, and the receipts it is on. */
function Money({ plan: { list } }: { readonly plan: Plan }) {
  const rows = sumRows(list);
  if (rows.length === 0) return null;
  return (
    <section className="sheet ledger-money" aria-label="Where the money is">
      <dl>
        {rows.map(([name, value]) => (
          <div key={name}>
            <dt>{name}</dt>
            <dd>{cents(value)}</dd>
          </div>
        ))}
        <div className="total">
          <dt>Together, with tax</dt>
          <dd>{dollars(list.total)}</dd>
        </div>
      </dl>
      <dl>
        {list.receipts.map(({ yard, day, purchases, subtotal, tax }) => (
          <div key={`${day} ${yard.id} ${yard.tax}`}>
            <dt>
              {yard.name}
              {day !== '' && `, ${format(parseISO(day), 'd MMM')}`}{' '}
              <span className="soft">
                {purchases.length} bought, tax at {yard.tax} %
              </span>
            </dt>
            <dd>{cents(subtotal + tax)}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
