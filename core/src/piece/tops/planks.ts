import { first, last, nth } from '../../lists';
import { inches, type Length } from '../../length';
import { rectangle } from '../../solid';
import type { Nominal } from '../../stock';
import { kerfFor } from '../../job';
import { dim, say, type Phrase } from '../../words';
import { measure, pick, yes, type Choices } from '../choice';
import { top } from '../family';
import { boxAt, kitFor, type Kit } from '../kit';
import { edgeOf, edgingDepth, skirtChoices } from './boards';
import { edgingRound } from './edging';
import { salvageRows, seamsOf, SHORTEST } from './salvage';
import { cordChoices } from './cord';
import { profileChoices } from './profile';

const CORE = 'ply 3/4' as const;
const PLANKS = { '1x2': '1×2 strips', '1x3': '1×3', '1x4': '1×4', '1x6': '1×6' } as const;
/**
 * Where the seams of a row fall, from the row's left end: planks of `plank` one after the other, the first shortened
 * by the row's shift so that no two seams in neighbouring rows are nearer than `stagger`. Rows repeat when the shift
 * has gone through a whole plank.
 */
export function seams(length: Length, plank: Length, stagger: Length, row: number): readonly Length[] {
  const shifts = Math.max(1, Math.floor(plank / stagger));
  const first = plank - (row % shifts) * stagger;
  const found: Length[] = [];
  for (let at = first; at < length; at += plank) found.push(at);
  // A stub at either end is given to its neighbour, unless that would make a plank longer than there is.
  return found.filter((at) => at >= SHORTEST && length - at >= SHORTEST);
}

const isSeamed = (choices: Choices) => choices.run !== 'full';

/** Rows of planks and their core put together: the planks on it, or face down and it on them. */
function layUp(kit: Kit, laid: readonly (readonly string[])[], nailed: 'above' | 'below', apart: Phrase | ''): void {
  if (nailed === 'above') {
    kit.assemble(
      'field',
      say`Lay the planks on the core`,
      ['Y1', ...laid.flat()],
      [],
      [
        say`Start at the front edge. Glue, press each plank to the last, nail where the nail will not meet a saw.${apart}`,
      ],
    );
    return;
  }
  // Before the core comes they only lie side by side.
  laid.forEach((row, at) =>
    row.forEach((name, k) => {
      const beside = k > 0 ? row[k - 1] : laid[at - 1]?.[0];
      if (beside) kit.join('rest', name, beside);
    }),
  );
  kit.assemble(
    'field',
    say`Lay the core on the planks`,
    [...laid.flat(), 'Y1'],
    [],
    [
      say`Lay the planks face down on a flat bench with paper under them, the front row first, each pressed to the last, a straight board clamped along both long sides.${apart} Spread the glue on them row by row and without a rest: it all closes when the core comes down on them, its edges level with theirs all round. Draw on the core where each row runs, so that no nail goes between two.`,
    ],
  );
}

/** Planks glued and nailed over a plywood core, with an edging. */
export const planks = top({
  id: 'planks',
  name: 'Planks over plywood',
  about: 'Short or salvaged planks glued and nailed over a core: flat, and nothing moves.',
  deck: 'rectangle',
  holdsScrews: true,
  moves: false,
  choices: {
    planks: pick('Planks', PLANKS, '1x4'),
    run: pick('Planks run', { seamed: 'short, with seams', full: 'full length, no seams' }, 'seamed'),
    plank: measure('Plank length', inches(36), inches(12), inches(96), {
      help: 'As long as the pieces you have.',
      when: isSeamed,
    }),
    stagger: measure('Seams apart in neighbouring rows', inches(9), inches(3), inches(24), { when: isSeamed }),
    salvage: yes('Lay it from what is on hand', false, {
      help: 'Random lengths under Stock, On hand fill the rows; what is lacking is bought.',
      when: isSeamed,
    }),
    nailed: pick('Planks nailed', { above: 'from above', below: 'from below, through the core' }, 'above', {
      help: 'From below no hole shows and there is nothing to fill.',
    }),
    ...skirtChoices,
    ...cordChoices,
    ...profileChoices,
  },
  thickness: (choices, sizes) => sizes.thickness(CORE) + sizes.dressed(choices.planks).thickness,
  candidates: () => [],
  build(room, choices) {
    const kit = kitFor(room);
    const edge = edgeOf(room.sizes);
    const plank = kit.sizes.dressed(choices.planks);
    const core = kit.sizes.thickness(CORE);
    const [length, width] = [room.length - 2 * edge, room.width - 2 * edge];
    const seamed = isSeamed(choices);
    if (seamed && choices.stagger * 2 > choices.plank) {
      kit.stop(
        'stagger',
        say`The seams can not be that far apart`,
        say`Planks of ${dim(choices.plank)} repeat before seams ${dim(choices.stagger)} apart could step.`,
        { stagger: choices.stagger },
        [
          {
            label: say`Keep them ${dim(Math.floor(choices.plank / 3))} apart`,
            changes: [kit.change(['topChoices', 'stagger'], Math.floor(choices.plank / 3))],
          },
        ],
      );
      return kit.built();
    }
    kit.shaped({ tag: 'Y1', role: 'top', name: 'core', material: CORE }, rectangle(length, width), core, {
      at: [edge, edge, room.under],
      u: [1, 0, 0],
      v: [0, 1, 0],
    });
    const rows = Math.ceil(width / plank.width);
    // The outer rows are ripped alike, so that the pattern is even.
    const outer = rows > 1 ? Math.round((width - (rows - 2) * plank.width) / 2) : width;
    const found =
      seamed && choices.salvage
        ? salvageRows(length, rows, room.salvage, choices.plank, choices.stagger, kerfFor(room.shop, 'board'))
        : null;
    const laid: string[][] = [];
    let y = edge;
    for (let row = 0; row < rows; row++) {
      const wide = row === 0 ? outer : row === rows - 1 ? edge + width - y : plank.width;
      const between = found
        ? seamsOf(nth(found, row))
        : seamed
          ? seams(length, choices.plank, choices.stagger, row)
          : [];
      const marks = [0, ...between, length];
      const names = marks.slice(1).map((end, at) => {
        const name = `T${row + 1}${seamed ? String.fromCharCode(65 + at) : ''}`;
        const from = nth(marks, at);
        kit.board(
          { tag: name, role: 'top', name: 'plank', material: choices.planks as Nominal },
          boxAt([edge + from, y, room.under + core], [end - from, wide, plank.thickness]),
          0,
          1,
        );
        const [through, into] = choices.nailed === 'below' ? ['Y1', name] : [name, 'Y1'];
        kit.join('glue', through, into);
        return name;
      });
      laid.push(names);
      y += wide;
    }
    const deep = edgingDepth(choices.edging, room.topThickness, room.sizes);
    const edging = edgingRound(kit, room, room.height, deep, [
      [...first(laid), 'Y1'],
      [...last(laid), 'Y1'],
      [...laid.map((row) => first(row)), 'Y1'],
      [...laid.map((row) => last(row)), 'Y1'],
    ]);
    layUp(
      kit,
      laid,
      choices.nailed,
      seamed ? say` Seams in neighbouring rows stay ${dim(choices.stagger)} apart.` : '',
    );
    kit.assemble(
      'top',
      say`Fix the edging`,
      edging,
      ['field'],
      [say`Cut one mitre, hold the piece in place, mark the other. Glue and brads.`],
    );
    return kit.built();
  },
});
