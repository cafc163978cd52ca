import { Button, Dialog, DialogActions, DialogContent, DialogTitle, Radio } from '@mui/material';
import { format, parseISO } from 'date-fns';
import { useMemo, useState } from 'react';
import { first, isAlike, merged, type Whose } from '@sill/core';
import { settled } from '../state/bench';
import { useApp, useFrom } from '../state/hooks';
import { chosen, clashesOf } from '../state/rebase';
import { placeWords, valueWords } from '../words/places';
import './ConflictDialog.css';

/**
 * Another tab saved first, and both changed the same. Each such place is shown with both values to choose from; all
 * else that either changed is in already. Nothing is lost whichever is taken.
 */
export function ConflictDialog() {
  const { conflict, job, base } = useFrom((state) => state.bench);
  const dispatch = useApp();
  const [picks, setPicks] = useState<Readonly<Record<number, Whose>>>({});
  const clashes = useMemo(
    () => (conflict && job && base ? clashesOf({ job, base }, conflict) : []),
    [conflict, job, base],
  );
  if (!conflict || !job || !base) return null;
  const whose = clashes.map((_, at) => picks[at] ?? 'mine');
  const other = chosen({ job, base }, conflict, whose);
  const alsoTheirs = first(clashes).path.length > 0 && !isAlike(merged(base, job, conflict.job).job, job);
  const column = (side: Whose, title: string) => (
    <th scope="col">
      {title}
      {clashes.length > 1 && (
        <Button size="small" onClick={() => setPicks(Object.fromEntries(clashes.map((_, at) => [at, side])))}>
          All
        </Button>
      )}
    </th>
  );
  return (
    <Dialog open maxWidth="sm" fullWidth>
      <DialogTitle>Changed in another tab</DialogTitle>
      <DialogContent>
        <p>
          Another tab saved this job at {format(parseISO(conflict.savedAt), 'HH:mm:ss')}, and{' '}
          {clashes.length === 1 ? 'one thing is' : `${clashes.length} things are`} not the same there and here. Choose
          which stays.{alsoTheirs ? ' All else that either changed is kept.' : ''} What you do not take comes back with
          undo, or from the older saves.
        </p>
        <table className="both">
          <thead>
            <tr>
              <th scope="col">What</th>
              {column('mine', 'Here')}
              {column('theirs', 'There')}
            </tr>
          </thead>
          <tbody>
            {clashes.map((clash, at) => {
              const place = placeWords(clash.path, [job, conflict.job]);
              const side = (of: Whose, title: string) => (
                <td>
                  <label>
                    <Radio
                      size="small"
                      name={`clash-${at}`}
                      checked={whose[at] === of}
                      onChange={() => setPicks({ ...picks, [at]: of })}
                      slotProps={{ input: { 'aria-label': `${place}: ${title}` } }}
                    />
                    {valueWords(clash.path, clash[of], job.units)}
                  </label>
                </td>
              );
              return (
                <tr key={clash.path.join(' ')}>
                  <th scope="row">{place}</th>
                  {side('mine', 'yours')}
                  {side('theirs', 'the other')}
                </tr>
              );
            })}
          </tbody>
        </table>
        {other === null && (
          <p role="alert">Chosen so, the two do not make one job that can be kept. Choose another way.</p>
        )}
      </DialogContent>
      <DialogActions>
        <Button
          variant="contained"
          color="primary"
          disabled={other === null}
          onClick={() => {
            setPicks({});
            if (other) dispatch(settled(other));
          }}
        >
          Keep these
        </Button>
      </DialogActions>
    </Dialog>
  );
}
