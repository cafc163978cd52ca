import { pino } from 'pino';
import type { Knex } from 'knex';
import request from 'supertest';
import { SAMPLE_YARD, inches, readYard, type DayPrice, type RackBoard } from '@sill/core';
import { makeApp } from './app';
import { openDatabase } from './database';
import type { PriceService } from './prices';
import { seed } from './seed';
import { simulatedYard } from './simulated-yard';

const service = simulatedYard(async (id) => (id === SAMPLE_YARD.id ? SAMPLE_YARD : null));
const days = Array.from({ length: 60 }, (_, at) => new Date(Date.UTC(2026, 0, 1 + 3 * at)).toISOString().slice(0, 10));

describe('the simulated yard', () => {
  test('the same day is always the same, and a whole price list', async () => {
    const first = await service.list('tansy-lane', '2026-11-24');
    expect(await service.list('tansy-lane', '2026-11-24')).toEqual(first);
    expect(await service.list('tansy-lane', '2026-10-01')).not.toEqual(first);
    expect(readYard(first).ok).toBe(true);
    expect(await service.list('nowhere', '2026-11-24')).toBeNull();
  });

  test('prices drift within a fifth; some sizes are out of stock, never many', async () => {
    for (const day of days) {
      const yard = (await service.list('tansy-lane', day))!;
      yard.boards.forEach(({ price }, at) => {
        expect(Math.abs(price / SAMPLE_YARD.boards[at]!.price - 1)).toBeLessThan(0.2);
      });
      const out = yard.boards.filter(({ inStock }) => !inStock).length;
      expect(out).toBeLessThan(yard.boards.length / 4);
    }
    const lists = await Promise.all(days.map((day) => service.list('tansy-lane', day)));
    expect(lists.some((yard) => yard!.boards.some(({ inStock }) => !inStock))).toBe(true);
  });

  test('history ends today, at today’s price', async () => {
    const history = (await service.history('tansy-lane', '2x6x12', '2026-11-24', 180))!;
    expect(history).toHaveLength(180);
    expect(history.at(-1)!.day).toBe('2026-11-24');
    const yard = (await service.list('tansy-lane', '2026-11-24'))!;
    expect(history.at(-1)!.price).toBe(yard.boards.find(({ id }) => id === '2x6x12')!.price);
    expect(new Set(history.map(({ price }) => price)).size).toBeGreaterThan(20);
    expect(await service.history('tansy-lane', 'gold', '2026-11-24', 9)).toBeNull();
  });

  test('a rack has good boards and bad ones; none where the size is out', async () => {
    const racks = await Promise.all(days.map((day) => service.rack('tansy-lane', '2x6x12', day)));
    const boards = racks.flatMap((rack) => rack!);
    const share = (bad: (board: RackBoard) => boolean) => boards.filter(bad).length / boards.length;
    expect(share(({ crook }) => crook > inches(1 / 2))).toBeGreaterThan(0);
    expect(share(({ split }) => split > 0)).toBeGreaterThan(0.1);
    expect(share(({ split, looseKnot }) => split === 0 && looseKnot === null)).toBeGreaterThan(0.3);
    expect(share(({ moisture }) => moisture > 15)).toBeGreaterThan(0.2);
    for (const [at, day] of days.entries()) {
      const offer = (await service.list('tansy-lane', day))!.boards.find(({ id }) => id === '2x6x12')!;
      expect(racks[at]!.length > 0).toBe(offer.inStock);
    }
  });
});

describe('over HTTP', () => {
  let database: Knex;
  beforeAll(async () => {
    database = await openDatabase(':memory:');
    await seed(database, 'none');
  });
  afterAll(() => database.destroy());
  const ask = (path: string, prices?: PriceService) =>
    request(makeApp({ database, log: pino({ level: 'silent' }), ...(prices ? { prices } : {}) }))
      .get(`/api/prices${path}`)
      .set('Host', 'localhost');

  test('lists, history and rack; what is not there and what is no day are told', async () => {
    const { body } = await ask('/weir-street?day=2026-11-24').expect(200);
    expect(body).toMatchObject({ day: '2026-11-24', yard: { id: 'weir-street' } });
    const history = (await ask('/tansy-lane/history/ply-3-4-48x96?day=2026-11-24&days=30').expect(200)).body;
    expect((history as DayPrice[]).length).toBe(30);
    const rack = (await ask('/tansy-lane/rack/2x4x8?day=2026-11-24').expect(200)).body;
    expect(rack).toMatchObject({ simulated: true, boards: expect.any(Array) });
    await ask('/nowhere?day=2026-11-24').expect(404);
    await ask('/tansy-lane/history/gold?day=2026-11-24').expect(404);
    const refused = await ask('/tansy-lane?day=tomorrow').expect(400);
    await ask('/tansy-lane?day=2026-02-30').expect(400);
    expect(refused.body.error.message).toContain('2026-11-24');
    await ask('/tansy-lane/history/2x4x8?day=2026-11-24&days=9000').expect(400);
  });

  test('another service takes its place', async () => {
    const dear: PriceService = { ...service, list: async () => ({ ...SAMPLE_YARD, tax: 20 }) };
    expect((await ask('/any?day=2026-11-24', dear).expect(200)).body.yard.tax).toBe(20);
  });
});
