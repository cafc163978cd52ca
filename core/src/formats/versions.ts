import { inches, PER_FOOT } from '../length';
import { SAMPLE_YARD } from '../stock';

type Loose = Readonly<Record<string, unknown>>;
const record = (value: unknown): Loose => (typeof value === 'object' && value !== null ? (value as Loose) : {});

/** Clamps were only counted up to version 2: half of them were taken as short, half as long. */
function shopTo3(input: unknown): unknown {
  const shop = record(input);
  if (typeof shop.clamps !== 'number') return input;
  const long = Math.floor(shop.clamps / 2);
  const rows = [
    { length: inches(24), count: shop.clamps - long },
    { length: inches(50), count: long },
  ];
  return { ...shop, clamps: rows.filter(({ count }) => count > 0) };
}

/** Price lists of boards alone, up to version 1: what they lack comes from the sample. */
function yardTo2(input: unknown): unknown {
  const yard = record(input);
  if (typeof input !== 'object' || input === null || 'sheets' in yard) return input;
  const hardware = Array.isArray(yard.hardware) ? yard.hardware : [];
  const kept = ['pocket-screw', 'clip', 'glue'];
  const added = SAMPLE_YARD.hardware.filter(({ kind }) => !kept.includes(kind));
  return { ...yard, sheets: SAMPLE_YARD.sheets, hardware: [...hardware, ...added] };
}

/** A board as it was sold up to version 2: by a nominal size and feet. */
function boardTo3(input: unknown): unknown {
  const { nominal, feet, ...rest } = record(input);
  if (nominal === undefined || 'board' in rest) return input;
  return { ...rest, board: nominal, length: typeof feet === 'number' ? Math.round(feet * PER_FOOT) : feet };
}

function yardTo3(input: unknown): unknown {
  const yard = record(input);
  return Array.isArray(yard.boards) ? { ...yard, boards: yard.boards.map(boardTo3) } : input;
}

/** The farthest that beams may stay short of the edge, as the family has it. */
const MOST_SHORT = inches(30);

/** One family, its choices in groups: version 1. */
function pieceTo2(input: unknown): unknown {
  const piece = record(input);
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
}

/**
 * From each version of the job file to the next, the first to the second at the head. A new version has a step here, a
 * fixture as its first program wrote it, and the number of `JOB_FORMAT`; a field that older jobs only lack has a
 * default in the schema instead, where nothing that they say means another thing by it.
 */
const STEPS: readonly ((job: Loose) => Loose)[] = [
  (job) => ({
    ...job,
    pieces: Array.isArray(job.pieces) ? job.pieces.map(pieceTo2) : job.pieces,
    yard: yardTo2(job.yard),
  }),
  (job) => ({ ...job, yard: yardTo3(job.yard), shop: shopTo3(job.shop) }),
];

/** Beams under a round or octagonal top were measured from the square inside it, up to version 5. */
function pieceTo6(input: unknown): unknown {
  const piece = record(input);
  const [choices, size] = [record(piece.choices), record(piece.size)];
  const across = Math.min(Number(size.length), Number(size.width));
  const isRound = piece.family === 'pedestal' && (piece.top === 'round' || piece.top === 'octagon');
  if (!isRound || !Number.isFinite(across)) return input;
  const before = typeof choices.overhang === 'number' ? choices.overhang : inches(4);
  const overhang = before + Math.round((across - Math.floor(across / Math.SQRT2)) / 2);
  return { ...piece, choices: { ...choices, overhang: Math.min(overhang, MOST_SHORT) } };
}

/** From each version since what happened stands in a ledger to the next. */
const LATER: readonly ((job: Loose) => Loose)[] = [
  (job) => ({ ...job, pieces: Array.isArray(job.pieces) ? job.pieces.map(pieceTo6) : job.pieces }),
];

/** The last version that these steps lead to; from there on what happened is read from marks. */
const MARKED = STEPS.length + 1;
/** The last version that kept what was found and measured beside its ledger. */
export const BESIDE = MARKED + 1;
/** The first version that keeps all that happened in its ledger. */
const LEDGER = BESIDE + 1;
/** The newest version there is. */
export const NEWEST = LEDGER + LATER.length;

/** A job file of a version since `LEDGER`, or brought up to that, as one of the newest. */
export const upgradedLater = (input: unknown, version: number): Loose =>
  LATER.slice(Math.max(0, version - LEDGER)).reduce((job, step) => step(job), record(input));

/**
 * A job file of an older version as one of version 3, step by step. What it does not know it leaves for the reader to
 * name.
 */
export const upgraded = (input: unknown, version: number): unknown =>
  version >= MARKED ? input : STEPS.slice(version - 1).reduce((job, step) => step(job), record(input));

/** A price list or a shop kept by itself carries no version: what it is like tells. */
export const upgradedYard = (input: unknown): unknown => yardTo3(yardTo2(input));
export const upgradedShop = shopTo3;
