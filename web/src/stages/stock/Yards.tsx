import { Button, Dialog, DialogActions, DialogContent, DialogTitle, MenuItem, TextField } from '@mui/material';
import { format, parseISO } from 'date-fns';
import { useMemo, useState } from 'react';
import { nth, readYardCsv, sure, withRows, type Yard, yardCsv, type YardRows } from '@sill/core';
import { NumberField } from '../../ui/NumberField';
import { TextLine } from '../../ui/TextLine';
import { saveFile, textOfChosenFile } from '../../platform/files';
import { useChangeJob, useEdges, useJob } from '../../state/hooks';
import { useLazyPricesQuery, useLazyYardsQuery, useSaveYardMutation } from '../../state/server';
import { useErrand } from '../../state/useErrand';
import { AddRow } from './AddRow';
import { PriceHistory } from './PriceHistory';
import { PriceRows, type Kind, type YardPath } from './PriceRows';
import { useYards } from '../../state/useYards';
import { Segmented } from '../../ui/Segmented';
import './Yards.css';

const KINDS: readonly (readonly [Kind, string])[] = [
  ['boards', 'Boards'],
  ['sheets', 'Sheets'],
  ['hardware', 'Screws and the rest'],
];

/**
 * Which yards the job buys at, and their prices. A change here is for this job; the yard's own list only when told to.
 */
export function Yards() {
  const { yard: first, alsoAt } = useJob();
  const change = useChangeJob();
  const known = useYards();
  const [kind, setKind] = useState<Kind>('boards');
  const [shown, setShown] = useState(0);
  const [picked, setPicked] = useState<{ readonly id: string; readonly name: string } | null>(null);
  const mine = [first, ...alsoAt];
  const at = Math.min(shown, alsoAt.length);
  const yard = nth(mine, at);
  const path = useMemo((): YardPath => (at === 0 ? ['yard'] : ['alsoAt', yard.id]), [at, yard.id]);
  const put = (value: Yard) => change(path, value);
  const others = known.filter(({ id }) => !mine.some((row) => row.id === id));
  return (
    <div className="stack">
      <section className="sheet prices" aria-label="Prices">
        {mine.length > 1 && (
          <Segmented
            label="Yard whose list is shown"
            value={at}
            options={mine.map(({ name }, index) => [index, name])}
            onChange={setShown}
          />
        )}
        <YardRow
          yard={yard}
          path={path}
          isFirst={at === 0}
          others={others}
          mayAdd={mine.length < 4}
          onTake={(taken) => {
            put(taken);
            setPicked(null);
          }}
          onAdd={(added) => {
            change(['alsoAt', added.id], added);
            setShown(mine.length);
          }}
        />
        <YardTools yard={yard} onTake={put} />
        <p className="soft">
          Prices before tax, made up. A board that is not in stock is left out of every plan. With several yards each
          board is bought where it is cheapest, tax counted.
        </p>
      </section>
      <div className="price-columns">
        <section className="sheet" aria-label="Price list">
          <Segmented label="What is sold" value={kind} options={KINDS} onChange={setKind} />
          <PriceRows kind={kind} yard={yard} at={path} picked={picked?.id ?? null} onPick={setPicked} />
          <AddRow key={kind} kind={kind} yard={yard} onTake={put} />
        </section>
        {picked ? (
          <PriceHistory yard={yard.id} offer={picked.id} name={picked.name} />
        ) : (
          <p className="soft">Click a board for its price over half a year.</p>
        )}
      </div>
    </div>
  );
}

type YardRowProps = {
  readonly yard: Yard;
  readonly path: YardPath;
  /** Of the yards the job buys at, the one that is always there. */
  readonly isFirst: boolean;
  readonly others: readonly Yard[];
  readonly mayAdd: boolean;
  readonly onTake: (yard: Yard) => void;
  readonly onAdd: (yard: Yard) => void;
};

/** Which yard it is, its name and tax; another in its place, or besides. */
function YardRow({ yard, path, isFirst, others, mayAdd, onTake, onAdd }: YardRowProps) {
  const change = useChangeJob();
  const known = [yard, ...others];
  return (
    <div className="row wrap">
      <TextField
        select
        label={isFirst ? 'Buy at' : 'Also buy at'}
        value={yard.id}
        onChange={({ target }) => known.filter(({ id }) => id === target.value).forEach(onTake)}
        sx={{ minWidth: 220 }}
      >
        {known.map((row) => (
          <MenuItem key={row.id} value={row.id}>
            {row.name}
          </MenuItem>
        ))}
      </TextField>
      <TextLine
        label="Its name"
        value={yard.name}
        required
        most={120}
        onChange={(value) => change([...path, 'name'], value)}
      />
      <NumberField
        label="Sales tax"
        unit="%"
        least={0}
        most={50}
        fractions
        value={yard.tax}
        onChange={(value) => value !== null && change([...path, 'tax'], value)}
      />
      {!isFirst && <Button onClick={() => change(['alsoAt', yard.id], undefined)}>Do not buy there</Button>}
      {mayAdd && others.length > 0 && (
        <TextField
          select
          label="And at another yard"
          value=""
          onChange={({ target }) => known.filter(({ id }) => id === target.value).forEach(onAdd)}
          sx={{ minWidth: 200 }}
        >
          {others.map((row) => (
            <MenuItem key={row.id} value={row.id}>
              {row.name}
            </MenuItem>
          ))}
        </TextField>
      )}
    </div>
  );
}

/** Today's prices, the yard's own list, and files. */
function YardTools({ yard, onTake: take }: { readonly yard: Yard; readonly onTake: (yard: Yard) => void }) {
  const { units } = useJob();
  const { busy, run } = useErrand();
  const [read, setRead] = useState<YardRows | null>(null);
  const day = useEdges().today();
  const [pricesOf] = useLazyPricesQuery();
  const [yards] = useLazyYardsQuery();
  const [save] = useSaveYardMutation();
  const kept = async () => (await yards({}).unwrap()).find((row) => row.id === yard.id);
  const takeToday = () =>
    run(async () => {
      const { yard: now } = await pricesOf({ params: { yard: yard.id }, query: { day } }).unwrap();
      take(now);
      const out = now.boards.filter(({ inStock }) => !inStock).length;
      return `Prices of ${format(parseISO(day), 'd MMMM')} taken from ${now.name}.${out > 0 ? ` ${out === 1 ? '1 size of board is' : `${out} sizes of board are`} not in stock.` : ''}`;
    });
  const keepInYard = () =>
    run(async () => {
      const revision = (await kept())?.revision ?? 0;
      await save({ params: { id: yard.id }, body: { revision, value: yard } }).unwrap();
      return `Kept in ${yard.name}. New jobs can take these prices.`;
    });
  const takeFromYard = () =>
    run(async () => {
      const found = await kept();
      if (!found) throw new Error('The yard has no list of this name yet. Keep these prices there first.');
      take(found.value);
      return `Prices taken from ${found.value.name}.`;
    });
  const importCsv = async () => {
    const text = await textOfChosenFile('.csv,text/csv');
    if (text !== null) setRead(readYardCsv(text, units));
  };
  const count = read ? read.boards.length + read.sheets.length + read.hardware.length : 0;
  return (
    <div className="row wrap">
      <Button disabled={busy} onClick={takeToday}>
        Today’s prices
      </Button>
      <Button disabled={busy} onClick={takeFromYard}>
        Take the yard’s prices
      </Button>
      <Button disabled={busy} onClick={keepInYard}>
        Keep these in the yard
      </Button>
      <Button onClick={() => void importCsv()}>Import CSV</Button>
      <Button onClick={() => saveFile(`${yard.name}.csv`, 'text/csv', yardCsv(yard, units))}>Save CSV</Button>
      <Dialog open={read !== null} onClose={() => setRead(null)} maxWidth="sm" fullWidth>
        <DialogTitle>
          {count} {count === 1 ? 'row is' : 'rows are'} right
          {read && read.problems.length > 0 ? `, ${read.problems.length} not` : ''}
        </DialogTitle>
        <DialogContent>
          <p>
            {count > 0
              ? 'What the list has takes the new price, what it lacks is added. Nothing is changed until you say so.'
              : 'Nothing in this file can be taken.'}
          </p>
          {read && read.problems.length > 0 && (
            <ul className="problems">
              {read.problems.slice(0, 50).map(({ row, message }) => (
                <li key={`${row} ${message}`}>
                  <strong>Row {row}.</strong> {message}
                </li>
              ))}
            </ul>
          )}
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setRead(null)}>Leave it</Button>
          <Button
            variant="contained"
            color="primary"
            disabled={count === 0}
            onClick={() => {
              take(withRows(yard, sure(read, 'file that was read')));
              setRead(null);
            }}
          >
            Take {count} {count === 1 ? 'row' : 'rows'}
          </Button>
        </DialogActions>
      </Dialog>
    </div>
  );
}
