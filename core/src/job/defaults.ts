import { nth } from '../lists';
import { inches } from '../length';
import { SAMPLE_YARD } from '../stock';
import { USUAL_CALENDAR } from './calendar';
import { KITS } from './tools';
import { JOB_FORMAT, type Job, type Shop, type Use } from './schema';

/** A small shop: a mitre saw and a circular saw with a guide. Domain figures: thin kerf 3/32, ends squared by 1/2. */
export const DEFAULT_SHOP: Shop = {
  kerf: inches(1 / 8),
  squareEnds: inches(1 / 2),
  edgeRip: inches(1 / 8),
  topExtra: inches(1),
  partExtra: inches(1 / 2),
  tools: nth(KITS, 2).tools,
  crosscut: inches(12),
  mitre: 50,
  clamps: [
    { length: inches(24), count: 4 },
    { length: inches(50), count: 4 },
  ],
  blades: {},
  drivers: ['long bit', 'short bit'],
  spacing: inches(7),
  bench: { length: inches(60), width: inches(24) },
  snipe: inches(2),
  car: inches(100),
  door: inches(30),
  turn: null,
  load: null,
  lift: 50,
  spoiled: 5,
  kit: [],
};

export const USE_NAMES: Readonly<Record<Use, string>> = {
  dining: 'Dining table',
  desk: 'Desk',
  coffee: 'Coffee table',
  standing: 'Standing work table',
  bench: 'Bench',
  side: 'Side table',
  storage: 'Shelves or case',
};

/** An empty job with the sample yard's prices. */
export const newJob = (name: string): Job => ({
  format: JOB_FORMAT,
  name,
  units: 'in',
  budget: null,
  spares: 'each',
  pieces: [],
  recipes: [],
  yard: SAMPLE_YARD,
  alsoAt: [],
  shop: DEFAULT_SHOP,
  locks: [],
  aim: { for: 'cost', extra: null },
  measured: {},
  calendar: USUAL_CALENDAR,
  ledger: [],
  done: [],
});
