import { demoJob, type Body, type Entry, type EntryOf, type Holdings, type OnHand } from '@sill/core';
import { planOnce } from '../testing/bench';
import { entryWords, stepSentences } from './entries';

const INCH = 8128;
const hand: OnHand = {
  id: 'h1',
  material: '2x4',
  length: 61 * INCH,
  width: 3.5 * INCH,
  count: 1,
  squared: false,
  bad: [],
  where: '',
  note: '',
};
const body = (more: Partial<Body>): Body =>
  ({
    id: 'b',
    material: '2x4',
    length: 96 * INCH,
    width: 3.5 * INCH,
    squared: true,
    bad: [],
    note: '',
    bought: null,
    hand: null,
    from: null,
    piece: null,
    cut: null,
    ...more,
  }) as Body;
const bodies = new Map([
  ['board', body({})],
  ['sheet', body({ material: 'ply 3/4', width: 48 * INCH })],
  ['leg', body({ length: 28.5 * INCH, piece: { part: 'p.L1' } as unknown as NonNullable<Body['piece']> })],
]);
const telling = {
  holdings: { bodies, hands: new Map([['h1', hand]]) } as unknown as Holdings,
  units: 'in' as const,
  label: (id: string) => id.replace(/^p\./, ''),
  steps: new Map([['step.1', 'Bore 4 holes']]) as ReadonlyMap<string, string> | null,
};
const signed = { id: 'e', at: null };
const about = { piece: null, family: '', part: '', of: '', work: null, tool: null };
const words = (entry: object, more: Partial<typeof telling> = {}) =>
  entryWords({ ...signed, ...entry } as unknown as Entry, { ...telling, ...more });

test.each([
  [{ what: 'rejected', offer: '2x4x8' }, 'Put back a board: 2x4x8'],
  [{ what: 'returned', of: 'board' }, 'Taken back 2×4 96'],
  [{ what: 'spoiled', of: 'sheet' }, 'Spoiled 3/4 plywood 96 × 48'],
  [{ what: 'gone', of: 'leg' }, 'Given away L1, 2×4 28 1/2'],
  [{ what: 'racked', of: 'nobody', row: 'r' }, 'To the rack something unknown'],
  [{ what: 'sized', of: 'board', length: 95 * INCH, width: 3.5 * INCH }, '2×4 96: really 95 long, 3 1/2 wide'],
  [
    {
      what: 'marked',
      of: 'board',
      bad: [
        { from: 0, to: 3 * INCH },
        { from: 30 * INCH, to: 33 * INCH },
      ],
      note: '',
    },
    'Bad stretch on 2×4 96: 0 to 3, 30 to 33',
  ],
  [
    { what: 'cut', of: 'board', by: null, pieces: [{ part: 'p.L1' }, { part: 'p.L2' }, { part: 'p.L3' }] },
    'Cut 2×4 96: L1–L3',
  ],
  [{ what: 'cut', of: 'board', by: 'saw.1', pieces: [{ part: 'p.A1' }] }, 'Cut in part 2×4 96: A1'],
  [{ what: 'photographed', of: 'none', photo: 'x' }, 'Photo of something unknown'],
  [
    { what: 'measured', piece: 'p', tag: 'L1', side: 'length', size: 28 * INCH, simulated: true },
    'Measured L1: length 28, a simulated reading',
  ],
  [{ what: 'fitted', piece: 'p', tag: 'S1' }, 'Cut to fit S1'],
  [
    { what: 'diagonal', piece: 'p', step: 's', which: 1, size: 43.75 * INCH, simulated: false },
    'Second diagonal 43 3/4',
  ],
  [{ what: 'clock', on: true, since: 1 }, 'The clock began'],
  [{ what: 'clock', on: false, since: 1 }, 'The clock stopped'],
  [{ what: 'set out', minutes: 250, cents: 18840, boards: 1 }, 'Set out: 4 h 10, $188.40, 1 board'],
  [{ what: 'closed', minutes: 300, cents: 20000 }, 'Finished: 5 h, $200.00'],
  [{ what: 'moisture', of: null, percent: 11, simulated: false }, 'Moisture 11 %'],
  [{ what: 'moisture', of: 'board', percent: 19, simulated: true }, 'Moisture 19 % in 2×4 96, a simulated reading'],
  [{ what: 'paid', of: 'board', price: 512 }, 'Really cost $5.12: 2×4 96'],
  [
    { what: 'receipt', yard: 'Tansy Lane', of: ['a', 'b'], extras: [{ name: 'gloves', price: 300 }], total: 4000 },
    'Receipt of Tansy Lane, 3 rows, $40.00',
  ],
  [{ what: 'note', ...about, next: true, text: 'Clamp the fence', photo: null }, 'Next time: Clamp the fence'],
  [{ what: 'note', ...about, part: 'p.L1', next: false, text: '', photo: 'x' }, 'A picture (L1)'],
  [{ what: 'corrected', of: 'e0' }, 'Taken back as a mistake'],
])('%j', (entry, said) => {
  expect(words(entry)).toBe(said);
});

test('a mishap tells what it cost, where it cost anything', () => {
  const mishap = (more: Partial<EntryOf<'mishap'>>) =>
    words({ what: 'mishap', how: 'split', ...about, minutes: 0, wood: 0, note: '', ...more });
  expect(mishap({})).toBe('Went wrong: split');
  expect(mishap({ part: 'p.A1', note: 'too near the end' })).toBe('Went wrong: split, A1. too near the end');
  expect(mishap({ minutes: 25 })).toBe('Went wrong: split It cost 25 min.');
  expect(mishap({ minutes: 25.4, wood: 436 })).toBe('Went wrong: split It cost 25 min and $4.36 of wood.');
});

test('what took time is told by its step, else by its kind; what a plan has no more is said', () => {
  const timed = (of: string, planned = 0) =>
    words({ what: 'timed', of, piece: null, work: 'join', planned, minutes: 42.4, until: null });
  expect(timed('step.1', 30)).toBe('42 min: Bore 4 holes, 30 min planned');
  expect(timed('saw.3')).toBe('42 min: at the saw');
  expect(timed('gone')).toBe('42 min: joining');
  expect(words({ what: 'done', of: 'step.1', as: null })).toBe('Done: Bore 4 holes');
  expect(words({ what: 'done', of: 'saw:3', as: null })).toBe('Done: a pass at the saw');
  expect(words({ what: 'done', of: 'gone', as: null })).toBe('Done: a step that the plan has no more');
  expect(words({ what: 'done', of: 'gone', as: null }, { steps: null })).toBe('Done: a step');
});

test('every sentence of a plan is known by the id it is ticked off under', () => {
  const plan = planOnce(demoJob());
  const sentences = stepSentences(plan, 'in');
  const actions = plan.pieces.flatMap(({ steps }) => steps.flatMap((step) => step.actions));
  expect(sentences.size).toBe(actions.length);
  for (const { id } of actions) expect(sentences.get(id)!.length).toBeGreaterThan(3);
});
