import { Router } from 'express';
import { seeded, type ShopAir } from '@sill/core';
import { ROUTES } from '@sill/core/contract';
import { serve } from './serve';

/**
 * A thermometer and a hygrometer in the shop that send what they read. Real ones would be others, with nothing else to
 * change. `day` is an ISO date; `press` counts the readings, so that the same press reads the same.
 */
export type ShopSensor = {
  /** Their readings are invented: told with each. */
  readonly simulated: boolean;
  readonly reading: (day: string, press: number) => Promise<ShopAir>;
};

/** A garage that is colder and damper in winter; a few degrees up and down by the day and the hour. */
export const simulatedSensor: ShopSensor = {
  simulated: true,
  reading: (day, press) => {
    const month = Number(day.slice(5, 7));
    const season = Math.cos(((month - 1) * Math.PI) / 6);
    const random = seeded((Number(day.replaceAll('-', '')) * 31 + press * 7919) >>> 0);
    return Promise.resolve({
      temperature: Math.round(62 - 10 * season + (random() - 0.5) * 12),
      humidity: Math.round(58 + 8 * season + (random() - 0.5) * 24),
    });
  },
};

/** What they read: `GET /api/shop-air?day=2026-11-24&press=3`. */
export function shopAirRouter(sensor: ShopSensor): Router {
  const router = Router();
  serve(router, '/shop-air', ROUTES.shopAir, async ({ query: { day, press } }) => ({
    ...(await sensor.reading(day, press)),
    simulated: sensor.simulated,
  }));
  return router;
}
