import { first, last } from '../../lists';
import { inches, tapeStep } from '../../length';
import type { Nominal } from '../../stock';
import { dim, say, tag } from '../../words';
import { measure, pick, yes } from '../choice';
import { family } from '../family';
import { boxAt, holed, kitFor } from '../kit';
import { boxOf } from '../shape';
import { divideTop } from '../top';
import { checkBetween, checkHeight, footprint, overhangs, topFixing } from './common';

const ENDS = { '2x8': '2×8 boards', '2x10': '2×10 boards', '2x12': '2×12 boards', '1x12': '1×12 boards' } as const;
const APRONS = { '1x3': '1×3', '1x4': '1×4', '1x6': '1×6' } as const;

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
    apron: pick('Aprons', APRONS, '1x4'),
    foot: yes('Arched foot', true, { help: 'An arch leaves two feet, which stand on an uneven floor.' }),
    stretcherHeight: measure('Stretcher height', inches(5), inches(1), inches(30)),
    ...overhangs,
    ...topFixing,
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
    if (choices.stretcherHeight > high) {
      const at = Math.max(inches(1), Math.round(high / 2));
      const height = room.height + inches(1) - high;
      kit.stop(
        'stretcher-meets-apron',
        say`The stretcher meets the aprons`,
        say`Under the aprons there is ${dim(room.under - apron.width)}; a ${dim(stretcher.width)} stretcher at ${dim(choices.stretcherHeight)} is among them.`,
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
    if (kit.stopped()) return kit.built();

    const inset = inches(2);
    const y0 = foot.y + apron.thickness;
    const wide = foot.width - 2 * apron.thickness;
    const { widths } = divideTop(wide, choices.ends as Nominal, 'ripped', room.shop.edgeRip, room.units, room.sizes);
    const arch = Math.min(Math.round(wide / 2 - inches(2)), choices.stretcherHeight - inches(0.5));
    const ends: string[][] = [];
    [foot.x + inset, foot.x + foot.length - inset - end.thickness].forEach((x, at) => {
      let y = y0;
      const row = widths.map((width, k) => {
        const name = `E${at + 1}${String.fromCharCode(65 + k)}`;
        const part = kit.board(
          {
            tag: name,
            role: 'leg',
            name: 'end board',
            material: choices.ends,
            squared: true,
            trimmedLater: widths.length > 1,
          },
          boxAt([x, y, 0], [end.thickness, width, room.under]),
          2,
          1,
        );
        y += width;
        if (choices.foot && arch >= inches(1)) kit.put(holed(part, [x, y0 + Math.round(wide / 2), 0], [1, 0, 0], arch));
        return name;
      });
      row.slice(1).forEach((name, k) => kit.join('edge', row[k]!, name));
      ends.push(row);
    });
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
    const [left, right] = [boxOf(kit.get(first(first(ends)))), boxOf(kit.get(first(ends[1]!)))];
    const between = right.min[0] - left.max[0];
    const step = tapeStep(room.units);
    const y = Math.round((foot.y + foot.width / 2 - stretcher.thickness / 2) / step) * step;
    kit.board(
      {
        tag: 'S1',
        role: 'stretcher',
        name: 'stretcher',
        material: '2x4',
        fit: say`the gap between ${tag(first(first(ends)))} and ${tag(first(ends[1]!))} at the aprons`,
        dependsOn: [first(first(ends)), first(ends[1]!)],
      },
      boxAt([left.max[0], y, choices.stretcherHeight], [between, stretcher.thickness, stretcher.width]),
      0,
      2,
    );
    const behind = ends.map((row) =>
      row.filter((name) => boxOf(kit.get(name)).min[1] < y + stretcher.thickness && boxOf(kit.get(name)).max[1] > y),
    );
    behind.flat().forEach((name) => kit.join('rail end', 'S1', name));
    ends.forEach((row, at) => {
      if (row.length > 1) kit.assemble(`end-${at + 1}`, say`Glue up end ${at + 1}`, row);
    });
    const glued = ends.flatMap((row, at) => (row.length > 1 ? [`end-${at + 1}`] : []));
    const loose = ends.filter((row) => row.length === 1).flat();
    kit.assemble('base', say`Join the ends with the aprons and the stretcher`, [...loose, 'A1', 'A2', 'S1'], glued);
    return kit.built(['A1', 'A2']);
  },
});
