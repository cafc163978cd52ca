import { first } from '../lists';
import { inches, toInches } from '../length';
import { applyChanges, note, set, USE_NAMES, type Change, type Finding, type Job, type Piece } from '../job';
import { marketOf } from '../buying';
import { buildPiece, choosable, topCandidates, topOf, isTopAlone } from '../piece';
import { sizesIn, sizesOf, type Nominal } from '../stock';
import { dim, say } from '../words';
import type { PieceFacts } from './facts';
import { END_SEAT_OVERHANG, KNEES, PLACE, USUAL_HEIGHT, betweenLegs, kneeRoom, seating, sitsRound } from './people';

/** Whether a piece can still be built after a change, of boards as long as are sold. */
function canBecome(piece: Piece, job: Job, change: Change): boolean {
  const then = first(applyChanges({ ...job, pieces: [piece] }, [change]).pieces);
  const { boards, sheets } = marketOf(job);
  const longest = Math.max(...[...boards, ...sheets].map(({ length }) => length));
  if (then.size.length > longest) return false;
  return buildPiece(then, first(topCandidates(then)), job.shop, job.units, sizesOf(job.measured)).findings.length === 0;
}

/** Seats, knees and height. */
export function sizeNotes({ piece, parts }: PieceFacts, job: Job): readonly Finding[] {
  const found: Finding[] = [];
  const { size } = piece;
  const seats = seating(piece, parts, topOf(piece)?.deck ?? 'rectangle');
  const isRound = sitsRound(piece, topOf(piece)?.deck ?? 'rectangle');
  const table = parts.length > 0 && topOf(piece) !== null;
  const knees = kneeRoom(parts);
  const sitting = table && (piece.use === 'dining' || piece.use === 'desk');

  if (parts.length > 0 && piece.seats !== null && seats.total < piece.seats) {
    const aside = Math.ceil((piece.seats - seats.ends) / 2);
    const length = size.length + aside * PLACE - betweenLegs(piece, parts);
    const longer = set(piece.id, ['size', 'length'], length);
    found.push(
      note(piece.id, 'seats', 'care', 'brief', {
        title: say`Seats ${seats.total}, not ${piece.seats}`,
        because: isRound
          ? say`A place is ${dim(PLACE)} wide: ${seats.total} fit round its rim.`
          : say`A place is ${dim(PLACE)} wide: ${seats.sides / 2} fit between the legs on each side, ${seats.ends} at the ends${seats.ends === 0 ? say` (an end seat needs ${dim(END_SEAT_OVERHANG)} of overhang)` : ''}.`,
        numbers: { seats: seats.total, wanted: piece.seats },
        remedies: canBecome(piece, job, longer) ? [{ label: say`Make it ${dim(length)} long`, changes: [longer] }] : [],
      }),
    );
  } else if (sitting || (table && piece.seats !== null))
    found.push(
      note(piece.id, 'seats', 'good', 'brief', {
        title: say`Seats ${seats.total}`,
        because: say`${isRound ? say`One every ${dim(PLACE)} round its rim` : say`${seats.sides / 2} a side at ${dim(PLACE)} each, ${seats.ends === 0 ? 'none' : '1'} at each end`}.${knees === null ? '' : say` Knees have ${dim(knees)} under the apron.`}`,
        numbers: { seats: seats.total },
      }),
    );

  if (knees !== null && knees < KNEES && (sitting || piece.seats !== null)) {
    const short = KNEES - knees;
    const sizes = sizesIn(piece, sizesOf(job.measured));
    const remedies: Finding['remedies'][number][] = [];
    const apron = piece.choices.apron ?? choosable(piece, 'apron')?.initial;
    const slimmer = typeof apron === 'string' && apron.startsWith('2') ? '2x3' : '1x3';
    const offered = choosable(piece, 'apron');
    const takes = offered?.kind === 'pick' && Object.hasOwn(offered.options, slimmer);
    if (takes && sizes.dressed(apron as Nominal).width - sizes.dressed(slimmer).width >= short)
      remedies.push({ label: say`Use a ${slimmer} apron`, changes: [set(piece.id, ['choices', 'apron'], slimmer)] });
    const higher = set(piece.id, ['size', 'height'], size.height + short);
    if (canBecome(piece, job, higher))
      remedies.push({ label: say`Make it ${dim(size.height + short)} high`, changes: [higher] });
    found.push(
      note(piece.id, 'knees', 'care', 'shape', {
        title: say`Knees touch the apron`,
        because: say`${dim(knees)} is clear under the apron; sitting needs ${dim(KNEES)}.`,
        numbers: { kneesInches: toInches(knees) },
        remedies,
      }),
    );
  }

  const [low, high] = USUAL_HEIGHT[piece.use];
  if (!isTopAlone(piece) && (size.height < inches(low) || size.height > inches(high))) {
    const usual = inches(size.height < inches(low) ? low : high);
    found.push(
      note(piece.id, 'height', 'care', 'brief', {
        title: say`${size.height < inches(low) ? 'Lower' : 'Higher'} than usual`,
        because: say`A ${USE_NAMES[piece.use].toLowerCase()} is usually ${dim(inches(low))} to ${dim(inches(high))} high. This one is ${dim(size.height)}.`,
        numbers: { heightInches: toInches(size.height) },
        remedies: [{ label: say`Make it ${dim(usual)} high`, changes: [set(piece.id, ['size', 'height'], usual)] }],
      }),
    );
  }
  return found;
}
