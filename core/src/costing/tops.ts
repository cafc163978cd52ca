import { nth } from '../lists';
import type { Length } from '../length';
import type { Job } from '../job';
import { boardChoices, choosesWidth, divideTop, settled } from '../piece';
import { priceJob, type Plan, type PlanOptions } from '../plan';
import { sizesIn, sizesOf, topNominals, type Nominal } from '../stock';

/** One way to join a piece's top, beside the others: what it would make of the whole job. */
export type TopOption = {
  readonly nominal: Nominal;
  readonly boards: number;
  /** Width each board is ripped to, or its own where none is. */
  readonly ripTo: Length;
  readonly ripped: number;
  readonly glueLines: number;
  /** Whole job with tax, cents. */
  readonly total: number;
  /** Against the plan as it is, cents. */
  readonly difference: number;
  readonly leftShare: number;
  readonly chosen: boolean;
  /** Why it can not be made, where it can not. */
  readonly not: string | null;
};

/** The same top from every nominal width of its thickness, everything else as it is. */
export function compareTops(job: Job, plan: Plan, pieceId: string, options: PlanOptions): readonly TopOption[] {
  const at = job.pieces.findIndex((piece) => piece.id === pieceId);
  const piece = job.pieces[at];
  if (!piece || nth(plan.pieces, at).parts.length === 0 || !choosesWidth(piece)) return [];
  const choices = settled(boardChoices, piece.topChoices);
  return topNominals(choices.thickness).map((nominal) => {
    const { widths, ripped } = divideTop(
      piece.size.width,
      nominal,
      choices.edges,
      job.shop.edgeRip,
      job.units,
      sizesIn(piece, sizesOf(job.measured)),
    );
    // As taking it would be: other tops left to the cheapest settle anew.
    const taken = { ...piece, topChoices: { ...piece.topChoices, width: nth(nominal.split('x'), 1) } };
    const { list, buying } = priceJob({ ...job, pieces: job.pieces.with(at, taken) }, options);
    const lacking = buying.unplaced[0];
    return {
      nominal,
      boards: widths.length,
      ripTo: nth(widths, Math.floor((widths.length - 1) / 2)),
      ripped,
      glueLines: widths.length - 1,
      total: list.total,
      difference: list.total - plan.list.total,
      leftShare: list.leftShare,
      chosen: nominal === nth(plan.pieces, at).topNominal,
      not: lacking ? lacking.because : null,
    };
  });
}
