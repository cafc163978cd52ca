import type { JobRecord } from '@sill/core';
import { now } from '../today';
import type { Seen } from './plan.worker';

let records: readonly JobRecord[] = [];

/** What other jobs say of the builder: every plan from now on rests on it. */
export const learnFrom = (others: readonly JobRecord[]): void => void (records = others);

/** What plans rest on beside their job. */
export const seen = (): Seen => ({ today: now(), records });
