import { first, nth } from '../../lists';
import { inches, type Length } from '../../length';
import { add, times, unit, type Vec } from '../../solid';
import type { Nominal } from '../../stock';
import { dim, say } from '../../words';
import { angle, count, measure, pick } from '../choice';
import { levelling } from '../feet';
import { family, type Room } from '../family';
import { boxAt, facePlane, kitFor, level, UP, type Kit } from '../kit';
import { boxOf, cornersOf, rawSolidOf, tan } from '../shape';
import type { Part } from '../part';
import {
  checkBetween,
  checkHeight,
  checkSupports,
  crossSupports,
  footprint,
  LEAST_RAIL,
  overhangs,
  RAIL_STOCK,
  topFixing,
} from './common';

const LEG_STOCK = { '2x4': 'two 2×4, glued', '4x4': 'solid 4×4', '1x4': 'three 1×4, glued' } as const;
const PLIES: Record<keyof typeof LEG_STOCK, number> = { '2x4': 2, '4x4': 1, '1x4': 3 };

const STRETCHER: Nominal = '1x3';

const ALONG: Vec = [1, 0, 0];
const ACROSS: Vec = [0, 1, 0];

/**
 * A leg that leans in towards the middle as it rises, both ends cut level: its direction is (tan a, tan b, 1) for a
 * splay of a along and b across. Its outermost point on the floor is the corner of the footprint.
 */
function leg(
  kit: Kit,
  name: string,
  corner: Vec,
  side: readonly [1 | -1, 1 | -1],
  lean: Vec,
  under: Length,
  stock: keyof typeof LEG_STOCK,
): Part {
  const { width, thickness } = kit.sizes.dressed(stock);
  const spec = { tag: name, role: 'leg' as const, name: 'leg', material: stock, plies: PLIES[stock] };
  const place = (from: Vec) =>
    kit.member(spec, {
      from,
      to: add(from, unit(lean)),
      across: ALONG,
      width,
      thickness: thickness * PLIES[stock],
      ends: [level(0), level(under)],
    });
  // Set up at the corner first, then moved so that its outermost points stand on the footprint's two lines.
  const points = cornersOf(rawSolidOf(place(corner)));
  const shift = ([0, 1] as const).map((axis) => {
    const values = points.map((point) => point[axis]);
    return corner[axis] - (side[axis] > 0 ? Math.min(...values) : Math.max(...values));
  });
  return place(add(corner, [first(shift), nth(shift, 1), 0]));
}

const middleAt = (part: Part, z: number): Vec => {
  const { at, u, v } = part.frame;
  const w: Vec = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
  const start = add(add(at, times(v, part.width / 2)), times(w, part.thickness / 2));
  return add(start, times(u, (z - start[2]) / u[2]));
};

/** An upright rail between two legs, its ends cut to the legs' faces; its middle where the legs' middles are. */
function rail(
  kit: Kit,
  name: string,
  label: string,
  legs: readonly [string, string],
  from: Length,
  nominal: Nominal,
  along: Vec,
  role: 'apron' | 'stretcher',
) {
  const { width, thickness } = kit.sizes.dressed(nominal);
  const z = from + width / 2;
  const [a, b] = legs.map((tagOf) => kit.get(tagOf)) as [Part, Part];
  const [start, end] = [middleAt(a, z), middleAt(b, z)];
  const side = along[0] === 1 ? 1 : 0;
  const fixed: Vec = side === 1 ? [0, Math.round(start[1]), z] : [Math.round(start[0]), 0, z];
  const line = (point: Vec): Vec => (side === 1 ? [point[0], fixed[1], z] : [fixed[0], point[1], z]);
  kit.member(
    { tag: name, role, name: label, material: nominal },
    {
      from: line(start),
      to: line(end),
      across: UP,
      width,
      thickness,
      ends: [facePlane(a, along), facePlane(b, times(along, -1))],
    },
  );
  legs.forEach((leg) => kit.join('rail end', name, leg));
}

/** Says so where a stretcher stands less than an inch under the aprons. */
function checkStretcher(kit: Kit, room: Room, apronFrom: Length, stretcherWidth: Length, asked: Length) {
  const high = apronFrom - stretcherWidth - inches(1);
  if (asked > high) {
    const at = Math.max(inches(1), Math.round(high / 2));
    const height = room.height + inches(1) - high;
    kit.stop(
      'stretcher-meets-apron',
      say`The stretcher meets the apron`,
      say`At ${dim(asked)} a ${dim(stretcherWidth)} stretcher leaves no inch under the apron, which starts at ${dim(apronFrom)}.`,
      { high },
      [
        ...(at <= high
          ? [{ label: say`Put it at ${dim(at)}`, changes: [kit.change(['choices', 'stretcherHeight'], at)] }]
          : [
              {
                label: say`Make it ${dim(height)} high, the stretcher at ${dim(at)}`,
                changes: [kit.change(['size', 'height'], height), kit.change(['choices', 'stretcherHeight'], at)],
              },
            ]),
        { label: say`Leave stretchers out`, changes: [kit.change(['choices', 'stretchers'], 'none')] },
      ],
    );
  }
}

type Splay = {
  readonly splayEnds: number;
  readonly splaySides: number;
  readonly overhangEnds: Length;
  readonly overhangSides: Length;
};

/** Says so where the legs, leaning in by `lean` and `deep` thick along and across, leave no rail between them. */
function checkSplay(
  kit: Kit,
  room: Room,
  choices: Splay,
  foot: { readonly length: Length; readonly width: Length },
  lean: readonly [along: number, across: number],
  deep: readonly [along: Length, across: Length],
) {
  const slack = inches(1);
  const leave = [
    Math.floor(foot.length - 2 * lean[0] - 2 * deep[0] - slack),
    Math.floor(foot.width - 2 * lean[1] - 2 * deep[1] - slack),
  ] as const;
  ([0, 1] as const).forEach((at) => {
    if (leave[at] >= LEAST_RAIL) return;
    const name = at === 0 ? 'splayEnds' : 'splaySides';
    if (choices[name] === 0) {
      checkBetween(
        kit,
        room,
        at === 0 ? 'length' : 'width',
        leave[at],
        at === 0 ? choices.overhangEnds : choices.overhangSides,
        deep[at],
      );
      return;
    }
    const reach = (Math.tan((choices[name] * Math.PI) / 180) * room.under + (leave[at] - LEAST_RAIL) / 2) / room.under;
    const less = Math.floor(((Math.atan(Math.max(0, reach)) * 180) / Math.PI) * 2) / 2;
    const more = room[at === 0 ? 'length' : 'width'] + (LEAST_RAIL - leave[at]);
    kit.stop(
      `splay-meets-${at === 0 ? 'along' : 'across'}`,
      say`The splayed legs come too close under the top`,
      say`At ${choices[name]} degrees each leg leans in ${dim(Math.round(lean[at]))} by the top, which leaves ${dim(Math.max(0, leave[at]))} for the rail between them. It needs ${dim(LEAST_RAIL)}.`,
      { left: leave[at], least: LEAST_RAIL },
      [
        { label: say`Splay ${less} degrees`, changes: [kit.change(['choices', name], less)] },
        {
          label: say`Make it ${dim(more)} ${at === 0 ? 'long' : 'wide'}`,
          changes: [kit.change(['size', at === 0 ? 'length' : 'width'], more)],
        },
      ],
    );
  });
}

/** Says so where a leg leans so far over an apron's depth that the apron does not lie inside it. */
function checkApronInside(
  kit: Kit,
  { splayEnds, splaySides }: Splay,
  apron: { readonly width: Length; readonly thickness: Length },
  leg: Length,
) {
  const sideways = (apron.width / 2) * Math.max(tan(splayEnds), tan(splaySides));
  const within = leg / 2 - inches(1 / 8) - sideways;
  if (apron.thickness / 2 > within)
    kit.stop(
      'apron-past-leg',
      say`The apron stands out of its leaning leg`,
      say`Over its depth the leg leans ${dim(Math.round(2 * sideways))}; a ${dim(apron.thickness)} apron no longer lies inside it.`,
      { within },
      [{ label: say`Take a 1×3 apron`, changes: [kit.change(['choices', 'apron'], '1x3')] }],
    );
}

/** The stretcher between the end stretchers, cut to what is between them. */
function longStretcher(kit: Kit, height: Length) {
  const [left, right] = [boxOf(kit.get('S1')), boxOf(kit.get('S2'))];
  const { width, thickness } = kit.sizes.dressed(STRETCHER);
  const y = Math.round((left.min[1] + left.max[1] - thickness) / 2);
  kit.board(
    {
      tag: 'S3',
      role: 'stretcher',
      name: 'long stretcher',
      material: STRETCHER,
      fit: say`the gap between the end stretchers`,
      dependsOn: ['S1', 'S2'],
    },
    boxAt([left.max[0], y, height], [right.min[0] - left.max[0], thickness, width]),
    0,
    2,
  );
  kit.join('rail end', 'S3', 'S1');
  kit.join('rail end', 'S3', 'S2');
}

/** Legs that spread towards the floor, 0 to 15 degrees along, across or both; rails cut to match. */
export const splayed = family({
  id: 'splayed',
  name: 'Splayed legs',
  about: 'Legs that spread towards the floor: light to look at, hard to tip.',
  topped: true,
  choices: {
    legs: pick('Legs', LEG_STOCK, '2x4'),
    splayEnds: angle('Splay along, degrees', 8, 0, 15, { help: 'Both ends of the leg are cut to this angle.' }),
    splaySides: angle('Splay across, degrees', 0, 0, 15, { help: 'With splay both ways every cut is a compound one.' }),
    apron: pick('Aprons', { ...RAIL_STOCK }, '1x4', { firms: true }),
    ...overhangs,
    crossSupports: count('Cross supports', 1, 0, 6),
    stretchers: pick('Stretchers', { none: 'none', ends: 'at the ends', h: 'ends and middle' }, 'ends', {
      firms: true,
    }),
    stretcherHeight: measure('Stretcher height', inches(7), inches(1), inches(40), {
      when: (c) => c.stretchers !== 'none',
    }),
    ...topFixing,
    ...levelling,
  },
  build(room, choices) {
    const kit = kitFor(room);
    const apron = kit.sizes.dressed(choices.apron as Nominal);
    if (!checkHeight(kit, room, apron.width, 'apron')) return kit.built();
    const section = kit.sizes.dressed(choices.legs);
    const [deepX, deepY] = [section.width, section.thickness * PLIES[choices.legs]];
    const foot = footprint(room, choices);
    const lean = [room.under * tan(choices.splayEnds), room.under * tan(choices.splaySides)] as const;
    checkSplay(kit, room, choices, foot, lean, [deepX, deepY]);
    checkApronInside(kit, choices, apron, Math.min(deepX, deepY));
    const { width: stretcherWidth } = kit.sizes.dressed(STRETCHER);
    const apronFrom = room.under - apron.width;
    if (choices.stretchers !== 'none') checkStretcher(kit, room, apronFrom, stretcherWidth, choices.stretcherHeight);
    if (kit.stopped()) return kit.built();

    const [x0, x1, y0, y1] = [foot.x, foot.x + foot.length, foot.y, foot.y + foot.width];
    const [a, b] = [tan(choices.splayEnds), tan(choices.splaySides)];
    const corners = [
      ['L1', [x0, y0, 0], [1, 1]],
      ['L2', [x0, y1, 0], [1, -1]],
      ['L3', [x1, y0, 0], [-1, 1]],
      ['L4', [x1, y1, 0], [-1, -1]],
    ] as const;
    for (const [name, corner, side] of corners)
      leg(kit, name, corner, side, [side[0] * a, side[1] * b, 1], room.under, choices.legs);
    const nominal = choices.apron as Nominal;
    rail(kit, 'A1', 'long apron', ['L1', 'L3'], apronFrom, nominal, ALONG, 'apron');
    rail(kit, 'A2', 'long apron', ['L2', 'L4'], apronFrom, nominal, ALONG, 'apron');
    rail(kit, 'E1', 'end apron', ['L1', 'L2'], apronFrom, nominal, ACROSS, 'apron');
    rail(kit, 'E2', 'end apron', ['L3', 'L4'], apronFrom, nominal, ACROSS, 'apron');
    const ends = choices.stretchers === 'none' ? [] : ['S1', 'S2'];
    if (ends.length > 0) {
      rail(kit, 'S1', 'end stretcher', ['L1', 'L2'], choices.stretcherHeight, STRETCHER, ACROSS, 'stretcher');
      rail(kit, 'S2', 'end stretcher', ['L3', 'L4'], choices.stretcherHeight, STRETCHER, ACROSS, 'stretcher');
    }
    if (choices.stretchers === 'h') longStretcher(kit, choices.stretcherHeight);
    const long = boxOf(kit.get('A1'));
    checkSupports(kit, long.max[0] - long.min[0], kit.sizes.dressed(nominal).thickness, choices.crossSupports);
    if (kit.stopped()) return kit.built();
    const supports = crossSupports(kit, room, ['A1', 'A2'], choices.crossSupports, nominal);
    const angleNote = say`Trace the leg's angle from its template, or set the saw: both ends of every leg slant the same way.`;
    kit.assemble('end-1', say`Join the left end frame`, ['L1', 'L2', 'E1', ...ends.slice(0, 1)], [], [angleNote]);
    kit.assemble('end-2', say`Join the right end frame`, ['L3', 'L4', 'E2', ...ends.slice(1)], []);
    kit.assemble(
      'base',
      say`Join the end frames with the long aprons`,
      ['A1', 'A2', ...(choices.stretchers === 'h' ? ['S3'] : [])],
      ['end-1', 'end-2'],
    );
    if (supports.length > 0) kit.assemble('stiff', say`Put in the cross supports`, supports, ['base']);
    return kit.built(['A1', 'A2', 'E1', 'E2', ...supports]);
  },
});
