import { Button, Table, TableBody, TableCell, TableHead, TableRow, TextField } from '@mui/material';
import { useState, type FormEvent } from 'react';
import { type Board, handsThere, type OnHand, type Plan, printOnHand, readOnHand, standingEntries } from '@sill/core';
import { addressOf, ROUTES } from '@sill/core/contract';
import { ask } from '../../platform/ask';
import { choosePhoto, smallPhoto } from '../../platform/photos';
import { useJob } from '../../state/hooks';
import { newId } from '../../state/newId';
import { about, STAMP, useHoldings, useTell } from '../../state/useLedger';
import { useErrand } from '../../state/useErrand';
import { Dim, Text } from '../../words/Dim';
import { runs, useLabel } from '../../words/labels';
import { LeftOver } from './LeftOver';
import { useRack } from '../../state/useRack';
import './OnHand.css';

const photoAddress = (id: string): string => addressOf(ROUTES.photo, { params: { id } });

/** What is there already: entered in one line each, used before anything is bought. */
export function OnHandTab({ plan }: { readonly plan: Plan | null }) {
  const job = useJob();
  const rack = useRack();
  const { busy, run } = useErrand();
  const { bodies } = useHoldings();
  const tell = useTell();
  const add = (hand: OnHand) => tell([{ id: newId(), at: STAMP.at, what: 'found', hand }]);
  const unitsOf = ({ id }: OnHand) =>
    [...bodies.values()].filter(({ hand, state }) => hand?.id === id && state === 'whole');
  // What was given away or put on the rack is not here; what is cut was, and the row tells of what.
  const here = handsThere(job);
  // What was only written down wrong was never there; what is cut in part or came from the rack is given away.
  const remove = (hand: OnHand) => {
    const units = unitsOf(hand);
    const found = standingEntries(job.ledger).flatMap((entry) =>
      entry.what === 'found' && entry.hand.id === hand.id && entry.hand.count === units.length ? [entry.id] : [],
    );
    tell(found.length > 0 ? found.map((id) => about('corrected', id)) : units.map(({ id }) => about('gone', id)));
  };
  const toRack = (hand: OnHand) =>
    run(async () => {
      const row = newId();
      const units = unitsOf(hand);
      await rack.put([...(rack.pieces ?? []), { ...hand, id: row, count: units.length }]);
      tell(units.map(({ id }) => ({ id: newId(), at: null, what: 'racked', of: id, row })));
      return `${printOnHand(hand, job.units)} lies on the rack now, for any job.`;
    });
  const photograph = (hand: OnHand) =>
    run(async () => {
      const file = await choosePhoto();
      if (file === null) return 'No photo was taken.';
      const { id } = await ask('keepPhoto', { body: await smallPhoto(file) });
      tell([{ id: newId(), at: STAMP.at, what: 'photographed', of: hand.id, photo: id }]);
      return `The photo of ${printOnHand(hand, job.units)} is kept.`;
    });
  const fromRack = (hand: OnHand) =>
    run(async () => {
      await rack.put((rack.pieces ?? []).filter((row) => row !== hand));
      tell([{ id: newId(), at: STAMP.at, what: 'fetched', hand: { ...hand, id: newId() } }]);
      return `${printOnHand(hand, job.units)} is for this job now.`;
    });
  return (
    <div className="stack">
      <section className="sheet" aria-label="On hand for this job">
        <Entry onAdd={(value) => add({ id: newId(), ...value })} />
        <Pieces
          name="On hand for this job"
          pieces={here}
          used={plan?.buying.boards ?? []}
          none="Nothing yet. Offcuts and salvage entered here are used before anything is bought."
          actions={(hand) => (
            <>
              <Button size="small" disabled={busy} onClick={() => photograph(hand)}>
                Photo
              </Button>
              <Button
                size="small"
                disabled={busy || rack.pieces === null || unitsOf(hand).length === 0}
                onClick={() => toRack(hand)}
              >
                To the rack
              </Button>
              <Button size="small" disabled={unitsOf(hand).length === 0} onClick={() => remove(hand)}>
                Remove
              </Button>
            </>
          )}
        />
      </section>
      <section className="sheet" aria-label="On the rack">
        <h2>On the rack, for any job</h2>
        {rack.pieces === null ? (
          <p className="soft">The rack is kept by the server, which does not answer.</p>
        ) : (
          <Pieces
            name="On the rack"
            pieces={rack.pieces}
            used={[]}
            none="Empty. What a job leaves over can be put here."
            actions={(hand) => (
              <Button size="small" disabled={busy} onClick={() => fromRack(hand)}>
                Use it here
              </Button>
            )}
          />
        )}
      </section>
      {plan && <LeftOver plan={plan} />}
    </div>
  );
}

function Entry({ onAdd }: { readonly onAdd: (value: Omit<OnHand, 'id'>) => void }) {
  const { units, measured } = useJob();
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const add = (event: FormEvent) => {
    event.preventDefault();
    const entry = readOnHand(text, units, measured);
    if (!entry.ok) return setProblem(entry.message);
    onAdd(entry.value);
    setText('');
    setProblem(null);
  };
  return (
    <form className="row quick-entry" onSubmit={add}>
      <TextField
        label="What lies there"
        placeholder={units === 'in' ? '2x4 41 1/2 x3, split last 3' : '2x4 1054 x3, split last 75'}
        value={text}
        fullWidth
        error={problem !== null}
        helperText={
          problem ?? 'Size, length, how many; then what is bad, “squared” where both ends are clean, and where it lies.'
        }
        onChange={(event) => {
          setText(event.target.value);
          setProblem(null);
        }}
        slotProps={{ htmlInput: { autoComplete: 'off' }, formHelperText: { role: problem ? 'alert' : undefined } }}
      />
      <Button type="submit" variant="contained" color="primary">
        Add
      </Button>
    </form>
  );
}

type PiecesProps = {
  readonly name: string;
  readonly pieces: readonly OnHand[];
  readonly used: readonly Board[];
  readonly none: string;
  readonly actions: (hand: OnHand) => React.ReactNode;
};

function Pieces({ name, pieces, used, none, actions }: PiecesProps) {
  const { units } = useJob();
  const label = useLabel();
  if (pieces.length === 0) return <p className="soft">{none}</p>;
  return (
    <div className="scroll">
      <Table size="small" aria-label={name}>
        <TableHead>
          <TableRow>
            <TableCell>Piece</TableCell>
            <TableCell>Bad</TableCell>
            <TableCell className="wide-only">Where, what</TableCell>
            <TableCell>Becomes</TableCell>
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {pieces.map((hand) => {
            const boards = used.filter((board) => board.hand?.id === hand.id);
            const parts = boards.flatMap((board) => board.pieces.map(({ blank }) => label(blank.part.id)));
            return (
              <TableRow key={hand.id}>
                <TableCell className="tag-cell">
                  <Text of={printOnHand(hand, units)} />
                  {hand.photo && (
                    <a href={photoAddress(hand.photo)} target="_blank" rel="noreferrer">
                      <img
                        className="on-hand-photo"
                        src={photoAddress(hand.photo)}
                        alt={`How ${printOnHand(hand, units)} looks`}
                      />
                    </a>
                  )}
                </TableCell>
                <TableCell>
                  {hand.bad.map(({ from, to }) => (
                    <span key={`${from} ${to}`}>
                      <Dim of={from} /> to <Dim of={to} />{' '}
                    </span>
                  ))}
                </TableCell>
                <TableCell className="soft wide-only">
                  {[hand.where, hand.note, hand.squared ? 'ends square' : ''].filter((bit) => bit !== '').join('; ')}
                </TableCell>
                <TableCell>{parts.length > 0 ? runs(parts) : <span className="soft">not used</span>}</TableCell>
                <TableCell align="right" className="actions">
                  {actions(hand)}
                </TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
    </div>
  );
}
