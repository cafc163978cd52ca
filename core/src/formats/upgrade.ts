import { inches, PER_FOOT } from '../length';
import { JOB_FORMAT } from '../job';
import { SAMPLE_YARD } from '../stock';

type Loose = Record<string, unknown>;
const record = (value: unknown): Loose => (typeof value === 'object' && value !== null ? (value as Loose) : {});

/** A board as it was sold up to version 2: by a nominal size and feet. */
function boardRow(input: unknown): unknown {
  const { nominal, feet, ...rest } = record(input);
  if (nominal === undefined || 'board' in rest) return input;
  return { ...rest, board: nominal, length: typeof feet === 'number' ? Math.round(feet * PER_FOOT) : feet };
}

/** A price list of an older version: what it had stays as it was, what it could not hold comes from the sample. */
export function upgradedYard(input: unknown): unknown {
  const before = record(input);
  if (typeof input !== 'object' || input === null) return input;
  const yard = Array.isArray(before.boards) ? { ...before, boards: before.boards.map(boardRow) } : before;
  if ('sheets' in yard) return yard;
  const hardware = Array.isArray(before.hardware) ? before.hardware : [];
  return {
    ...yard,
    sheets: SAMPLE_YARD.sheets,
    hardware: [
      ...hardware,
      ...SAMPLE_YARD.hardware.filter((offer) => !['pocket-screw', 'clip', 'glue'].includes(offer.kind)),
    ],
  };
}

/** Version 1 knew one family, its choices in groups; and price lists of boards alone. */
function fromFirst(job: Loose): Loose {
  const yard = record(job.yard);
  return {
    ...job,
    format: JOB_FORMAT,
    pieces: !Array.isArray(job.pieces)
      ? job.pieces
      : job.pieces.map((item: unknown): Loose => {
          const piece = record(item);
          const choices = record(piece.choices);
          const { fixing, ...top } = record(choices.top);
          const overhang = record(choices.overhang);
          return {
            ...piece,
            family: piece.family === 'apron-table' ? 'aprons' : piece.family,
            top: 'joined',
            choices: {
              legs: choices.legs,
              apron: choices.apron,
              overhangEnds: overhang.ends,
              overhangSides: overhang.sides,
              setback: choices.setback,
              crossSupports: choices.crossSupports,
              fixing,
            },
            topChoices: top,
            overrides: {},
            loose: [],
          };
        }),
    yard: upgradedYard(yard),
    shop: upgradedShop(job.shop),
  };
}

/** Clamps were only counted up to version 2: half of them were taken as short, half as long. */
export function upgradedShop(input: unknown): unknown {
  const shop = record(input);
  if (typeof shop.clamps !== 'number') return input;
  const long = Math.floor(shop.clamps / 2);
  const rows = [
    { length: inches(24), count: shop.clamps - long },
    { length: inches(50), count: long },
  ];
  return { ...shop, clamps: rows.filter(({ count }) => count > 0) };
}

/** Version 2 knew boards by nominal size and feet alone, and clamps by their number. */
const fromSecond = (job: Loose): Loose => ({
  ...job,
  format: JOB_FORMAT,
  yard: upgradedYard(job.yard),
  shop: upgradedShop(job.shop),
});

/** A job file of an older version as one of today's. What it does not know it leaves for the reader to name. */
export const upgraded = (input: unknown, version: number): unknown =>
  version === 1 ? fromFirst(record(input)) : version === 2 ? fromSecond(record(input)) : input;
