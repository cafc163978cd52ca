import { Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField } from '@mui/material';
import { format, parseISO } from 'date-fns';
import { useEffect, useState } from 'react';
import type { Device } from '@sill/core/contract';
import { untilSignedIn } from '../platform/gate';
import {
  useChangePassphraseMutation,
  useDevicesQuery,
  useLazyAccessQuery,
  useSignOutAllMutation,
  useSignOutHereMutation,
  useSignOutMutation,
} from '../state/server';
import './Devices.css';

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

type Tell = { readonly onTrouble: (error: { readonly message: string }) => void };

function SignedIn({ here, onTrouble }: Tell & { readonly here: Device }) {
  const { data: devices = [] } = useDevicesQuery({});
  const [signOut] = useSignOutMutation();
  const [leave] = useSignOutHereMutation();
  const out = (id: string) => (id === here.id ? leave({}) : signOut({ params: { id } })).unwrap().catch(onTrouble);
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
          <Button size="small" aria-label={`Sign out ${name}`} onClick={() => void out(id)}>
            Sign out
          </Button>
        </li>
      ))}
    </ul>
  );
}

function NewPassphrase({ onTrouble }: Tell) {
  const [send] = useChangePassphraseMutation();
  const [current, setCurrent] = useState('');
  const [next, setNext] = useState('');
  const [done, setDone] = useState(false);
  const change = () =>
    send({ body: { current, next } })
      .unwrap()
      .then(() => {
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
  const [ask, { data: access, error }] = useLazyAccessQuery();
  const [open, setOpen] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const [signOutAll] = useSignOutAllMutation();
  const tell: Tell['onTrouble'] = ({ message }) => setProblem(message);
  /** Asks to sign in where that is needed. */
  const look = async (): Promise<void> => {
    setProblem(null);
    const { data } = await ask({});
    setOpen(true);
    if (!data?.beyond || data.device) return;
    await untilSignedIn();
    return look();
  };
  const outAll = () => signOutAll({}).unwrap().then(look, tell);
  const said = problem ?? error?.message;
  const device = access?.beyond ? access.device : null;
  return (
    <>
      <Button size="small" onClick={() => void look()}>
        Other devices
      </Button>
      <Dialog open={open} onClose={() => setOpen(false)} maxWidth="sm" fullWidth aria-labelledby="devices">
        <DialogTitle id="devices">Other devices</DialogTitle>
        <DialogContent>
          {said && (
            <p className="problem" role="alert">
              {said}
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
              <Addresses addresses={access.addresses ?? []} secure={access.secure ?? false} />
              <h3>Signed in</h3>
              <SignedIn here={device} onTrouble={tell} />
              <h3>Passphrase</h3>
              <NewPassphrase onTrouble={tell} />
            </>
          )}
        </DialogContent>
        <DialogActions>
          {device && <Button onClick={() => void outAll()}>Sign out all devices</Button>}
          <Button onClick={() => setOpen(false)}>Close</Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
