import {
  JOB_FORMAT,
  JobSchema,
  ShopSchema,
  YardSchema,
  read,
  type FieldError,
  type Job,
  type ReadResult,
  type Shop,
} from '../job';
import { findFamily, findTop, wrongWith, type Choices, type Specs } from '../piece';
import type { Yard } from '../stock';
import { ledgerFromMarks, MarksSchema, type Marks } from './from-marks';
import { ledgerFromRows, RowsSchema, type Rows } from './from-rows';
import { BESIDE, NEWEST, upgraded, upgradedLater, upgradedShop, upgradedYard } from './versions';

/** What is wrong with choices against what a family or top offers. */
function wrongChoices(specs: Specs, choices: Choices, where: string): readonly FieldError[] {
  return Object.entries(choices).flatMap(([name, value]): FieldError[] => {
    const spec = specs[name];
    const message = spec ? wrongWith(spec, value) : 'is not a choice of this kind';
    return message === null ? [] : [{ field: `${where}, ${spec?.label.toLowerCase() ?? name}`, message }];
  });
}

/** Families, tops and choices that this program does not know, named in words. */
function wrongPieces(job: Job): readonly FieldError[] {
  return job.pieces.flatMap((piece, at): FieldError[] => {
    const where = `pieces ${at + 1}`;
    const family = findFamily(piece.family);
    const top = findTop(piece.top);
    return [
      ...(family
        ? []
        : [{ field: `${where}, family`, message: `is “${piece.family}”, which this program does not know` }]),
      ...(top ? [] : [{ field: `${where}, top`, message: `is “${piece.top}”, which this program does not know` }]),
      ...(family ? wrongChoices(family.choices, piece.choices, where) : []),
      ...(top && family?.topped ? wrongChoices(top.choices, piece.topChoices, `${where}, top`) : []),
    ];
  });
}

/** A job file of which all that happened stands in marks, as one with a ledger. */
function toLedger(input: unknown, version: number): ReadResult<unknown> {
  if (version >= BESIDE) return { ok: true, value: input };
  const job = upgraded(input, version);
  const marks = read<Marks>(MarksSchema, job, 'job');
  return marks.ok ? { ok: true, value: { ...(job as object), ...ledgerFromMarks(marks.value) } } : marks;
}

/** A job file as one of today's: what an older one kept beside its ledger, or instead of one, is in it. */
function toNewest(input: unknown, version: number): ReadResult<unknown> {
  if (version >= NEWEST) return { ok: true, value: input };
  if (version > BESIDE) return { ok: true, value: { ...upgradedLater(input, version), format: JOB_FORMAT } };
  const job = toLedger(input, version);
  if (!job.ok) return job;
  const rows = read<Rows>(RowsSchema, job.value, 'job');
  return rows.ok
    ? {
        ok: true,
        value: { ...upgradedLater(job.value, version), ledger: ledgerFromRows(rows.value), format: JOB_FORMAT },
      }
    : rows;
}

/**
 * Reads a job from parsed JSON. A file of another kind, a damaged one or one from a newer version of the program comes
 * back as a message; nothing is guessed.
 */
export function readJob(input: unknown): ReadResult<Job> {
  const format = typeof input === 'object' && input !== null ? (input as { format?: unknown }).format : undefined;
  const version = typeof format === 'string' ? /^sill-plan\/job@(\d+)$/.exec(format) : null;
  if (!version)
    return {
      ok: false,
      message: 'This is not a job file. A job file says “sill-plan/job” in its first lines.',
      fields: [{ field: 'format', message: `must be ${JOB_FORMAT}` }],
    };
  if (Number(version[1]) > NEWEST)
    return {
      ok: false,
      message: `This job was saved by a newer version (${version[0]}). This program reads up to ${JOB_FORMAT}; update it first.`,
      fields: [{ field: 'format', message: `must be ${JOB_FORMAT}` }],
    };
  const now = toNewest(input, Number(version[1]));
  if (!now.ok) return now;
  const result = read<Job>(JobSchema, now.value, 'job');
  if (!result.ok) return result;
  const fields = wrongPieces(result.value).slice(0, 20);
  const first = fields[0];
  return first ? { ok: false, message: `This job can not be read: ${first.field} ${first.message}.`, fields } : result;
}

/** Reads a job from the text of a file. */
export function readJobText(text: string): ReadResult<Job> {
  let input: unknown;
  try {
    // Some editors put a byte order mark before it.
    input = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    return {
      ok: false,
      message: 'This file is damaged or of another kind: it is not JSON from end to end.',
      fields: [{ field: 'the file', message: 'must be JSON' }],
    };
  }
  return readJob(input);
}

/** Reads a shop, of an older version too. */
export const readShop = (input: unknown): ReadResult<Shop> => read(ShopSchema, upgradedShop(input), 'shop');

/** Reads a price list, of an older version too. */
export const readYard = (input: unknown): ReadResult<Yard> => read(YardSchema, upgradedYard(input), 'price list');
