import { Button } from '@mui/material';
import { useState } from 'react';
import { type Plan, wholeInches, type Recipe } from '@sill/core';
import { useChange, useJob, usePlan } from '../../state/hooks';
import { Dim } from '../../words/Dim';
import { RecipeDialog } from './RecipeDialog';
import { sampleWood, Strip } from './Strip';
import { TakeRecipes } from './TakeRecipes';
import { surfaceLabel } from './words';

type Facts = Plan['pieces'][number];
/** The recipes of a piece as strips of the offcut they are tried on, from bare wood to the last coat. */
export function Strips({ facts }: { readonly facts: Facts }) {
  const plan = usePlan();
  const job = useJob();
  const change = useChange();
  const [open, setOpen] = useState<Recipe | null>(null);
  const [taking, setTaking] = useState(false);
  const { treatments } = facts.finishing;
  const offcut = plan?.offcuts.find(({ jobs }) =>
    jobs.some(({ kind, piece }) => kind === 'sample' && piece === facts.piece.id),
  );
  if (treatments.length === 0)
    return (
      <section className="sheet" aria-label="Recipes">
        <h2>Recipes</h2>
        <p>Nothing is sanded or put on. Say above what it should be, or give a surface a recipe.</p>
      </section>
    );
  return (
    <section className="sheet" aria-label="Recipes">
      <div className="finish-wish-head">
        <h2>Recipes</h2>
        <Button size="small" onClick={() => setTaking(true)}>
          From another job
        </Button>
      </div>
      {offcut && (
        <p className="soft">
          Try them on the <Dim of={wholeInches(offcut.offcut.length)} mark /> offcut of board {offcut.board}, sanded as
          the piece is, side by side with a line of tape between. The packet has a card to write on them.
        </p>
      )}
      <ul className="strips">
        {treatments.map((treatment) => {
          const { recipe, coats, surfaces } = treatment;
          return (
            <li key={`${recipe.id} ${coats}`}>
              <Strip of={treatment} material={sampleWood(facts)} about={surfaces.map(surfaceLabel).join(', ')} />
              <Button size="small" onClick={() => setOpen(recipe)}>
                Change
              </Button>
            </li>
          );
        })}
      </ul>
      {open && (
        <RecipeDialog job={job} piece={facts.piece} recipe={open} onKeep={change} onClose={() => setOpen(null)} />
      )}
      {taking && <TakeRecipes onClose={() => setTaking(false)} />}
    </section>
  );
}
