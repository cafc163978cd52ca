import { Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField } from '@mui/material';
import { useState, useSyncExternalStore } from 'react';
import { useSignInMutation } from '../state/server';
import { browserName } from '../state/tab';
import { gate, signedIn } from '../platform/gate';

/** Asks for the passphrase wherever the server wants it; what was going on waits behind it, and then goes on. */
export function SignIn() {
  const asked = useSyncExternalStore(gate.subscribe, gate.isClosed);
  const [signIn] = useSignInMutation();
  const [passphrase, setPassphrase] = useState('');
  const [shown, setShown] = useState(false);
  const [device, setDevice] = useState(browserName);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const enter = async () => {
    setBusy(true);
    try {
      await signIn({ body: { passphrase, device } }).unwrap();
      setProblem(null);
      setPassphrase('');
      signedIn();
    } catch (error) {
      setProblem((error as Error).message);
    } finally {
      setBusy(false);
    }
  };
  return (
    <Dialog open={asked} maxWidth="xs" fullWidth aria-labelledby="sign-in">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void enter();
        }}
      >
        <DialogTitle id="sign-in">Sign in to this shop</DialogTitle>
        <DialogContent>
          <p>
            The passphrase was set on the machine that the server runs on. If nobody knows it any more, set a new one
            there: <code>npm run passphrase</code>. What you have not saved yet is kept here.
          </p>
          <TextField
            autoFocus
            fullWidth
            margin="dense"
            label="Passphrase"
            type={shown ? 'text' : 'password'}
            autoComplete="current-password"
            value={passphrase}
            error={problem !== null}
            helperText={problem}
            onChange={(event) => setPassphrase(event.target.value)}
            slotProps={{
              input: {
                endAdornment: (
                  <Button size="small" onClick={() => setShown(!shown)}>
                    {shown ? 'Hide' : 'Show'}
                  </Button>
                ),
              },
              htmlInput: { autoCapitalize: 'none', spellCheck: false },
            }}
          />
          <TextField
            fullWidth
            margin="dense"
            label="Name of this device"
            value={device}
            onChange={(event) => setDevice(event.target.value.slice(0, 80))}
            helperText="It stands in the list of devices that are signed in"
          />
        </DialogContent>
        <DialogActions>
          <Button type="submit" variant="contained" color="primary" disabled={busy || passphrase === ''}>
            {busy ? 'Looking' : 'Sign in'}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
