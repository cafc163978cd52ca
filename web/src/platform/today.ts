import { format, formatISO } from 'date-fns';

/** The day it is here, as `2026-11-24`. */
export const today = (): string => formatISO(new Date(), { representation: 'date' });

/** The minute it is here, as `2026-11-24T19:05`. */
export const now = (): string => format(new Date(), "yyyy-MM-dd'T'HH:mm");

/** The zone of this device's clock, as `Europe/Berlin`. */
export const zoneHere = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;
