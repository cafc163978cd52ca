import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useEffect, useState } from 'react';
import { takenOver, type Job, type Recipe } from '@sill/core';
import { useParams } from 'react-router';
import { useChange, useEdges, useJob } from '../../state/hooks';
import { useJobsInfiniteQuery } from '../../state/server';

/** So many jobs, the newest first, are looked through for recipes. */
const MOST_JOBS = 12;

type Found = { readonly id: string; readonly name: string; readonly recipes: readonly Recipe[] };

/** Recipes of one's own in the newest other jobs; null while they are read. */
function useOthers(): readonly Found[] | 'failed' | null {
  const { ask } = useEdges();
  const { id: own } = useParams();
  const { data, error } = useJobsInfiniteQuery({ removed: false });
  const [found, setFound] = useState<readonly Found[] | 'failed' | null>(null);
  useEffect(() => {
    if (!data) return;
    let current = true;
    const others = data.pages.flat().filter(({ id }) => id !== own);
    Promise.all(
      others.slice(0, MOST_JOBS).map(async ({ id, name }): Promise<Found> => {
        const { job }: { readonly job: Pick<Job, 'recipes'> } = await ask('job', { params: { id } });
        return { id, name, recipes: job.recipes };
      }),
    ).then(
      (all) => current && setFound(all.filter(({ recipes }) => recipes.length > 0)),
      () => current && setFound('failed'),
    );
    return () => {
      current = false;
    };
  }, [data, own, ask]);
  return error ? 'failed' : found;
}

/** Recipes that were written for another job, taken into this one. */
export function TakeRecipes({ onClose }: { readonly onClose: () => void }) {
  const job = useJob();
  const change = useChange();
  const others = useOthers();
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="take-title">
      <DialogTitle id="take-title">Recipes of other jobs</DialogTitle>
      <DialogContent>
        {others === null && <p role="status">Reading the jobs.</p>}
        {others === 'failed' && (
          <p role="alert">The other jobs could not be read. Try again when the server answers.</p>
        )}
        {others !== null && others !== 'failed' && others.length === 0 && (
          <p>No other job has a recipe of its own yet: change one here, and it can be taken into the next.</p>
        )}
        {others !== null &&
          others !== 'failed' &&
          others.map(({ id, name, recipes }) => (
            <section key={id} aria-label={name}>
              <h2>{name}</h2>
              <ul className="taken">
                {recipes.map((recipe) => {
                  const changes = takenOver(job, [recipe]);
                  return (
                    <li key={recipe.id}>
                      <span>
                        {recipe.name}
                        {recipe.note !== '' && <small className="soft"> {recipe.note}</small>}
                      </span>
                      <Button size="small" disabled={changes.length === 0} onClick={() => change(changes)}>
                        {changes.length === 0 ? 'Is here' : 'Take it'}
                      </Button>
                    </li>
                  );
                })}
              </ul>
            </section>
          ))}
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
