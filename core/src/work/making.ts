import type { Piece, Shop } from '../job';
import type { Part } from '../piece';
import type { Does, Operation } from './operation';

/** How many people lift so many pounds; null where one does. */
export function liftFor(pounds: number, { lift }: Pick<Shop, 'lift'>): Operation['lift'] {
  const people = Math.ceil(pounds / lift);
  return people > 1 ? { pounds, people } : null;
}

/** An operation of a piece, named by what it does and what it is about. */
export function operation(
  { piece }: { readonly piece: Piece },
  about: string,
  does: Does,
  parts: readonly Part[],
  minutes: number,
  more: Partial<Pick<Operation, 'tool' | 'lift'>> = {},
): Operation {
  return {
    id: `${piece.id}.${does.kind.replace(' ', '-')}.${about}`,
    piece: piece.id,
    on: parts.map(({ id }) => id),
    tags: parts.map(({ tag }) => tag),
    minutes,
    tool: null,
    lift: null,
    ...more,
    ...does,
  };
}
