import { Button, Table, TableBody, TableCell, TableHead, TableRow, TextField } from '@mui/material';
import { useState, type FormEvent } from 'react';
import { type Board, KEEP_OFFCUT, type OnHand, type Plan, printOnHand, readOnHand, sure } from '@sill/core';
import { addressOf, ROUTES } from '@sill/core/contract';
import { ask } from '../../platform/ask';
import { choosePhoto, smallPhoto } from '../../platform/photos';
import { useChangeJob, useJob } from '../../state/hooks';
import { newId } from '../../state/newId';
import { useErrand } from '../../state/useErrand';
import { Dim, Text } from '../../words/Dim';
import { runs, useLabel } from '../../words/labels';
import { useRack } from './useRack';
import './OnHand.css';

const photoAddress = (id: string): string => addressOf(ROUTES.photo, { params: { id } });

/** What is there already: entered in one line each, used before anything is bought. */
export function OnHandTab({ plan }: { readonly plan: Plan | null }) {
  const job = useJob();
  const change = useChangeJob();
  const rack = useRack();
  const { busy, run } = useErrand();
  const add = (hand: OnHand) => change(['onHand', hand.id], hand);
  const remove = ({ id }: OnHand) => change(['onHand', id], undefined);
  const toRack = (hand: OnHand) =>
    run(async () => {
      await rack.put([...(rack.pieces ?? []), hand]);
      remove(hand);
      return `${printOnHand(hand, job.units)} lies on the rack now, for any job.`;
    });
  const photograph = (hand: OnHand) =>
    run(async () => {
      const file = await choosePhoto();
      if (file === null) return 'No photo was taken.';
      const { id } = await ask('keepPhoto', { body: await smallPhoto(file) });
      change(['onHand', hand.id, 'photo'], id);
      return `The photo of ${printOnHand(hand, job.units)} is kept.`;
    });
  const fromRack = (hand: OnHand) =>
    run(async () => {
      await rack.put((rack.pieces ?? []).filter((row) => row !== hand));
      add({ ...hand, id: newId() });
      return `${printOnHand(hand, job.units)} is for this job now.`;
    });
  return (
    <div className="stack">
      <section className="sheet" aria-label="On hand for this job">
        <Entry onAdd={(value) => add({ id: newId(), ...value })} />
        <Pieces
          name="On hand for this job"
          pieces={job.onHand}
          used={plan?.buying.boards ?? []}
          none="Nothing yet. Offcuts and salvage entered here are used before anything is bought."
          actions={(hand) => (
            <>
              <Button size="small" disabled={busy} onClick={() => photograph(hand)}>
                Photo
              </Button>
              <Button size="small" disabled={busy || rack.pieces === null} onClick={() => toRack(hand)}>
                To the rack
              </Button>
              <Button size="small" onClick={() => remove(hand)}>
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
            none="Empty. When a job is cut, its offcuts come here."
            actions={(hand) => (
              <Button size="small" disabled={busy} onClick={() => fromRack(hand)}>
                Use it here
              </Button>
            )}
          />
        )}
        {plan && rack.pieces !== null && (
          <Offcuts plan={plan} onPut={(offcuts) => rack.put([...sure(rack.pieces, 'rack'), ...offcuts])} />
        )}
      </section>
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

/** What the job leaves over, to be put on the rack once all is cut. */
function Offcuts({
  plan,
  onPut,
}: {
  readonly plan: Plan;
  readonly onPut: (offcuts: readonly OnHand[]) => Promise<void>;
}) {
  const job = useJob();
  const change = useChangeJob();
  const { busy, run } = useErrand();
  const offcuts = plan.buying.boards.flatMap((board) =>
    board.offcuts
      .filter(({ length, width }) => length >= KEEP_OFFCUT && ('sheet' in board.offer ? width >= KEEP_OFFCUT : true))
      .map(({ length, width }): OnHand => ({
        id: newId(),
        material: board.material,
        length,
        width,
        count: 1,
        squared: true,
        bad: [],
        where: '',
        note: `from ${job.name}`,
      })),
  );
  const PUT = 'offcuts-put';
  const cut = plan.setups.length > 0 && plan.setups.every(({ id }) => job.done.includes(id));
  if (offcuts.length === 0) return null;
  if (job.done.includes(PUT)) return <p className="soft">The offcuts of this job are on the rack.</p>;
  const put = () =>
    run(async () => {
      await onPut(offcuts);
      change(['done', PUT], PUT);
      return `${offcuts.length} offcuts are on the rack now.`;
    });
  return (
    <div className="row wrap">
      <Button disabled={!cut || busy} onClick={put}>
        Put this job’s {offcuts.length} offcuts on the rack
      </Button>
      {!cut && <span className="soft">When every cut is ticked off under Cuts.</span>}
    </div>
  );
}
