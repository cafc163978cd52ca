import {
  BEHIND_CHAIR,
  BOOKS,
  IN_DRAWER,
  MOST_CARRIED,
  PLACE,
  USE_NAMES,
  USES,
  familyOf,
  kneeRoom,
  seating,
  topOf,
  type Piece,
} from '@sill/core';
import { Choice } from '../../ui/Choice';
import { DayField } from '../../ui/DayField';
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
  const change = useChangeJob();
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
        <DayField label="Ready by" value={job.calendar.due} onChange={(day) => change(['calendar', 'due'], day)} />
      </section>
      {!piece && <Waiting>{null}</Waiting>}
      {piece && (
        <div className="two-columns">
          <PieceForm key={piece.id} piece={piece} />
          <RoomAtTable piece={piece} />
        </div>
      )}
    </>
  );
}

/** What a piece may carry for years: where, and what is counted on where nothing is said. */
const CARRIED = [
  { key: 'top', label: 'Must carry for years, lb', usual: 'the usual', role: null },
  { key: 'shelf', label: 'On a foot of shelf, lb', usual: String(BOOKS), role: 'shelf' },
  { key: 'drawer', label: 'In each drawer, lb', usual: String(IN_DRAWER), role: 'drawer' },
] as const;

/** What it must carry for years: on its top, and where there are any, on shelves and in drawers. */
function CarryFields({ piece }: { readonly piece: Piece }) {
  const changePiece = useChangePiece(piece.id);
  const parts = usePieceFacts()?.parts ?? [];
  return (
    <>
      <div className="row">
        {CARRIED.filter(({ role }) => role === null || parts.some((part) => part.role === role)).map(
          ({ key, label, usual }) => (
            <NumberField
              key={key}
              label={label}
              optional
              least={1}
              most={MOST_CARRIED[key]}
              value={piece.carries[key]}
              onChange={(value) => changePiece(['carries', key], value)}
              placeholder={usual}
            />
          ),
        )}
      </div>
      {piece.carries.top !== null && (
        <Choice
          label="It stands there"
          value={piece.carries.lies}
          options={[
            { value: 'spread', label: 'all over its top' },
            { value: 'middle', label: 'in its middle' },
          ]}
          onChange={(value) => changePiece(['carries', 'lies'], value)}
          help="A television, a machine or a tank stands in the middle; crates and stone lie all over."
        />
      )}
    </>
  );
}

/** The piece: its name and place, what it is used as, its size, for how many, how often, and what it must carry. */
function PieceForm({ piece }: { readonly piece: Piece }) {
  const changePiece = useChangePiece(piece.id);
  return (
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
      <Choice
        label="Stands"
        value={piece.outside ? 'outside' : 'inside'}
        options={[
          { value: 'inside', label: 'inside' },
          { value: 'outside', label: 'outside, in the weather' },
        ]}
        onChange={(value) => changePiece(['outside'], value === 'outside')}
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
      <CarryFields piece={piece} />
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
  );
}

/** Seats drawn about the top, and what knees and chairs have; nothing for what has no top. */
function RoomAtTable({ piece }: { readonly piece: Piece }) {
  const parts = usePieceFacts()?.parts ?? [];
  const knees = kneeRoom(parts);
  const table = topOf(piece);
  if (!table) return null;
  const seats = seating(piece, parts, table.deck);
  return (
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
  );
}
