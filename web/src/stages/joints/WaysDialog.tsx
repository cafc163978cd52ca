import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useEffect, useState } from 'react';
import {
  type Fastening,
  LOOKS,
  type Method,
  type Nominal,
  nth,
  pairKey,
  type Piece,
  set,
  type WayCompared,
  WAYS_TO_JOIN,
} from '@sill/core';
import { useChange, useEdges, useJob } from '../../state/hooks';
import { Text } from '../../words/Dim';
import { dollars } from '../../words/money';
import './WaysDialog.css';

type Props = {
  readonly piece: Piece;
  readonly group: readonly Fastening[];
  readonly topNominal: Nominal;
  readonly onClose: () => void;
};

const TROUBLE: Readonly<Record<NonNullable<WayCompared['trouble']>, string>> = {
  'no bite': 'too little wood for the screw',
  'comes out': 'the screw would come out',
  'meets another': 'its screws meet others',
  'wood is cut away': 'the wood is cut away there',
  'no room': 'no room for your drivers',
  'not possible': 'the parts do not allow it',
};

/** Every way to make some joints, side by side, for these alone or for all of their kind. */
export function WaysDialog({ piece, group, topNominal, onClose }: Props) {
  const job = useJob();
  const change = useChange();
  const { planner } = useEdges();
  const first = nth(group, 0);
  const [all, setAll] = useState(true);
  const [found, setFound] = useState<{ readonly key: string; readonly ways: readonly WayCompared[] } | null>(null);
  const [failed, setFailed] = useState(false);
  const key = `${first.joint.id} ${all}`;
  useEffect(() => {
    let current = true;
    planner.jointWays(job, piece.id, first.joint.id, topNominal, all).then(
      (ways) => current && setFound({ key, ways }),
      () => current && setFailed(true),
    );
    return () => {
      current = false;
    };
  }, [job, piece.id, first.joint.id, topNominal, all, key, planner]);
  const ways = found?.key === key ? found.ways : null;
  const keysOf = () => (all ? [first.joint.kind] : group.map(({ joint }) => pairKey(joint)));
  const take = (by: Method) => {
    const single = group.map(({ joint }) => pairKey(joint)).filter((name) => all && name in piece.joins);
    change([
      ...single.map((name) => set(piece.id, ['joins', name], undefined)),
      ...keysOf().map((name) => set(piece.id, ['joins', name, 'by'], by)),
    ]);
    onClose();
  };
  const settle = (key: 'flip' | 'plugs', value: boolean) =>
    change(keysOf().map((name) => set(piece.id, ['joins', name, key], value)));
  const said = piece.joins[nth(keysOf(), 0)];
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="ways-title">
      <DialogTitle id="ways-title">
        Ways to join {first.drilled.tag} to {first.into.tag}
        {group.length > 1 && ` and ${group.length - 1} more like it`}
      </DialogTitle>
      <DialogContent>
        <p className="ways-for" role="group" aria-label="For which joints">
          <label>
            <input type="radio" checked={all} onChange={() => setAll(true)} /> all of this kind
          </label>
          <label>
            <input type="radio" checked={!all} onChange={() => setAll(false)} /> only{' '}
            {group.length === 1 ? 'this one' : `these ${group.length}`}
          </label>
        </p>
        {failed ? (
          <p role="alert">The ways could not be worked out. Close this and try again.</p>
        ) : ways === null ? (
          <p role="status">Trying every way in the whole piece…</p>
        ) : (
          <WaysTable ways={ways} onTake={take} />
        )}
        {first.by === 'pocket screws' && (
          <p className="ways-for">
            <label>
              <input
                type="checkbox"
                checked={said?.flip ?? false}
                onChange={(event) => settle('flip', event.target.checked)}
              />{' '}
              pockets on the other face
            </label>
            <label>
              <input
                type="checkbox"
                checked={said?.plugs ?? false}
                onChange={(event) => settle('plugs', event.target.checked)}
              />{' '}
              plug the pockets
            </label>
          </p>
        )}
        <p className="soft">
          Pull is straight apart, by the formulas for screws and the shear of glue, with a factor of five: to compare
          ways by, not a rating. Time and cost are for one joint.{' '}
          {WAYS_TO_JOIN[first.by as Method]?.glued && 'Glue is not counted.'}
        </p>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

type TableProps = { readonly ways: readonly WayCompared[]; readonly onTake: (by: Method) => void };

/** A row a way: how it holds and shows, what it takes, and whether it can be here. */
function WaysTable({ ways, onTake }: TableProps) {
  return (
    <div className="ways-scroll">
      <table className="ways">
        <thead>
          <tr>
            <th>Way</th>
            <th>Holds</th>
            <th>Shows</th>
            <th>Time</th>
            <th>Cost</th>
            <td />
          </tr>
        </thead>
        <tbody>
          {ways.map((way) => (
            <tr key={way.by} data-now={way.now} data-trouble={way.trouble !== null}>
              <th scope="row">
                {way.name}
                {way.count > 0 && (
                  <small>
                    {way.count} × <Text of={way.size === '' ? 'clip' : way.size} />
                  </small>
                )}
                <small>{way.when}</small>
                {way.trouble && <small className="bad">Not here: {TROUBLE[way.trouble]}.</small>}
                {way.lacks.length > 0 && <small className="care">Your shop lacks a {way.lacks.join(' and a ')}.</small>}
              </th>
              <td>{way.pounds > 0 ? `about ${way.pounds} lb` : 'only glue'}</td>
              <td>{LOOKS[way.look]}</td>
              <td>{way.minutes} min</td>
              <td>{way.cents === null ? 'not sold here' : dollars(way.cents)}</td>
              <td>
                {way.now ? (
                  <span className="soft">as it is</span>
                ) : (
                  <Button onClick={() => onTake(way.by)} aria-label={`Take ${way.name}`}>
                    Take it
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
