import { Button } from '@mui/material';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { cutNumbers, isSheet, printMaterial, type CutPiece, type Plan } from '@sill/core';
import { useJob, usePlan } from '../state/hooks';
import { useLabel } from '../words/labels';
import { Dim, Text } from '../words/Dim';
import type { Paper } from './heights';
import { PaperChoice } from './PaperChoice';
import { NoPlan } from '../stages/shared/NoPlan';
import './Labels.css';

/** Labels on a page of either paper: three across, six down. */
const EACH = 18;

type Label = { readonly piece: CutPiece; readonly board: number; readonly cut: number | null };

/** One label a piece that is cut, in the order of the boards, so that they can be stuck on as they come off the saw. */
function labelsIn({ buying, cuts }: Plan): readonly Label[] {
  const cutOf = cutNumbers(cuts);
  return buying.boards.flatMap((board) =>
    board.pieces.map((piece) => ({ piece, board: board.number, cut: cutOf.get(piece) ?? null })),
  );
}

/** Labels for every piece: its tag, sizes, board and cut, and which face is up. Printed, cut apart, taped on. */
export default function Labels() {
  const job = useJob();
  const plan = usePlan();
  const navigate = useNavigate();
  const [paper, setPaper] = useState<Paper>(job.units === 'mm' ? 'a4' : 'letter');
  if (!plan) return <NoPlan />;
  const labels = labelsIn(plan);
  const pages = Array.from({ length: Math.ceil(labels.length / EACH) }, (_, at) =>
    labels.slice(at * EACH, (at + 1) * EACH),
  );
  return (
    <div className="packet" data-paper={paper}>
      <div className="packet-tools">
        <Button onClick={() => void navigate(-1)}>Back</Button>
        <span>
          {labels.length} labels on {pages.length} {pages.length === 1 ? 'page' : 'pages'}
        </span>
        <PaperChoice paper={paper} onChange={setPaper} />
        <Button className="print-now" variant="contained" onClick={() => window.print()}>
          Print
        </Button>
      </div>
      {pages.map((page, at) => (
        <section key={at} className="page">
          <header>
            <h1>Labels</h1>
            <p>{job.name} · cut apart, tape on as each piece comes off the saw</p>
          </header>
          <div className="page-body labels">
            {page.map((label, k) => (
              <PieceLabel key={k} {...label} />
            ))}
          </div>
          <footer>
            <span>Sizes are as cut; what is ripped or trimmed later is below them.</span>
            <span>
              {at + 1} of {pages.length}
            </span>
          </footer>
        </section>
      ))}
    </div>
  );
}

function PieceLabel({ piece, board, cut }: Label) {
  const name = useLabel();
  const { blank, length, width } = piece;
  const { part, rip, extra, extraFor, material } = blank;
  return (
    <article className="piece-label">
      <strong>{name(part.id)}</strong>
      <span className="board-of">
        board {board}
        {cut !== null && `, cut ${cut}`}
      </span>
      <p>
        {part.name}, <Text of={printMaterial(material)} />: <Dim of={length} mark />
        {isSheet(material) && (
          <>
            {' '}
            × <Dim of={width} mark />
          </>
        )}
      </p>
      <p>
        {rip && (
          <>
            rip to <Dim of={rip.to} mark />
            {extra > 0 && '; '}
          </>
        )}
        {extra > 0 && (
          <>
            <Dim of={extra} mark /> left for {extraFor}
          </>
        )}
      </p>
      <span className="face-up">▲ this face up</span>
      <span className="face-up">left end ◀</span>
    </article>
  );
}
