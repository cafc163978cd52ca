import { ask } from './platform/ask';
import { now, today, zoneHere } from './platform/today';
import * as days from './platform/workers/days';
import * as explorer from './platform/workers/explorer';
import * as planner from './platform/workers/planner';
import { keepRecords, recordsKept } from './platform/records';
import { learnFrom } from './platform/workers/seen';
import type { Edges } from './state/edges';
import { keep, letGo } from './state/kept';

const LOOK_KEY = 'sill-look';

/** What the page reaches: the server, the workers and this browser's own stores. */
export const edges: Edges = {
  ask,
  planner,
  explorer,
  days,
  learnFrom,
  recordsKept,
  keepRecords,
  today,
  now,
  zoneHere,
  keep,
  letGo,
  look: globalThis.localStorage?.getItem(LOOK_KEY) === 'workshop' ? 'workshop' : 'light',
  keepLook: (look) => globalThis.localStorage?.setItem(LOOK_KEY, look),
};
