import { inches, type Length } from '../length';
import { note, set, type Finding, type Remedy } from '../job';
import { say } from '../words';
import { familyOf } from './families';
import type { Room } from './family';
import { holed, UP } from './kit';
import type { Part } from './part';
import { alongOf, boxOf } from './shape';

const middleOf = ({ length, width }: Room): readonly [number, number] => [length / 2, width / 2];

/** A round hole down through the middle of the top and of whatever crosses it below. */
export function boredForPole(room: Room, parts: readonly Part[], across: Length): readonly Part[] {
  return parts.map((part) => (part.role === 'foot' ? part : holed(part, [...middleOf(room), 0], UP, across / 2)));
}

/** Beside a hole for a pole a part keeps at least so much on one side. */
const BESIDE_HOLE: Length = inches(1 / 2);

/** Wood that is left beside a pole on the wider side of a part, across its length; all of it where it is not met. */
function leftBeside(part: Part, [x, y]: readonly [number, number], across: Length): number {
  const { min, max } = boxOf(part);
  const way = alongOf(part) === 0 ? 1 : 0;
  const middle = way === 0 ? x : y;
  return Math.max(middle - across / 2 - min[way], max[way] - middle - across / 2);
}

/** Says so where a parasol would stand in a leg, or its hole parts what crosses below it. */
export function struckByPole(room: Room, parts: readonly Part[], across: Length): Finding | null {
  const { piece } = room;
  const bored = parts.filter(({ cuts }) => cuts.some(({ kind, from }) => kind === 'hole' && from < 0));
  const leg = bored.find(({ role }) => role === 'leg');
  const parted = bored.find((part) => leftBeside(part, middleOf(room), across) < BESIDE_HOLE);
  const hit = leg ?? parted;
  if (!hit) return null;
  const clears = familyOf(piece).forPole;
  const isCleared = Object.entries(clears?.choices ?? {}).every(([name, value]) => piece.choices[name] === value);
  const remedies: readonly Remedy[] = [
    ...(clears && !isCleared
      ? [
          {
            label: clears.label,
            changes: Object.entries(clears.choices).map(([name, value]) => set(piece.id, ['choices', name], value)),
          },
        ]
      : []),
    { label: say`Leave the hole out`, changes: [set(piece.id, ['topChoices', 'hole'], 0)] },
  ];
  return note(piece.id, 'hole-in-leg', 'stop', 'shape', {
    title: leg ? say`The parasol would stand on the post` : say`The parasol's hole parts what crosses below`,
    because: leg
      ? say`A hole of ${{ dim: across }} through the middle runs into a leg.`
      : say`A hole of ${{ dim: across }} through the middle leaves under ${{ dim: BESIDE_HOLE }} of ${hit.name} ${{ tag: hit.tag }} on either side of it.`,
    numbers: { across },
    remedies,
  });
}
