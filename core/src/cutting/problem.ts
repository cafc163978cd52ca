import * as v from 'valibot';
import { AIMS } from './aim';
import { inches, mm, toInches, toMm, type Length, type Units } from '../length';

/** The cut problem file, `sill-plan/cut-problem@1`. Lengths are decimals in `unit`; docs/formats tells the rest. */
export const PROBLEM_FORMAT = 'sill-plan/cut-problem@1';

const size = v.pipe(
  v.number('must be a number'),
  v.minValue(0.001, 'must be more than 0'),
  v.maxValue(100_000, 'must be at most 100000'),
);
const least = (value: number) =>
  v.pipe(v.number('must be a number'), v.minValue(value, `must be at least ${value}`), v.maxValue(100_000));
const angle = v.pipe(
  v.number('must be a number'),
  v.minValue(-75, 'must be from -75 to 75'),
  v.maxValue(75, 'must be from -75 to 75'),
);
const id = v.pipe(v.string('must be text'), v.nonEmpty('must not be empty'), v.maxLength(200, 'is too long'));

const StockSchema = v.object({
  id,
  kind: v.picklist(['board', 'sheet'], 'must be "board" or "sheet"'),
  material: id,
  length: size,
  width: size,
  thickness: size,
  price: least(0),
  available: v.optional(
    v.nullable(
      v.pipe(
        v.number('must be a whole number or null'),
        v.integer('must be a whole number'),
        v.minValue(0, 'must be at least 0'),
      ),
    ),
    null,
  ),
  trim: v.optional(v.object({ ends: v.optional(least(0), 0), edges: v.optional(least(0), 0) }), { ends: 0, edges: 0 }),
  defects: v.optional(v.array(v.object({ from: least(0), to: least(0) })), []),
});

type Slanted = {
  readonly length: number;
  readonly width: number;
  readonly ends?: { left: number; right: number } | undefined;
};

/**
 * The least that a piece can be from long point to long point, so that its slanted ends do not cross within its width.
 */
function leastBetween({ width, ends = { left: 0, right: 0 } }: Slanted): number {
  const [left, right] = [ends.left, ends.right].map((degrees) => width * Math.tan((degrees * Math.PI) / 180)) as [
    number,
    number,
  ];
  const out = Math.max(0, right) - Math.min(0, left);
  return out + Math.max(0, left - right);
}

const PartSchema = v.pipe(
  v.object({
    id,
    quantity: v.pipe(
      v.number('must be a whole number'),
      v.integer('must be a whole number'),
      v.minValue(1, 'must be at least 1'),
      v.maxValue(5000, 'must be at most 5000'),
    ),
    material: id,
    length: size,
    width: size,
    thickness: size,
    grain: v.optional(v.picklist(['length', 'width', 'any'], 'must be "length", "width" or "any"'), 'any'),
    ends: v.optional(v.object({ left: angle, right: angle })),
  }),
  v.check(
    (part) => part.length >= leastBetween(part) - 1e-9,
    ({ input }) =>
      `is too short for its angles: its ends would cross, it must be at least ${Math.ceil(leastBetween(input) * 1e4) / 1e4} long`,
  ),
);

const unique = <Row extends { id: string }>() =>
  v.check<Row[], string>(
    (rows) => new Set(rows.map((row) => row.id)).size === rows.length,
    'must have ids that differ; one is used twice',
  );

export const CutProblemSchema = v.pipe(
  v.object({
    format: v.literal(PROBLEM_FORMAT, `must be ${PROBLEM_FORMAT}`),
    unit: v.picklist(['in', 'mm'], 'must be "in" or "mm"'),
    kerf: least(0),
    objective: v.optional(v.picklist(AIMS, `must be one of ${AIMS.join(', ')}`), 'cost'),
    /** For another objective than cost: how much dearer than the cheapest it may be; null for any price. */
    extraCost: v.optional(v.nullable(least(0))),
    stock: v.pipe(v.array(StockSchema, 'must be a list'), v.maxLength(1000, 'must be at most 1000 rows'), unique()),
    parts: v.pipe(v.array(PartSchema, 'must be a list'), v.maxLength(5000, 'must be at most 5000 rows'), unique()),
  }),
  v.check(
    ({ parts }) => parts.reduce((sum, part) => sum + part.quantity, 0) <= 20_000,
    'asks for more than 20000 pieces; split the list',
  ),
  v.check(
    ({ unit, stock, parts }) =>
      [...stock, ...parts].every(({ length, width, thickness }) =>
        [length, width, thickness].every((value) => toLength(value, unit) >= 1),
      ),
    'has a size that is less than 1/320 mm; nothing can be cut so small',
  ),
);
export type CutProblem = v.InferOutput<typeof CutProblemSchema>;
export type ProblemStock = CutProblem['stock'][number];
export type ProblemPart = CutProblem['parts'][number];

/** A decimal of the problem's unit as an exact length, and back to four decimals. */
export const toLength = (value: number, unit: Units): Length => (unit === 'in' ? inches(value) : mm(value));
export const fromLength = (length: Length, unit: Units): number =>
  Math.round((unit === 'in' ? toInches(length) : toMm(length)) * 1e4) / 1e4;
