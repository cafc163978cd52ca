/** @jest-environment jsdom */
import { fileName, saveFile, textOfChosenFile } from './files';
import { gate, signedIn, untilSignedIn } from './gate';

const { createObjectURL, revokeObjectURL } = URL;
afterEach(() => {
  jest.restoreAllMocks();
  Object.assign(URL, { createObjectURL, revokeObjectURL });
});

test('a name is one that any system takes', () => {
  expect(fileName('Shelf: 3/4 "oak"?')).toBe('Shelf- 3-4 -oak-');
  expect(fileName('Kiln Lane 2.json')).toBe('Kiln Lane 2.json');
});

test('a file is handed over under its name with what is in it', async () => {
  const made: Blob[] = [];
  Object.assign(URL, {
    createObjectURL: (blob: Blob) => (made.push(blob), 'blob:here'),
    revokeObjectURL: () => {},
  });
  const links: HTMLAnchorElement[] = [];
  jest.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
    links.push(this);
  });
  saveFile('a/b.csv', 'text/csv', 'tag,count\nL1,4\n');
  expect(links.map(({ href, download }) => [href, download])).toEqual([['blob:here', 'a-b.csv']]);
  expect([made[0]!.type, made[0]!.size]).toEqual(['text/csv', 15]);
});

describe('a file that a person picks', () => {
  const picking = (act: (input: HTMLInputElement) => void) =>
    jest.spyOn(HTMLInputElement.prototype, 'click').mockImplementation(function (this: HTMLInputElement) {
      act(this);
    });

  test('its text, asked for by its kind', async () => {
    const asked: string[] = [];
    picking((input) => {
      asked.push(input.accept);
      const file = Object.assign(new File([], 'job.json'), { text: () => Promise.resolve('{}') });
      Object.defineProperty(input, 'files', { value: [file] });
      input.onchange!(new Event('change'));
    });
    expect([await textOfChosenFile('.json'), asked]).toEqual(['{}', ['.json']]);
  });

  test('none where none was picked', async () => {
    picking((input) => input.oncancel!(new Event('cancel')));
    expect(await textOfChosenFile('.json')).toBeNull();
  });
});

test('all that waits for the passphrase waits for one sign-in; whoever watches is told when it shuts and opens', async () => {
  const told: boolean[] = [];
  const leave = gate.subscribe(() => told.push(gate.isClosed()));
  const [one, other] = [untilSignedIn(), untilSignedIn()];
  expect(one).toBe(other);
  signedIn();
  await Promise.all([one, other]);
  expect([gate.isClosed(), told]).toEqual([false, [true, false]]);
  leave();
  void untilSignedIn();
  expect(told).toHaveLength(2);
  signedIn();
});
