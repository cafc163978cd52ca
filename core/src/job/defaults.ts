import { inches } from '../length';
import { SAMPLE_YARD } from '../stock';
import { JOB_FORMAT, type Job, type Piece, type Shop, type Use } from './schema';

/** A small shop: a mitre saw and a circular saw with a guide. Domain figures: thin kerf 3/32, ends squared by 1/2. */
export const DEFAULT_SHOP: Shop = {
  kerf: inches(1 / 8),
  squareEnds: inches(1 / 2),
  edgeRip: inches(1 / 8),
  topExtra: inches(1),
  partExtra: inches(1 / 2),
  clamps: 8,
  car: inches(100),
  lift: 50,
  hours: 6,
};

/** Usual finished sizes in inches by use: length, width, height. */
const USUAL: Record<Use, readonly [number, number, number]> = {
  dining: [66, 34, 29.5],
  desk: [52, 26, 29.5],
  coffee: [44, 22, 17],
  standing: [60, 28, 36],
};

export const USE_NAMES: Record<Use, string> = {
  dining: 'Dining table',
  desk: 'Desk',
  coffee: 'Coffee table',
  standing: 'Standing work table',
};

/** A piece of usual size for its use, to be changed from there. */
export function newPiece(id: string, use: Use, name = USE_NAMES[use]): Piece {
  const [length, width, height] = USUAL[use];
  const low = use === 'coffee';
  return {
    id,
    name,
    family: 'apron-table',
    use,
    where: '',
    copies: 1,
    size: { length: inches(length), width: inches(width), height: inches(height) },
    seats: null,
    boughtPrice: null,
    choices: {
      top: { thickness: '2x', width: 'cheapest', edges: 'ripped', fixing: 'clips' },
      legs: 'two 2x4',
      apron: low ? '2x3' : '2x4',
      overhang: { ends: inches(use === 'dining' ? 10 : 3), sides: inches(2) },
      setback: inches(1 / 2),
      crossSupports: low ? 1 : 2,
    },
  };
}

/** An empty job with the sample yard's prices. */
export const newJob = (name: string): Job => ({
  format: JOB_FORMAT,
  name,
  units: 'in',
  budget: null,
  spares: 'each',
  pieces: [],
  yard: SAMPLE_YARD,
  shop: DEFAULT_SHOP,
  done: [],
});

/** The demo job: a shared clay studio that needs a glaze table, a wedging table and a low tea table. */
export function demoJob(): Job {
  const glaze = newPiece('glaze', 'standing', 'Glaze table');
  const wedging = newPiece('wedging', 'standing', 'Wedging table');
  const tea = newPiece('tea', 'coffee', 'Tea table');
  return {
    ...newJob('Kiln Lane pottery room'),
    budget: 34000,
    pieces: [
      {
        ...glaze,
        where: 'North wall, under the glaze shelf',
        size: { length: inches(64), width: inches(30.5), height: inches(36) },
        boughtPrice: 42000,
        choices: { ...glaze.choices, top: { ...glaze.choices.top, width: '6' } },
      },
      {
        ...wedging,
        where: 'Beside the pug mill',
        size: { length: inches(46), width: inches(26), height: inches(34) },
        boughtPrice: 31500,
        choices: { ...wedging.choices, legs: '4x4', apron: '2x6', top: { ...wedging.choices.top, fixing: 'screwed' } },
      },
      {
        ...tea,
        where: 'By the window',
        size: { length: inches(42), width: inches(20), height: inches(17) },
        boughtPrice: 14900,
        choices: {
          ...tea.choices,
          apron: '1x3',
          top: { thickness: '1x', width: '6', edges: 'as bought', fixing: 'clips' },
        },
      },
    ],
  };
}
