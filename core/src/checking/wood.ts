import { inches, toInches } from '../length';
import type { Finding, Job } from '../job';
import { SPECIES, SUMMER_MOISTURE, WINTER_MOISTURE } from '../stock';
import { about, dim, say, type Phrase } from '../words';
import { note, type PieceFacts } from './facts';
import { movement, showsAt, speciesOf, tipsAt, topSag } from './strength';

/** The load a table top is checked for, lb at the worst point. */
const POINT_LOAD = 200;
/** A grown person leaning on an edge, lb. */
const LEANING = 250;

const toSixteenth = (value: number) => inches(Math.max(1, Math.round(value * 16)) / 16);
/** Small bends to the nearest 1/64, the finest a person can see. */
const fine = (value: number): Phrase =>
  value < 1 / 64 ? say`under ${dim(inches(1 / 64))}` : say`${dim(inches(Math.round(value * 64) / 64))}`;

/** Movement, stiffness and tipping: estimates for ordinary home use, not an engineer's rating. */
export function woodNotes({ piece, parts }: PieceFacts, job: Job): readonly Finding[] {
  if (parts.length === 0) return [];
  const found: Finding[] = [];
  const { choices, size } = piece;
  const top = parts.find((part) => part.role === 'top')!;
  const species = speciesOf(top.nominal, job.yard);
  const move = movement(toInches(size.width), species, SUMMER_MOISTURE - WINTER_MOISTURE);
  const swing = say`${dim(size.width)} of ${SPECIES[species].name} across the grain, from ${SUMMER_MOISTURE} % moisture in summer to ${WINTER_MOISTURE} % in winter.`;
  const clips = choices.top.fixing === 'clips';
  found.push(
    note(piece.id, 'movement', clips ? 'good' : 'care', 'shape', {
      title: say`The top will move ${about(toSixteenth(move))}`,
      because: clips
        ? say`${swing} The clips let it.`
        : say`${swing} Screwed fast it pulls at the screws or cracks. Some builders accept that on narrow tops; clips cost little.`,
      numbers: { movementInches: move },
      remedies: clips
        ? []
        : [
            {
              label: say`Use clips`,
              changes: [{ piece: piece.id, path: ['choices', 'top', 'fixing'], value: 'clips' }],
            },
          ],
    }),
  );

  const sag = topSag(parts, job.yard, POINT_LOAD);
  if (sag) {
    const stiff = sag.sag <= showsAt(sag.span);
    const more = choices.crossSupports + 1;
    found.push(
      note(piece.id, 'sag', stiff ? 'good' : 'care', 'shape', {
        title: stiff ? say`Stiff enough` : say`The top will sag`,
        because: say`${POINT_LOAD} lb in the middle of its longest span, ${dim(toSixteenth(sag.span))}, bends it ${fine(sag.sag)}. It would show at ${fine(showsAt(sag.span))}. An estimate for home use, not a rating.`,
        numbers: { sagInches: sag.sag, spanInches: sag.span },
        remedies: stiff
          ? []
          : [
              {
                label: say`Use ${more} cross supports`,
                changes: [{ piece: piece.id, path: ['choices', 'crossSupports'], value: more }],
              },
            ],
      }),
    );
  }

  const tip = tipsAt(parts, job.yard);
  if (tip.pounds < LEANING) {
    const overhang = tip.edge === 'end' ? 'ends' : 'sides';
    const half = Math.round(choices.overhang[overhang] / 2);
    found.push(
      note(piece.id, 'tipping', 'care', 'shape', {
        title: say`${Math.round(tip.pounds)} lb on the ${tip.edge} tips it`,
        because: say`Its own weight holds it down against ${dim(choices.overhang[overhang])} of overhang. A grown person leaning there is ${LEANING} lb.`,
        numbers: { tipsAtPounds: tip.pounds },
        remedies: [
          {
            label: say`Overhang ${dim(half)}`,
            changes: [{ piece: piece.id, path: ['choices', 'overhang', overhang], value: half }],
          },
        ],
      }),
    );
  }
  return found;
}
