import { first, found, held } from '../lists';
import { inches, printLength } from '../length';
import { applyChanges, DEFAULT_SHOP, newJob, type Piece } from '../job';
import { buildPiece, newPiece, topCandidates, type Choices, type Part, type PieceModel } from '../piece';
import { plain } from '../words';

/** What a start is changed by: sizes in inches; with another family or top the choices are that one's alone. */
export type Changed = {
  readonly size?: readonly [number, number, number];
  readonly family?: string;
  readonly top?: string;
  readonly choices?: Choices;
  readonly topChoices?: Choices;
} & Partial<Pick<Piece, 'joins' | 'wood' | 'outside'>>;

/** A start of the gallery with changes. */
export function changedStart(start: string, { size, choices = {}, topChoices = {}, ...rest }: Changed): Piece {
  const base = newPiece('p', start);
  const [length, width, height] = size?.map((side) => inches(side)) ?? [];
  return {
    ...base,
    ...rest,
    size: size ? { length: length!, width: width!, height: height! } : base.size,
    choices: rest.family ? choices : { ...base.choices, ...choices },
    topChoices: rest.top ? topChoices : { ...base.topChoices, ...topChoices },
  };
}

const modelOf = (piece: Piece): PieceModel => buildPiece(piece, first(topCandidates(piece)), DEFAULT_SHOP, 'in');
const sizeOf = ({ length, width, thickness }: Part): string =>
  [length, width, thickness].map((size) => printLength(size, 'in')).join(' x ');

/** A start with changes as it is built, its parts by tag, their sizes as a tape reads them. */
export function built(start: string, changed: Changed = {}) {
  const piece = changedStart(start, changed);
  const model = modelOf(piece);
  const byTag = new Map(model.parts.map((part) => [part.tag, part]));
  const part = (tag: string): Part => held(byTag, tag);
  return {
    ...model,
    piece,
    part,
    /** Tags that match, in order. */
    tags: (of: RegExp): readonly string[] => [...byTag.keys()].filter((tag) => of.test(tag)),
    /** Says that all parts of these tags have one size. */
    is: (tags: string, size: string): void => {
      for (const tag of tags.split(' ')) expect([tag, sizeOf(part(tag))]).toEqual([tag, size]);
    },
    /** What stops it: titles, and what its ways out are called. */
    stops: model.findings.map(({ title, remedies }) => [
      plain(title, 'in'),
      ...remedies.map(({ label }) => plain(label, 'in')),
    ]),
    /** Takes a way out of its first stop, and gives what is built then. */
    taking: (label: string): PieceModel => {
      const way = found(first(model.findings).remedies, (one) => plain(one.label, 'in') === label);
      return modelOf(applyChanges({ ...newJob('j'), pieces: [piece] }, way.changes).pieces[0]!);
    },
  };
}
