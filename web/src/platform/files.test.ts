/** @jest-environment jsdom */
import { fileName, saveFile, textOfChosenFile } from './files';
import { browserFiles } from '../testing/files';
import { gate, signedIn, untilSignedIn } from './gate';

const { saved, lastText } = browserFiles();

test('a name is one that any system takes', () => {
  expect(fileName('Shelf: 3/4 "oak"?')).toBe('Shelf- 3-4 -oak-');
  expect(fileName('Kiln Lane 2.json')).toBe('Kiln Lane 2.json');
});

test('a file is handed over under its name with what is in it', async () => {
  const links: string[][] = [];
  jest.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function (this: HTMLAnchorElement) {
    links.push([this.href, this.download]);
  });
  saveFile('a/b.csv', 'text/csv', 'tag,count\nL1,4\n');
  expect(links).toEqual([['blob:1', 'a-b.csv']]);
  expect([saved[0]!.type, await lastText()]).toEqual(['text/csv', 'tag,count\nL1,4\n']);
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
