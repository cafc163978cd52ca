import { SWINGS, type PieceModel } from '../piece';
import { say, type Phrase } from '../words';

/**
 * What runs on slides or swings on hinges among so much that is there: ids of its parts, and what is done with it
 * first.
 */
export type Running = { readonly out: readonly string[]; readonly says: Phrase | null };

/** Drawers run out and doors swing when a piece is turned: what is taken out or taped shut before. */
export function runningIn({ joints, motions }: PieceModel, there: ReadonlySet<string>): Running {
  const hung = joints.filter(
    ({ kind, drilled, into }) => (kind === 'slide' || SWINGS.includes(kind)) && there.has(drilled) && there.has(into),
  );
  const of = (slides: boolean) =>
    hung
      .filter(({ kind }) => (kind === 'slide') === slides)
      .flatMap(({ drilled }) => motions.find(({ parts }) => parts.includes(drilled))?.parts ?? [drilled]);
  const [drawers, doors] = [of(true), of(false)];
  const first = [
    ...(drawers.length > 0 ? [say`take the drawers out`] : []),
    ...(doors.length > 0 ? [say`tape the doors shut`] : []),
  ];
  return {
    out: [...new Set([...drawers, ...doors])].filter((id) => there.has(id)),
    says: first.length > 0 ? say`First ${first.reduce((a, b) => say`${a} and ${b}`)}.` : null,
  };
}
