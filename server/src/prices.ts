import { Router } from 'express';
import type { DayPrice, RackBoard, Yard } from '@sill/core';
import { ROUTES } from '@sill/core/contract';
import { notFound } from './errors';
import { serve } from './serve';

const AT = '/prices';

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

/** `/api/prices/:yard`, `/:yard/history/:offer`, `/:yard/rack/:offer`, each with `?day=`. */
export function pricesRouter(service: PriceService): Router {
  const router = Router();
  const found = <T>(value: T | null, what: string): T => {
    if (value === null) throw notFound(what);
    return value;
  };

  serve(router, AT, ROUTES.prices, async ({ params: { yard }, query: { day } }) => ({
    day,
    yard: found(await service.list(yard, day), 'price list'),
  }));

  serve(router, AT, ROUTES.priceHistory, async ({ params: { yard, offer }, query: { day, days } }) => [
    ...found(await service.history(yard, offer, day, days), 'offer at this yard'),
  ]);

  serve(router, AT, ROUTES.rackBoards, async ({ params: { yard, offer }, query: { day } }) => ({
    boards: [...found(await service.rack(yard, offer, day), 'board at this yard')],
    simulated: service.simulated,
  }));

  return router;
}
