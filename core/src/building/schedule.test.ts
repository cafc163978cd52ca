import { say } from '../words';
import type { Operation } from '../work';
import type { Draft } from './draft';
import { schedule } from './schedule';

// Four minutes of every draft are for fetching and putting away.
const heed = (name: string, minutes: number): Operation => ({
  id: name,
  piece: 'p',
  on: [],
  tags: [],
  minutes,
  tool: null,
  lift: null,
  kind: 'heed',
  atHand: [],
  says: say`${name}`,
});
const draft = (name: string, work: number, more: Partial<Draft> = {}): Draft => ({
  name,
  title: say`${name}`,
  ops: [heed(name, work - 4)],
  ...more,
});
const names = (drafts: readonly Draft[], clamps = 8) => schedule(drafts, clamps).map(({ draft: { name } }) => name);

test('while glue sets, what does not need it is done; what was glued comes on when it is dry', () => {
  const drafts = [
    draft('glue', 10, { wait: 60, clamps: 4 }),
    draft('use', 10, { after: ['glue'] }),
    draft('other', 70),
  ];
  expect(names(drafts)).toEqual(['glue', 'other', 'use']);
  expect(schedule(drafts, 8).map(({ pause }) => pause)).toEqual([0, 0, 0]);
});

test('with nothing else to do a person waits, and it is told how long', () => {
  const waits = schedule([draft('glue', 10, { wait: 60, clamps: 4 }), draft('use', 10, { after: ['glue'] })], 8);
  expect(waits.map(({ draft: { name }, pause }) => [name, pause])).toEqual([
    ['glue', 60],
    ['use', 0],
  ]);
});

test('clamps that are taken are not there: the second glue-up waits for the first, or goes beside it', () => {
  const two = [draft('a', 10, { wait: 60, clamps: 5 }), draft('b', 10, { wait: 60, clamps: 5 }), draft('c', 5)];
  expect(names(two, 8)).toEqual(['a', 'c', 'b']);
  expect(names(two, 10)).toEqual(['a', 'b', 'c']);
  expect(schedule(two, 8).map(({ pause }) => pause)).toEqual([0, 55, 60]);
});

test('more clamps than there are: what there is must do, and nothing else goes beside it', () => {
  const two = [draft('a', 10, { wait: 60, clamps: 9 }), draft('b', 10, { clamps: 1 })];
  expect(names(two, 8)).toEqual(['a', 'b']);
  expect(schedule(two, 8).map(({ pause }) => pause)).toEqual([60, 0]);
  expect(names([draft('a', 10, { clamps: 1 })], 0)).toEqual(['a']);
});

test('all that is done in the workshop comes before the first thing where the piece stays', () => {
  const drafts = [
    draft('join', 10, { stays: say`too wide` }),
    draft('glue', 10, { wait: 60, clamps: 2 }),
    draft('use', 10, { after: ['glue'] }),
  ];
  expect(names(drafts)).toEqual(['glue', 'use', 'join']);
});
