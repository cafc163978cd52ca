import type { BoardLine } from '@sill/core';
import { Dim } from '../words/Dim';

/** About so many letters as they are written take: for what is laid out on paper. */
export const storeCutLetters = (of: BoardLine['storeCuts']): number =>
  of.length === 0 ? 0 : 18 + 9 * of.flatMap((at) => at ?? []).length;

/** Where the store is to cut boards that are longer than the car. */
export function StoreCuts({ of }: { readonly of: BoardLine['storeCuts'] }) {
  const cuts = of.flatMap((at) => at ?? []);
  if (of.length === 0) return null;
  return (
    <b className="store">
      {' · '}
      {cuts.length > 0 ? 'store cuts at ' : 'longer than the car'}
      {cuts.map((at, k) => (
        <span key={k}>
          {k > 0 && ', '}
          <Dim of={at} />
        </span>
      ))}
    </b>
  );
}
