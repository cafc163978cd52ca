import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Express } from 'express';
import type { Knex } from 'knex';
import { pino } from 'pino';
import request from 'supertest';
import { makeApp } from './app';
import { openDatabase } from './database';
import { MOST_BYTES, pictureType } from './photos';

let [folder, database, app]: [string, Knex, Express] = [null, null, null] as never;
beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'sill-photos-'));
  database = await openDatabase(join(folder, 'test.db'));
  app = makeApp({ database, log: pino({ level: 'silent' }) });
});
afterAll(async () => {
  await database.destroy();
  rmSync(folder, { recursive: true });
});
const post = (data: Buffer, type = 'image/jpeg') =>
  request(app).post('/api/photos').set('Host', 'localhost').set('Content-Type', type).send(data);
const get = (id: string) => request(app).get(`/api/photos/${id}`).set('Host', 'localhost');

/** The smallest PNG there is: one clear pixel. */
const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNkYPhfDwAChwGA60e6kgAAAABJRU5ErkJggg==',
  'base64',
);

test('a picture is kept, told by its bytes and not by its name, and comes back as it was', async () => {
  const { id } = (await post(PIXEL, 'image/jpeg').expect(201)).body as { id: string };
  const answer = await get(id).expect(200).expect('Content-Type', 'image/png');
  expect(Buffer.compare(answer.body as Buffer, PIXEL)).toBe(0);
  expect(answer.headers['cache-control']).toContain('immutable');
});

test.each([
  ['text', Buffer.from('<script>alert(1)</script>')],
  ['an SVG, which could hold a script', Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>')],
  ['nothing', Buffer.alloc(0)],
])('%s is no picture', async (_, data) => {
  const answer = await post(data).expect(422);
  expect(answer.body.error.message).toContain('JPEG, PNG or WebP');
});

test('too large is refused, and a photo that is not there is said to be', async () => {
  const large = Buffer.concat([PIXEL, Buffer.alloc(MOST_BYTES)]);
  const answer = await post(large, 'image/png').expect(413);
  expect(answer.body.error.message).toContain('too large');
  await get('none').expect(404);
  expect(pictureType(Buffer.from('RIFF0000WEBPVP8 '))).toBe('image/webp');
});
