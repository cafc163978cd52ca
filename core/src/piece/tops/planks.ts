import { first, last, nth } from '../../lists';
import { inches, type Length } from '../../length';
import { rectangle } from '../../solid';
import type { LumberSizes, Nominal } from '../../stock';
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
const PLANKS = {
  '1x2': '1×2 strips',
  '1x3': '1×3',
  '1x4': '1×4',
  '1x6': '1×6',
  mixed: '1×3, 1×4 and 1×6 mixed',
  strips: 'strips of 1/2 plywood',
} as const;
/** What rows of planks are laid of, one after the other and over again. */
const MIXED: readonly Nominal[] = ['1x6', '1x3', '1x4'];
const STRIPS = 'ply 1/2' as const;

/** What a plank is cut from, and how wide it is as it is bought or sawn. */
type Stuff = { readonly material: Nominal | typeof STRIPS; readonly width: Length };
const thicknessOf = (planks: keyof typeof PLANKS, sizes: LumberSizes): Length =>
  planks === 'strips' ? sizes.thickness(STRIPS) : sizes.dressed(planks === 'mixed' ? first(MIXED) : planks).thickness;
function stuffOf({ planks, strip }: { planks: keyof typeof PLANKS; strip: Length }, sizes: LumberSizes) {
  if (planks === 'strips') return [{ material: STRIPS, width: strip }];
  return (planks === 'mixed' ? MIXED : [planks]).map((nominal): Stuff => ({
    material: nominal,
    width: sizes.dressed(nominal).width,
  }));
}

/**
 * Rows that fill a width: of each stuff in turn as wide as it is, the two outer ones ripped alike so that the pattern
 * is even.
 */
export function rowsOf(width: Length, stuff: readonly Stuff[]): readonly Stuff[] {
  const rows: Stuff[] = [];
  let filled = 0;
  while (filled < width) {
    const next = nth(stuff, rows.length % stuff.length);
    rows.push(next);
    filled += next.width;
  }
  const over = filled - width;
  const [one, other] = [first(rows), last(rows)];
  if (rows.length === 1) return [{ ...one, width }];
  // Both outer rows become as wide as what is left for the two allows.
  const both = one.width + other.width - over;
  const front = Math.min(one.width, Math.max(Math.round(both / 2), both - other.width));
  return [{ ...one, width: front }, ...rows.slice(1, -1), { ...other, width: both - front }];
}

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
/** Whether rows are laid of boards of one width, as those on hand can be. */
const isOfOne = (choices: Choices) => choices.planks !== 'mixed' && choices.planks !== 'strips';

/** The boards that rows of random lengths are laid of; null where they are not laid so. */
export const salvagedAs = (choices: Choices): Nominal | null =>
  choices.salvage === true && isSeamed(choices) && isOfOne(choices) ? (choices.planks as Nominal) : null;

/** Said where planks are laid long: what is told along them is told from where they will end. */
const LONG = say` Let each stand over both ends of the core by the same; nails along a plank are told from the ends it will have.`;

/** Rows of planks and their core put together: the planks on it, or face down and it on them. */
function layUp(
  kit: Kit,
  laid: readonly (readonly string[])[],
  { nailed, long, apart }: { nailed: 'above' | 'below'; long: boolean; apart: Phrase | '' },
): void {
  if (nailed === 'above') {
    kit.assemble(
      'field',
      say`Lay the planks on the core`,
      ['Y1', ...laid.flat()],
      [],
      [
        say`Start at the front edge. Glue, press each plank to the last, nail where the nail will not meet a saw.${long ? LONG : apart}`,
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
      say`Lay the planks face down on a flat bench with paper under them, the front row first, each pressed to the last, a straight board clamped along both long sides.${apart} Spread the glue on them row by row and without a rest: it all closes when the core comes down on them, ${long ? say`its long edges level with theirs.${LONG}` : `its edges level with theirs all round.`} Draw on the core where each row runs, so that no nail goes between two.`,
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
    strip: measure('Strip width', inches(2), inches(1.5), inches(12), {
      when: ({ planks: of }) => of === 'strips',
      help: 'They are sawn from a sheet, all at one setting.',
    }),
    run: pick('Planks run', { seamed: 'short, with seams', full: 'full length, no seams' }, 'seamed'),
    plank: measure('Plank length', inches(36), inches(12), inches(96), {
      help: 'As long as the pieces you have.',
      when: isSeamed,
    }),
    stagger: measure('Seams apart in neighbouring rows', inches(9), inches(3), inches(24), { when: isSeamed }),
    salvage: yes('Lay it from what is on hand', false, {
      help: 'Random lengths under Stock, On hand fill the rows; what is lacking is bought.',
      when: (choices) => isSeamed(choices) && isOfOne(choices),
    }),
    ends: pick('Plank ends', { list: 'cut to the list', flush: 'laid long, cut flush in one line' }, 'list', {
      when: (choices) => !isSeamed(choices),
      help: 'Laid long no end need be exact: all are cut along the core once they are down.',
    }),
    nailed: pick('Planks nailed', { above: 'from above', below: 'from below, through the core' }, 'above', {
      help: 'From below no hole shows and there is nothing to fill.',
    }),
    ...skirtChoices,
    ...cordChoices,
    ...profileChoices,
  },
  thickness: (choices, sizes) => sizes.thickness(CORE) + thicknessOf(choices.planks, sizes),
  candidates: () => [],
  build(room, choices) {
    const kit = kitFor(room);
    const edge = edgeOf(room.sizes);
    const thickness = thicknessOf(choices.planks, kit.sizes);
    const core = kit.sizes.thickness(CORE);
    const [length, width] = [room.length - 2 * edge, room.width - 2 * edge];
    const seamed = isSeamed(choices);
    const long = !seamed && choices.ends === 'flush';
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
    const rows = rowsOf(width, stuffOf(choices, kit.sizes));
    const found =
      salvagedAs(choices) !== null
        ? salvageRows(length, rows.length, room.salvage, choices.plank, choices.stagger, kerfFor(room.shop, 'board'))
        : null;
    const laid: string[][] = [];
    let y = edge;
    for (const [row, { material, width: wide }] of rows.entries()) {
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
          { tag: name, role: 'top', name: 'plank', material, flush: long },
          boxAt([edge + from, y, room.under + core], [end - from, wide, thickness]),
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
    layUp(kit, laid, {
      nailed: choices.nailed,
      long,
      apart: seamed ? say` Seams in neighbouring rows stay ${dim(choices.stagger)} apart.` : '',
    });
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
