/** @jest-environment jsdom */
import { act, screen, waitFor, within } from '@testing-library/react';
import type { ReactNode } from 'react';
import type { RouteName } from '@sill/core/contract';
import { Offline, Refused, type Ask } from '../platform/ask';
import { gate, signedIn, untilSignedIn } from '../platform/gate';
import { startJob } from '../../../core/src/testing/planning';
import { onBench as onAnyBench } from '../testing/bench';
import { Devices } from './Devices';
import { SignIn } from './SignIn';

const since = '2026-11-20T08:05:00.000Z';
const device = (id: string, name: string) => ({ id, name, since, seen: '2026-11-24T19:30:00.000Z' });
const HERE = device('here', 'Chrome on Linux');
type Sent = { readonly params?: { readonly id: string }; readonly body?: Readonly<Record<string, string>> };

/** What is looked at here shows nothing of a job: a small one will do. */
const onBench = (what: ReactNode, ask: Ask) => onAnyBench(what, { job: startJob('top'), ask });

/** A server that says what it is told to, and what it was asked. */
function answering(answers: Partial<Record<RouteName, unknown>>) {
  const asked: (readonly [RouteName, Sent])[] = [];
  const ask = ((name: RouteName, sent: Sent) => {
    asked.push([name, sent]);
    const answer = answers[name];
    if (answer instanceof Error) return Promise.reject(answer);
    return Promise.resolve(typeof answer === 'function' ? (answer as () => unknown)() : (answer ?? null));
  }) as unknown as Ask;
  return { ask, asked, names: () => asked.map(([name]) => name) };
}
const open = {
  beyond: true,
  device: HERE,
  addresses: ['http://bench.local:4173', 'http://10.0.0.7:4173'],
  secure: false,
};

describe('other devices', () => {
  const shown = async (answers: Partial<Record<RouteName, unknown>>) => {
    const server = answering(answers);
    const page = onBench(<Devices />, server.ask);
    await page.user.click(screen.getByRole('button', { name: 'Other devices' }));
    const dialog = await screen.findByRole('dialog', { name: 'Other devices' });
    return { ...page, ...server, dialog };
  };

  test('where only this machine can open the jobs it says how to let a phone in', async () => {
    const { dialog, names, user } = await shown({ access: { beyond: false } });
    expect(dialog.textContent).toContain('npm run passphrase');
    expect(dialog.textContent).toContain('SILL_HOST=0.0.0.0 npm start');
    expect(within(dialog).queryByRole('button', { name: 'Sign out all devices' })).toBeNull();
    expect(names()).toContain('access');
    expect(names()).not.toContain('devices');
    await user.click(within(dialog).getByRole('button', { name: 'Close' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
  });

  test('the address as text and as a code; unencrypted it says so, by HTTPS it does not', async () => {
    const { dialog, unmount } = await shown({ access: open, devices: [HERE] });
    expect(dialog.textContent).toContain('open http://bench.local:4173, or http://10.0.0.7:4173.');
    expect(dialog.textContent).toContain('not encrypted');
    const code = await within(dialog).findByRole('img');
    expect(code.getAttribute('alt')).toBe("The address http://bench.local:4173 as a code for a phone's camera");
    expect(code.getAttribute('src')).toMatch(/^data:image\/png;base64,/);
    unmount();
    const secure = await shown({
      access: { ...open, addresses: ['https://bench.local:4173'], secure: true },
      devices: [HERE],
    });
    expect(secure.dialog.textContent).toContain('open https://bench.local:4173.');
    expect(secure.dialog.textContent).not.toContain('not encrypted');
  });

  test('who is signed in, since when; another is signed out by its id, this one by leaving', async () => {
    const { dialog, asked, user } = await shown({
      access: open,
      devices: [HERE, device('phone', 'Phone in the shop')],
    });
    const list = await within(dialog).findByRole('list', { name: 'Devices that are signed in' });
    const rows = await within(list).findAllByRole('listitem');
    expect(rows.map((row) => row.textContent?.includes('this one'))).toEqual([true, false]);
    expect(rows[1]!.textContent).toMatch(
      /^Phone in the shop +since 20 Nov 2026 \d\d:\d\d, last here 24 Nov 2026 \d\d:\d\d/,
    );
    await user.click(within(list).getByRole('button', { name: 'Sign out Phone in the shop' }));
    await waitFor(() => expect(asked).toContainEqual(['signOut', { params: { id: 'phone' } }]));
    await user.click(within(list).getByRole('button', { name: 'Sign out Chrome on Linux' }));
    await waitFor(() => expect(asked.map(([name]) => name)).toContain('signOutHere'));
    expect(asked).not.toContainEqual(['signOut', { params: { id: 'here' } }]);
  });

  test('a new passphrase wants the one that was; what the server has against it is said, and nothing typed is lost', async () => {
    let refused = true;
    const { dialog, asked, user } = await shown({
      access: open,
      devices: [HERE],
      changePassphrase: () => {
        if (refused)
          throw new Refused(422, 'invalid', 'A passphrase has at least 12 letters; this one has 4.', [], null);
        return null;
      },
    });
    const change = await within(dialog).findByRole<HTMLButtonElement>('button', { name: 'Change it' });
    expect(change.disabled).toBe(true);
    const [now, next] = ['Passphrase now', 'New passphrase'].map((label) =>
      within(dialog).getByLabelText<HTMLInputElement>(label),
    );
    await user.type(now!, 'glaze kettle');
    expect(change.disabled).toBe(true);
    await user.type(next!, 'kiln');
    await user.click(change);
    expect((await within(dialog).findByRole('alert')).textContent).toMatch(/^A passphrase has at least 12 letters/);
    expect([now!.value, next!.value]).toEqual(['glaze kettle', 'kiln']);
    refused = false;
    await user.click(change);
    expect((await within(dialog).findByRole('status')).textContent).toBe('Changed. Other devices sign in again.');
    expect([now!.value, next!.value]).toEqual(['', '']);
    expect(asked).toContainEqual(['changePassphrase', { body: { current: 'glaze kettle', next: 'kiln' } }]);
  });

  test('all are signed out at once, and then it looks who may come in', async () => {
    const { dialog, names, user } = await shown({ access: open, devices: [HERE] });
    await user.click(within(dialog).getByRole('button', { name: 'Sign out all devices' }));
    await waitFor(() => expect(names().slice(names().indexOf('signOutAll'))).toContain('access'));
  });

  test('without a server it says so', async () => {
    const { dialog } = await shown({ access: new Offline('The server does not answer.') });
    expect(within(dialog).getByRole('alert').textContent).toBe('The server does not answer.');
  });

  test('one that is not signed in is asked to; once it is, it sees the others', async () => {
    let device: typeof HERE | null = null;
    const server = answering({ access: () => ({ ...open, device }), devices: [HERE] });
    const { user } = onBench(<Devices />, server.ask);
    await user.click(screen.getByRole('button', { name: 'Other devices' }));
    await waitFor(() => expect(gate.isClosed()).toBe(true));
    expect(screen.queryByRole('list', { name: 'Devices that are signed in' })).toBeNull();
    device = HERE;
    act(signedIn);
    expect(await screen.findByRole('list', { name: 'Devices that are signed in' })).toBeTruthy();
  });
});

describe('signing in', () => {
  test('asked only where the server wants it; a wrong passphrase is said, the right one lets what waited go on', async () => {
    let isRight = false;
    const { ask, asked } = answering({
      signIn: () => {
        if (!isRight) throw new Refused(403, 'passphrase', 'This is not the passphrase.', [], null);
        return null;
      },
    });
    const { user } = onBench(<SignIn />, ask);
    expect(screen.queryByRole('dialog')).toBeNull();
    let gone = false;
    act(() => void untilSignedIn().then(() => (gone = true)));
    const dialog = await screen.findByRole('dialog', { name: 'Sign in to this shop' });
    const enter = within(dialog).getByRole<HTMLButtonElement>('button', { name: 'Sign in' });
    expect(enter.disabled).toBe(true);
    const field = within(dialog).getByLabelText<HTMLInputElement>('Passphrase');
    await user.type(field, 'not this one');
    await user.click(enter);
    expect(await within(dialog).findByText('This is not the passphrase.')).toBeTruthy();
    expect([gone, field.value, field.getAttribute('aria-invalid')]).toEqual([false, 'not this one', 'true']);
    isRight = true;
    const name = within(dialog).getByLabelText<HTMLInputElement>('Name of this device');
    await user.clear(name);
    await user.type(name, 'Phone');
    await user.click(within(dialog).getByRole('button', { name: 'Sign in' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull());
    expect([gone, gate.isClosed()]).toEqual([true, false]);
    expect(asked.at(-1)).toEqual(['signIn', { body: { passphrase: 'not this one', device: 'Phone' } }]);
  });

  test('what is typed can be shown, and a name is cut at eighty letters', async () => {
    const { user } = onBench(<SignIn />, answering({}).ask);
    act(() => void untilSignedIn());
    const dialog = await screen.findByRole('dialog');
    const field = within(dialog).getByLabelText<HTMLInputElement>('Passphrase');
    expect(field.type).toBe('password');
    await user.click(within(dialog).getByRole('button', { name: 'Show' }));
    expect(field.type).toBe('text');
    const name = within(dialog).getByLabelText<HTMLInputElement>('Name of this device');
    await user.clear(name);
    await user.click(name);
    await user.paste('x'.repeat(200));
    expect(name.value).toHaveLength(80);
    await act(async () => signedIn());
  });
});
