import { createInterface } from 'node:readline/promises';
import { Writable } from 'node:stream';
import { openDatabase } from '../database';
import { databaseFile } from '../settings';
import { setPassphrase } from './devices';
import { faultOf, madePassphrase } from './passphrase';

/**
 * `npm run passphrase` sets the passphrase that other devices sign in with: it asks for one, which is not shown while
 * it is typed; with nothing typed it makes one and shows it, this once. Where input is not a terminal, its first line
 * is the passphrase. All devices are signed out by it.
 */
const terminal = process.stdin.isTTY === true;
const unseen = new Writable({ write: (_chunk, _encoding, done) => done() });

async function asked(): Promise<string> {
  if (!terminal) {
    const lines = createInterface({ input: process.stdin });
    for await (const line of lines) return line;
    return '';
  }
  const lines = createInterface({ input: process.stdin, output: unseen, terminal: true });
  const line = async (question: string) => {
    process.stdout.write(question);
    const typed = await lines.question('');
    process.stdout.write('\n');
    return typed;
  };
  try {
    const first = await line('Passphrase (it is not shown; Enter alone makes one): ');
    if (first !== '' && (await line('Once more: ')) !== first)
      throw new Error('The two are not the same. Nothing was changed.');
    return first;
  } finally {
    lines.close();
  }
}

try {
  const typed = await asked();
  const fault = typed === '' ? null : faultOf(typed);
  if (fault) throw new Error(`${fault} Nothing was changed.`);
  const passphrase = typed === '' ? madePassphrase() : typed;
  const database = await openDatabase(databaseFile());
  try {
    await setPassphrase(database, passphrase);
  } finally {
    await database.destroy();
  }
  process.stdout.write(
    `${typed === '' ? `The passphrase is ${passphrase}\nIt is shown this once: write it down.` : 'The passphrase is set.'} All devices sign in again.\n`,
  );
} catch (error) {
  process.stderr.write(`${(error as Error).message}\n`);
  process.exitCode = 2;
}
