import { first } from '../lists';
import { toInches } from '../length';
import { note, set } from '../job';
import type { Finding, Job, Piece } from '../job';
import { choosable, familyOf, settled, topOf, type Choices, type Part } from '../piece';
import { isBoard, LUMBER, SPECIES, speciesOf, SUMMER_MOISTURE, WINTER_MOISTURE, type BoardKey } from '../stock';
import { about, dim, say } from '../words';
import type { PieceFacts } from './facts';
import { movement, tipsAt } from '../strength';
import { firmNotes } from './firm';
import { toSixteenth } from './rounded';
import { sagNotes } from './sag';

/** A grown person leaning on an edge, lb. */
const LEANING = 250;

/** How far a top of boards moves with the seasons, and whether its fixing lets it. */
function movementNote(piece: Piece, top: Part, clips: boolean): readonly Finding[] {
  const species = speciesOf(top.material as BoardKey);
  const width = piece.size.width;
  const move = movement(toInches(width), species, SUMMER_MOISTURE - WINTER_MOISTURE);
  const swing = say`${dim(width)} of ${SPECIES[species].name} across the grain, from ${SUMMER_MOISTURE} % moisture in summer to ${WINTER_MOISTURE} % in winter.`;
  return [
    note(piece.id, 'movement', clips ? 'good' : 'care', 'shape', {
      title: say`The top will move ${about(toSixteenth(move))}`,
      because: clips
        ? say`${swing} The clips let it.`
        : say`${swing} Screwed fast it pulls at the screws or cracks. Some builders accept that on narrow tops; clips cost little.`,
      numbers: { movementInches: move },
      remedies:
        clips || !choosable(piece, 'fixing')
          ? []
          : [{ label: say`Use clips`, changes: [set(piece.id, ['choices', 'fixing'], 'clips')] }],
    }),
  ];
}

/** Movement, stiffness and tipping: estimates for ordinary home use, not an engineer's rating. */
export function woodNotes(facts: PieceFacts, job: Job): readonly Finding[] {
  const { piece, parts } = facts;
  if (parts.length === 0) return [];
  const found: Finding[] = [];
  const choices: Choices = settled(familyOf(piece).choices, piece.choices);
  const number = (name: string): number => (typeof choices[name] === 'number' ? (choices[name] as number) : 0);
  const kind = topOf(piece);
  const boards = parts.filter((part) => part.role === 'top' && isBoard(part.material));
  if (kind?.moves && boards.length > 0) found.push(...movementNote(piece, first(boards), choices.fixing === 'clips'));

  found.push(...sagNotes(facts, job), ...firmNotes(facts));

  const line = LUMBER[piece.wood];
  if ('treated' in line)
    found.push(
      note(piece.id, 'treated', 'care', 'shape', {
        title: say`Treated wood: not for food`,
        because: say`Keep plates, children’s mouths and pets off it or seal the top; never burn the offcuts; wear a mask and wash your hands. Use screws and hardware marked for treated wood. It is often sold wet: let it dry before a finish.`,
      }),
    );

  const tip = tipsAt(parts);
  if (kind && tip.pounds < LEANING) {
    const overhang = tip.edge === 'end' ? 'ends' : 'sides';
    const path = choosable(piece, 'overhang') ? 'overhang' : overhang === 'ends' ? 'overhangEnds' : 'overhangSides';
    const half = Math.round(number(path) / 2);
    found.push(
      note(piece.id, 'tipping', 'care', 'shape', {
        title: say`${Math.round(tip.pounds)} lb on the ${tip.edge} tips it`,
        because: say`Its own weight holds it down against what overhangs the feet. A grown person leaning there is ${LEANING} lb.`,
        numbers: { tipsAtPounds: tip.pounds },
        remedies:
          number(path) > 0
            ? [
                {
                  label: say`Overhang ${dim(half)}`,
                  changes: [set(piece.id, ['choices', path], half)],
                },
              ]
            : [],
      }),
    );
  }
  return found;
}
