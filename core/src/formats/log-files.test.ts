import Papa from 'papaparse';
import { newJob, type Entry } from '../job';
import { logCsv, logJson } from './log-files';

const at = '2026-10-03T14:05';
const about = { piece: null, family: '', part: '', of: '', work: null, tool: null } as const;
const entries: readonly Entry[] = [
  { id: 'c', at, what: 'clock', on: true, since: 1 },
  { id: 'a', at, what: 'timed', of: 's', piece: null, work: 'saw', planned: 10, minutes: 12.5, until: 2 },
  { id: 'n', at: null, what: 'note', ...about, next: true, text: '=1+1, "plane" first', photo: null },
  { id: 'r', at, what: 'receipt', yard: 'Yard', of: [], extras: [], tax: 8, total: 108, photo: null },
  { id: 'x', at, what: 'note', ...about, next: false, text: 'wrong', photo: null },
  { id: 'y', at, what: 'corrected', of: 'x' },
];
const job = { ...newJob('Shed'), ledger: entries };
const words = (entry: Entry) => (entry.what === 'note' ? entry.text : entry.what);

test('a row an entry that stands, with its minutes and money; nothing in it is worked out by a spreadsheet', () => {
  const { data } = Papa.parse<Record<string, string>>(logCsv(job, words), { header: true });
  expect(
    data.map((row) => [row['day'], row['time'], row['what'], row['minutes'], row['minutes planned'], row['dollars']]),
  ).toEqual([
    ['2026-10-03', '14:05', 'timed', '12.5', '10', ''],
    ['', '', 'note', '', '', ''],
    ['2026-10-03', '14:05', 'receipt', '', '', '1.08'],
  ]);
  expect(data[1]!['words']).toBe(`'=1+1, "plane" first`);
});

test('as JSON it is the record and every entry that stands, as the job file has them', () => {
  const log = JSON.parse(logJson(job)) as { format: string; job: string; record: object; entries: unknown };
  expect(log).toMatchObject({ format: 'sill-plan/log@1', job: 'Shed', record: { minutes: 12.5, cents: 108 } });
  expect(log.entries).toEqual([entries[0], entries[1], entries[2], entries[3]]);
});
