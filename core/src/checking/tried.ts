import { first } from '../lists';
import { applyChanges, set, type Change, type Job, type Piece, type Remedy } from '../job';
import { fastenings, type Fastening } from '../joinery';
import { buildPiece, choosable, familyOf, knownOf, settled, topCandidates, type Choices, type Spec } from '../piece';
import { sizesOf } from '../stock';
import { say, type Phrase } from '../words';
import type { PieceFacts } from './facts';

/** So many of a choice are tried at most: each builds the whole piece. */
export const OF_ONE = 3;

/** A piece as it would be after a change. */
export type Tried = Pick<PieceFacts, 'piece' | 'model' | 'parts' | 'fastenings'>;

/** The piece after a change; null where it can not be built so. */
export function triedWith(change: Change, piece: Piece, job: Job): Tried | null {
  const then = first(applyChanges({ ...job, pieces: [piece] }, [change]).pieces);
  const known = knownOf(then, job);
  const model = buildPiece(then, first(topCandidates(then)), job.shop, job.units, sizesOf(job.measured), known);
  if (model.findings.length > 0) return null;
  let made: readonly Fastening[] | null = null;
  return {
    piece: then,
    model,
    parts: model.parts,
    // Most that is tried is told by a formula alone: joints are worked out where they are asked for.
    get fastenings() {
      return (made ??= fastenings(model.joints, model.parts, job.units, then, job.shop));
    },
  };
}

/** Other values of a choice: a larger stock comes after what there is, so that first. */
function others(
  spec: Spec,
  now: string | number | boolean,
): readonly { readonly value: string | boolean; readonly words: Phrase }[] {
  if (spec.kind === 'yes')
    return now === false ? [{ value: true, words: say`Put in ${spec.label.toLowerCase()}` }] : [];
  if (spec.kind !== 'pick') return [];
  const all = Object.entries<string>(spec.options);
  const at = all.findIndex(([value]) => value === now);
  return [...all.slice(at + 1), ...all.slice(0, at).reverse()]
    .slice(0, OF_ONE)
    .map(([value, words]) => ({ value, words: say`${spec.label}: ${words}` }));
}

/** Choices of a family that are made to stiffen it, each with other values than it has. */
export function firmerChoices(piece: Piece): readonly Remedy[] {
  const specs = familyOf(piece).choices;
  const now: Choices = settled(specs, piece.choices);
  return Object.entries(specs).flatMap(([name, spec]) =>
    spec.firms && choosable(piece, name)
      ? others(spec, now[name] ?? spec.initial).map(({ value, words }) => ({
          label: words,
          changes: [set(piece.id, ['choices', name], value)],
        }))
      : [],
  );
}
