import {
  Button,
  Dialog,
  DialogContent,
  DialogTitle,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
} from '@mui/material';
import { useState } from 'react';
import {
  boughtOffer,
  hardwareName,
  holdingsOf,
  offerName,
  receiptsOf,
  standingEntries,
  taxOn,
  type Entry,
  type Purchase,
  type Units,
} from '@sill/core';
import { useJob } from '../../state/hooks';
import { newId } from '../../state/newId';
import { STAMP, useTell } from '../../state/useLedger';
import { NumberField } from '../../ui/NumberField';
import { TextLine } from '../../ui/TextLine';
import { Text } from '../../words/Dim';
import { cents, difference, dollars } from '../../words/money';
import { WriteActions } from './WriteActions';

/** Alike purchases in one row. */
type Row = { readonly key: string; readonly name: string; readonly own: readonly Purchase[]; readonly listed: number };

const nameOf = (purchase: Purchase, units: Units): string =>
  purchase.what === 'box' ? hardwareName(purchase.kind, purchase.size) : offerName(boughtOffer(purchase), units);

/** Purchases at a yard that are on no receipt, alike ones together. */
function rowsOf(purchases: readonly Purchase[], units: Units): readonly Row[] {
  const rows = new Map<string, Row>();
  for (const purchase of purchases) {
    const key = `${purchase.offer} ${purchase.price}`;
    const row = rows.get(key) ?? { key, name: nameOf(purchase, units), own: [], listed: purchase.price };
    rows.set(key, { ...row, own: [...row.own, purchase] });
  }
  return [...rows.values()];
}

/** What is bought and on no receipt yet, by yard, at the prices that are known by now. */
function useOpenPurchases() {
  const job = useJob();
  const on = new Set(standingEntries(job.ledger).flatMap((entry) => (entry.what === 'receipt' ? entry.of : [])));
  const open = receiptsOf(holdingsOf(job)).flatMap(({ purchases }) => purchases.filter(({ id }) => !on.has(id)));
  return [...new Map(open.map(({ yard }) => [yard.id, yard])).values()].map((yard) => ({
    yard,
    purchases: open.filter((one) => one.yard.id === yard.id),
  }));
}

/** A receipt as it was paid: each row against the list, what else is on it, tax and total. */
export function ReceiptDialog({ onClose }: { readonly onClose: () => void }) {
  const job = useJob();
  const stops = useOpenPurchases();
  const [at, setAt] = useState(0);
  const stop = stops[at] ?? null;
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="receipt-title">
      <DialogTitle id="receipt-title">Receipt{stop ? ` of ${stop.yard.name}` : ''}</DialogTitle>
      {stops.length > 1 && (
        <div className="row wrap receipt-yards">
          {stops.map(({ yard }, k) => (
            <Button key={yard.id} size="small" variant={k === at ? 'contained' : 'outlined'} onClick={() => setAt(k)}>
              {yard.name}
            </Button>
          ))}
        </div>
      )}
      <ReceiptForm
        key={stop?.yard.id ?? ''}
        yard={stop?.yard ?? job.yard}
        rows={rowsOf(stop?.purchases ?? [], job.units)}
        onClose={onClose}
      />
    </Dialog>
  );
}

type FormProps = {
  readonly yard: Purchase['yard'];
  readonly rows: readonly Row[];
  readonly onClose: () => void;
};

/** Each row of what was bought, with its price on the list and as it was paid. */
function Paid({
  rows,
  each,
  onPaid,
}: {
  readonly rows: readonly Row[];
  readonly each: (row: Row) => number;
  readonly onPaid: (row: Row, price: number) => void;
}) {
  return (
    <div className="scroll">
      <Table size="small" aria-label="What is on it">
        <TableHead>
          <TableRow>
            <TableCell>What</TableCell>
            <TableCell align="right">On the list</TableCell>
            <TableCell>Paid each</TableCell>
            <TableCell align="right">More or less</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map((row) => (
            <TableRow key={row.key}>
              <TableCell>
                {row.own.length} <Text of={row.name} />
              </TableCell>
              <TableCell align="right">{cents(row.listed)}</TableCell>
              <TableCell>
                <NumberField
                  label=""
                  name={`Paid for ${row.name}`}
                  money
                  least={0.01}
                  most={10_000}
                  value={each(row)}
                  onChange={(value) => value !== null && onPaid(row, value)}
                />
              </TableCell>
              <TableCell align="right" className={each(row) > row.listed ? 'over' : 'under'}>
                {each(row) !== row.listed && difference(row.own.length * (each(row) - row.listed))}
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </div>
  );
}

type Extra = { readonly id: string; readonly name: string; readonly price: number };

/** What else is on the receipt, by name. */
function Extras({
  rows,
  onChange,
}: {
  readonly rows: readonly Extra[];
  readonly onChange: (rows: readonly Extra[]) => void;
}) {
  return (
    <>
      {rows.map((row) => (
        <div key={row.id} className="row wrap">
          <TextLine
            label="What else"
            value={row.name}
            most={120}
            onChange={(name) => onChange(rows.map((one) => (one === row ? { ...row, name } : one)))}
          />
          <NumberField
            label="Price"
            money
            least={0}
            most={10_000}
            value={row.price}
            onChange={(price) => onChange(rows.map((one) => (one === row ? { ...row, price: price ?? 0 } : one)))}
          />
        </div>
      ))}
      <p>
        <Button size="small" onClick={() => onChange([...rows, { id: newId(), name: '', price: 0 }])}>
          Something that was not on the list
        </Button>
      </p>
    </>
  );
}

function ReceiptForm({ yard, rows, onClose }: FormProps) {
  const tell = useTell();
  const [paid, setPaid] = useState<ReadonlyMap<string, number>>(new Map());
  const [extras, setExtras] = useState<readonly Extra[]>([]);
  const [typed, setTyped] = useState<{ readonly tax: number | null; readonly total: number | null }>({
    tax: null,
    total: null,
  });
  const each = ({ key, listed }: Row) => paid.get(key) ?? listed;
  const named = extras.filter(({ name, price }) => name.trim() !== '' && price > 0);
  const subtotal =
    rows.reduce((sum, row) => sum + row.own.length * each(row), 0) + named.reduce((sum, { price }) => sum + price, 0);
  const listed = rows.reduce((sum, row) => sum + row.own.length * row.listed, 0);
  const tax = typed.tax ?? taxOn(subtotal, yard);
  const total = typed.total ?? subtotal + tax;
  const unexplained = total - subtotal - tax;
  const write = () => {
    const prices = rows.flatMap((row): readonly Entry[] =>
      each(row) === row.listed
        ? []
        : row.own.map(({ id: of }) => ({ id: STAMP.id(), at: STAMP.at, what: 'paid', of, price: each(row) })),
    );
    const of = rows.flatMap(({ own }) => own.map(({ id }) => id));
    tell([
      ...prices,
      {
        ...{ id: STAMP.id(), at: STAMP.at, what: 'receipt', yard: yard.name, of, tax, total, photo: null },
        extras: named.map(({ name, price }) => ({ name: name.trim().slice(0, 120), price })),
      },
    ]);
    onClose();
  };
  return (
    <>
      <DialogContent>
        <div className="form">
          {rows.length === 0 ? (
            <p className="soft">All that was bought is on a receipt. What else was paid can be written here.</p>
          ) : (
            <Paid rows={rows} each={each} onPaid={(row, price) => setPaid(new Map([...paid, [row.key, price]]))} />
          )}
          <Extras rows={extras} onChange={setExtras} />
          <div className="row wrap">
            <NumberField
              label="Tax on it"
              money
              least={0}
              most={100_000}
              value={tax}
              onChange={(value) => setTyped({ ...typed, tax: value })}
            />
            <NumberField
              label="Total paid"
              money
              least={0}
              most={1_000_000}
              value={total}
              onChange={(value) => setTyped({ ...typed, total: value })}
            />
          </div>
          <p role="status">
            {dollars(subtotal)} before tax, {difference(subtotal - listed)} against the list.
            {unexplained !== 0 &&
              ` ${dollars(Math.abs(unexplained))} of the total ${unexplained > 0 ? 'is in no row' : 'is too little for its rows'}: look it over, or keep it so.`}
          </p>
        </div>
      </DialogContent>
      <WriteActions disabled={total <= 0} onClose={onClose} onWrite={write} />
    </>
  );
}
