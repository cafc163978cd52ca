import { first, last } from '../lists';
import { note, set, kerfFor, type Finding } from '../job';
import { marketOf } from '../buying';
import { runsInto } from '../sawing';
import { isSheet, printMaterial } from '../stock';
import { tagList } from '../work';
import { dim, listOf, say, strong, tag, type Phrase } from '../words';
import type { Facts } from './facts';
import { longestAt } from './unplaced';

/** A piece is no use any shorter than this share of what it is, whatever the grain does. */
const LEAST_SHARE = 2 / 3;

/** Whether every piece of a part runs on into one of another, as the boards lie. */
const allRunInto = (boards: Facts['buying']['boards'], a: string, b: string): boolean =>
  boards.every(({ pieces }) =>
    pieces.every(
      (one) => one.blank.part.id !== a || pieces.some((other) => other.blank.part.id === b && runsInto(one, other)),
    ),
  );

/** Grain that is to run on from part to part: where it does, as the boards are cut, and where it breaks, and why. */
export function grainNotes({ job, pieces, buying }: Facts): readonly Finding[] {
  return pieces.flatMap(({ piece, parts }): readonly Finding[] => {
    const run = parts.filter((part) => part.run !== null).sort((a, b) => (a.run?.at ?? 0) - (b.run?.at ?? 0));
    const blanks = run.flatMap(
      ({ id }) =>
        buying.boards.flatMap((board) => board.pieces.find(({ blank }) => blank.part.id === id) ?? [])[0] ?? [],
    );
    if (run.length < 2 || blanks.length < run.length) return [];
    const { blank } = first(blanks);
    const kerf = kerfFor(job.shop, isSheet(blank.material) ? 'sheet' : 'board');
    const breaks = run.slice(1).flatMap((part, at) => {
      const before = run[at];
      return before && !allRunInto(buying.boards, before.id, part.id) ? [[before.tag, part.tag] as const] : [];
    });
    const about = run.map(({ id }) => id);
    const tags = run.map((part) => part.tag);
    if (breaks.length === 0) {
      const on = buying.boards.filter((board) => board.pieces.some((one) => one.blank.part.id === last(run).id));
      return [
        note(piece.id, 'grain', 'good', 'cuts', {
          about,
          title: say`The grain runs on through ${tagList(tags)}`,
          because: say`They are cut one after the other from one strip of sheet ${listOf(on.map(({ number }) => strong(number)))}, the saw's width lost between them.`,
        }),
      ];
    }
    const strip = blanks.reduce((sum, { blank: { length } }) => sum + length, (blanks.length - 1) * kerf);
    const longest = longestAt(blank, marketOf(job), job);
    const shorter = piece.size.length - (strip - longest);
    const where = listOf(breaks.map(([a, b]): Phrase => say`${tag(a)} and ${tag(b)}`));
    return [
      note(piece.id, 'grain', 'care', 'cuts', {
        about,
        title: say`The grain breaks between ${where}`,
        because:
          strip > longest
            ? say`In one strip ${tagList(tags)} are ${dim(strip)} long; the longest ${printMaterial(blank.material)} sold is ${dim(longest)}.`
            : say`They are not cut one after the other from one strip: some of them come from what is there, or from a board that stays as it is.`,
        numbers: { strip, longest },
        remedies:
          strip > longest && shorter >= piece.size.length * LEAST_SHARE
            ? [{ label: say`Make it ${dim(shorter)} long`, changes: [set(piece.id, ['size', 'length'], shorter)] }]
            : [],
      }),
    ];
  });
}
