import { Fragment, type ReactNode } from 'react';
import { Button } from '@mui/material';
import { useSearchParams } from 'react-router';
import { useGo } from '../../state/useGo';
import { useChange, useJob, usePiece, usePieceFacts, usePlan } from '../../state/hooks';
import { PieceCards } from './AddPiece';
import { Words } from '../../words/Words';
import { NoPlan } from './NoPlan';

type Props = {
  readonly children: ReactNode;
  readonly wholeJob?: boolean;
  /** What is shown stands before there is a plan. */
  readonly early?: boolean;
};

/** What a stage shows before it can show anything: no piece yet, the plan not there yet, or a piece that can not be. */
export function Waiting({ children, wholeJob = false, early = false }: Props) {
  const job = useJob();
  const plan = usePlan();
  const piece = usePiece();
  const facts = usePieceFacts();
  const change = useChange();
  const { go } = useGo();
  const [, setSearch] = useSearchParams();
  if (job.pieces.length === 0)
    return (
      <section className="empty">
        <h2>What are you making?</h2>
        <p>Pick the nearest; every size and choice can be changed.</p>
        <PieceCards onAdded={(id) => setSearch({ piece: id })} />
      </section>
    );
  if (!plan) return early ? <>{children}</> : <NoPlan />;
  if (wholeJob ? plan.parts.length > 0 : facts !== null && facts.parts.length > 0) return <>{children}</>;
  const stops = plan.findings.filter((note) => note.level === 'stop' && (wholeJob || note.piece === piece?.id));
  return (
    <section className="empty" role="alert">
      <h2>
        {wholeJob
          ? 'Nothing in this job can be built as it stands'
          : `${piece?.name ?? 'This piece'} can not be built as it stands`}
      </h2>
      {stops.map((note) => (
        <p key={note.id}>
          <strong>
            <Words of={note.title} piece={note.piece} />
          </strong>{' '}
          <Words of={note.because} piece={note.piece} />
          {note.remedies.map((remedy, at) => (
            <Fragment key={at}>
              {' '}
              <Button size="small" onClick={() => change(remedy.changes)}>
                <Words of={remedy.label} />
              </Button>
            </Fragment>
          ))}
        </p>
      ))}
      <Button onClick={() => go('shape')}>Back to the shape</Button>
    </section>
  );
}
