import { Button, Checkbox, Dialog, DialogActions, DialogContent, DialogTitle, FormControlLabel } from '@mui/material';
import { useState } from 'react';
import type { JobSummary } from '@sill/core/contract';
import { saveBytes } from '../platform/files';

type Props = { readonly jobs: readonly JobSummary[]; readonly onTrouble: (error: Error) => void };

/** Jobs as one file for another machine: which of them, and whether the rack comes along. */
export function TakeAlong({ jobs, onTrouble }: Props) {
  const [open, setOpen] = useState(false);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [rack, setRack] = useState(false);
  const [busy, setBusy] = useState(false);
  const toggle = (id: string) => {
    const next = new Set(chosen);
    if (!next.delete(id)) next.add(id);
    setChosen(next);
  };
  const save = async () => {
    setBusy(true);
    try {
      const { takeAlong } = await import('./travel');
      saveBytes(
        'sill-plan jobs.zip',
        'application/zip',
        await takeAlong(
          jobs.filter(({ id }) => chosen.has(id)),
          rack,
        ),
      );
    } catch (error) {
      onTrouble(error as Error);
    } finally {
      setBusy(false);
      setOpen(false);
    }
  };
  return (
    <>
      <Button size="small" disabled={jobs.length === 0} onClick={() => setOpen(true)}>
        Take jobs along
      </Button>
      <Dialog open={open} onClose={() => !busy && setOpen(false)} maxWidth="xs" fullWidth>
        <DialogTitle>Take jobs along</DialogTitle>
        <DialogContent>
          <p>One file with the jobs and their photos. On another machine, “Read a job file” takes it in.</p>
          {jobs.map(({ id, name }) => (
            <div key={id}>
              <FormControlLabel
                control={<Checkbox checked={chosen.has(id)} onChange={() => toggle(id)} />}
                label={name}
              />
            </div>
          ))}
          <hr />
          <FormControlLabel
            control={<Checkbox checked={rack} onChange={() => setRack(!rack)} />}
            label="The rack comes along"
          />
        </DialogContent>
        <DialogActions>
          <Button disabled={busy} onClick={() => setOpen(false)}>
            Close
          </Button>
          <Button variant="contained" color="primary" disabled={busy || chosen.size === 0} onClick={() => void save()}>
            {busy ? 'Packing' : 'Save the file'}
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
