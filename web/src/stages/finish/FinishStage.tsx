import { Button } from '@mui/material';
import { useState } from 'react';
import { sure, surfaceOfKey, type SurfaceKey } from '@sill/core';
import { useJob, usePiece, usePieceFacts, usePlan } from '../../state/hooks';
import { StageHead } from '../shared/StageHead';
import { Waiting } from '../shared/Waiting';
import { Amounts } from './Amounts';
import { Cans } from './Cans';
import { ShopAirDialog } from './ShopAirDialog';
import { Sittings } from './Sittings';
import { Strips } from './Strips';
import { Surfaces } from './Surfaces';
import { Tries } from './Tries';
import { WhenDialog } from './WhenDialog';
import { Wish } from './Wish';
import './FinishStage.css';

/** What is sanded, coloured and coated: the piece with its surfaces, recipes as strips, sittings and cans. */
export function FinishStage() {
  const piece = usePiece();
  return (
    <Waiting>
      <Finish key={piece?.id} />
    </Waiting>
  );
}

function Finish() {
  const facts = sure(usePieceFacts(), 'plan of the piece in view');
  const job = useJob();
  const plan = usePlan();
  const [picked, setPicked] = useState<SurfaceKey | null>(null);
  const [open, setOpen] = useState<'when' | 'air' | null>(null);
  const { finishing } = facts;
  const piece = usePiece() ?? facts.piece;
  const area = finishing.surfaces.reduce((sum, { extent }) => sum + extent.area, 0);
  const sittings = facts.steps.filter(({ operations }) => operations.some(({ kind }) => kind === 'coat')).length;
  return (
    <>
      <StageHead
        title="Finish"
        about={`${Math.round(area)} sq ft · ${sittings === 0 ? 'nothing put on' : `${sittings} ${sittings === 1 ? 'sitting' : 'sittings'} with a brush or rag`}`}
      >
        <Button onClick={() => setOpen('when')}>When to finish</Button>
        <Button onClick={() => setOpen('air')}>Shop air</Button>
      </StageHead>
      <div className="stack">
        <Wish piece={piece} surfaces={[...new Set(finishing.surfaces.map(({ name }) => surfaceOfKey(name).surface))]} />
        <Surfaces facts={facts} picked={picked} onPick={setPicked} />
        <Strips facts={facts} />
        {finishing.treatments.length > 0 && <Tries facts={facts} />}
        <div className="finish-halves">
          <div className="stack">
            <Sittings facts={facts} />
            {plan && <Cans plan={plan} />}
          </div>
          <Amounts facts={facts} />
        </div>
        <p className="caution">
          Rags with oil in them catch fire by themselves: dry them flat outdoors, or drown them in a lidded tin. Air the
          room; no flame and no pilot light. What was painted long ago may hold lead: test it first. Whether food may
          lie on it only the label says; the label comes before all that stands here.
        </p>
      </div>
      {open === 'when' && <WhenDialog job={job} piece={piece} onClose={() => setOpen(null)} />}
      {open === 'air' && <ShopAirDialog facts={facts} onClose={() => setOpen(null)} />}
    </>
  );
}
