import { Button } from '@mui/material';
import { Fragment, useState } from 'react';
import { useNavigate } from 'react-router';
import {
  applyChanges,
  hardwareName,
  inches,
  isComplete,
  judge,
  bareId,
  nominalOf,
  offerName,
  printOnHand,
  soldAt,
  WET,
  type Board,
  type BoardLine,
  type Change,
  type Plan,
  byYard,
} from '@sill/core';
import { LengthField } from '../ui/LengthField';
import { useApp, useChange, useEdges, useFrom, useJob, usePlan } from '../state/hooks';
import { newId } from '../state/newId';
import { useTicks } from '../state/useTicks';
import { said } from '../state/view';
import { runs, useLabel } from '../words/labels';
import { Dim, Text } from '../words/Dim';
import { cents, difference, dollars } from '../words/money';
import { Words } from '../words/Words';
import { inCart, keep, keepWithStretch, noneLeft, reject } from './errand';
import { Sighting } from './Sighting';
import { useRackBoards } from './useRackBoards';
import { NoPlan } from '../stages/shared/NoPlan';
import { missingIn } from '../words/missing';
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
  const { has, toggle } = useTicks();
  const [chosen, setChosen] = useState<string | null>(null);
  if (!plan) return <NoPlan />;
  const { list } = plan;
  const missing = missingIn(plan, label);
  const stops = byYard(job, list.boards);
  const walked = stops.flatMap(({ lines }) => AISLES.flatMap(([, holds]) => lines.filter(holds)));
  const open = walked.filter((line) => inCart(job, line.offer.id).kept < line.count);
  const active = list.boards.find((line) => line.offer.id === chosen) ?? open[0] ?? null;
  const bought = job.onHand.filter(({ price }) => price > 0);
  const kept = list.boards.reduce((sum, line) => sum + Math.min(line.count, inCart(job, line.offer.id).kept), 0);
  const there = kept + bought.reduce((sum, { count }) => sum + count, 0);
  const longest = Math.max(0, ...list.boards.map(({ offer }) => offer.length));
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
      {stops.map(({ yard, lines: here }) => (
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
      ))}
      <h2>Screws and the rest</h2>
      <ul className="yard-list">
        {list.hardware.map(({ offer, count }) => {
          const id = `yard.${offer.id}`;
          return (
            <li key={offer.id} className="yard-line">
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
        })}
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
      <footer className="yard-sill">
        <span>
          <small>{isComplete(plan) ? 'Spend' : 'Spend, incomplete'}</small>
          <b>{dollars(list.total)}</b>
        </span>
        <span>
          <small>In the cart</small>
          <b data-testid="in-cart">
            {there} of {there - kept + list.boards.reduce((sum, { count }) => sum + count, 0)}
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
    </main>
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
          {rejected > 0 ? `${kept} kept, ${rejected} rejected` : runs(line.partIds.map(label)) || 'spare'}
        </span>
      </button>
      <strong>
        {kept} of {line.count}
      </strong>
    </li>
  );
}

/** Stands on a board whose stretch was shown by the simulated yard. */
const SIMULATED_RACK = 'kept with a bad stretch, beside a simulated reading';

type ActiveProps = { readonly line: BoardLine; readonly plan: Plan; readonly onDone: () => void };

/** The board being chosen: what it must give, what the rack has, and what to do with the one in hand. */
function Active({ line, plan, onDone }: ActiveProps) {
  const job = useJob();
  const change = useChange();
  const dispatch = useApp();
  const { planner } = useEdges();
  const { kept, rejected } = inCart(job, line.offer.id);
  const boards = plan.buying.boards.filter((board) => board.hand === null && board.offer.id === line.offer.id);
  const board = boards[Math.min(kept, boards.length - 1)] ?? null;
  const longest = board ? Math.max(...board.pieces.map((piece) => piece.length)) : inches(24);
  const isBoard = !('sheet' in line.offer);
  const rack = useRackBoards(soldAt(job, line.offer).id, isBoard ? bareId(job, line.offer) : null);
  const hand = rack && rack.boards.length > 0 ? rack.boards[(kept + rejected) % rack.boards.length]! : null;
  const judged = hand ? judge(hand, line.offer.length, longest) : null;
  const [marking, setMarking] = useState(false);
  const [instead, setInstead] = useState<{ readonly changes: readonly Change[]; readonly costs: number } | null>(null);
  const make = (changes: readonly Change[]) => {
    change(changes);
    setMarking(false);
    setInstead(null);
    if (kept + 1 >= line.count) onDone();
  };
  const askInstead = () => {
    const changes = noneLeft(job, line, newId);
    planner.planQuickly(applyChanges(job, changes)).then(
      (then) => {
        const lacking = then.buying.unplaced[0];
        if (lacking)
          dispatch(said({ text: `Nothing else in stock will do: ${lacking.because}. Try another yard.`, bad: true }));
        else setInstead({ changes, costs: then.list.total - plan.list.total });
      },
      (error: Error) => void dispatch(said({ text: error.message, bad: true })),
    );
  };
  const limit = line.offer.length;
  return (
    <li className="yard-active" aria-label={`Choosing ${line.offer.id}`}>
      <div className="yard-head">
        <h2>
          <Text of={offerName(line.offer, job.units)} />
        </h2>
        <span className="soft">
          {'grade' in line.offer ? `${line.offer.grade} · ` : ''}
          {cents(line.offer.price)}
        </span>
        <strong>
          {Math.min(kept + 1, line.count)} of {line.count}
        </strong>
      </div>
      {isBoard && <Sighting found={hand} />}
      {board && <Strip board={board} />}
      {hand && judged && (
        <p className={`meter ${judged.verdict}`} role="status">
          <b>{hand.moisture} %</b>
          <span>
            {rack!.simulated && <strong>Simulated reading. </strong>}
            Board {hand.number} in the rack. <Words of={judged.because} />
            {hand.moisture > WET && judged.verdict === 'stretch' && ' Wet: let it lie two weeks.'}
          </span>
        </p>
      )}
      {isBoard && rack && !rack.reached && <p className="soft">No signal: judge by eye. What you tick is kept.</p>}
      {instead ? (
        <div className="yard-buttons">
          <Button variant="contained" color="primary" onClick={() => make(instead.changes)}>
            <span>
              Take the best from what is there <b>{difference(instead.costs)}</b>
            </span>
          </Button>
          <Button onClick={() => setInstead(null)}>No</Button>
        </div>
      ) : marking ? (
        <Stretch
          limit={limit}
          initial={judged?.bad[0] ?? { from: 0, to: inches(6) }}
          onMark={(bad) => make(keepWithStretch(job, line, bad, newId, rack?.simulated ? SIMULATED_RACK : ''))}
          onCancel={() => setMarking(false)}
        />
      ) : (
        <div className="yard-buttons">
          <Button variant="contained" color="primary" onClick={() => make(keep(job, line))}>
            Keep
          </Button>
          {isBoard && (
            <Button className="care" onClick={() => setMarking(true)}>
              Bad stretch
            </Button>
          )}
          {isBoard && (
            <Button className="stop" onClick={() => change(reject(job, line))}>
              Reject
            </Button>
          )}
          <Button onClick={askInstead}>None left</Button>
        </div>
      )}
    </li>
  );
}

/** What must come out of the board, drawn along it. */
function Strip({ board }: { readonly board: Board }) {
  if ('sheet' in board.offer) return null;
  const share = (length: number) => `${(100 * length) / board.length}%`;
  return (
    <>
      <div className="yard-strip" aria-hidden>
        {board.pieces.map((piece, at) => (
          <span key={at} style={{ left: share(piece.x), width: share(piece.length) }}>
            <Dim of={piece.length} />
          </span>
        ))}
      </div>
      <p className="soft">
        What must come out of it:{' '}
        {board.pieces.map((piece, at) => (
          <span key={at}>
            {at > 0 && ', '}
            <Dim of={piece.length} mark />
          </span>
        ))}
      </p>
    </>
  );
}

type StretchProps = {
  readonly limit: number;
  readonly initial: { readonly from: number; readonly to: number };
  readonly onMark: (bad: readonly { readonly from: number; readonly to: number }[]) => void;
  readonly onCancel: () => void;
};

function Stretch({ limit, initial, onMark, onCancel }: StretchProps) {
  const [bad, setBad] = useState(initial);
  return (
    <div className="yard-stretch">
      <LengthField
        label="Bad from"
        least={0}
        most={limit}
        value={bad.from}
        onChange={(from) => setBad({ ...bad, from })}
      />
      <LengthField label="to" least={0} most={limit} value={bad.to} onChange={(to) => setBad({ ...bad, to })} />
      <Button variant="contained" color="primary" disabled={bad.from >= bad.to} onClick={() => onMark([bad])}>
        Keep it so
      </Button>
      <Button onClick={onCancel}>Back</Button>
    </div>
  );
}
