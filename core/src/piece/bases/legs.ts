import { first, nth, sure } from '../../lists';
import { inches, type Length } from '../../length';
import type { LumberSizes, Material, Nominal } from '../../stock';
import { say, dim, tag, type Phrase } from '../../words';
import { measure, pick, type Choices } from '../choice';
import { through, type Outline } from '../../solid';
import { board, mirror, boxAt, type Kit } from '../kit';
import type { Box } from '../geometry';
import type { Room } from '../family';
import type { Cutout, JointKind, Part } from '../part';
import { mostly } from '../shape';

/** Leg kinds by what they are glued up from. */
const LEG_KINDS = {
  '2x2': 'solid 2×2',
  '4x4': 'solid 4×4',
  '3x3 planed': '3×3 of a 4×4, planed',
  '3x3': '3×3 of two 2×4, ripped',
  'two 2x4': 'two 2×4, glued',
  'three 2x4': 'three 2×4, glued',
  'three 1x4': 'three 1×4, glued',
  'four 1x4': 'four 1×4, glued',
  'box 1x4': 'hollow box of 1×4',
  'box 1x6': 'hollow box of 1×6',
  'box 1x8': 'hollow box of 1×8',
  bought: 'bought, turned',
} as const;
export type LegKind = keyof typeof LEG_KINDS;

/** Heights of bought legs as sold, inches. */
const BOUGHT_LEGS: readonly ('16' | '21' | '28' | '35')[] = ['16', '21', '28', '35'];
/** A bought leg is shortened at the foot by at most this much: more would cut into the turning. */
const MOST_CUT_OFF = inches(1);
const BOUGHT_POUNDS = 3;

const bought = (choices: Choices) => choices.legs === 'bought';

const LAMINATED: Readonly<Partial<Record<LegKind, readonly [Nominal, number]>>> = {
  '2x2': ['2x2', 1],
  '4x4': ['4x4', 1],
  '3x3 planed': ['4x4', 1],
  '3x3': ['2x4', 2],
  'two 2x4': ['2x4', 2],
  'three 2x4': ['2x4', 3],
  'three 1x4': ['1x4', 3],
  'four 1x4': ['1x4', 4],
};

const glued = (kind: LegKind): boolean => (LAMINATED[kind]?.[1] ?? 1) > 1;
/** Legs of one piece of wood, glued or not, may run thinner to the foot. */
export const taperable = ({ legs }: Choices): boolean => LAMINATED[legs as LegKind] !== undefined;

export const legChoices = {
  legs: pick('Legs', LEG_KINDS, 'two 2x4', {
    help: 'Glued legs are straighter and often cheaper than solid ones; a hollow box is light and shows no end grain or nail.',
  }),
  boughtLeg: pick('Bought leg, inches high', { '16': '16', '21': '21', '28': '28', '35': '35' }, '28', {
    when: bought,
  }),
  legEdges: pick('Edges of glued legs', { flush: 'flush, sanded', ripped: 'proud, ripped clean' }, 'flush', {
    when: ({ legs }) => glued(legs as LegKind) && legs !== '3x3',
    help: 'Flush is quick and keeps the rounded edges. Glued a little proud and ripped on both sides they look like one timber, and are 1/8 narrower.',
  }),
  boughtSection: measure('Bought leg, square of its block', inches(2.25), inches(1), inches(5), { when: bought }),
};

/** How thick a leg is along and across the table, and what it is made of. */
export type LegSection = {
  readonly along: Length;
  readonly across: Length;
  readonly material: Material;
  readonly plies: number;
  /** Planed off two of its faces besides what all boards are planed; the other two are ripped. */
  readonly planed?: Length;
  /** For a hollow box: what the two boards between the wide ones are ripped from. */
  readonly narrow: Nominal | null;
};

/** The wide boards of hollow legs, and what the two between them are ripped from. */
const HOLLOW: Readonly<Partial<Record<LegKind, readonly [Nominal, Nominal]>>> = {
  'box 1x4': ['1x4', '1x3'],
  'box 1x6': ['1x6', '1x6'],
  'box 1x8': ['1x8', '1x8'],
};

/** What a timber is planed and ripped to for a square leg. */
const SQUARED: Length = inches(3);
/** Ripped off a glued leg, a sixteenth a side: the rounded edges and the glue. */
const RIPPED_CLEAN: Length = inches(1 / 8);

export function legSection(
  { legs: kind, boughtSection, legEdges }: { legs: LegKind; boughtSection: Length; legEdges: 'flush' | 'ripped' },
  sizes: LumberSizes,
): LegSection {
  if (kind === 'bought')
    return { along: boughtSection, across: boughtSection, material: 'bought', plies: 1, narrow: null };
  const laminated = LAMINATED[kind];
  if (laminated) {
    const [nominal, plies] = laminated;
    const { width, thickness } = sizes.dressed(nominal);
    if (kind === '3x3 planed') {
      const side = Math.min(SQUARED, width, thickness);
      const planed = Math.round((thickness - side) / 2);
      return { along: side, across: side, material: nominal, plies, planed, narrow: null };
    }
    const across = thickness * plies;
    const clean = plies > 1 && legEdges === 'ripped' ? width - RIPPED_CLEAN : width;
    return { along: kind === '3x3' ? Math.min(width, across) : clean, across, material: nominal, plies, narrow: null };
  }
  const [wide, narrow] = HOLLOW[kind] ?? (['1x4', '1x3'] as const);
  const { width } = sizes.dressed(wide);
  return { along: width, across: width, material: wide, plies: 1, narrow };
}

/** A leg in place: its box, and which of its boards shows on a side. */
export type Leg = {
  readonly tag: string;
  readonly box: Box;
  /** Its boards: one, or the four of a hollow box. */
  readonly tags: readonly string[];
};

/** Joins a part to a leg: to the board of it that it lies against most. */
export function joinLeg(kit: Kit, kind: JointKind, part: string, leg: Leg): void {
  const board = leg.tags.reduce((best, next) => (kit.contact(part, next) > kit.contact(part, best) ? next : best));
  kit.join(kind, part, board);
}

/** A leg as one body: round a hollow one a notch goes round all of it. */
export const wholeLeg = (kit: Kit, { tag: name, box, tags }: Leg): Part => {
  const one = kit.get(first(tags));
  return { ...board(one.piece, { tag: name, role: 'leg', name: 'leg', material: one.material }, box, 2, 0) };
};

/** Whether a glued leg is narrower than its boards. */
const ripped = (kit: Kit, { along, material, plies }: LegSection): boolean =>
  plies > 1 && along < kit.sizes.dressed(material as Nominal).width;

/** Puts one leg into `box`. */
export function placeLeg(
  kit: Kit,
  name: string,
  box: Box,
  section: LegSection,
  choices: { legs: LegKind; boughtLeg: string },
  called: 'leg' | 'post' = 'leg',
): Leg {
  const length = box.max[2] - box.min[2];
  if (section.narrow === null) {
    kit.board(
      {
        tag: name,
        role: 'leg',
        name: called,
        material: section.material,
        plies: section.plies,
        planed: section.planed ?? 0,
        // Ripped on both sides: off come the rounded edges and what glue stands out.
        squared: ripped(kit, section),
        ...(choices.legs === 'bought'
          ? { bought: { kind: 'leg' as const, size: choices.boughtLeg, pounds: BOUGHT_POUNDS } }
          : {}),
      },
      box,
      2,
      // A single board stands with its width along its wider side.
      section.plies === 1 && section.along < section.across ? 1 : 0,
    );
    return { tag: name, box, tags: [name] };
  }
  const { thickness } = kit.sizes.dressed(section.material as Nominal);
  const [[x, y, z], size] = [box.min, [section.along, section.across]] as const;
  const spec = (letter: string, wide: boolean) => ({
    tag: `${name}${letter}`,
    role: 'leg' as const,
    name: wide ? `${called}, wide board` : `${called}, narrow board`,
    material: wide ? section.material : sure(section.narrow, 'narrow board of the hollow leg'),
    squared: !wide,
  });
  const between = nth(size, 1) - 2 * thickness;
  const front = boxAt([x, y, z], [first(size), thickness, length]);
  const left = boxAt([x, y + thickness, z], [thickness, between, length]);
  kit.board(spec('A', true), front, 2, 0);
  kit.board(spec('B', true), boxAt([x, y + nth(size, 1) - thickness, z], [first(size), thickness, length]), 2, 0);
  kit.board(spec('C', false), left, 2, 1);
  kit.board(
    spec('D', false),
    boxAt([x + first(size) - thickness, y + thickness, z], [thickness, between, length]),
    2,
    1,
  );
  for (const narrow of ['C', 'D'])
    for (const wide of ['A', 'B']) kit.join('lamination', `${name}${narrow}`, `${name}${wide}`);
  return {
    tag: name,
    box,
    tags: ['A', 'B', 'C', 'D'].map((letter) => `${name}${letter}`),
  };
}

/** The assembly of a hollow leg or post. */
export const hollowOf = (tag: string): string => `leg-${tag}`;

/** A hollow leg or post is glued up by itself; its narrow boards make it as deep as it is wide. */
export function glueHollow(kit: Kit, { tag: name, tags, box }: Leg, title: Phrase): void {
  if (tags.length === 1) return;
  const across = box.max[1] - box.min[1];
  kit.assemble(
    hollowOf(name),
    title,
    tags,
    [],
    [
      say`Lay a wide board face down, stand both narrow boards on its edges, close it with the other wide board. Glue and clamps only: a nail would show.`,
      say`Keep the narrow boards ${dim(across - 2 * kit.get(first(tags)).thickness)} wide: that makes it as deep as it is wide.`,
    ],
  );
}

/** Four legs at the corners of a rectangle: front left, back left, front right, back right. */
export function placeLegs(
  kit: Kit,
  foot: { readonly x: Length; readonly y: Length; readonly length: Length; readonly width: Length },
  height: Length,
  section: LegSection,
  choices: { legs: LegKind; boughtLeg: string },
): readonly [Leg, Leg, Leg, Leg] {
  const front = boxAt([foot.x, foot.y, 0], [section.along, section.across, height]);
  const back = mirror(front, 1, 2 * foot.y + foot.width);
  const boxes = [front, back, mirror(front, 0, 2 * foot.x + foot.length), mirror(back, 0, 2 * foot.x + foot.length)];
  const legs = boxes.map((box, at) => placeLeg(kit, `L${at + 1}`, box, section, choices));
  for (const leg of legs) glueHollow(kit, leg, say`Glue up the hollow leg ${tag(leg.tag)}`);
  return legs as unknown as readonly [Leg, Leg, Leg, Leg];
}

/** A tapered leg keeps its section so far below the apron. */
const BELOW_APRON: Length = inches(1);

/**
 * Tapers both inner faces of four legs, from a little below the apron to a foot so thick.
 *
 * @param apron height of the apron's lower edge.
 */
export function taperLegs(
  kit: Kit,
  legs: readonly [Leg, Leg, Leg, Leg],
  section: LegSection,
  apron: Length,
  foot: Length,
): void {
  const start = apron - BELOW_APRON;
  legs.forEach(({ tag: name }, at) => {
    const leg = kit.get(name);
    // Inside is to the right for the left pair, to the back for the front pair.
    const isHigh = [at < 2, at % 2 === 0] as const;
    const cuts = ([0, 1] as const).flatMap((way): readonly Cutout[] => {
      const size = way === 0 ? section.along : section.across;
      if (foot >= size) return [];
      const own = mostly(leg.frame.v) === way ? 1 : 2;
      // Its thickness may run against the piece's axis.
      const forward = (own === 1 ? leg.frame.v : through(leg.frame))[way] > 0;
      const toHigh = nth(isHigh, way) === forward;
      const [inner, thin] = toHigh ? [size, foot] : [0, size - foot];
      const corners: Outline = [
        [0, thin],
        [start, inner],
        [0, inner],
      ];
      const outline = toHigh ? corners : [...corners].reverse();
      const deep = own === 1 ? leg.thickness : leg.width;
      return [{ kind: 'taper', axis: own === 1 ? 2 : 1, outline, from: -1, to: deep + 1, for: null }];
    });
    kit.put({ ...leg, cuts: [...leg.cuts, ...cuts] });
  });
}

/** Says so where a tapered leg has no room to taper in, or its foot is no thinner than it is. */
export function checkTaper(kit: Kit, section: LegSection, apron: Length, foot: Length): void {
  const size = Math.max(section.along, section.across);
  const thinner = Math.floor(size / 2);
  if (apron - BELOW_APRON >= inches(6) && foot < size) return;
  kit.stop(
    'taper',
    say`The legs can not taper so`,
    foot < size
      ? say`Under the apron ${dim(Math.max(0, apron))} is left: a taper over less than ${dim(inches(6))} looks broken.`
      : say`A foot of ${dim(foot)} is as thick as the leg, ${dim(size)}.`,
    { apron, foot, size },
    [
      ...(apron - BELOW_APRON >= inches(6)
        ? [{ label: say`A foot of ${dim(thinner)}`, changes: [kit.change(['choices', 'taperTo'], thinner)] }]
        : []),
      { label: say`Leave them straight`, changes: [kit.change(['choices', 'taper'], false)] },
    ],
  );
}

/** Says so where an apron is thicker than the leg it ends on: it would meet its neighbour in the corner. */
export function checkApron(kit: Kit, { along, across }: LegSection, thickness: Length): void {
  const least = Math.min(along, across);
  if (thickness <= least) return;
  kit.stop(
    'apron-past-leg',
    say`The apron is thicker than the leg`,
    say`A ${dim(thickness)} apron has no place on a ${dim(least)} leg.`,
    { thickness, least },
    [{ label: say`Take 1× aprons`, changes: [kit.change(['choices', 'apron'], '1x4')] }],
  );
}

/** Says so where a bought leg does not reach, or would be cut into its turning. */
export function checkBoughtLeg(kit: Kit, room: Room, choices: { legs: LegKind; boughtLeg: string }): void {
  if (choices.legs !== 'bought') return;
  const sold = inches(Number(choices.boughtLeg));
  const off = sold - room.under;
  if (off >= 0 && off <= MOST_CUT_OFF) return;
  const over = (size: string) => inches(Number(size)) - room.under;
  const other = BOUGHT_LEGS.find((size) => over(size) >= 0 && over(size) <= MOST_CUT_OFF);
  // Where none fits as it is, the height of the nearest.
  const next = BOUGHT_LEGS.reduce((best, size) => (Math.abs(over(size)) < Math.abs(over(best)) ? size : best));
  const height = inches(Number(next)) + room.topThickness;
  kit.stop(
    'bought-leg',
    off < 0 ? say`The bought legs are too short` : say`The bought legs are too long`,
    off < 0
      ? say`Under the top there is ${dim(room.under)} to stand; these legs are ${dim(sold)}.`
      : say`They would lose ${dim(off)} at the foot, and over ${dim(MOST_CUT_OFF)} cuts into the turning.`,
    { sold, under: room.under },
    [
      ...(other
        ? [{ label: say`Take the ${other} in leg`, changes: [kit.change(['choices', 'boughtLeg'], other)] }]
        : []),
      {
        label: say`${next} in legs: ${dim(height)} high`,
        changes: [kit.change(['choices', 'boughtLeg'], next), kit.change(['size', 'height'], height)],
      },
    ],
  );
}
