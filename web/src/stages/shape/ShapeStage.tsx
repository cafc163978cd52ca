import { Button } from '@mui/material';
import { useCallback, useDeferredValue, useState } from 'react';
import { choosesWidth, familyOf, type Lean, type Piece, sure, topOf } from '@sill/core';
import { ModelView } from '../../drawing/ModelView';
import { useEdges, useJob, usePiece, usePieceFacts, usePlan } from '../../state/hooks';
import { SizeFields } from '../shared/SizeFields';
import { StageHead } from '../shared/StageHead';
import { TopOptions } from '../shared/TopOptions';
import { useBuilt } from '../shared/useBuilt';
import { Waiting } from '../shared/Waiting';
import { Choices } from './Choices';
import { InchChart } from './InchChart';
import { KindDialog } from './KindDialog';
import { Wood } from './Wood';
import './ShapeStage.css';

/** The choices beside the piece as it would stand. */
export function ShapeStage() {
  const piece = usePiece();
  const [which, setWhich] = useState<'family' | 'top' | null>(null);
  const top = piece ? topOf(piece) : null;
  const about = piece ? `${familyOf(piece).name}${top ? ` · ${top.name.toLowerCase()}` : ''}` : '';
  return (
    <>
      <StageHead title="Shape" about={about}>
        {piece && (
          <>
            {top && <Button onClick={() => setWhich('top')}>Change top</Button>}
            <Button onClick={() => setWhich('family')}>Change family</Button>
          </>
        )}
      </StageHead>
      {piece ? <ShapeOf piece={piece} /> : <Waiting>{null}</Waiting>}
      {piece && <KindDialog piece={piece} which={which} onClose={() => setWhich(null)} />}
    </>
  );
}

function ShapeOf({ piece }: { readonly piece: Piece }) {
  const plan = usePlan();
  const facts = usePieceFacts();
  const { model } = sure(useBuilt(piece), 'piece that is built');
  // The fields first, the picture in the next turn: both at once keep the page busy for long.
  const job = useJob();
  const { planner } = useEdges();
  const leanOn = useCallback((lean: Lean) => planner.leanedOn(job, piece.id, lean), [planner, job, piece.id]);
  const drawn = useDeferredValue(true, false);
  return (
    <div className="shape-columns">
      <section key={piece.id} className="choices" aria-label="Sizes and choices">
        <SizeFields piece={piece} />
        <Choices piece={piece} topNominal={facts?.topNominal ?? null} />
        <Wood piece={piece} />
      </section>
      <div className="stack">
        {model.parts.length === 0 ? (
          <Waiting>{null}</Waiting>
        ) : (
          <section className="sheet" aria-label="The piece">
            {drawn && <ModelView model={model} label={piece.name} leanOn={leanOn} />}
          </section>
        )}
        {facts && facts.parts.length > 0 && <InchChart piece={piece} />}
        {plan && facts && facts.parts.length > 0 && choosesWidth(piece) && <TopOptions piece={piece} plan={plan} />}
      </div>
    </div>
  );
}
