import type { CutProblem } from '../index';

export type Stock = CutProblem['stock'][number];
export type Part = CutProblem['parts'][number];

/** A board without limit, in inches and dollars; so much comes off each end. */
export const boardOf = (id: string, length: number, width: number, price: number, ends: number): Stock => ({
  id,
  kind: 'board',
  material: 'spf',
  length,
  width,
  thickness: 1.5,
  price,
  available: null,
  trim: { ends, edges: 0 },
  defects: [],
});

/** A part of the same material, its ends square unless they are told. */
export const partOf = (id: string, quantity: number, length: number, width: number, ends?: Part['ends']): Part => ({
  id,
  quantity,
  material: 'spf',
  length,
  width,
  thickness: 1.5,
  grain: 'any',
  ...(ends ? { ends } : {}),
});

/** Such boards and parts as a problem: an eighth of kerf, for the least cost. */
export const problemOf = (stock: readonly Stock[], parts: readonly Part[]): CutProblem => ({
  format: 'sill-plan/cut-problem@1',
  unit: 'in',
  kerf: 0.125,
  objective: 'cost',
  stock: [...stock],
  parts: [...parts],
});
