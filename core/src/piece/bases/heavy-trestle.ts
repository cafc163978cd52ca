import { inches, type Length } from '../../length';
import type { Nominal } from '../../stock';
import { dim, say } from '../../words';
import { measure, pick, yes } from '../choice';
import { levelling } from '../feet';
import { family } from '../family';
import { boxAt, kitFor, type Kit } from '../kit';
import type { Cutout, Part } from '../part';
import { clipped } from './clipped';
import { checkBetween, footprint, overhangs, topFixing } from './common';

const TIMBER = { '4x4': '4×4', '4x6': '4×6', '6x6': '6×6' } as const;

/** A relief under a foot, so that it stands on its two ends. */
function relieved(part: Part, pad: Length, deep: Length): Part {
  const { length, width } = part;
  const cut: Cutout = {
    kind: 'relief',
    axis: 1,
    outline: [
      [pad, -1],
      [length - pad, -1],
      [length - pad - deep, deep],
      [pad + deep, deep],
    ],
    from: -1,
    to: width + 1,
    for: null,
  };
  return { ...part, cuts: [...part.cuts, cut] };
}

/** A beam along y whose thickness stands up, so that its own z is height. */
const beamAcross = (
  kit: Kit,
  tag: string,
  role: 'foot' | 'apron',
  name: string,
  material: Nominal,
  x: Length,
  y: Length,
  z: Length,
  length: Length,
) => {
  const { width, thickness } = kit.sizes.dressed(material);
  // Lying on its face along y: u along y, v against x, so that u x v points up.
  return kit.put({
    ...kit.board({ tag, role, name, material }, boxAt([x, y, z], [width, length, thickness]), 1, 0),
    frame: { at: [x + width, y, z], u: [0, 1, 0], v: [-1, 0, 0] },
  });
};

/** Two trestles of heavy timber, two posts each, bolted; a stretcher half-lapped over both feet. */
export const heavyTrestle = family({
  id: 'heavy-trestle',
  name: 'Heavy trestle',
  about: 'Big posts, bolts and a lapped stretcher: heavy, and it comes apart to go through a door.',
  topped: true,
  refuses: (_top, { length, width }) => (length < 1.2 * width ? 'A trestle wants a top longer than it is wide.' : null),
  choices: {
    timber: pick('Timber', TIMBER, '4x4'),
    clip: measure('Corners clipped off feet and heads', inches(1.5), 0, inches(3)),
    relief: yes('Relief under the feet', true, { help: 'A foot that stands on its two ends does not rock.' }),
    overhangEnds: overhangs.overhangEnds,
    overhangSides: overhangs.overhangSides,
    ...topFixing,
    ...levelling,
  },
  build(room, choices) {
    const kit = kitFor(room);
    const beam = kit.sizes.dressed(choices.timber);
    const foot = footprint(room, choices);
    const postLength = room.under - 2 * beam.thickness;
    const least = inches(6);
    if (postLength < least) {
      const height = room.height + (least - postLength);
      kit.stop(
        'post-short',
        say`Too low for these timbers`,
        say`Foot and head take ${dim(2 * beam.thickness)} and leave ${dim(Math.max(0, postLength))} for the posts. They need ${dim(least)}.`,
        { postLength, least },
        [
          { label: say`Make it ${dim(height)} high`, changes: [kit.change(['size', 'height'], height)] },
          { label: say`Take 4×4 timber`, changes: [kit.change(['choices', 'timber'], '4x4')] },
        ],
      );
      return kit.built();
    }
    checkBetween(kit, room, 'length', foot.length - 2 * beam.width, choices.overhangEnds, beam.width, inches(12));
    const needed = 3 * beam.width + 2 * inches(3);
    checkBetween(kit, room, 'width', foot.width - needed + inches(4), choices.overhangSides, beam.width);
    if (choices.clip > beam.thickness - inches(1))
      kit.stop(
        'clip-deep',
        say`The clipped corners leave no end`,
        say`A ${dim(beam.thickness)} timber clipped by ${dim(choices.clip)} keeps under an inch.`,
        { clip: choices.clip },
        [
          {
            label: say`Clip ${dim(beam.thickness - inches(1))}`,
            changes: [kit.change(['choices', 'clip'], beam.thickness - inches(1))],
          },
        ],
      );
    if (kit.stopped()) return kit.built();

    const middle = foot.y + Math.round(foot.width / 2);
    const rowsY = [foot.y + inches(3), foot.y + foot.width - inches(3) - beam.thickness];
    const ends = [foot.x, foot.x + foot.length - beam.width];
    ends.forEach((x, at) => {
      const n = at + 1;
      let under = beamAcross(kit, `F${n}`, 'foot', 'foot', choices.timber, x, foot.y, 0, foot.width);
      if (choices.relief) under = relieved(under, inches(3), inches(0.75));
      if (choices.clip > 0) under = clipped(under, choices.clip, 'upper');
      kit.put(under);
      const head = beamAcross(
        kit,
        `K${n}`,
        'apron',
        'head',
        choices.timber,
        x,
        foot.y,
        room.under - beam.thickness,
        foot.width,
      );
      if (choices.clip > 0) kit.put(clipped(head, choices.clip, 'lower'));
      rowsY.forEach((y, k) => {
        const tag = `P${2 * at + k + 1}`;
        kit.board(
          { tag, role: 'leg', name: 'post', material: choices.timber },
          boxAt([x, y, beam.thickness], [beam.width, beam.thickness, postLength]),
          2,
          0,
        );
        kit.join('bolt', `F${n}`, tag);
        kit.join('bolt', `K${n}`, tag);
      });
    });
    const stretcherY = middle - Math.round(beam.width / 2);
    kit.board(
      { tag: 'S1', role: 'stretcher', name: 'stretcher', material: choices.timber },
      boxAt([foot.x, stretcherY, Math.round(beam.thickness / 2)], [foot.length, beam.width, beam.thickness]),
      0,
      1,
    );
    for (const name of ['F1', 'F2']) {
      kit.lap(name, 'S1');
      kit.join('bolt', 'S1', name);
    }
    [1, 2].forEach((n) =>
      kit.assemble(`trestle-${n}`, say`Bolt trestle ${n}`, [`F${n}`, `K${n}`, `P${2 * n - 1}`, `P${2 * n}`]),
    );
    kit.assemble('base', say`Lap the stretcher over the feet`, ['S1'], ['trestle-1', 'trestle-2']);
    return kit.built(['K1', 'K2']);
  },
});
