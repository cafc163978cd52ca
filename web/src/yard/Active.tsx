import { Button } from '@mui/material';
import { useState } from 'react';
import {
  applyChanges,
  bareId,
  inches,
  isProved,
  judge,
  offerName,
  soldAt,
  WET,
  type Board,
  type BoardLine,
  type Change,
  type Entry,
  type Plan,
} from '@sill/core';
import { useApp, useChange, useEdges, useJob } from '../state/hooks';
import { STAMP, useHoldings, useTell } from '../state/useLedger';
import { said } from '../state/view';
import { LengthField } from '../ui/LengthField';
import { Dim, Text } from '../words/Dim';
import { cents, difference } from '../words/money';
import { Words } from '../words/Words';
import { keep, keepWithStretch, noneLeft, reject, taken } from './errand';
import { Sighting } from './Sighting';
import { useRackBoards } from './useRackBoards';

/** Stands on a board whose stretch was shown by the simulated yard. */
const SIMULATED_RACK = 'kept with a bad stretch, beside a simulated reading';

type ActiveProps = { readonly line: BoardLine; readonly plan: Plan; readonly onDone: () => void };

/** The board being chosen: what it must give, what the rack has, and what to do with the one in hand. */
export function Active({ line, plan, onDone }: ActiveProps) {
  const job = useJob();
  const kept = taken(line);
  const rejected = useHoldings().rejected.get(line.offer.id) ?? 0;
  const boards = plan.buying.boards.filter((board) => board.hand === null && board.offer.id === line.offer.id);
  const board = boards.find(({ state }) => state === 'to buy') ?? boards.at(-1) ?? null;
  const longest = board ? Math.max(...board.pieces.map((piece) => piece.length)) : inches(24);
  const isBoard = !('sheet' in line.offer);
  const rack = useRackBoards(soldAt(job, line.offer).id, isBoard ? bareId(job, line.offer) : null);
  const hand = (rack && rack.boards[(kept + rejected) % rack.boards.length]) ?? null;
  const judged = hand ? judge(hand, line.offer.length, longest) : null;
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
          {line.count > 0 ? kept + 1 : kept} of {kept + line.count}
        </strong>
      </div>
      {isBoard && <Sighting found={hand} />}
      {board && <Strip board={board} />}
      {hand && judged && (
        <p className={`meter ${judged.verdict}`} role="status">
          <b>{hand.moisture} %</b>
          <span>
            {rack?.simulated && <strong>Simulated reading. </strong>}
            Board {hand.number} in the rack. <Words of={judged.because} />
            {hand.moisture > WET && judged.verdict === 'stretch' && ' Wet: let it lie two weeks.'}
          </span>
        </p>
      )}
      {isBoard && rack && !rack.reached && <p className="soft">No signal: judge by eye. What you tick is kept.</p>}
      <Verdicts
        line={line}
        board={board}
        plan={plan}
        bad={judged?.bad[0] ?? { from: 0, to: inches(6) }}
        note={rack?.simulated ? SIMULATED_RACK : undefined}
        onLast={onDone}
      />
    </li>
  );
}

type VerdictsProps = {
  readonly line: BoardLine;
  /** What the board in hand is to be. */
  readonly board: Board | null;
  readonly plan: Plan;
  /** The stretch that is offered as the bad one. */
  readonly bad: Stretched;
  /** Stands on a board that is kept with a bad stretch. */
  readonly note: string | undefined;
  /** Called when this was the last board of its line. */
  readonly onLast: () => void;
};

/** What can be done with the board in hand: keep it, mark a bad stretch, put it back, or say that none is left. */
function Verdicts({ line, board, plan, bad: offered, note, onLast }: VerdictsProps) {
  const job = useJob();
  const change = useChange();
  const [marking, setMarking] = useState(false);
  const { instead, askInstead, forget } = useInstead(line, plan);
  const tell = useTell();
  const made = () => {
    setMarking(false);
    forget();
    if (line.count <= 1) onLast();
  };
  const take = (entries: readonly Entry[]) => {
    tell(entries);
    made();
  };
  const isBoard = !('sheet' in line.offer);
  if (instead) {
    return (
      <div className="yard-buttons">
        <Button
          variant="contained"
          color="primary"
          onClick={() => {
            change(instead.changes);
            made();
          }}
        >
          <span>
            Take the best from what is there <b>{difference(instead.costs)}</b>
            {instead.atMost && ' at most'}
          </span>
        </Button>
        <Button onClick={forget}>No</Button>
      </div>
    );
  }
  if (marking) {
    return (
      <Stretch
        limit={line.offer.length}
        initial={offered}
        onMark={(bad) => take(keepWithStretch(job, line, bad, STAMP, note))}
        onCancel={() => setMarking(false)}
      />
    );
  }
  return (
    <div className="yard-buttons">
      <Button variant="contained" color="primary" onClick={() => take(keep(job, line, board, STAMP))}>
        Keep
      </Button>
      {isBoard && (
        <Button className="care" onClick={() => setMarking(true)}>
          Bad stretch
        </Button>
      )}
      {isBoard && (
        <Button className="stop" onClick={() => tell(reject(line, STAMP))}>
          Reject
        </Button>
      )}
      <Button onClick={askInstead}>None left</Button>
    </div>
  );
}

/** What else would do where none of a line is left, and what it would cost; asked of the planner. */
function useInstead(line: BoardLine, plan: Plan) {
  const job = useJob();
  const dispatch = useApp();
  const { planner } = useEdges();
  const [instead, setInstead] = useState<{
    readonly changes: readonly Change[];
    readonly costs: number;
    readonly atMost: boolean;
  } | null>(null);
  const askInstead = () => {
    const changes = noneLeft(job, line);
    planner.planQuickly(applyChanges(job, changes)).then(
      (then) => {
        const lacking = then.buying.unplaced[0];
        if (lacking)
          dispatch(said({ text: `Nothing else in stock will do: ${lacking.because}. Try another yard.`, bad: true }));
        // A longer search may still find cheaper ones: what is promised is kept, or less.
        else setInstead({ changes, costs: then.list.total - plan.list.total, atMost: !isProved(then) });
      },
      (error: Error) => void dispatch(said({ text: error.message, bad: true })),
    );
  };
  return { instead, askInstead, forget: () => setInstead(null) };
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

type Stretched = { readonly from: number; readonly to: number };

type StretchProps = {
  readonly limit: number;
  readonly initial: Stretched;
  readonly onMark: (bad: readonly Stretched[]) => void;
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
