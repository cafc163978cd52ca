import { first, last, pairs } from '../../lists';
import { inches, tapeStep, type Length } from '../../length';
import type { Nominal } from '../../stock';
import { dim, say, tag } from '../../words';
import { measure, pick, yes } from '../choice';
import { levelling } from '../feet';
import { family, type Room } from '../family';
import { boxAt, holed, kitFor, type Kit } from '../kit';
import { boxOf } from '../shape';
import { divideTop } from '../top';
import { checkBetween, checkHeight, footprint, overhangs, topFixing } from './common';

const ENDS = { '2x8': '2×8 boards', '2x10': '2×10 boards', '2x12': '2×12 boards', '1x12': '1×12 boards' } as const;
const APRONS = { '1x3': '1×3', '1x4': '1×4', '1x6': '1×6' } as const;

/** Says so where the stretcher, its underside at `asked`, stands above `high` among the aprons. */
function checkStretcher(kit: Kit, room: Room, asked: Length, high: Length, apron: Length) {
  if (asked <= high) return;
  const { width } = kit.sizes.dressed('2x4');
  const at = Math.max(inches(1), Math.round(high / 2));
  const height = room.height + inches(1) - high;
  kit.stop(
    'stretcher-meets-apron',
    say`The stretcher meets the aprons`,
    say`Under the aprons there is ${dim(room.under - apron)}; a ${dim(width)} stretcher at ${dim(asked)} is among them.`,
    { high },
    at <= high
      ? [{ label: say`Put it at ${dim(at)}`, changes: [kit.change(['choices', 'stretcherHeight'], at)] }]
      : [
          {
            label: say`Make it ${dim(height)} high, the stretcher at ${dim(at)}`,
            changes: [kit.change(['size', 'height'], height), kit.change(['choices', 'stretcherHeight'], at)],
          },
        ],
  );
}

type End = {
  readonly x: Length;
  readonly y0: Length;
  readonly wide: Length;
  /** Of its boards, edge to edge. */
  readonly widths: readonly Length[];
  readonly height: Length;
  readonly stock: keyof typeof ENDS;
};

/** An upright end of boards joined edge to edge, an arch of a radius cut out below. Gives the tags of its boards. */
function boardEnd(kit: Kit, name: string, end: End, arch: Length | null): readonly string[] {
  const { thickness } = kit.sizes.dressed(end.stock);
  let y = end.y0;
  const row = end.widths.map((width, k) => {
    const tagOf = `${name}${String.fromCharCode(65 + k)}`;
    const part = kit.board(
      {
        tag: tagOf,
        role: 'leg',
        name: 'end board',
        material: end.stock,
        squared: true,
        trimmedLater: end.widths.length > 1,
      },
      boxAt([end.x, y, 0], [thickness, width, end.height]),
      2,
      1,
    );
    y += width;
    if (arch !== null) kit.put(holed(part, [end.x, end.y0 + Math.round(end.wide / 2), 0], [1, 0, 0], arch));
    return tagOf;
  });
  pairs(row).forEach(([one, next]) => kit.join('edge', one, next));
  return row;
}

type Foot = { readonly y: Length; readonly width: Length };

/** The stretcher between the two ends, screwed to the boards it stands against. */
function stretcherBetween(
  kit: Kit,
  room: Room,
  foot: Foot,
  ends: readonly [readonly string[], readonly string[]],
  height: Length,
) {
  const { width, thickness } = kit.sizes.dressed('2x4');
  const [one, other] = [first(ends[0]), first(ends[1])];
  const [left, right] = [boxOf(kit.get(one)), boxOf(kit.get(other))];
  const between = right.min[0] - left.max[0];
  const step = tapeStep(room.units);
  const y = Math.round((foot.y + foot.width / 2 - thickness / 2) / step) * step;
  kit.board(
    {
      tag: 'S1',
      role: 'stretcher',
      name: 'stretcher',
      material: '2x4',
      fit: say`the gap between ${tag(one)} and ${tag(other)} at the aprons`,
      dependsOn: [one, other],
    },
    boxAt([left.max[0], y, height], [between, thickness, width]),
    0,
    2,
  );
  const behind = ends.map((row) =>
    row.filter((name) => boxOf(kit.get(name)).min[1] < y + thickness && boxOf(kit.get(name)).max[1] > y),
  );
  behind.flat().forEach((name) => kit.join('rail end', 'S1', name));
}

/** Board ends that stand upright, a long apron on each side, and a stretcher between the ends. */
export const bench = family({
  id: 'bench',
  name: 'Board-end bench',
  about: 'Two upright board ends between two long aprons: the quickest strong seat.',
  topped: true,
  refuses: (top) =>
    top.deck === 'rectangle'
      ? null
      : 'Board ends stand under a straight top: round and octagonal ones want legs or a pedestal.',
  choices: {
    ends: pick('Ends', ENDS, '2x10'),
    apron: pick('Aprons', APRONS, '1x4', { firms: true }),
    foot: yes('Arched foot', true, { help: 'An arch leaves two feet, which stand on an uneven floor.' }),
    stretcherHeight: measure('Stretcher height', inches(5), inches(1), inches(30)),
    ...overhangs,
    ...topFixing,
    ...levelling,
  },
  build(room, choices) {
    const kit = kitFor(room);
    const apron = kit.sizes.dressed(choices.apron);
    const end = kit.sizes.dressed(choices.ends);
    const stretcher = kit.sizes.dressed('2x4');
    if (!checkHeight(kit, room, apron.width, 'apron')) return kit.built();
    const foot = footprint(room, choices);
    checkBetween(
      kit,
      room,
      'length',
      foot.length - 2 * end.thickness - 2 * inches(2),
      choices.overhangEnds,
      end.thickness,
      inches(8),
    );
    checkBetween(
      kit,
      room,
      'width',
      foot.width - 2 * apron.thickness,
      choices.overhangSides,
      apron.thickness,
      inches(6),
    );
    const high = room.under - apron.width - stretcher.width;
    checkStretcher(kit, room, choices.stretcherHeight, high, apron.width);
    if (kit.stopped()) return kit.built();

    const inset = inches(2);
    const y0 = foot.y + apron.thickness;
    const wide = foot.width - 2 * apron.thickness;
    const { widths } = divideTop(wide, choices.ends as Nominal, 'ripped', room.shop.edgeRip, room.units, room.sizes);
    const arch = Math.min(Math.round(wide / 2 - inches(2)), choices.stretcherHeight - inches(0.5));
    const arched = choices.foot && arch >= inches(1) ? arch : null;
    const ends = [foot.x + inset, foot.x + foot.length - inset - end.thickness].map((x, at) =>
      boardEnd(kit, `E${at + 1}`, { x, y0, wide, widths, height: room.under, stock: choices.ends }, arched),
    ) as [readonly string[], readonly string[]];
    const x0 = foot.x;
    [foot.y, foot.y + foot.width - apron.thickness].forEach((y, at) => {
      const name = `A${at + 1}`;
      kit.board(
        { tag: name, role: 'apron', name: 'long apron', material: choices.apron },
        boxAt([x0, y, room.under - apron.width], [foot.length, apron.thickness, apron.width]),
        0,
        2,
      );
      for (const row of ends) kit.join('screws', name, at === 0 ? first(row) : last(row));
    });
    stretcherBetween(kit, room, foot, ends, choices.stretcherHeight);
    ends.forEach((row, at) => {
      if (row.length > 1) kit.assemble(`end-${at + 1}`, say`Glue up end ${at + 1}`, row);
    });
    const glued = ends.flatMap((row, at) => (row.length > 1 ? [`end-${at + 1}`] : []));
    const loose = ends.filter((row) => row.length === 1).flat();
    kit.assemble('base', say`Join the ends with the aprons and the stretcher`, [...loose, 'A1', 'A2', 'S1'], glued);
    return kit.built(['A1', 'A2']);
  },
});
