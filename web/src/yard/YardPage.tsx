import { Button } from '@mui/material';
import { Fragment, useState } from 'react';
import { useNavigate } from 'react-router';
import {
  byYard,
  hardwareName,
  isComplete,
  nominalOf,
  offerName,
  printOnHand,
  type BoardLine,
  type HardwareLine,
  type Plan,
} from '@sill/core';
import { NoPlan } from '../stages/shared/NoPlan';
import { useFrom, useJob, usePlan } from '../state/hooks';
import { useTicks } from '../state/useTicks';
import { besides } from '../words/besides';
import { Dim, Text } from '../words/Dim';
import { runs, useLabel } from '../words/labels';
import { missingIn } from '../words/missing';
import { cents, dollars } from '../words/money';
import { Active } from './Active';
import { inCart } from './errand';
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
  const saving = useFrom((state) => state.bench.saving);
  if (!plan) return <NoPlan />;
  const missing = missingIn(plan, label);
  const bought = job.onHand.filter(({ price }) => price > 0);
  return (
    <main className="yard-page">
      <header>
        <Button onClick={() => void navigate('../stock')}>Back</Button>
        <h1>At the yard</h1>
        <span className="soft" role="status">
          {saving === 'offline' ? 'no signal · ticks kept' : saving === 'saved' ? 'saved' : ''}
        </span>
      </header>
      <ul className="yard-list">
        {bought.map((hand) => (
          <li key={hand.id} className="yard-line done">
            <b>
              <Text of={printOnHand(hand, job.units)} />
            </b>
            <span className="soft">in the cart{hand.bad.length > 0 ? ', with a bad stretch' : ''}</span>
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
      <YardSill plan={plan} bought={bought.reduce((sum, { count }) => sum + count, 0)} />
    </main>
  );
}

/** The boards by yard and aisle; one is being chosen, the first that is still wanted unless another is tapped. */
function Boards({ plan }: { readonly plan: Plan }) {
  const job = useJob();
  const [chosen, setChosen] = useState<string | null>(null);
  const { boards } = plan.list;
  const stops = byYard(job, boards);
  const walked = stops.flatMap(({ lines }) => AISLES.flatMap(([, holds]) => lines.filter(holds)));
  const open = walked.find((line) => inCart(job, line.offer.id).kept < line.count);
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
function HardwareRow({ line: { offer, count } }: { readonly line: HardwareLine }) {
  const { has, toggle } = useTicks();
  const id = `yard.${offer.id}`;
  return (
    <li className="yard-line">
      <label className="tick">
        <input type="checkbox" checked={has(id)} onChange={() => toggle(id)} />
        <span>
          <b>
            <Text of={hardwareName(offer.kind, offer.size)} />
          </b>{' '}
          <span className="soft">
            {count} of {offer.count}, {cents(offer.price)} each
          </span>
        </span>
      </label>
    </li>
  );
}

/** What it comes to, what is in the cart already (`bought` lie there with a price paid) and the longest board. */
function YardSill({ plan, bought }: { readonly plan: Plan; readonly bought: number }) {
  const job = useJob();
  const { boards, total } = plan.list;
  const kept = boards.reduce((sum, line) => sum + Math.min(line.count, inCart(job, line.offer.id).kept), 0);
  const longest = Math.max(0, ...boards.map(({ offer }) => offer.length));
  return (
    <footer className="yard-sill">
      <span>
        <small>{isComplete(plan) ? 'Spend' : 'Spend, incomplete'}</small>
        <b>{dollars(total)}</b>
      </span>
      <span>
        <small>In the cart</small>
        <b data-testid="in-cart">
          {kept + bought} of {bought + boards.reduce((sum, { count }) => sum + count, 0)}
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
  const { kept, rejected } = inCart(job, line.offer.id);
  const done = kept >= line.count;
  return (
    <li className={done ? 'yard-line done' : 'yard-line'}>
      <button type="button" onClick={onChoose}>
        <b>
          <Text of={offerName(line.offer, job.units)} />
        </b>
        <span className="soft">
          {rejected > 0 ? `${kept} kept, ${rejected} rejected` : runs(line.partIds.map(label)) || besides(line)}
        </span>
      </button>
      <strong>
        {kept} of {line.count}
      </strong>
    </li>
  );
}
