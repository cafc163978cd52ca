import { inches, tapeStep, type Length, type Units } from '../../length';
import { rectangle } from '../../solid';
import type { Nominal } from '../../stock';
import { dim, say } from '../../words';
import { count, measure, pick } from '../choice';
import { family } from '../family';
import { boxAt, cutFor, kitFor, slatsBetween, type Kit } from '../kit';
import { braceChoices, braced, bracedIn } from './braces';
import { betweenSlats, checkBetween, railsBetween } from './common';
import { placeLegs, type Leg } from './legs';

const POSTS = { '2x2': '2×2', '2x3': '2×3', '2x4': '2×4' } as const;
const RAILS = { '1x2': '1×2', '1x3': '1×3', '2x3': '2×3', '2x4': '2×4' } as const;
const BOARDS = {
  'ply 3/4': '3/4 plywood',
  'ply 1/2': '1/2 plywood',
  '1x4': 'slats of 1×4',
  '1x6': 'slats of 1×6',
} as const;
const GAP: Length = inches(1 / 2);

type Level = { readonly number: number; readonly at: Length; readonly over: boolean; readonly units: Units };

/** One shelf on its four rails: a notched sheet, or slats across, or over the post tops at the highest level. */
function shelf(
  kit: Kit,
  legs: readonly [Leg, Leg, Leg, Leg],
  stock: keyof typeof BOARDS,
  { number, at, over, units }: Level,
): readonly string[] {
  const rails = [`R${2 * number - 1}`, `R${2 * number}`];
  const ends = [`S${2 * number - 1}`, `S${2 * number}`];
  const [x0, x1] = [legs[0].box.min[0], legs[2].box.max[0]];
  const [y0, y1] = [legs[0].box.min[1], legs[1].box.max[1]];
  const sheet = stock === 'ply 3/4' || stock === 'ply 1/2';
  const thick = sheet ? kit.sizes.thickness(stock) : kit.sizes.dressed(stock as Nominal).thickness;
  const z = at - thick;
  const on = [...rails, ...ends];
  if (sheet) {
    const name = `H${number}`;
    let part = kit.shaped(
      { tag: name, role: 'shelf', name: over ? 'top shelf' : 'shelf', material: stock },
      rectangle(x1 - x0, y1 - y0),
      thick,
      {
        at: [x0, y0, z],
        u: [1, 0, 0],
        v: [0, 1, 0],
      },
    );
    if (!over) for (const leg of legs) part = cutFor(part, kit.get(leg.tag), 'notch', 2);
    kit.put(part);
    on.forEach((rail) => kit.join('screws', name, rail));
    return [name];
  }
  const width = kit.sizes.dressed(stock as Nominal).width;
  const [from, to] = over ? [x0, x1] : [legs[0].box.max[0] + GAP, legs[2].box.min[0] - GAP];
  // Over the posts the outer slats end level with them; below, one spacer sets all gaps.
  return slatsBetween(from, to, width, GAP, over ? 1 : tapeStep(units)).map((x, k) => {
    const name = `H${number}${k < 26 ? String.fromCharCode(65 + k) : `Z${k - 25}`}`;
    kit.board(
      { tag: name, role: 'shelf', name: 'shelf slat', material: stock },
      boxAt([x, y0, z], [width, y1 - y0, thick]),
      1,
      0,
    );
    rails.forEach((rail) => kit.join('screws', name, rail));
    return name;
  });
}

/** Four posts, rails between them at each shelf, and shelves of sheet or slats. */
export const shelfUnit = family({
  id: 'shelf-unit',
  name: 'Shelf unit',
  about: 'Open shelves on four posts: for ware, books, plants, tools.',
  topped: false,
  choices: {
    posts: pick('Posts', POSTS, '2x3', { firms: true }),
    rails: pick('Rails', RAILS, '1x3', { firms: true }),
    shelves: pick('Shelves', BOARDS, 'ply 3/4', {
      help: 'Sheet keeps small things from falling through; slats let air and water through.',
    }),
    levels: count('How many shelves', 4, 1, 12),
    lowest: measure('Lowest shelf, its upper side', inches(6), inches(3), inches(60)),
    ...braceChoices,
  },
  build(room, choices) {
    const kit = kitFor(room);
    const post = kit.sizes.dressed(choices.posts);
    const rail = kit.sizes.dressed(choices.rails);
    const sheet = choices.shelves === 'ply 3/4' || choices.shelves === 'ply 1/2';
    const thick = sheet
      ? kit.sizes.thickness(choices.shelves as 'ply 3/4')
      : kit.sizes.dressed(choices.shelves as Nominal).thickness;
    const out = bracedIn(kit, choices);
    // The post's thickness lies along the unit, its width across.
    const section = { along: post.thickness, across: post.width, material: choices.posts, plies: 1, narrow: null };
    checkBetween(kit, room, 'length', room.length - 2 * (section.along + out.ends), 0, section.along, inches(6));
    checkBetween(kit, room, 'width', room.width - out.back - 2 * section.across, 0, section.across, inches(2));
    const deep = rail.width + thick;
    const least = Math.max(choices.lowest, deep + inches(0.5));
    const clear = choices.levels > 1 ? (room.height - least) / (choices.levels - 1) - deep : inches(12);
    if (choices.lowest < deep + inches(0.5))
      kit.stop(
        'shelf-low',
        say`The lowest shelf is too near the floor`,
        say`A shelf and its rails take ${dim(deep)}; at ${dim(choices.lowest)} they would touch the floor.`,
        { deep },
        [{ label: say`Put it at ${dim(least)}`, changes: [kit.change(['choices', 'lowest'], least)] }],
      );
    if (choices.levels === 1 ? room.height < least : clear < inches(4)) {
      const fits = Math.max(1, Math.floor((room.height - least) / (deep + inches(4))) + 1);
      const high = least + (choices.levels - 1) * (deep + inches(4));
      kit.stop(
        'shelves-close',
        say`The shelves are too close`,
        say`${choices.levels} shelves in ${dim(room.height)} leave ${dim(Math.max(0, Math.round(clear)))} between them.`,
        { clear },
        [
          ...(fits < choices.levels
            ? [{ label: say`Make ${fits} shelves`, changes: [kit.change(['choices', 'levels'], fits)] }]
            : []),
          { label: say`Make it ${dim(high)} high`, changes: [kit.change(['size', 'height'], high)] },
        ],
      );
    }
    if (kit.stopped()) return kit.built();

    const foot = { x: out.ends, y: 0, length: room.length - 2 * out.ends, width: room.width - out.back };
    const legs = placeLegs(kit, foot, room.height - thick, section, { legs: 'two 2x4', boughtLeg: '' });
    const tags: string[] = [];
    for (let level = 1; level <= choices.levels; level++) {
      const over = level === choices.levels;
      const at = over
        ? room.height
        : Math.round(choices.lowest + ((room.height - choices.lowest) * (level - 1)) / (choices.levels - 1));
      railsBetween(kit, legs, {
        long: 'R',
        end: 'S',
        longName: 'long rail',
        endName: 'end rail',
        role: 'rail',
        nominal: choices.rails as Nominal,
        from: at - thick - rail.width,
        setback: 0,
        first: 2 * level - 1,
      });
      tags.push(...shelf(kit, legs, choices.shelves, { number: level, at, over, units: room.units }));
    }
    const ends = (side: number) => Array.from({ length: choices.levels }, (_, k) => `S${2 * k + side}`);
    kit.assemble('end-1', say`Join the left ladder`, ['L1', 'L2', ...ends(1)]);
    kit.assemble('end-2', say`Join the right ladder`, ['L3', 'L4', ...ends(2)]);
    kit.assemble(
      'base',
      say`Join the ladders with the long rails`,
      Array.from({ length: 2 * choices.levels }, (_, k) => `R${k + 1}`),
      ['end-1', 'end-2'],
    );
    kit.assemble(
      'shelves',
      say`Lay the shelves, lowest first`,
      tags,
      ['base'],
      [
        say`Fix it to the wall: a tall unit tips onto whoever climbs it.`,
        ...(choices.levels > 1 ? betweenSlats(kit, tags) : []),
      ],
    );
    braced(kit, legs, choices, 'shelves');
    return kit.built();
  },
});
