import { useMemo } from 'react';
import {
  buildPiece,
  first,
  type Job,
  knownOf,
  type Nominal,
  type Piece,
  type PieceModel,
  sizesOf,
  topCandidates,
  unbuilt,
} from '@sill/core';
import { useJob, usePieceFacts } from '../../state/hooks';

/** A piece built here and now; not settled where its top is left to "cheapest" and no plan has chosen yet. */
export type BuiltEarly = { readonly model: PieceModel; readonly settled: boolean };

/** What fails here fails in the plan too, where a note says so. */
function modelOf(piece: Piece, nominal: Nominal, job: Job): PieceModel {
  try {
    return buildPiece(piece, nominal, job.shop, job.units, sizesOf(job.measured), knownOf(piece, job));
  } catch (error) {
    return unbuilt(piece, error);
  }
}

/**
 * The piece in view built here and now, so that it is there before the first plan and follows a changed size at once
 * while the plan is worked out beside it. A top left to "cheapest" is built as the plan last settled it.
 */
export function useBuilt(piece: Piece | null): BuiltEarly | null {
  const job = useJob();
  const chosen = usePieceFacts()?.topNominal;
  return useMemo(() => {
    if (!piece) return null;
    const candidates = topCandidates(piece);
    const known = chosen !== undefined && candidates.includes(chosen);
    const nominal = known ? chosen : first(candidates);
    return { model: modelOf(piece, nominal, job), settled: known || candidates.length === 1 };
  }, [piece, chosen, job]);
}
