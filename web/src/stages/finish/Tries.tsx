import { Autocomplete, Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField } from '@mui/material';
import { useState } from 'react';
import { first, type Plan, READY, recipeOf, set, wins, type Recipe } from '@sill/core';
import { useChange, useJob, usePiece } from '../../state/hooks';
import { Pick } from '../../ui/Pick';
import { TextLine } from '../../ui/TextLine';
import { sampleWood, Strip } from './Strip';

type Facts = Plan['pieces'][number];

/** Recipes that are tried on a sample beside those the piece takes; which won over which, and why the others lost. */
export function Tries({ facts }: { readonly facts: Facts }) {
  const job = useJob();
  const change = useChange();
  const [winner, setWinner] = useState<Recipe | null>(null);
  const { finishing } = facts;
  // As it is now: the plan comes after.
  const piece = usePiece() ?? facts.piece;
  const { tries } = piece.finish;
  const taken = finishing.treatments.map(({ recipe }) => recipe);
  const known = new Set([...taken, ...tries].map(({ id }) => id));
  const others = [...job.recipes, ...READY].filter(({ id }) => !known.has(id));
  const rows = tries.flatMap(({ id, lost, why }) => {
    const recipe = recipeOf(job, id);
    return recipe ? [{ recipe, lost, why }] : [];
  });
  const forget = (id: string) => change([set(piece.id, ['finish', 'tries', id], undefined)]);
  return (
    <section className="sheet" aria-label="Tried beside">
      <div className="finish-wish-head">
        <h2>Tried beside</h2>
        <Autocomplete<Recipe>
          className="try-another"
          size="small"
          value={null}
          blurOnSelect
          clearOnBlur
          options={others}
          getOptionLabel={({ name }) => name}
          getOptionKey={({ id }) => id}
          onChange={(_, recipe) =>
            recipe && change([set(piece.id, ['finish', 'tries', recipe.id], { id: recipe.id, lost: false, why: '' })])
          }
          renderInput={(params) => <TextField {...params} label="Try another beside" />}
        />
      </div>
      {rows.length === 0 ? (
        <p className="soft">
          Not sure of the colour? Name another here: it goes on the same offcut, its can is on the list, and its card in
          the packet. Then say which won.
        </p>
      ) : (
        <ul className="strips">
          {rows.map(({ recipe, lost, why }) => (
            <li key={recipe.id} data-lost={lost}>
              <Strip
                of={{ recipe, coats: recipe.coat === 'none' ? 0 : recipe.coats }}
                material={sampleWood(facts)}
                about={lost ? `lost${why === '' ? '' : `: ${why}`}` : 'on the sample'}
              />
              <div className="strip-does">
                <Button
                  size="small"
                  aria-label={`${recipe.name} wins`}
                  disabled={taken.length === 0}
                  onClick={() => setWinner(recipe)}
                >
                  It wins
                </Button>
                <Button size="small" aria-label={`Forget ${recipe.name}`} onClick={() => forget(recipe.id)}>
                  Forget it
                </Button>
              </div>
            </li>
          ))}
        </ul>
      )}
      {winner && (
        <WinsDialog
          winner={winner}
          over={taken.filter(({ id }, at) => taken.findIndex((one) => one.id === id) === at)}
          onWin={(loser, why) => {
            change(wins(piece, winner.id, loser, why));
            setWinner(null);
          }}
          onClose={() => setWinner(null)}
        />
      )}
    </section>
  );
}

/** Over which of those the piece takes it won, and why. */
function WinsDialog({
  winner,
  over,
  onWin,
  onClose,
}: {
  readonly winner: Recipe;
  readonly over: readonly Recipe[];
  readonly onWin: (loser: string, why: string) => void;
  readonly onClose: () => void;
}) {
  const [loser, setLoser] = useState(first(over).id);
  const [why, setWhy] = useState('');
  return (
    <Dialog open onClose={onClose} maxWidth="xs" fullWidth aria-labelledby="wins-title">
      <DialogTitle id="wins-title">{winner.name} wins</DialogTitle>
      <DialogContent>
        <div className="form finish-form">
          <Pick
            label="Instead of"
            value={loser}
            options={over.map(({ id, name }) => [id, name] as const)}
            onChange={setLoser}
          />
          <TextLine label="Why not that one" value={why} most={200} onChange={setWhy} />
          <p className="soft">The surfaces that took it take {winner.name}; it stays here as one that lost.</p>
        </div>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button variant="contained" color="primary" onClick={() => onWin(loser, why.trim())}>
          Take it
        </Button>
      </DialogActions>
    </Dialog>
  );
}
