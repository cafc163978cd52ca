import { useMemo } from 'react';
import { buildPiece, DEFAULT_SHOP, topCandidates, type Piece } from '@sill/core';
import { USUAL_VIEW } from './iso';
import { PartPicture } from './PartPicture';

/** A small picture of a piece as it would be built, for galleries. */
export function PiecePicture({ piece }: { readonly piece: Piece }) {
  const parts = useMemo(() => {
    const candidates = topCandidates(piece);
    const { parts: built } = buildPiece(piece, candidates[Math.min(1, candidates.length - 1)]!, DEFAULT_SHOP, 'in');
    return built.map((part) => ({ part, as: 'there' as const }));
  }, [piece]);
  return <PartPicture parts={parts} view={USUAL_VIEW} label={piece.name} />;
}
