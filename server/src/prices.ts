import { Router } from 'express';
import * as v from 'valibot';
import { isDay, read, type DayPrice, type RackBoard, type Yard } from '@sill/core';
import { ApiError, notFound } from './errors';

/** A calendar day, `2026-11-24`. */
export type Day = string;
/**
 * Where prices and stock come from. The simulated yard is one; a store's own service would be another, with nothing
 * else to change. Every answer is null where there is no such yard or offer.
 */
export type PriceService = {
  /** What it says is invented: told where boards of a rack are shown. */
  readonly simulated: boolean;
  /** The whole price list as it stands on a day. */
  readonly list: (yard: string, day: Day) => Promise<Yard | null>;
  /** The price of one offer on each of so many days up to `until`, the oldest first. */
  readonly history: (yard: string, offer: string, until: Day, days: number) => Promise<readonly DayPrice[] | null>;
  /** The boards of one offer that lie in the rack on a day; none where it is out of stock. */
  readonly rack: (yard: string, offer: string, day: Day) => Promise<readonly RackBoard[] | null>;
};

const DaySchema = v.pipe(
  v.string('must be a day such as 2026-11-24'),
  v.check(isDay, 'must be a day that there is, such as 2026-11-24'),
);
const AskSchema = v.object({
  day: DaySchema,
  days: v.optional(
    v.pipe(
      v.string(),
      v.transform(Number),
      v.integer('must be a whole number'),
      v.minValue(2, 'must be at least 2'),
      v.maxValue(400, 'must be at most 400'),
    ),
    '180',
  ),
});

/** `/api/prices/:yard`, `/:yard/history/:offer`, `/:yard/rack/:offer`, each with `?day=`. */
export function pricesRouter(service: PriceService): Router {
  const router = Router();
  const asked = (query: unknown) => {
    const result = read(AskSchema as v.GenericSchema<unknown, v.InferOutput<typeof AskSchema>>, query, 'question');
    if (!result.ok) throw new ApiError(400, 'bad-request', result.message, result.fields);
    return result.value;
  };
  const found = <T>(value: T | null, what: string): T => {
    if (value === null) throw notFound(what);
    return value;
  };

  router.get('/:yard', async (request, response) => {
    const { day } = asked(request.query);
    response.json({ day, yard: found(await service.list(request.params.yard, day), 'price list') });
  });

  router.get('/:yard/history/:offer', async (request, response) => {
    const { day, days } = asked(request.query);
    const { yard, offer } = request.params;
    response.json(found(await service.history(yard, offer, day, days), 'offer at this yard'));
  });

  router.get('/:yard/rack/:offer', async (request, response) => {
    const { day } = asked(request.query);
    const { yard, offer } = request.params;
    const boards = found(await service.rack(yard, offer, day), 'board at this yard');
    response.json({ boards, simulated: service.simulated });
  });

  return router;
}
