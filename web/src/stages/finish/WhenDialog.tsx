import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { format, parseISO } from 'date-fns';
import { useEffect, useState } from 'react';
import { type FinishWay, type Job, type Piece } from '@sill/core';
import { useChangePiece, useEdges } from '../../state/hooks';
import { difference } from '../../words/money';
import { WHEN_NAMES } from './words';

const RIGHT_FOR: Readonly<Record<FinishWay['when'], string>> = {
  assembled: 'Most pieces: nothing is taped off for glue, scuffs of building are sanded out. Inner corners by hand.',
  parts:
    'Slats, insides, two colours: every face lies flat before you, no corners. All that is glued is taped off; it is scratched while it is built, and touched up after.',
  site: 'What is joined in the room. The room smells and is not used until it is hard; dust stays there.',
};

const hours = (minutes: number) => `${Math.round(minutes / 6) / 10} h`;

/** Once it stands, part by part or where it stays: each with its days, its work and its risk; one click takes it. */
export function WhenDialog({
  job,
  piece,
  onClose,
}: {
  readonly job: Job;
  readonly piece: Piece;
  readonly onClose: () => void;
}) {
  const { planner } = useEdges();
  const change = useChangePiece(piece.id);
  const [found, setFound] = useState<readonly FinishWay[] | 'failed' | null>(null);
  useEffect(() => {
    let current = true;
    planner.finishWaysFor(job, piece.id).then(
      (ways) => current && setFound(ways),
      () => current && setFound('failed'),
    );
    return () => {
      current = false;
    };
  }, [job, piece.id, planner]);
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="when-title">
      <DialogTitle id="when-title">When {piece.name} is finished</DialogTitle>
      <DialogContent>
        {found === null && <p role="status">Planning all three…</p>}
        {(found === 'failed' || (found !== null && found.length === 0)) && (
          <p role="alert">It could not be worked out. Close this and see the notes of this piece.</p>
        )}
        {found !== null && found !== 'failed' && found.length > 0 && (
          <div className="ways-of-when">
            {found.map((way) => (
              <section key={way.when} className="sheet" aria-label={WHEN_NAMES[way.when]}>
                <h2>{WHEN_NAMES[way.when]}</h2>
                <dl className="facts">
                  <dt>Job in use</dt>
                  <dd>{way.ready ? format(parseISO(way.ready), 'd MMMM') : 'never'}</dd>
                  <dt>Work on it</dt>
                  <dd>{hours(way.minutes)}</dd>
                  <dt>Sittings</dt>
                  <dd>{way.sittings}</dd>
                  <dt>By hand</dt>
                  <dd>{way.byHand < 0.5 ? 'no corners' : `${Math.round(way.byHand)} sq ft`}</dd>
                  <dt>Taped off</dt>
                  <dd>{way.tape < 0.5 ? 'nothing' : `${Math.round(way.tape)} ft`}</dd>
                  <dt>Price</dt>
                  <dd>{way.adds === 0 ? 'the same' : difference(way.adds)}</dd>
                </dl>
                <p>{RIGHT_FOR[way.when]}</p>
                <Button
                  variant={piece.finish.when === way.when ? 'outlined' : 'contained'}
                  color="primary"
                  disabled={piece.finish.when === way.when}
                  onClick={() => {
                    change(['finish', 'when'], way.when);
                    onClose();
                  }}
                >
                  {piece.finish.when === way.when ? 'As it is now' : 'Take it'}
                </Button>
              </section>
            ))}
          </div>
        )}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
