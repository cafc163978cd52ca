import { Button } from '@mui/material';
import { Fragment, useState } from 'react';
import { useNavigate } from 'react-router';
import {
  boxesNow,
  byYard,
  hardwareName,
  isComplete,
  lineNow,
  nominalOf,
  offerName,
  printLength,
  printMaterial,
  type BoardLine,
  type HardwareLine,
  type Plan,
} from '@sill/core';
import { NoPlan } from '../stages/shared/NoPlan';
import { ReceiptDialog } from '../stages/shared/ReceiptDialog';
import { useFrom, useJob, usePlan } from '../state/hooks';
import { about, STAMP, useHoldings, useTell } from '../state/useLedger';
import { besides } from '../words/besides';
import { Dim, Text } from '../words/Dim';
import { runs, useLabel } from '../words/labels';
import { missingIn } from '../words/missing';
import { cents, dollars } from '../words/money';
import { Active } from './Active';
import { boxesTaken, taken } from './errand';
import './YardPage.css';

/** Where things stand in most yards, in the order they are walked past. */
const AISLES: readonly (readonly [string, (line: BoardLine) => boolean])[] = [
  ['Framing lumber', ({ offer }) => 'board' in offer && /^(2|5\/4)x/.test(nominalOf(offer.board))],
  ['Posts', ({ offer }) => 'board' in offer && /^[46]x/.test(nominalOf(offer.board))],
  ['Boards', ({ offer }) => 'board' in offer && nominalOf(offer.board).startsWith('1x')],
  ['Sheets and panels', ({ offer }) => 'sheet' in offer],
];

/** At the yard: the list as it is worked through with one thumb, one board after the other. */
export default function YardPage() {
  const job = useJob();
  const label = useLabel();
  const plan = usePlan();
  const navigate = useNavigate();
  const marked = [...useHoldings().bodies.values()].filter(
    ({ bought, bad, state }) => bought && bad.length > 0 && state === 'whole',
  );
  const [receipt, setReceipt] = useState(false);
  const saving = useFrom((state) => state.bench.saving);
  if (!plan) return <NoPlan />;
  const missing = missingIn(plan, label);
  return (
    <main className="yard-page">
      <header>
        <Button onClick={() => void navigate('../stock')}>Back</Button>
        <h1>At the yard</h1>
        <span className="soft" role="status">
          {saving === 'offline' ? 'no signal · ticks kept' : saving === 'saved' ? 'saved' : ''}
        </span>
        <Button onClick={() => setReceipt(true)}>Receipt</Button>
      </header>
      <ul className="yard-list">
        {marked.map((body) => (
          <li key={body.id} className="yard-line done">
            <b>
              <Text of={`${printMaterial(body.material)} ${printLength(body.length, job.units)}`} />
            </b>
            <span className="soft">in the cart, with a bad stretch</span>
          </li>
        ))}
      </ul>
      <Boards plan={plan} />
      <h2>Screws and the rest</h2>
      <ul className="yard-list">
        {plan.list.hardware.map((line) => (
          <HardwareRow key={line.offer.id} line={line} />
        ))}
      </ul>
      {missing.length > 0 && (
        <>
          <h2>Not to be had here</h2>
          <ul className="yard-missing">
            {missing.map(({ name, count, why }) => (
              <li key={name}>
                <b>
                  {count} <Text of={name} />
                </b>{' '}
                <span className="soft">{why}</span>
              </li>
            ))}
          </ul>
        </>
      )}
      <p className="soft">
        Lift with another: sheets and long boards are awkward before they are heavy. The yard’s own rules come first.
      </p>
      <YardSill plan={plan} />
      {receipt && <ReceiptDialog onClose={() => setReceipt(false)} />}
    </main>
  );
}

/** The lines of boards as they stand after what was taken since the plan was made. */
function useLinesNow({ list }: Plan): readonly BoardLine[] {
  const holdings = useHoldings();
  return list.boards.map((line) => lineNow(line, holdings));
}

/** The boards by yard and aisle; one is being chosen, the first that is still wanted unless another is tapped. */
function Boards({ plan }: { readonly plan: Plan }) {
  const job = useJob();
  const [chosen, setChosen] = useState<string | null>(null);
  const boards = useLinesNow(plan);
  const stops = byYard(job, boards);
  const walked = stops.flatMap(({ lines }) => AISLES.flatMap(([, holds]) => lines.filter(holds)));
  const open = walked.find((line) => line.count > 0);
  const active = boards.find((line) => line.offer.id === chosen) ?? open ?? null;
  return stops.map(({ yard, lines: here }) => (
    <Fragment key={yard.id}>
      {stops.length > 1 && <h2 className="yard-stop">{yard.name}</h2>}
      {AISLES.map(([aisle, holds]) => {
        const lines = here.filter(holds);
        return (
          lines.length > 0 && (
            <section key={aisle} aria-label={aisle}>
              <h2>{aisle}</h2>
              <ul className="yard-list">
                {lines.map((line) =>
                  line === active ? (
                    <Active key={line.offer.id} line={line} plan={plan} onDone={() => setChosen(null)} />
                  ) : (
                    <Line key={line.offer.id} line={line} onChoose={() => setChosen(line.offer.id)} />
                  ),
                )}
              </ul>
            </section>
          )
        );
      })}
    </Fragment>
  ));
}

/** A box of screws, a bottle, a sheet of sandpaper: ticked when it is in the cart. */
function HardwareRow({ line: planned }: { readonly line: HardwareLine }) {
  const job = useJob();
  const tell = useTell();
  const holdings = useHoldings();
  const { boxes } = holdings;
  const line = boxesNow(planned, holdings);
  const { offer, count, owned } = line;
  const toggle = () =>
    tell(
      count > 0
        ? boxesTaken(job, line, STAMP)
        : boxes.filter((box) => box.offer === offer.id).map(({ id }) => about('corrected', id)),
    );
  return (
    <li className="yard-line">
      <label className="tick">
        <input type="checkbox" checked={count === 0 && owned > 0} onChange={toggle} />
        <span>
          <b>
            <Text of={hardwareName(offer.kind, offer.size)} />
          </b>{' '}
          <span className="soft">
            {count === 0 ? owned : count} of {offer.count}, {cents(offer.price)} each
            {owned > 0 && count > 0 && `, ${owned} more in the cart`}
            {line.idle > 0 && `, ${line.idle} not needed now`}
          </span>
        </span>
      </label>
    </li>
  );
}

/** What it comes to, what is in the cart already and the longest board still to be found. */
function YardSill({ plan }: { readonly plan: Plan }) {
  const job = useJob();
  const { total } = plan.list;
  const boards = useLinesNow(plan);
  const working = useFrom((state) => state.planning.working);
  const kept = boards.reduce((sum, line) => sum + taken(line), 0);
  const longest = Math.max(0, ...boards.flatMap(({ offer, count }) => (count > 0 ? [offer.length] : [])));
  return (
    <footer className="yard-sill" aria-busy={working}>
      <span>
        <small>{isComplete(plan) ? 'Spend' : 'Spend, incomplete'}</small>
        <b>{dollars(total)}</b>
      </span>
      <span>
        <small>In the cart</small>
        <b data-testid="in-cart">
          {kept} of {boards.reduce((sum, { count }) => sum + count, kept)}
        </b>
      </span>
      <span>
        <small>Longest</small>
        <b>
          <Dim of={longest} mark />
          {longest > job.shop.car ? ' · store cuts' : ''}
        </b>
      </span>
    </footer>
  );
}

type LineProps = { readonly line: BoardLine; readonly onChoose: () => void };

function Line({ line, onChoose }: LineProps) {
  const job = useJob();
  const label = useLabel();
  const rejected = useHoldings().rejected.get(line.offer.id) ?? 0;
  const kept = taken(line);
  const done = line.count === 0;
  return (
    <li className={done ? 'yard-line done' : 'yard-line'}>
      <button type="button" onClick={onChoose}>
        <b>
          <Text of={offerName(line.offer, job.units)} />
        </b>
        <span className="soft">
          {rejected > 0 ? `${kept} kept, ${rejected} rejected` : runs(line.partIds.map(label)) || besides(line)}
          {line.idle > 0 && ` · ${line.idle} not needed now`}
        </span>
      </button>
      <strong>
        {kept} of {kept + line.count}
      </strong>
    </li>
  );
}
