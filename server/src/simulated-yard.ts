import { addDays, differenceInCalendarDays, formatISO, getISOWeek, getYear, parseISO } from 'date-fns';
import {
  inches,
  PER_FOOT,
  seeded,
  type BoardOffer,
  type DayPrice,
  type RackBoard,
  type SheetOffer,
  type Yard,
} from '@sill/core';
import type { Day, PriceService } from './prices';

/** A number from a text, for seeds: FNV-1a, public domain. */
function hash(text: string): number {
  let mixed = 0x811c9dc5;
  for (let at = 0; at < text.length; at++) mixed = Math.imul(mixed ^ text.charCodeAt(at), 0x01000193);
  return mixed >>> 0;
}
const chance = (...about: readonly (string | number)[]): number => seeded(hash(about.join('|')))();

const EPOCH = parseISO('2025-01-01');
/** Boards are restocked about so often: what is out stays out for as long. */
const RESTOCK_DAYS = 5;
const OUT_OF_STOCK = 0.05;

/**
 * How far a price stands from the list on a day: a slow swing, a quicker one and the week's mood, within about 15 %.
 * Boards of one nominal size move together, as they come from one mill.
 */
function drift(yard: string, what: string, day: Day): number {
  const days = differenceInCalendarDays(parseISO(day), EPOCH);
  const phase = (name: string) => 2 * Math.PI * chance(yard, what, name);
  const slow = 0.08 * Math.sin((2 * Math.PI * days) / 240 + phase('slow'));
  const quick = 0.03 * Math.sin((2 * Math.PI * days) / 47 + phase('quick'));
  const date = parseISO(day);
  const week = 0.04 * (chance(yard, what, getYear(date), getISOWeek(date)) - 0.5);
  return 1 + slow + quick + week;
}

const isOut = (yard: string, id: string, day: Day): boolean => {
  const period = Math.floor(differenceInCalendarDays(parseISO(day), EPOCH) / RESTOCK_DAYS);
  return chance(yard, id, 'out', period) < OUT_OF_STOCK;
};

const groupOf = (offer: BoardOffer | SheetOffer) => ('sheet' in offer ? offer.sheet : offer.board);

const onDay = <Offer extends BoardOffer | SheetOffer>(yard: string, offer: Offer, day: Day): Offer => ({
  ...offer,
  price: Math.round(offer.price * drift(yard, groupOf(offer), day)),
  inStock: offer.inStock && !isOut(yard, offer.id, day),
});

/** Boards in one rack that day. */
const IN_RACK = 12;
/** Usual spread, in sixteenths of an inch over the length, and how often: invented, but about what a rack shows. */
const sixteenths = (value: number) => inches(Math.max(0, Math.round(value)) / 16);

function rackBoard(yard: string, offer: BoardOffer, day: Day, at: number): RackBoard {
  const random = seeded(hash([yard, offer.id, day, 'rack', at].join('|')));
  const feet = offer.length / PER_FOOT;
  /** Most are good, a few are not: the square keeps most small. */
  const mostly = (most: number) => most * random() ** 3;
  const split = random() < 0.25 ? inches(Math.round(1 + 8 * random())) : 0;
  const knot = random() < 0.3 ? Math.round(feet * 12 * (0.1 + 0.8 * random())) : null;
  return {
    number: at + 1,
    crook: sixteenths(mostly(1.6 * feet)),
    bow: sixteenths(mostly(2 * feet)),
    twist: sixteenths(mostly(8)),
    cup: sixteenths(mostly(3)),
    split,
    looseKnot: knot === null ? null : inches(knot),
    moisture: Math.round(10 * (11 + 9 * random())) / 10,
  };
}

/**
 * An invented yard as a price service: prices drift about the list it is given, sizes are out of stock now and then,
 * and every rack holds boards with faults. The same day always shows the same.
 *
 * @param listOf the price list as it stands in the books; null where there is no such yard.
 */
export function simulatedYard(listOf: (id: string) => Promise<Yard | null>): PriceService {
  return {
    simulated: true,
    async list(id, day) {
      const yard = await listOf(id);
      return (
        yard && {
          ...yard,
          boards: yard.boards.map((offer) => onDay(id, offer, day)),
          sheets: yard.sheets.map((offer) => onDay(id, offer, day)),
        }
      );
    },
    async history(id, offerId, until, days) {
      const yard = await listOf(id);
      const offer = [...(yard?.boards ?? []), ...(yard?.sheets ?? [])].find((row) => row.id === offerId);
      if (!offer) return null;
      return Array.from({ length: days }, (_, at): DayPrice => {
        const day = formatISO(addDays(parseISO(until), at - days + 1), { representation: 'date' });
        const { price, inStock } = onDay(id, offer, day);
        return { day, price, inStock };
      });
    },
    async rack(id, offerId, day) {
      const yard = await listOf(id);
      const offer = yard?.boards.find((row) => row.id === offerId);
      if (!offer) return null;
      return onDay(id, offer, day).inStock
        ? Array.from({ length: IN_RACK }, (_, at) => rackBoard(id, offer, day, at))
        : [];
    },
  };
}
