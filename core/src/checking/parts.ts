import { inches } from '../length';
import { note, set } from '../job';
import type { Finding, Job } from '../job';
import { anchored, chordSaving, knownOf, laidFromHand, topOf } from '../piece';
import { isBoard, printMaterial, sizesOf, type BoardKey } from '../stock';
import { dim, listOf, say, strong, tag, type Bit } from '../words';
import type { PieceFacts } from './facts';

/** Parts set or added by hand, parts their stock can not give, what a round top saves, and what must be anchored. */
export function partNotes({ piece, parts, model }: PieceFacts, job: Job): readonly Finding[] {
  if (parts.length === 0) return [];
  const found: Finding[] = [];
  const sizes = sizesOf(job.measured);
  const byHand = parts.filter((part) => Object.keys(part.changed).length > 0);
  if (byHand.length > 0)
    found.push(
      note(piece.id, 'by-hand', 'care', 'parts', {
        about: byHand.map((part) => part.id),
        title: say`${strong(byHand.length)} ${byHand.length === 1 ? 'part is' : 'parts are'} set by hand`,
        because: say`${listOf(byHand.map((part): Bit => tag(part.tag)))}: bought and cut as you say. What joins them is still worked out from the plan; check it on the model.`,
        remedies: [
          {
            label: say`Take all back`,
            changes: byHand.map(({ tag: name }) => set(piece.id, ['overrides', name], undefined)),
          },
        ],
      }),
    );
  // Boards glued face to face are wide or thick in their plies' sum; the width is one board's.
  const wide = parts.filter(
    (part) => !part.kept && isBoard(part.material) && part.width > sizes.board(part.material).width,
  );
  for (const part of wide) {
    const most = sizes.board(part.material as BoardKey).width;
    found.push(
      note(piece.id, 'wide', 'stop', 'parts', {
        which: part.tag,
        about: [part.id],
        title: say`${tag(part.tag)} is wider than its board`,
        because: say`It is ${dim(part.width)} wide; ${printMaterial(part.material)} gives ${dim(most)}.`,
        remedies: part.loose
          ? []
          : [
              {
                label: say`Take it back`,
                changes: [set(piece.id, ['overrides', part.tag], undefined)],
              },
            ],
      }),
    );
  }
  if (laidFromHand(piece) !== null && knownOf(piece, job).salvage.length === 0)
    found.push(
      note(piece.id, 'salvage', 'care', 'stock', {
        title: say`No planks on hand for this top`,
        because: say`It is to be laid from what is there. Enter the planks under Stock, On hand, in its board size; until then all are bought. The first piece that asks gets them.`,
        remedies: [
          {
            label: say`Buy the planks`,
            changes: [set(piece.id, ['topChoices', 'salvage'], false)],
          },
        ],
      }),
    );
  if (topOf(piece)?.id === 'round') {
    const boards = parts.filter((part) => part.role === 'top');
    const saved = chordSaving(
      piece.size.length,
      boards.map((part) => part.length),
    );
    found.push(
      note(piece.id, 'chords', 'good', 'shape', {
        title: say`Round saves ${dim(Math.floor(saved / inches(1)) * inches(1))} of board`,
        because: say`Each of the ${strong(boards.length)} boards need only be as long as its chord: the outer ones are ${dim(Math.min(...boards.map((part) => part.length)))} and not ${dim(piece.size.length)}.`,
        numbers: { savedUnits: saved },
      }),
    );
  }
  const tips = anchored(piece, model);
  if (tips)
    found.push(
      note(piece.id, 'anchor', 'care', 'shape', {
        about: tips === 'tall' ? [] : [tips.part.id],
        title: say`Anchor it to the wall`,
        because:
          tips === 'tall'
            ? say`At ${dim(piece.size.height)} it tips onto a child who climbs a shelf. A bracket into a stud at the top holds it.`
            : tips.pounds < 1
              ? say`With all that opens standing open it tips by itself. A bracket into a stud at the top holds it; open one at a time.`
              : say`Standing open it tips when ${Math.round(tips.pounds)} lb press on the front of ${tips.what} ${tag(tips.part.tag)}, as a child does who climbs it or an arm that leans there. A bracket into a stud at the top holds it.`,
        numbers: tips === 'tall' ? {} : { tipsAtPounds: tips.pounds },
      }),
    );
  return found;
}
