import { Button } from '@mui/material';
import { useState } from 'react';
import { bareColour, expectedColour, first, type Plan, wholeInches, type Recipe } from '@sill/core';
import { useChange, useJob, usePlan } from '../../state/hooks';
import { Dim } from '../../words/Dim';
import { RecipeDialog } from './RecipeDialog';
import { TakeRecipes } from './TakeRecipes';
import { SURFACE_NAMES } from './words';

type Facts = Plan['pieces'][number];
type Treatment = Facts['finishing']['treatments'][number];

/** What a strip shows from its left: bare, each colour, then each coat. */
function bandsOf({ recipe, coats }: Treatment, material: Facts['parts'][number]['material']) {
  const bands = [{ name: recipe.sandTo > 0 ? `sanded to ${recipe.sandTo}` : 'as it is', colour: bareColour(material) }];
  recipe.colours.forEach(({ product, mix }, at) => {
    const colours = recipe.colours.slice(0, at + 1);
    bands.push({
      name: `${product}: ${mix.map(({ tone, parts }) => (mix.length > 1 ? `${parts} ${tone}` : tone)).join(', ')}`,
      colour: expectedColour(material, { recipe: { ...recipe, colours, coat: 'none' }, coats: 0 }),
    });
  });
  if (recipe.coat !== 'none' && coats > 0)
    bands.push({
      name: `${coats} x ${recipe.coat}${recipe.coat === 'enamel' ? `, ${recipe.tone}` : ''}`,
      colour: expectedColour(material, { recipe, coats }),
    });
  return bands;
}

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
          const part =
            facts.parts.find(({ role, material }) => material !== 'bought' && role === 'top') ?? first(facts.parts);
          return (
            <li key={`${recipe.id} ${coats}`}>
              <div
                className="strip"
                role="img"
                aria-label={bandsOf(treatment, part.material)
                  .map(({ name }) => name)
                  .join(', then ')}
              >
                {bandsOf(treatment, part.material).map(({ name, colour }) => (
                  <span key={name} ref={(element) => element?.style.setProperty('background', colour)} />
                ))}
              </div>
              <div className="strip-words">
                <strong>{recipe.name}</strong>
                <span>
                  {bandsOf(treatment, part.material)
                    .map(({ name }) => name)
                    .join(' · ')}
                </span>
                {recipe.note !== '' && <span>{recipe.note}</span>}
                <span className="soft">{surfaces.map((surface) => SURFACE_NAMES[surface]).join(', ')}</span>
              </div>
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
