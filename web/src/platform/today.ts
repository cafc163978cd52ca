import { formatISO } from 'date-fns';

/** The day it is here, as `2026-11-24`. */
export const today = (): string => formatISO(new Date(), { representation: 'date' });
