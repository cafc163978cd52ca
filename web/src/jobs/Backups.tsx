import { Button, Dialog, DialogActions, DialogContent, DialogTitle } from '@mui/material';
import { useState } from 'react';
import { addressOf, ROUTES } from '@sill/core/contract';
import { ask } from '../platform/ask';
import { chosenFile } from '../platform/files';

type Props = { readonly onBack: () => void; readonly onTrouble: (error: Error) => void };

/** Everything as one file to keep elsewhere, and such a file put back. */
export function Backups({ onBack, onTrouble }: Props) {
  const [file, setFile] = useState<File | null>(null);
  const [busy, setBusy] = useState(false);
  const [done, setDone] = useState<string | null>(null);
  const putBack = async (given: File) => {
    setBusy(true);
    try {
      const { jobs, saves, photos } = await ask('restoreBackup', { body: given });
      setDone(`Back again: jobs ${jobs}, saves of them ${saves}, photos ${photos}.`);
      onBack();
    } catch (error) {
      onTrouble(error as Error);
    } finally {
      setBusy(false);
      setFile(null);
    }
  };
  return (
    <>
      <Button size="small" component="a" href={addressOf(ROUTES.backup, {})} download>
        Back up everything
      </Button>
      <Button size="small" onClick={() => void chosenFile('.db').then(setFile)}>
        Put a backup back
      </Button>
      {done && <span role="status">{done}</span>}
      <Dialog open={file !== null} onClose={() => !busy && setFile(null)} maxWidth="xs" fullWidth>
        <DialogTitle>Put this backup back?</DialogTitle>
        <DialogContent>
          <p>
            All jobs, price lists, shops, the rack and the photos become those of <strong>{file?.name}</strong>. The
            file is looked at first. What is here now is kept on the server in the folder <em>backups</em>. Close other
            tabs that have a job open.
          </p>
        </DialogContent>
        <DialogActions>
          <Button disabled={busy} onClick={() => setFile(null)}>
            Leave all as it is
          </Button>
          <Button disabled={busy} variant="contained" color="primary" onClick={() => file && void putBack(file)}>
            {busy ? 'Putting it back' : 'Put it back'}
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
