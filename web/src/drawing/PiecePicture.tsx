import { memo, useEffect, useMemo, useState } from 'react';
import { buildPiece, DEFAULT_SHOP, nth, type Piece, topCandidates } from '@sill/core';
import { USUAL_VIEW } from './iso';
import { PartPicture } from './PartPicture';

/** A small picture of a piece as it would be built, for galleries: its name stands beside it. */
export const PiecePicture = memo(function PiecePicture({ piece }: { readonly piece: Piece }) {
  const parts = useMemo(() => {
    const candidates = topCandidates(piece);
    const { parts: built } = buildPiece(piece, nth(candidates, Math.min(1, candidates.length - 1)), DEFAULT_SHOP, 'in');
    return built.map((part) => ({ part, as: 'there' as const }));
  }, [piece]);
  return <PartPicture parts={parts} view={USUAL_VIEW} label="" />;
});

/** How many of a gallery's pictures are drawn by now: a few at once, so that the words are there before them. */
export function useOneByOne(count: number): number {
  const [drawn, setDrawn] = useState(2);
  useEffect(() => {
    if (drawn >= count) return;
    const timer = setTimeout(() => setDrawn(drawn + 2));
    return () => clearTimeout(timer);
  }, [drawn, count]);
  return drawn;
}
