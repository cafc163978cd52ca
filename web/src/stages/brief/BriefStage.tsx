import { BEHIND_CHAIR, PLACE, USE_NAMES, USES, familyOf, kneeRoom, seating, topOf } from '@sill/core';
import { Choice } from '../../ui/Choice';
import { NumberField } from '../../ui/NumberField';
import { TextLine } from '../../ui/TextLine';
import { NoteFor } from '../shared/NoteFor';
import { useChangeJob, useChangePiece, useJob, usePiece, usePieceFacts } from '../../state/hooks';
import { Dim } from '../../words/Dim';
import { SizeFields } from '../shared/SizeFields';
import { StageHead } from '../shared/StageHead';
import { Waiting } from '../shared/Waiting';
import { SeatPlan } from './SeatPlan';
import './BriefStage.css';

/** What is wanted: which piece, where, how big, for how many, for how much. */
export function BriefStage() {
  const job = useJob();
  const piece = usePiece();
  const facts = usePieceFacts();
  const change = useChangeJob();
  const changePiece = useChangePiece(piece?.id ?? '');
  const parts = facts?.parts ?? [];
  const knees = kneeRoom(parts);
  const table = piece ? topOf(piece) : null;
  const seats = piece ? seating(piece, parts, table?.deck ?? 'rectangle') : { sides: 0, ends: 0, total: 0 };
  return (
    <>
      <StageHead title="Brief" about={piece ? `${USE_NAMES[piece.use]} · ${familyOf(piece).name}` : 'an empty job'} />
      <section className="sheet job-line" aria-label="The job">
        <TextLine
          label="Name of the job"
          value={job.name}
          required
          most={120}
          onChange={(value) => change(['name'], value)}
        />
        <NumberField
          label="Budget for everything"
          money
          optional
          least={0}
          most={1_000_000}
          value={job.budget}
          onChange={(value) => change(['budget'], value)}
        />
      </section>
      {!piece && <Waiting>{null}</Waiting>}
      {piece && (
        <div className="two-columns">
          <section className="sheet form" aria-label="The piece">
            <TextLine
              label="Name of the piece"
              value={piece.name}
              required
              most={120}
              onChange={(value) => changePiece(['name'], value)}
            />
            <TextLine
              label="Where it goes"
              value={piece.where}
              most={200}
              onChange={(value) => changePiece(['where'], value)}
            />
            <Choice
              label="Used as"
              value={piece.use}
              options={USES.map((use) => ({ value: use, label: USE_NAMES[use].toLowerCase().replace(' table', '') }))}
              onChange={(value) => changePiece(['use'], value)}
            />
            <SizeFields piece={piece} />
            <div className="row">
              <NumberField
                label="Seats wanted"
                optional
                least={1}
                most={40}
                value={piece.seats}
                onChange={(value) => changePiece(['seats'], value)}
                placeholder="any"
              />
              <NumberField
                label="Copies"
                least={1}
                most={20}
                value={piece.copies}
                onChange={(value) => value !== null && changePiece(['copies'], value)}
              />
            </div>
            <NumberField
              label="Price of the bought one, each"
              money
              optional
              least={0}
              most={1_000_000}
              value={piece.boughtPrice}
              onChange={(value) => changePiece(['boughtPrice'], value)}
            />
          </section>
          {table && (
            <section className="sheet" aria-label="Room at the table">
              <h2>
                Room at the table <NoteFor kind="seats" />
              </h2>
              <SeatPlan piece={piece} parts={parts} seats={seats} />
              <p>
                Seats <strong data-testid="seats">{seats.total}</strong>.{' '}
                {knees !== null && (
                  <>
                    Knees have <Dim of={knees} mark /> under the apron.
                  </>
                )}{' '}
                A place is <Dim of={PLACE} mark /> wide; leave <Dim of={BEHIND_CHAIR} mark /> to walk behind a chair.
              </p>
            </section>
          )}
        </div>
      )}
    </>
  );
}
