import { first, found } from '../lists';
import { marketOf, offersOf } from '../buying';
import { note, set, type Finding, type Job, type Piece } from '../job';
import type { Length } from '../length';
import { blanksOf } from '../milling';
import { alongOf, type Part } from '../piece';
import { isSheet, LUMBER, lumberOf, printMaterial, type Lumber, type Yard } from '../stock';
import { dim, listOf, say, strong, tag, type Bit, type Phrase } from '../words';
import type { Facts } from './facts';
import { alsoAt, othersThan } from './yards';

const sells = (yard: Yard, wood: Lumber): boolean =>
  yard.boards.some(({ board, inStock }) => inStock && lumberOf(board) === wood);

/** A piece of a line of boards that none of the job's yards keeps: another yard, or common boards. */
function notSold({ id, wood }: Piece, job: Job): Finding {
  const yards = othersThan(job).filter((yard) => sells(yard, wood));
  return note(id, 'lumber', 'stop', 'stock', {
    title: say`No yard of yours sells these boards`,
    because: say`It is made of ${strong(LUMBER[wood].name)}, and none is in stock where you buy.`,
    remedies: [
      ...alsoAt(yards),
      ...(wood === 'common' ? [] : [{ label: say`Make it of common boards`, changes: [set(id, ['wood'], 'common')] }]),
    ],
  });
}

type Unplaced = Facts['buying']['unplaced'][number];

/** The longest piece that a yard's boards or sheets of its material give, ends squared; 0 where it keeps none. */
export const longestAt = ({ material }: Pick<Unplaced['blank'], 'material'>, yard: Yard, job: Job): Length =>
  Math.max(
    0,
    ...offersOf(material, yard).map(({ length }) => length - (isSheet(material) ? 0 : 2 * job.shop.squareEnds)),
  );

/** Whether a piece is made of nothing longer than is sold; what a person adds or has is theirs to see to. */
export function isSoldSoLong(piece: Piece, parts: readonly Part[], job: Job): boolean {
  const market = marketOf(job);
  return blanksOf({ ...job, pieces: [piece] }, parts).every(
    (blank) => blank.part.loose || isFound({ blank }) || blank.length <= longestAt(blank, market, job),
  );
}

const MOST_NAMED = 6;

/** Parts that no board gives for one reason: one note for all of them, with what mends all of them. */
function unplacedNote(piece: Piece, group: readonly Unplaced[], job: Job): Finding {
  const market = marketOf(job);
  const excessOf = ({ blank }: Unplaced): Length => blank.length - longestAt(blank, market, job);
  const worst = group.reduce((one, other) => (excessOf(other) > excessOf(one) ? other : one));
  const { blank, because } = worst;
  const material = printMaterial(blank.material);
  const materials = [...new Set(group.map((one) => printMaterial(one.blank.material)))];
  const longest = longestAt(blank, market, job);
  const side = sideOf(worst);
  const shorter = piece.size[side] - excessOf(worst);
  const fits = longest > 0 && excessOf(worst) > 0 && shorter > 0 && group.every(({ blank: { part } }) => !part.loose);
  // Another yard helps against what is short or not there, not against what is too wide.
  const sellers = othersThan(job).filter(
    (yard) =>
      (longest === 0 || excessOf(worst) > 0) &&
      group.every((one) => longestAt(one.blank, yard, job) >= one.blank.length),
  );
  const named = group.slice(0, MOST_NAMED).map(({ blank: { part } }): Bit => tag(part.tag));
  const more = group.length - named.length;
  const wanted = group
    .slice(0, MOST_NAMED)
    .map(({ blank: one }): Phrase => say`${tag(one.part.tag)} of ${dim(one.length)} × ${dim(one.width)}`);
  return note(piece.id, 'unplaced', 'stop', 'cuts', {
    which: first(group).blank.part.tag,
    about: group.map(({ blank: { part } }) => part.id),
    title: say`No board for ${listOf(more > 0 ? [...named, `${more} more`] : named)}`,
    because: isFound(worst)
      ? say`Panels that are there are cut from what is written down under Stock, On hand, and nothing left there gives ${listOf(wanted)}.`
      : longest === 0
        ? say`No yard of yours has ${listOf(materials)} in stock.`
        : excessOf(worst) > 0
          ? say`${tag(blank.part.tag)} needs ${dim(blank.length)}; the longest ${material} sold gives ${dim(longest)} with its ends squared.`
          : say`${group.length === 1 ? 'It is' : 'Each is'} ${because}.`,
    remedies: [
      ...(fits
        ? [
            {
              label: say`Make it ${dim(shorter)} ${SIDES[side]}`,
              changes: [set(piece.id, ['size', side], shorter)],
            },
          ]
        : []),
      ...alsoAt(sellers),
      ...(group.every(isFound)
        ? [{ label: say`Take plywood`, changes: [set(piece.id, ['choices', 'stock'], 'ply 3/4')] }]
        : []),
    ],
  });
}

/** To be cut of panels that a person has: no yard sells them. */
const isFound = ({ blank: { material } }: Pick<Unplaced, 'blank'>): boolean => material === 'panel found';

const SIDES = { length: 'long', width: 'wide', height: 'high' } as const;
const sideOf = ({ blank: { part } }: Unplaced): keyof typeof SIDES =>
  (['length', 'width', 'height'] as const)[alongOf(part)];

/** What found no board: said once for a piece whose boards are not sold, else once for each reason. */
export function unplacedNotes(job: Job, unplaced: readonly Unplaced[]): readonly Finding[] {
  const market = marketOf(job);
  const lacking = unplaced.filter(({ blank }) => offersOf(blank.material, market).length === 0);
  const strange = job.pieces.filter(
    ({ id, wood }) => !sells(market, wood) && lacking.some(({ blank }) => blank.part.piece === id),
  );
  const groups = new Map<string, Unplaced[]>();
  for (const one of unplaced) {
    const { length, part } = one.blank;
    const isLacking = lacking.includes(one);
    if (isLacking && strange.some(({ id }) => id === part.piece)) continue;
    const tooLong = length > longestAt(one.blank, market, job);
    const reason = isLacking ? 'none' : tooLong && !part.loose ? sideOf(one) : `${one.because} ${part.tag}`;
    const key = `${part.piece} ${reason}`;
    groups.set(key, [...(groups.get(key) ?? []), one]);
  }
  return [
    ...strange.map((piece) => notSold(piece, job)),
    ...[...groups.values()].map((group) =>
      unplacedNote(
        found(job.pieces, ({ id }) => id === first(group).blank.part.piece),
        group,
        job,
      ),
    ),
  ];
}
