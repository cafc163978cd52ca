import { strToU8, zipSync } from 'fflate';
import { demoJob, readOnHand, type Job, type OnHand } from '@sill/core';
import { ledgerWithPhotos, packed, photosIn, unpacked, withPhotos } from './bundle';

const demo = demoJob();
const entry = readOnHand('2x4 41 1/2 x3', 'in');
if (!entry.ok) throw new Error(entry.message);
const hand: OnHand = { ...entry.value, id: 'h1' };
const shown: Job = {
  ...demo,
  name: 'One: with/photo',
  ledger: [{ id: 'f1', at: null, what: 'found', hand: { ...hand, photo: 'old-1' } }],
};
const picture = new Uint8Array([0xff, 0xd8, 0xff, 1, 2, 3]);

test('jobs, photos and the rack come out as they went in, also under one name', () => {
  const can = { id: 'c1', kind: 'finish', size: 'enamel white', ounces: 12, since: '2026-11-01', note: '' } as const;
  const rack = { pieces: [{ ...hand, photo: 'old-2' }], cans: [can] };
  expect(photosIn({ jobs: [shown, demo], rack })).toEqual(['old-1', 'old-2']);
  const there = unpacked(
    packed({
      jobs: [shown, shown, demo],
      photos: new Map([
        ['old-1', picture],
        ['old-2', picture],
      ]),
      rack,
    }),
  );
  expect(there.jobs).toEqual([shown, shown, demo]);
  expect(there.rack).toEqual(rack);
  expect(there.photos.get('old-1')).toEqual(picture);
  expect(there.problems).toEqual([]);
});

test('photos get the ids of the new machine; one that did not come is not shown', () => {
  const rows = withPhotos([{ ...hand, photo: 'a' }, { ...hand, photo: 'b' }, hand], new Map([['a', 'new']]));
  expect(rows.map(({ photo }) => photo)).toEqual(['new', undefined, undefined]);
  expect('photo' in rows[1]!).toBe(false);
  const taken = (id: string, photo: string) => ({ id, at: null, what: 'photographed', of: 'h1', photo }) as const;
  const ledger = ledgerWithPhotos([...shown.ledger, taken('p1', 'a'), taken('p2', 'b')], new Map([['a', 'new']]));
  expect(ledger).toEqual([{ id: 'f1', at: null, what: 'found', hand }, taken('p1', 'new')]);
});

test('what can not be read is named, the rest comes in; what is no such file is a sentence', () => {
  const file = zipSync({
    'jobs/1 good.json': strToU8(JSON.stringify(demo)),
    'jobs/2 bad.json': strToU8('{"format":"sill-plan/job@1"}'),
    'jobs/../../evil.sh': strToU8('rm'),
    'rack.json': strToU8('{'),
  });
  const { jobs, problems } = unpacked(file);
  expect(jobs).toHaveLength(1);
  expect(problems).toEqual([expect.stringMatching(/^2 bad\.json: .{10,}/), expect.stringMatching(/^The rack: .{10,}/)]);
  expect(() => unpacked(strToU8('PK nothing of the kind'))).toThrow(/no zip file/);
  expect(() => unpacked(file.slice(0, file.length / 2))).toThrow(/a part of it is missing/);
  expect(() => unpacked(zipSync({ 'letter.txt': strToU8('hello') }))).toThrow('There is no job in this file.');
});

test('a file that would not fit is not unpacked', () => {
  const bomb = zipSync({ 'jobs/1 large.json': new Uint8Array(9_000_000) });
  expect(bomb.length).toBeLessThan(20_000);
  expect(() => unpacked(bomb)).toThrow(/larger unpacked/);
});
