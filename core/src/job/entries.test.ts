import * as v from 'valibot';
import { inches } from '../length';
import { CalendarSchema, USUAL_CALENDAR, longestDay } from './calendar';
import { LedgerSchema, type Entry } from './ledger';

const at = '2026-11-28T14:05';
const yard = { id: 'y', name: 'Yard', tax: 5 };
const wood = { material: '2x4', length: inches(96), width: inches(3.5) } as const;
const hand = { id: 'h', ...wood, count: 2, squared: true, bad: [], where: 'rack', note: '' } as const;
const can = {
  id: 'can',
  kind: 'stain',
  size: 'oil stain nut brown',
  ounces: 12,
  since: '2026-11-01',
  note: '',
} as const;
const about = { piece: 'p', family: 'bench', part: 'p.L1', of: 'p.step', work: 'saw', tool: 'mitre saw' } as const;
const sums = { minutes: 90, cents: 12_345, boards: 7, left: 0.2, ready: '2026-12-05' } as const;
const laid = {
  pieces: [
    {
      ...{ part: 'p.L1', x: 0, y: 0, length: inches(30), width: inches(3.5) },
      ...{ turned: false, slants: { left: 0, right: 45 } },
    },
  ],
  cuts: [{ kind: 'crosscut', at: inches(30), from: 0, to: inches(3.5), angle: 0 }],
  offcuts: [{ x: inches(31), y: 0, length: inches(65), width: inches(3.5) }],
} as const;

/** One of every kind of entry, as a builder tells it. */
const TOLD: { readonly [What in Entry['what']]: Omit<Extract<Entry, { readonly what: What }>, 'id' | 'at' | 'what'> } =
  {
    found: { hand },
    photographed: { of: 'h', photo: 'photo-1' },
    bought: { offer: '2x4x8', ...wood, grade: '#2', price: 399, yard, parts: ['p.L1'] },
    box: { offer: 'screws', kind: 'screw', size: '#8 1 1/2', count: 100, price: 899, yard },
    rejected: { offer: '2x4x8' },
    returned: { of: 'b' },
    marked: { of: 'b', bad: [{ from: 0, to: inches(3) }], note: 'split' },
    sized: { of: 'b', length: inches(96), width: inches(3.5) },
    cut: { of: 'b', ...wood, ...laid, by: null },
    spoiled: { of: 'b/p0' },
    gone: { of: 'b/o0' },
    racked: { of: 'b/o0', row: 'row-1' },
    fetched: { hand },
    'can racked': { can },
    'can fetched': { can },
    measured: { piece: 'p', tag: 'L1', side: 'length', size: inches(28), simulated: false, planned: null },
    fitted: { piece: 'p', tag: 'C1' },
    diagonal: { piece: 'p', step: 'p.end-1', which: 0, size: inches(41), simulated: true },
    done: { of: 'p.end-1', as: 'print' },
    'set out': sums,
    clock: { on: true, since: 1_790_000_000_000 },
    timed: { of: 'p.end-1', piece: 'p', work: 'join', planned: 20, minutes: 31, until: null },
    paid: { of: 'b', price: 425 },
    receipt: { yard: 'Yard', of: ['b'], extras: [{ name: 'ice', price: 200 }], tax: 31, total: 656, photo: null },
    mishap: { how: 'cut wrong', ...about, minutes: 12, wood: 399, note: 'half an inch short' },
    note: { ...about, next: true, text: 'Set the stop with a rule.', photo: null },
    moisture: { of: null, percent: 9.5, simulated: true },
    used: { kind: 'finish', size: 'oil polyurethane', ounces: 11, planned: 9 },
    closed: { ...sums, bought: 42_000 },
    corrected: { of: 'entry-1' },
  };
const entries = Object.entries(TOLD).map(([what, rest], k) => ({ id: `e${k}`, at, what, ...rest }));
const says = (ledger: unknown) => {
  const result = v.safeParse(LedgerSchema, ledger);
  return result.success ? [] : result.issues.map(({ message }) => message);
};

describe('entries of the ledger', () => {
  test('one of every kind is taken as it is told', () => {
    expect(says(entries)).toEqual([]);
    expect(v.parse(LedgerSchema, entries)).toEqual(entries);
  });

  test.each(entries.map((entry) => [entry.what, entry] as const))('%s: nothing of it may be left out', (_, entry) => {
    for (const field of Object.keys(entry)) {
      const { [field as 'id']: left, ...rest } = entry;
      expect([field, says([rest]).length > 0, left !== undefined]).toEqual([field, true, true]);
    }
  });

  test.each([
    ['bought', { price: 0 }, 'must be at least 1 cent: what costs nothing is on hand, not bought'],
    ['bought', { material: '2x5' }, 'must be a board such as 2x4 or oak 1x6, or a sheet such as ply 3/4'],
    ['found', { hand: { ...hand, count: 0 } }, 'must be at least 1'],
    ['cut', { length: inches(20) }, 'has a piece that reaches beyond its board'],
    ['returned', { of: '' }, 'must name a board'],
    ['measured', { side: 'depth' }, 'must be one of length, width, thickness'],
    ['diagonal', { which: 2 }, 'must be 0 or 1'],
    ['timed', { minutes: 1441 }, 'must be at most 1440 minutes'],
    ['timed', { minutes: -1 }, 'must be at least 0 minutes'],
    ['moisture', { percent: 61 }, 'must be at most 60'],
    ['used', { kind: 'screw' }, 'must be one of glue, '],
    ['mishap', { how: 'bored' }, 'must be one of cut wrong, split, drilled wrong, joined wrong, finish spoiled, other'],
    ['note', { tool: 'lathe' }, 'must be one of hand saw, '],
    ['closed', { left: 1.1 }, 'must be at most 1'],
    ['set out', { ready: 'soon' }, 'must be like 2026-11-28'],
    ['can fetched', { can: { ...can, since: 'lately' } }, 'must be like 2026-11-28'],
  ] as const)('%s with %j is refused: %s', (what, more, message) => {
    const entry = entries.find((one) => one.what === what)!;
    const said = says([{ ...entry, ...more }]);
    expect(said.some((one) => one.startsWith(message))).toBe(true);
  });

  test('two of one id, one that nobody knows, and one of a time that is none', () => {
    expect(says([entries[0], { ...entries[1], id: entries[0]!.id }])).toEqual([
      'two entries of the ledger have the same id',
    ]);
    expect(says([{ ...entries[0], what: 'dreamt' }])).toEqual(['must be an entry that this program knows']);
    expect(says([{ ...entries[0], at: '2026-11-28' }])).toEqual(['must be like 2026-11-28T14:05']);
  });
});

describe('when there is time', () => {
  const wrong = (more: object) => {
    const result = v.safeParse(CalendarSchema, { ...USUAL_CALENDAR, ...more });
    return result.success ? [] : result.issues.map(({ message }) => message);
  };
  const evening = { id: 'a', day: 2, from: 1140, to: 1260, quiet: true, helpers: 0 };

  test.each([
    [{}, []],
    [{ zone: 'Europe/Berlin', due: '2026-12-24' }, []],
    [{ zone: 'Mars/North' }, ['must be a time zone such as Europe/Berlin']],
    [{ due: '2026-02-30' }, ['must be a day that there is']],
    [{ due: 'Christmas' }, ['must be a day like 2026-11-28', 'must be a day that there is']],
    [{ week: [{ ...evening, to: 1140 }] }, ['must end after it begins']],
    [{ week: [{ ...evening, day: 8 }] }, ['must be at most 7']],
    [{ week: [{ ...evening, to: 1500 }] }, ['must be at most 1440']],
    [{ week: [evening, evening] }, ['two hours have the same id']],
    [{ off: [{ id: 'o', from: '2026-12-26', to: '2026-12-24' }] }, ['must end no sooner than it begins']],
    [{ loud: { from: 600, to: 480 } }, ['must end after it begins']],
    [{ room: 0 }, ['must be at least 1']],
    [
      { air: [{ id: 'r', on: '2026-12-01', temperature: 55, humidity: 101, simulated: true }] },
      ['must be at most 100'],
    ],
  ] as const)('%j: %j', (more, messages) => expect(wrong(more)).toEqual(messages));

  test('the longest day: of the week or of one extra day; an hour where there is none', () => {
    const { week } = USUAL_CALENDAR;
    expect(longestDay({ week, extra: [] })).toBe(6 * 60);
    const extra = [{ id: 'x', on: '2026-12-01', from: 480, to: 1080, quiet: false, helpers: 0 }];
    expect(longestDay({ week, extra })).toBe(600);
    expect(longestDay({ week: [], extra: [] })).toBe(60);
  });
});
