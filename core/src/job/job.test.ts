import {
  applyChanges,
  demoJob,
  newJob,
  newPiece,
  readJob,
  readJobText,
  readShop,
  readYard,
  DEFAULT_SHOP,
} from './index';
import { SAMPLE_YARD } from '../stock';

test('every job this program makes can be read back from its text', () => {
  for (const job of [
    demoJob(),
    newJob('x'),
    { ...newJob('y'), pieces: [newPiece('a', 'desk'), newPiece('b', 'coffee')] },
  ])
    expect(readJobText(JSON.stringify(job))).toEqual({ ok: true, value: job });
  expect(readYard(SAMPLE_YARD).ok).toBe(true);
  expect(readShop(DEFAULT_SHOP).ok).toBe(true);
});

test.each([
  ['not JSON', '{"format":', 'damaged'],
  ['another kind', '{"format":"sill-plan/cut-problem@1"}', 'not a job file'],
  ['a list', '[]', 'not a job file'],
  ['a newer version', JSON.stringify({ ...demoJob(), format: 'sill-plan/job@2' }), 'newer version'],
])('%s gets a message', (_, text, message) => {
  const read = readJobText(text);
  expect(read.ok).toBe(false);
  if (!read.ok) expect(read.message).toContain(message);
});

test.each([
  [['pieces', 0, 'size', 'length'], -1, 'pieces 1, size, length', 'at least 1'],
  [['pieces', 2, 'choices', 'legs'], 'oak', 'pieces 3, choices, legs', 'must be one of'],
  [['pieces', 1, 'id'], 'glaze', 'pieces', 'same id'],
  [['yard', 'boards', 4, 'price'], 1.5, 'yard, boards 5, price', 'whole number'],
  [['shop', 'kerf'], undefined, 'shop, kerf', 'is missing'],
  [['name'], 7, 'name', 'must be text'],
])('names the field %s', (path, value, field, message) => {
  const read = readJob(applyChanges(demoJob(), [{ piece: null, path, value }]));
  expect(read.ok).toBe(false);
  if (!read.ok) {
    expect(read.fields[0]!.field).toBe(field);
    expect(read.fields[0]!.message).toContain(message);
  }
});

test('changes make a new job and leave the old; a piece that is gone changes nothing', () => {
  const job = demoJob();
  const before = JSON.stringify(job);
  const changed = applyChanges(job, [
    { piece: 'tea', path: ['size', 'length'], value: 5 },
    { piece: null, path: ['yard', 'boards', 0, 'price'], value: 1 },
  ]);
  expect(changed.pieces[2]!.size.length).toBe(5);
  expect(changed.yard.boards[0]!.price).toBe(1);
  expect(JSON.stringify(job)).toBe(before);
  expect(applyChanges(job, [{ piece: 'gone', path: ['name'], value: 'x' }])).toEqual(job);
});
