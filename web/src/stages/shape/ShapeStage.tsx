import { FAMILIES, type Piece } from '@sill/core';
import { ModelView } from '../../drawing/ModelView';
import { usePiece, usePieceFacts, usePlan } from '../../state/hooks';
import { SizeFields } from '../SizeFields';
import { StageHead } from '../StageHead';
import { TopOptions } from '../TopOptions';
import { Waiting } from '../Waiting';
import { Choices } from './Choices';

/** The choices beside the piece as it would stand. */
export function ShapeStage() {
  const piece = usePiece();
  return (
    <>
      <StageHead title="Shape" about={piece ? `${FAMILIES[piece.family].name} · joined board top` : ''} />
      {piece ? <ShapeOf piece={piece} /> : <Waiting>{null}</Waiting>}
    </>
  );
}

function ShapeOf({ piece }: { readonly piece: Piece }) {
  const plan = usePlan();
  const facts = usePieceFacts();
  return (
    <div className="shape-columns">
      <section className="choices" aria-label="Sizes and choices">
        <SizeFields piece={piece} />
        <Choices piece={piece} topNominal={facts?.topNominal ?? null} />
      </section>
      <div className="stack">
        <Waiting>
          <section className="sheet" aria-label="The piece">
            <ModelView parts={facts?.parts ?? []} label={piece.name} />
          </section>
          {plan && <TopOptions piece={piece} plan={plan} />}
        </Waiting>
      </div>
    </div>
  );
}
