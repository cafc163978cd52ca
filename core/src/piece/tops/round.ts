import { nth } from '../../lists';
import type { Length } from '../../length';
import type { Corner, Outline } from '../../solid';
import { dim, say } from '../../words';
import { top, type Room } from '../family';
import { kitFor } from '../kit';
import { divideTop } from '../top';
import { assembleTop, boardCandidates, boardChoices, boardThickness } from './boards';
import { profileChoices } from './profile';

/** Half the chord of a circle at a distance from its middle. */
export const halfChord = (radius: number, off: number): number => Math.sqrt(Math.max(0, radius * radius - off * off));

/**
 * The strip of a disc between two distances from its middle (both may be negative), as a board's outline: two straight
 * edges and an arc at each end, from the least x. The board need be only as long as its longest chord.
 */
export function strip(
  radius: number,
  from: number,
  to: number,
): { readonly outline: Outline; readonly length: Length; readonly left: number } {
  const [low, high] = [halfChord(radius, from), halfChord(radius, to)];
  const reach = from <= 0 && to >= 0 ? radius : Math.max(low, high);
  const left = -reach;
  const angle = Math.asin(Math.min(1, to / radius)) - Math.asin(Math.max(-1, from / radius));
  const bulge = Math.tan(angle / 4);
  const at = (x: number, y: number, arc?: number): Corner =>
    arc === undefined ? [x - left, y - from] : [x - left, y - from, arc];
  const outline: Corner[] = [];
  if (low > 1) outline.push(at(-low, from));
  outline.push(at(low > 1 ? low : 0, from, bulge));
  if (high > 1) outline.push(at(high, to));
  outline.push(at(high > 1 ? -high : 0, to, bulge));
  return { outline, length: Math.round(2 * reach), left };
}

/** A disc cut from joined boards, each only as long as its chord. */
export const round = top({
  id: 'round',
  name: 'Round, from boards',
  about: 'A disc from joined boards; outer boards need only be as long as their chord.',
  deck: 'round',
  holdsScrews: true,
  moves: true,
  choices: { ...boardChoices, ...profileChoices },
  thickness: boardThickness,
  candidates: boardCandidates,
  build(room: Room, choices) {
    const kit = kitFor(room);
    if (room.length !== room.width) {
      kit.stop(
        'not-round',
        say`A round top is as long as it is wide`,
        say`It is ${dim(room.length)} by ${dim(room.width)}; a disc has one width all round.`,
        {},
        [
          { label: say`Make it ${dim(room.length)} across`, changes: [kit.change(['size', 'width'], room.length)] },
          { label: say`Make it ${dim(room.width)} across`, changes: [kit.change(['size', 'length'], room.width)] },
        ],
      );
      return kit.built();
    }
    const radius = room.length / 2;
    const { widths } = divideTop(room.width, room.topNominal, choices.edges, room.shop.edgeRip, room.units, room.sizes);
    let y = 0;
    const names = widths.map((width, at) => {
      const tag = `T${at + 1}`;
      const { outline, length, left } = strip(radius, y - radius, y + width - radius);
      const part = kit.shaped(
        {
          tag,
          role: 'top',
          name: 'top board',
          material: room.topNominal,
          trimmedLater: true,
          squared: choices.edges === 'ripped',
        },
        outline,
        room.topThickness,
        { at: [radius + left, y, room.under], u: [1, 0, 0], v: [0, 1, 0] },
      );
      kit.put({ ...part, length, width });
      y += width;
      return tag;
    });
    names
      .slice(1)
      .forEach((name, at) => kit.join(choices.held === 'glue' ? 'lamination' : 'edge', nth(names, at), name));
    assembleTop(kit, names);
    return kit.built();
  },
});

/** What boards cut to their chords save against boards of the whole diameter, both with the same allowance. */
export const chordSaving = (diameter: Length, lengths: readonly Length[]): Length =>
  lengths.reduce((sum, length) => sum + diameter - length, 0);
