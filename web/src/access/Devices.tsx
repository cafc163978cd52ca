import { Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField } from '@mui/material';
import { format, parseISO } from 'date-fns';
import { useEffect, useState } from 'react';
import { api, type Access, type Device } from '../platform/api';

const when = (time: string): string => format(parseISO(time), 'd MMM yyyy HH:mm');

/** Where other devices find this server, as text and as a picture that a phone's camera reads. */
function Addresses({ addresses, secure }: { readonly addresses: readonly string[]; readonly secure: boolean }) {
  const [address = '', ...others] = addresses;
  const [picture, setPicture] = useState<string | null>(null);
  useEffect(() => {
    let left = false;
    void import('qrcode')
      .then(({ toDataURL }) => toDataURL(address, { margin: 2, width: 360 }))
      .then((url) => !left && setPicture(url));
    return () => {
      left = true;
    };
  }, [address]);
  return (
    <div className="addresses">
      {picture && (
        <img src={picture} alt={`The address ${address} as a code for a phone's camera`} width={180} height={180} />
      )}
      <div>
        <p>
          On a device in the same network open <strong>{address}</strong>
          {others.length > 0 && <>, or {others.join(', ')}</>}.
        </p>
        {!secure && (
          <p className="soft">
            What goes over the network is not encrypted. Use it at home, not in a network that strangers are in; with a
            certificate of your own it goes by HTTPS (README).
          </p>
        )}
      </div>
    </div>
  );
}

function SignedIn({ here, onTrouble }: { readonly here: Device; readonly onTrouble: (error: Error) => void }) {
  const [devices, setDevices] = useState<readonly Device[]>([]);
  const list = () => api.access.devices().then(setDevices, onTrouble);
  useEffect(() => void api.access.devices().then(setDevices, onTrouble), [onTrouble]);
  return (
    <ul className="jobs" aria-label="Devices that are signed in">
      {devices.map(({ id, name, since, seen }) => (
        <li key={id}>
          <span>
            <strong>{name}</strong> {id === here.id && 'this one'}
            <span className="soft">
              {' '}
              since {when(since)}, last here {when(seen)}
            </span>
          </span>
          <Button
            size="small"
            aria-label={`Sign out ${name}`}
            onClick={() => void (id === here.id ? api.access.leave() : api.access.signOut(id)).then(list, onTrouble)}
          >
            Sign out
          </Button>
        </li>
      ))}
    </ul>
  );
}

function NewPassphrase({ onTrouble }: { readonly onTrouble: (error: Error) => void }) {
  const [current, setCurrent] = useState('');
  const [next, setNext] = useState('');
  const [done, setDone] = useState(false);
  const change = () =>
    api.access.change(current, next).then(() => {
      setDone(true);
      setCurrent('');
      setNext('');
    }, onTrouble);
  return (
    <form
      className="new-passphrase"
      onSubmit={(event) => {
        event.preventDefault();
        void change();
      }}
    >
      <TextField
        size="small"
        type="password"
        autoComplete="current-password"
        label="Passphrase now"
        value={current}
        onChange={(event) => setCurrent(event.target.value)}
      />
      <TextField
        size="small"
        type="password"
        autoComplete="new-password"
        label="New passphrase"
        value={next}
        onChange={(event) => setNext(event.target.value)}
        helperText="12 letters or more; four words that have nothing to do with each other"
      />
      <Button type="submit" disabled={current === '' || next === ''}>
        Change it
      </Button>
      {done && <span role="status">Changed. Other devices sign in again.</span>}
    </form>
  );
}

/** Who else can open these jobs: how to let a phone in, which devices are, and out with them. */
export function Devices() {
  const [access, setAccess] = useState<Access | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const tell = (error: Error) => setProblem(error.message);
  const look = () => {
    setProblem(null);
    void api.access.now().then(setAccess, tell);
  };
  const device = access?.beyond ? access.device : null;
  return (
    <>
      <Button size="small" onClick={look}>
        Other devices
      </Button>
      <Dialog open={access !== null} onClose={() => setAccess(null)} maxWidth="sm" fullWidth aria-labelledby="devices">
        <DialogTitle id="devices">Other devices</DialogTitle>
        <DialogContent>
          {problem && (
            <p className="problem" role="alert">
              {problem}
            </p>
          )}
          {access?.beyond === false && (
            <>
              <p>Only this machine can open your jobs now. To have them on a phone in the shop too:</p>
              <ol>
                <li>
                  Set a passphrase: <code>npm run passphrase</code>
                </li>
                <li>
                  Start with <code>SILL_HOST=0.0.0.0 npm start</code>. It prints the address, and this page shows it
                  with a code for the phone’s camera.
                </li>
              </ol>
            </>
          )}
          {access?.beyond && device && (
            <>
              <Addresses addresses={access.addresses} secure={access.secure} />
              <h3>Signed in</h3>
              <SignedIn here={device} onTrouble={tell} />
              <h3>Passphrase</h3>
              <NewPassphrase onTrouble={tell} />
            </>
          )}
        </DialogContent>
        <DialogActions>
          {device && (
            <Button onClick={() => void api.access.signOutAll().then(look, tell)}>Sign out all devices</Button>
          )}
          <Button onClick={() => setAccess(null)}>Close</Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
