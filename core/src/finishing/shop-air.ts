import { say, strong, type Phrase } from '../words';
import type { Product } from './products';

/** What a thermometer and a hygrometer in the shop read: degrees F, percent. */
export type ShopAir = { readonly temperature: number; readonly humidity: number };

/** No shop that someone works in reads beyond these. */
const [COLDEST, HOTTEST] = [-10, 120] as const;

export const celsius = (fahrenheit: number): number => Math.round(((fahrenheit - 32) * 5) / 9);
export const fahrenheit = (degrees: number): number => Math.round((degrees * 9) / 5 + 32);

/** What is wrong with a reading, and what would be right; null where it can be so. */
export function wrongReading({ temperature, humidity }: ShopAir): string | null {
  if (!Number.isFinite(temperature) || temperature < COLDEST || temperature > HOTTEST)
    return `No shop reads so: between ${COLDEST} and ${HOTTEST} °F (${celsius(COLDEST)} and ${celsius(HOTTEST)} °C) would be right.`;
  if (!Number.isFinite(humidity) || humidity < 5 || humidity > 100) return 'Humidity is between 5 and 100 percent.';
  return null;
}

/** Air that holds so much water drops it on what is this much colder than itself: the dew point (Magnus formula), F. */
export function dewPoint({ temperature, humidity }: ShopAir): number {
  const warm = ((temperature - 32) * 5) / 9;
  const gamma = Math.log(humidity / 100) + (17.62 * warm) / (243.12 + warm);
  return ((243.12 * gamma) / (17.62 - gamma)) * (9 / 5) + 32;
}

/** Nearer than this to the dew point, degrees F, a coat blushes or will not dry. */
const NEAR_DEW = 5;

/** Whether a coat may go on now: null, or why not and what to do. */
export function keepsFrom({ air }: Pick<Product, 'air'>, reading: ShopAir): Phrase | null {
  const [cold, hot, damp] = air;
  const { temperature, humidity } = reading;
  if (temperature < cold)
    return say`At ${strong(temperature)} °F it does not set: warm the shop, the wood and the can to ${strong(cold)} °F, and keep it so until the coat is dry.`;
  if (temperature > hot)
    return say`At ${strong(temperature)} °F it dries before it flows out: wait for the evening, under ${strong(hot)} °F.`;
  if (humidity > damp)
    return say`At ${strong(humidity)} % humidity it stays soft or turns milky: wait until it is under ${strong(damp)} %, or warm the air.`;
  if (temperature - dewPoint(reading) < NEAR_DEW)
    return say`The air is close to dropping its water on the wood: warm the shop by ${strong(Math.ceil(NEAR_DEW - temperature + dewPoint(reading)))} °F.`;
  return null;
}
