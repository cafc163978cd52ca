import { JOB_FORMAT } from '../job';
import { SAMPLE_YARD } from '../stock';

type Loose = Record<string, unknown>;
const record = (value: unknown): Loose => (typeof value === 'object' && value !== null ? (value as Loose) : {});

/** A price list of an older version: what it had stays as it was, what it could not hold comes from the sample. */
export function upgradedYard(input: unknown): unknown {
  const yard = record(input);
  if (typeof input !== 'object' || input === null || 'sheets' in yard) return input;
  const hardware = Array.isArray(yard.hardware) ? yard.hardware : [];
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
  };
}

/** A job file of an older version as one of today's. What it does not know it leaves for the reader to name. */
export const upgraded = (input: unknown, version: number): unknown =>
  version === 1 ? fromFirst(record(input)) : input;
