import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { inches, type CutBy, type Expected, type Forecast, type Piece } from '@sill/core';
import { useEffect, useState } from 'react';
import { useEdges, useJob } from '../../state/hooks';
import { Dim } from '../../words/Dim';
import './HowTrue.css';

const SHOWS: Readonly<Record<Expected['kind'], string>> = {
  rock: 'A foot off the floor',
  plan: 'Diagonals differ, seen from above',
  front: 'Diagonals differ, seen from the front',
  twist: 'A corner of the top out of plane',
  gap: 'The widest joint at the end of a part',
};
const CUT: Readonly<Record<CutBy, string>> = {
  stop: 'against a stop',
  'several at once': 'several at once against a stop',
  pencil: 'one by one at a pencil line',
  guide: 'along a guide between marks',
  fence: 'along a fence',
  'to fit': 'to fit, each measured where it goes',
  measured: 'as measured',
  'as sold': 'as they are sold',
};
const SIDE: Readonly<Record<Expected['from']['side'], string>> = {
  length: 'the lengths of',
  width: 'the widths of',
  thickness: 'the thickness of',
  ends: 'how square the ends are of',
  place: 'where these are put:',
};

/** To the nearest 1/64; what is under half of one is nothing. */
function Within({ of }: { readonly of: number }) {
  const parts = Math.round(of * 64);
  return parts === 0 ? <>nothing to see</> : <Dim of={inches(parts / 64)} mark />;
}

const MOST_TAGS = 6;
const tagsOf = (tags: readonly string[]): string =>
  tags.length > MOST_TAGS
    ? `${tags.slice(0, MOST_TAGS).join(', ')} and ${tags.length - MOST_TAGS} more`
    : tags.join(', ');

function Row({ expected: { kind, median, nine, from, share, others, joint } }: { readonly expected: Expected }) {
  const none = Math.round(nine * 64) === 0;
  return (
    <tr>
      <th scope="row">
        {SHOWS[kind]}
        {joint && (
          <small>
            {joint.drilled.tag} on {joint.into.tag}
          </small>
        )}
      </th>
      <td data-label="half">
        <Within of={median} />
      </td>
      <td data-label="nine in ten">
        <Within of={nine} />
      </td>
      <td>
        {none && kind === 'rock' ? (
          <>Its own weight sets all feet down. A floor that is not flat is another matter.</>
        ) : none ? (
          <>Nothing that a better cut would change.</>
        ) : (
          <>
            {share > 0.5 ? 'Most of it' : 'The largest share'}, {Math.round(share * 100)} %, from {SIDE[from.side]}{' '}
            {tagsOf(from.tags)}
            {from.by && `, cut ${CUT[from.by]}`}.
            {others.map(({ by, nine: then }) => (
              <span key={by} className="how-else">
                {' '}
                Cut {CUT[by]}: <Within of={then} />.
              </span>
            ))}
          </>
        )}
      </td>
    </tr>
  );
}

/** What to expect of a piece cut as planned: rock, out of square, twist, gaps, and which cut matters. */
export function HowTrue({ piece, onClose }: { readonly piece: Piece; readonly onClose: () => void }) {
  const job = useJob();
  const { planner } = useEdges();
  const [found, setFound] = useState<{ readonly forecast: Forecast | null } | 'failed' | null>(null);
  useEffect(() => {
    let current = true;
    planner.forecastFor(job, piece.id).then(
      (forecast) => current && setFound({ forecast }),
      () => current && setFound('failed'),
    );
    return () => {
      current = false;
    };
  }, [job, piece.id, planner]);
  const forecast = found !== null && found !== 'failed' ? found.forecast : null;
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="true-title">
      <DialogTitle id="true-title">How true it comes out</DialogTitle>
      <DialogContent>
        {found === null && <p role="status">Building it 500 times with the errors of your saws…</p>}
        {(found === 'failed' || (found !== null && !forecast)) && (
          <p role="alert">It could not be worked out. Close this and see the notes of this piece.</p>
        )}
        {forecast && (
          <>
            <table className="how-true">
              <thead>
                <tr>
                  <th>What shows</th>
                  <th>Half come within</th>
                  <th>Nine in ten within</th>
                  <th>Where it comes from</th>
                </tr>
              </thead>
              <tbody>
                {forecast.expected.map((expected) => (
                  <Row key={expected.kind} expected={expected} />
                ))}
              </tbody>
            </table>
            <RecordLine record={forecast.record} />
          </>
        )}
        <p className="soft">
          A stop is taken to be set to <Dim of={inches(1 / 32)} mark /> and to repeat to{' '}
          <Dim of={inches(1 / 64)} mark />, pencil and tape to come within <Dim of={inches(3 / 64)} mark />, boards to
          be straight. A reading beyond nine in ten is worth finding the reason of before the glue is dry.
        </p>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}

/** From how many of this shop's own lengths it is told. */
function RecordLine({ record: { count, factor } }: Pick<Forecast, 'record'>) {
  if (count === 0)
    return <p>Told from what is usual: no length of this piece has been measured yet, so it may be twice as much.</p>;
  const by = Math.round(factor * 10) / 10;
  return (
    <p>
      Told from {count === 1 ? 'one length' : `${count} lengths`} you measured of this piece:{' '}
      {by === 1 ? 'they are as near to their line as usual' : `they are off by ${by} times what is usual`}, drawn
      towards the usual while there are few.
    </p>
  );
}
