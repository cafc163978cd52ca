import { wholeInches } from '../length';
import { SHORT_PIECE } from '../sawing';
import { marketOf, offersOf } from '../buying';
import { alongOf } from '../piece';
import { set } from '../job';
import type { Finding, Job, Lock, Piece } from '../job';
import { isSheet, LUMBER, lumberOf, printMaterial, SAMPLE_YARDS, type Lumber, type Yard } from '../stock';
import { dim, listOf, say, strong, tag, type Phrase } from '../words';
import { note, type Facts } from './facts';

const sells = (yard: Yard, wood: Lumber): boolean =>
  yard.boards.some(({ board, inStock }) => inStock && lumberOf(board) === wood);

/** A piece of a line of boards that none of the job's yards keeps: another yard, or common boards. */
function notSold({ id, wood }: Piece, job: Job): Finding {
  const yards = SAMPLE_YARDS.filter(
    (yard) => sells(yard, wood) && ![job.yard, ...job.alsoAt].some((one) => one.id === yard.id),
  );
  return note(id, 'lumber', 'stop', 'stock', {
    title: say`No yard of yours sells these boards`,
    because: say`It is made of ${strong(LUMBER[wood].name)}, and none is in stock where you buy.`,
    remedies: [
      ...yards.slice(0, 2).map((yard) => ({
        label: say`Also buy at ${yard.name}`,
        changes: [set(null, ['alsoAt', yard.id], yard)],
      })),
      ...(wood === 'common' ? [] : [{ label: say`Make it of common boards`, changes: [set(id, ['wood'], 'common')] }]),
    ],
  });
}

const MEASURES = {
  waste: (value: number): Phrase => say`${strong(Math.round(value / 14.4) / 10)} sq ft left over`,
  boards: (value: number): Phrase => say`${strong(value)} ${value === 1 ? 'board' : 'boards'} bought`,
  setups: (value: number): Phrase =>
    say`${strong(value)} ${value === 1 ? 'setting' : 'settings'}, boards cut alike together`,
} as const;
const AIM_NAMES = { waste: 'least left over', boards: 'fewest boards', setups: 'fewest saw settings' } as const;

/** What boards were chosen for, what that comes to, and what it costs beside the cheapest. */
function aimNote(aim: NonNullable<Facts['buying']['aim']>, cost: number): Finding {
  const { cheapest, value, atLeast } = aim;
  const measure = MEASURES[aim.for];
  const dearer = cost - cheapest.cost;
  const proved = value <= atLeast + 1e-9;
  return note(null, 'aim', proved ? 'good' : 'care', 'cuts', {
    title: say`Chosen for ${AIM_NAMES[aim.for]}`,
    because: say`${measure(value)}; with the cheapest boards it would be ${measure(cheapest.value)}. That costs $${(dearer / 100).toFixed(2)} more. ${proved ? 'Nothing does with less: proved.' : say`Less than ${measure(atLeast)} is not possible at any price.`}`,
    numbers: { cents: dearer, value, atLeast },
    remedies: [{ label: say`Choose the cheapest`, changes: [set(null, ['aim', 'for'], 'cost')] }],
  });
}

/** What became of boards that stay as they are: their price, those that no longer stand, pieces cut to another size. */
function lockNotes({ locks }: Job, { wish, lostLocks, boards }: Facts['buying']): readonly Finding[] {
  const found: Finding[] = [];
  const without = (gone: readonly Lock[]) => gone.map(({ id }) => set(null, ['locks', id], undefined));
  const wished = locks.filter(({ state }) => state === 'kept');
  if (wish >= 1)
    found.push(
      note(null, 'wish', 'care', 'cuts', {
        title: say`Kept boards cost $${(wish / 100).toFixed(2)}`,
        because: say`That much more than if ${strong(wished.length)} kept ${wished.length === 1 ? 'board' : 'boards'} could change with the rest.`,
        numbers: { cents: wish },
        remedies: [{ label: say`Let them change`, changes: without(wished) }],
      }),
    );
  if (lostLocks.length > 0)
    found.push(
      note(null, 'lost-locks', 'care', 'cuts', {
        title: say`${lostLocks.length === 1 ? 'A kept board' : `${lostLocks.length} kept boards`} could not stay`,
        because: say`A piece on ${lostLocks.length === 1 ? 'it' : 'them'} is gone or has another size now, or the board is not sold any more. Its pieces are planned anew.`,
        remedies: [{ label: say`Forget ${lostLocks.length === 1 ? 'it' : 'them'}`, changes: without(lostLocks) }],
      }),
    );
  const otherwise = boards
    .filter(({ lock }) => lock?.state === 'cut')
    .flatMap(({ pieces }) =>
      pieces.filter(({ blank, length, turned, width }) => (turned ? width : length) !== blank.length),
    );
  if (otherwise.length > 0)
    found.push(
      note(null, 'cut-otherwise', 'stop', 'cuts', {
        about: otherwise.map(({ blank }) => blank.part.id),
        title: say`Cut to another size`,
        because: say`${listOf(otherwise.map(({ blank, length }): Phrase => say`${tag(blank.part.tag)} was cut at ${dim(length)}; the plan now says ${dim(blank.length)}`))}. Trim what is too long; what is too short must be shimmed, or mark its board as spoiled and cut it again.`,
      }),
    );
  return found;
}

/** What found no board, what was proved, and pieces that are dangerous to hold. */
export function cutNotes({ job, buying, offcuts }: Facts): readonly Finding[] {
  const found: Finding[] = [];
  const market = marketOf(job);
  const lacking = buying.unplaced.filter(({ blank }) => offersOf(blank.material, market).length === 0);
  const strange = job.pieces.filter(
    ({ id, wood }) => !sells(market, wood) && lacking.some(({ blank }) => blank.part.piece === id),
  );
  found.push(...strange.map((piece) => notSold(piece, job)));
  for (const { blank, because } of buying.unplaced) {
    const { part } = blank;
    const offers = offersOf(blank.material, market);
    // Said once for the piece: nothing it is made of is sold.
    if (offers.length === 0 && strange.some(({ id }) => id === part.piece)) continue;
    const longest =
      Math.max(0, ...offers.map((offer) => offer.length)) - (isSheet(blank.material) ? 0 : 2 * job.shop.squareEnds);
    const excess = blank.length - longest;
    const piece = job.pieces.find((item) => item.id === part.piece)!;
    const along = alongOf(part);
    const side = along === 0 ? 'length' : along === 1 ? 'width' : 'height';
    const shorter = piece.size[side] - excess;
    const fits = !part.loose && offers.length > 0 && excess > 0 && shorter > 0;
    found.push(
      note(part.piece, `unplaced-${part.tag}`, 'stop', 'cuts', {
        about: [part.id],
        title: say`No board for ${tag(part.tag)}`,
        because: fits
          ? say`It needs ${dim(blank.length)}; the longest ${printMaterial(blank.material)} sold gives ${dim(longest)} with its ends squared.`
          : offers.length === 0
            ? say`This yard has no ${printMaterial(blank.material)} in stock.`
            : say`It is ${because}.`,
        numbers: {},
        remedies: fits
          ? [
              {
                label: say`Make the table ${dim(shorter)} ${side === 'length' ? 'long' : side === 'width' ? 'wide' : 'high'}`,
                changes: [set(part.piece, ['size', side], shorter)],
              },
            ]
          : [],
      }),
    );
  }
  if (buying.aim) found.push(aimNote(buying.aim, buying.cost));
  else if (buying.boards.length > 0 && buying.unplaced.length === 0) {
    const gap = buying.cost - buying.lowerBound;
    const held = buying.boards.filter(({ lock }) => lock !== null).length;
    found.push(
      gap === 0
        ? note(null, 'proved', 'good', 'cuts', {
            title: held > 0 ? say`Cheapest with what stays` : say`Cheapest for these sizes of board`,
            because: say`No other mix of boards on this price list makes ${held > 0 ? 'the other' : 'these'} pieces for less, each from the size of board it is made of: proved, kerf and squared ends counted. Whether a wider board ripped down would be cheaper is not looked into.`,
            numbers: { cents: buying.cost },
          })
        : note(null, 'proved', 'care', 'cuts', {
            title: say`Within $${(gap / 100).toFixed(2)} of the least`,
            because: say`These boards cost $${(buying.cost / 100).toFixed(2)}. No mix can cost less than $${(buying.lowerBound / 100).toFixed(2)}; whether one is in between is not proved. Each piece comes from the size of board it is made of.`,
            numbers: { cents: buying.cost, boundCents: buying.lowerBound },
          }),
    );
  }
  found.push(...lockNotes(job, buying));
  const samples = offcuts.filter(({ jobs }) => jobs.some(({ kind }) => kind === 'sample'));
  if (samples.length > 0)
    found.push(
      note(null, 'samples', 'care', 'cuts', {
        title: say`Keep ${samples.length === 1 ? 'this offcut' : 'these offcuts'} for samples`,
        because: say`${listOf(samples.map(({ board, offcut }): Phrase => say`${dim(wholeInches(offcut.length))} of board ${strong(board)}`))}: the same wood as the top. Try stain and finish there before the top.`,
      }),
    );
  const short = [
    ...new Set(
      buying.boards
        .flatMap((board) => board.pieces)
        .filter((piece) => piece.length < SHORT_PIECE)
        .map((piece) => piece.blank.part),
    ),
  ];
  if (short.length > 0)
    found.push(
      note(null, 'short', 'care', 'cuts', {
        about: short.map((part) => part.id),
        title: say`Short pieces near the blade`,
        because: say`${listOf(short.map((part): Phrase[number] => tag(part.tag)))} are under ${dim(SHORT_PIECE)}. Hold them with a clamp block, never by hand.`,
      }),
    );
  return found;
}
