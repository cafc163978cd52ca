import { marketOf } from '../buying';
import { first } from '../lists';
import { toInches } from '../length';
import { note, set } from '../job';
import type { Finding, Job, Piece, Remedy } from '../job';
import { choosable, familyOf, settled, topOf, type Choices, type Part, isTopAlone } from '../piece';
import {
  boardKey,
  isBoard,
  isSheet,
  LUMBER,
  LUMBER_NAMES,
  nominalOf,
  printMaterial,
  SPECIES,
  speciesOf,
  SUMMER_MOISTURE,
  WINTER_MOISTURE,
  type BoardKey,
  type Lumber,
} from '../stock';
import { about, dim, listOf, say, tag, type Phrase } from '../words';
import type { Fastening } from '../joinery';
import type { PieceFacts } from './facts';
import { heldAcross, movement, pullsBy, tipsAt, type HeldAcross } from '../strength';
import { firmNotes } from './firm';
import { toSixteenth } from './rounded';
import { sagNotes } from './sag';
import { longestAt } from './unplaced';

/** A grown person leaning on an edge, lb. */
const LEANING = 250;

/** So little that is held across the grain pulls at nothing, in. */
const HARMLESS = 3 / 32;
const CHANGE = SUMMER_MOISTURE - WINTER_MOISTURE;
const SEASONS = say`from ${SUMMER_MOISTURE} % moisture in summer to ${WINTER_MOISTURE} % in winter`;

const pairOf = ({ drilled, into }: Fastening): Phrase => say`${tag(drilled.tag)} on ${tag(into.tag)}`;

/** How far a top of boards moves with the seasons, and whether what holds it lets it. */
function movementNote(piece: Piece, top: Part, held: HeldAcross | undefined): readonly Finding[] {
  const species = speciesOf(top.material as BoardKey);
  const width = piece.size.width;
  const move = movement(toInches(width), species, CHANGE);
  const pulls = held ? pullsBy(held, CHANGE) : 0;
  const isFree = pulls <= HARMLESS;
  const swing = say`${dim(width)} of ${SPECIES[species].name} across the grain, ${SEASONS}.`;
  const ways: readonly Remedy[] = [
    ...(choosable(piece, 'fixing') && piece.choices.fixing === 'screwed'
      ? [{ label: say`Use clips`, changes: [set(piece.id, ['choices', 'fixing'], 'clips')] }]
      : []),
    ...(piece.topChoices.endsHeld === 'fast'
      ? [
          {
            label: say`Hold the end boards in the middle`,
            changes: [set(piece.id, ['topChoices', 'endsHeld'], 'float')],
          },
        ]
      : []),
  ];
  return [
    note(piece.id, 'movement', isFree ? 'good' : 'care', 'shape', {
      about: isFree ? [] : held ? held.outer.flatMap(({ drilled, into }) => [drilled.id, into.id]) : [],
      title: say`The top will move ${about(toSixteenth(move))}`,
      because:
        isFree || !held
          ? say`${swing} What holds it lets it.`
          : say`${swing} Held fast ${dim(toSixteenth(held.spread))} apart, ${pairOf(held.outer[0])} and ${pairOf(held.outer[1])}, it pulls ${about(toSixteenth(pulls))} at its screws or cracks. Some builders accept that on narrow tops.`,
      numbers: { movementInches: move, pullsInches: pulls },
      remedies: isFree ? [] : ways,
    }),
  ];
}

/** Other panels of solid boards that are held fast across their grain. */
function crossNotes(piece: Piece, held: readonly HeldAcross[]): readonly Finding[] {
  return held.flatMap((one) => {
    const pulls = pullsBy(one, CHANGE);
    if (pulls <= HARMLESS) return [];
    const { boards, spread, outer } = one;
    return [
      note(piece.id, 'cross-grain', 'care', 'joints', {
        which: first(boards).tag,
        about: boards.map(({ id }) => id),
        title: say`${tag(first(boards).tag)} is held fast across its grain`,
        because: say`Over ${dim(toSixteenth(spread))}, from ${pairOf(outer[0])} to ${pairOf(outer[1])}, it gets ${about(toSixteenth(pulls))} wider and narrower, ${SEASONS}, and they do not let it: glue or screws give, or the wood cracks.`,
        numbers: { spreadInches: spread, pullsInches: pulls },
      }),
    ];
  });
}

/** Lines of the same region that last outside, with the boards of a piece that none of its yards keeps long enough. */
function lasting(piece: Piece, parts: readonly Part[], boards: readonly BoardKey[], job: Job) {
  const market = marketOf(job);
  const longest = (board: BoardKey): number =>
    Math.max(...parts.filter(({ material }) => material === board).map(({ length }) => length));
  return LUMBER_NAMES.filter((line) => 'durable' in LUMBER[line] && isInRegion(line, piece.wood)).map((line) => ({
    line,
    name: LUMBER[line].name.toLowerCase(),
    lacks: boards
      .filter((board) => longestAt({ material: boardKey(line, nominalOf(board)) }, market, job) < longest(board))
      .map(nominalOf),
  }));
}

/** What is bought for outside, and what does not last there. */
function outsideNote(piece: Piece, parts: readonly Part[], job: Job): readonly Finding[] {
  const boards = [...new Set(parts.flatMap(({ material }) => (isBoard(material) ? material : [])))];
  const [board] = boards;
  const rots = board !== undefined && !('durable' in LUMBER[piece.wood]);
  const swells = parts.filter(({ material }) => isSheet(material) && !material.startsWith('exterior'));
  const lasts = rots ? lasting(piece, parts, boards, job) : [];
  const scarce = lasts
    .filter(({ lacks }) => lacks.length > 0)
    .flatMap(
      ({ name, lacks }) => say` No yard of yours has ${name} in ${listOf(lacks.map(printMaterial))}, long enough.`,
    );
  const rot = rots
    ? say` The ${SPECIES[speciesOf(board)].name} in it rots where water stands: keep its feet off the ground, seal its end grain, and coat it again when it wears.${scarce}`
    : '';
  const swell =
    swells.length > 0 ? say` ${listOf(swells.slice(0, 4).map(({ tag: name }) => tag(name)))} swell in the wet.` : '';
  return [
    note(piece.id, 'outside', rots || swells.length > 0 ? 'care' : 'good', 'shape', {
      about: swells.map(({ id }) => id),
      title: rots || swells.length > 0 ? say`Not all of it lasts outside` : say`Bought for outside`,
      because: say`Waterproof glue and coated screws are on the list, exterior plywood where there is any.${rot}${swell}`,
      remedies: lasts
        .filter(({ lacks }) => lacks.length === 0)
        .map(({ line, name }) => ({ label: say`Take ${name}`, changes: [set(piece.id, ['wood'], line)] })),
    }),
  ];
}
const isInRegion = (line: Lumber, other: Lumber): boolean => LUMBER[line].region === LUMBER[other].region;

/** Movement, stiffness and tipping: estimates for ordinary home use, not an engineer's rating. */
export function woodNotes(facts: PieceFacts, job: Job): readonly Finding[] {
  const { piece, parts, fastenings } = facts;
  if (parts.length === 0) return [];
  const found: Finding[] = [];
  const choices: Choices = settled(familyOf(piece).choices, piece.choices);
  const number = (name: string): number => (typeof choices[name] === 'number' ? (choices[name] as number) : 0);
  const kind = topOf(piece);
  const boards = parts.filter((part) => part.role === 'top' && isBoard(part.material));
  const across = heldAcross(parts, fastenings);
  const isTop = ({ boards: own }: HeldAcross) => own.some(({ role }) => role === 'top');
  const isTold = kind?.moves === true && boards.length > 0;
  if (isTold) {
    const [widest] = across.filter(isTop).sort((a, b) => b.spread - a.spread);
    found.push(...movementNote(piece, first(boards), widest));
  }
  found.push(
    ...crossNotes(
      piece,
      across.filter((one) => !(isTold && isTop(one))),
    ),
  );

  // Of a top by itself nobody knows what will carry it.
  if (!isTopAlone(piece)) found.push(...sagNotes(facts, job), ...firmNotes(facts));

  const line = LUMBER[piece.wood];
  if ('treated' in line)
    found.push(
      note(piece.id, 'treated', 'care', 'shape', {
        title: say`Treated wood: not for food`,
        because: say`Keep plates, children’s mouths and pets off it or seal the top; never burn the offcuts; wear a mask and wash your hands. Use screws and hardware marked for treated wood. It is often sold wet: let it dry before a finish.`,
      }),
    );

  if (piece.outside) found.push(...outsideNote(piece, parts, job));

  const tip = tipsAt(parts);
  if (kind && !isTopAlone(piece) && tip.pounds < LEANING) {
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
