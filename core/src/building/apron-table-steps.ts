import { inches, type Length } from '../length';
import type { Piece, Shop } from '../job';
import { boxOf, extent, legSection, type Part } from '../piece';
import { CLIP_SLOT, type Fastening } from '../joinery';
import { about, dim, listOf, say, strong, tag, type Bit, type Phrase } from '../words';
import { CLAMP_MINUTES, caulsAlong, clampsAlong, diagonalOf, panels } from './clamping';
import type { Step } from './step';

/** Minutes for one pocket drilled, one screw driven, one board handled. Typical for one person who is not hurried. */
const POCKET = 1;
const SCREW = 0.75;
const HANDLE = 3;

type Draft = Partial<Omit<Step, 'id' | 'piece' | 'actions'>> & {
  readonly name: string;
  readonly title: Phrase;
  readonly does: readonly Phrase[];
};

const tagsOf = (parts: readonly Part[]): Phrase => listOf(parts.map((part): Bit => tag(part.tag)));
const places = (positions: readonly Length[]): Phrase => listOf(positions.map((position): Bit => dim(position)));
const screwsOf = (made: readonly Fastening[]) => made.reduce((sum, { positions }) => sum + positions.length, 0);
const idsOf = (parts: readonly Part[]) => parts.map((part) => part.id);

const GLASSES = say`Glasses on. If the bit grabs, the jig spins: clamp the work, never hold it in your hand.`;
const SAW = say`Eye, ear and dust protection. Guards stay on; unplug before you change a blade. Hands well clear of the blade.`;
const GLUE_RAGS = say`Wipe squeeze-out now: stain will not take over glue.`;

/**
 * The steps of a four-leg apron table, base first: legs, pockets, top, end frames, long aprons, supports, top on.
 * Every fastening of the piece is made in exactly one step.
 */
export function apronTableSteps(
  piece: Piece,
  parts: readonly Part[],
  made: readonly Fastening[],
  shop: Shop,
): readonly Step[] {
  const role = (name: Part['role']) => parts.filter((part) => part.role === name);
  const tops = role('top');
  const legs = role('leg');
  const supports = role('support');
  const byTag = new Map(parts.map((part) => [part.tag, part]));
  const get = (name: string) => byTag.get(name)!;
  const drilledIn = (part: Part, into: readonly Part[]) =>
    made.filter((item) => item.drilled === part && into.includes(item.into));
  const { size, choices } = piece;
  const leg = legs[0]!;
  const section = legSection(choices.legs);
  const frame = { length: size.length - 2 * choices.overhang.ends, width: size.width - 2 * choices.overhang.sides };
  const drafts: Draft[] = [];

  if (leg.plies > 1) {
    const each = clampsAlong(leg.length);
    const together = Math.max(1, Math.min(4, Math.floor(shop.clamps / each)));
    drafts.push({
      name: 'glue-legs',
      title: say`Glue up the legs ${tagsOf(legs)}`,
      adds: idsOf(legs),
      does: [
        say`Pair the boards so that bows face each other and the best faces look out.`,
        say`Spread glue on both faces, thin and whole. Bring the boards together with one long edge flush.`,
        say`Clamp every ${dim(inches(10))} or so, ${strong(each)} clamps a leg. You have ${strong(shop.clamps)}: glue ${strong(together)} ${together === 1 ? 'leg' : 'legs'} at a time.`,
        GLUE_RAGS,
      ],
      pickUp: say`${strong(4 * leg.plies)} leg boards · glue and a roller · ${strong(Math.min(shop.clamps, each * together))} clamps`,
      clamps: Math.min(shop.clamps, each * together),
      work: 4 * 10,
      wait: CLAMP_MINUTES * Math.ceil(4 / together),
    });
    drafts.push({
      name: 'trim-legs',
      title: say`Cut the legs to length`,
      adds: idsOf(legs),
      does: [
        say`Square one end of each glued leg.`,
        say`Set the stop at ${dim(leg.length)} and cut all four without moving it.`,
        say`Stand them side by side: all four the same height, and each ${dim(section.along)} by ${dim(section.across)}. If the section comes out thicker, the base is that much wider and the overhang takes it up.`,
      ],
      pickUp: say`${tagsOf(legs)} · saw with a stop at ${dim(leg.length)} · square`,
      cautions: [SAW],
      work: 4 * 6,
    });
  }

  const pocketed = made.filter((item) => item.by === 'pocket screws' && item.joint.kind !== 'rail end');
  const railsNow = parts.filter((part) => part.role === 'apron');
  const settings = [
    ...new Set(
      [...pocketed, ...railsNow.flatMap((rail) => drilledIn(rail, legs))]
        .filter(({ drilled }) => drilled.role !== 'support')
        .map(({ jig }) => jig),
    ),
  ];
  const edges = made.filter((item) => item.joint.kind === 'edge');
  const screwedTop = made.filter((item) => item.joint.kind === 'top screws');
  const railPockets = railsNow.reduce((sum, rail) => sum + screwsOf(drilledIn(rail, legs)), 0);
  drafts.push({
    name: 'pockets',
    title: say`Drill the pockets`,
    adds: idsOf([...railsNow, ...edges.map((item) => item.drilled)]),
    does: [
      ...settings.map((jig) => say`Set jig and drill collar for ${dim(jig)} stock.`),
      ...railsNow.map((rail) => {
        const ends = drilledIn(rail, legs);
        const first = ends[0]!;
        return say`${tag(rail.tag)}, inside face, ${strong(first.positions.length)} pockets in each end: ${places(first.positions)} from the top edge.`;
      }),
      ...(edges.length > 0
        ? [
            say`${tagsOf(edges.map((item) => item.drilled))}, underside, along the edge that meets the next board: ${places(edges[0]!.positions)} from the left end.`,
          ]
        : []),
      ...screwedTop
        .filter((item) => item.drilled.role === 'apron')
        .map(
          (item) =>
            say`${tag(item.drilled.tag)}, inside face, pockets up through the top edge for ${tag(item.into.tag)}: ${places(item.positions)} from the near end.`,
        ),
      say`Try the setting on an offcut first: the screw must not come through.`,
    ],
    pickUp: say`pocket jig, step bit, collar · clamp · ${tagsOf(railsNow)}`,
    cautions: [GLASSES],
    clamps: 1,
    work:
      POCKET * (railPockets + screwsOf(edges) + screwsOf(screwedTop.filter((item) => item.drilled.role === 'apron'))) +
      HANDLE * (railsNow.length + edges.length),
  });

  topSteps(tops, edges, drafts, shop);

  const [e1, e2, a1, a2] = [get('E1'), get('E2'), get('A1'), get('A2')] as const;
  const ends = [
    { rail: e1, pair: [get('L1'), get('L2')] },
    { rail: e2, pair: [get('L3'), get('L4')] },
  ] as const;
  const spacers = choices.setback > 0 ? [{ thickness: choices.setback, count: 2 }] : [];
  for (const { rail, pair } of ends) {
    const screws = drilledIn(rail, pair);
    drafts.push({
      name: `end-${rail.tag}`,
      title: say`Join end apron ${tag(rail.tag)} between legs ${tag(pair[0].tag)} and ${tag(pair[1].tag)}`,
      adds: [rail.id, ...idsOf(pair)],
      there: [],
      does: [
        say`Lay both legs on a flat bench, outside face down.`,
        choices.setback > 0
          ? say`Lay a ${dim(choices.setback)} spacer under the apron at each end. It sets the apron back from the leg face.`
          : say`The apron lies flush with the leg faces: press all three flat on the bench.`,
        say`Glue the end grain, wait a minute, glue it again.`,
        say`Clamp across the legs, apron flush with the leg tops, pockets up.`,
        say`Drive ${strong(screwsOf(screws))} pocket screws ${strong(`${screws[0]!.screw} coarse`)}, ${strong(screws[0]!.positions.length)} each end.`,
        say`Measure both diagonals, leg top to opposite foot: ${about(diagonalOf(frame.width, leg.length))} each. Push the long corner until they match.`,
        GLUE_RAGS,
      ],
      pickUp: say`${tag(pair[0].tag)}, ${tag(pair[1].tag)}, ${tag(rail.tag)}${choices.setback > 0 ? say` · 2 spacers ${dim(choices.setback)}` : ''} · 2 clamps over ${dim(frame.width)} · screws ${screws[0]!.screw}`,
      spacers,
      clamps: 2,
      diagonal: diagonalOf(frame.width, leg.length),
      cautions: [GLASSES],
      work: 12 + SCREW * screwsOf(screws),
      wait: 30,
    });
  }

  const longScrews = [a1, a2].flatMap((rail) => drilledIn(rail, legs));
  drafts.push({
    name: 'long',
    title: say`Join the end frames with long aprons ${tag('A1')} and ${tag('A2')}`,
    adds: [a1.id, a2.id],
    there: idsOf([...legs, e1, e2]),
    does: [
      say`Stand the two end frames upside down on their leg tops, on a flat floor.`,
      ...(choices.setback > 0
        ? [say`Hold ${dim(choices.setback)} spacers between each apron and the outside of the legs.`]
        : []),
      say`Glue the end grain twice, clamp, aprons flush with the leg tops.`,
      say`Drive ${strong(screwsOf(longScrews))} pocket screws ${strong(`${longScrews[0]!.screw} coarse`)}. Do it now: cross supports later block the driver.`,
      say`Measure both diagonals over the leg corners: ${about(diagonalOf(frame.length, frame.width))} each.`,
    ],
    pickUp: say`both end frames, ${tag('A1')}, ${tag('A2')} · 4 clamps · screws ${longScrews[0]!.screw}`,
    spacers: spacers.map((spacer) => ({ ...spacer, count: 4 })),
    clamps: 4,
    diagonal: diagonalOf(frame.length, frame.width),
    cautions: [GLASSES],
    work: 18 + SCREW * screwsOf(longScrews),
    wait: 30,
  });

  if (supports.length > 0) {
    const joints = supports.flatMap((part) => drilledIn(part, [a1, a2]));
    const upward = screwedTop.filter((item) => item.drilled.role === 'support');
    const between = supports[0]!.length;
    drafts.push({
      name: 'supports',
      title: say`Fit the cross ${supports.length === 1 ? 'support' : 'supports'} ${tagsOf(supports)}`,
      adds: idsOf(supports),
      there: idsOf([...legs, e1, e2, a1, a2]),
      does: [
        say`Measure the gap between ${tag('A1')} and ${tag('A2')} at each place. The plan says ${dim(between)}; cut to what you measure.`,
        say`Centres from the inside of leg ${tag('L1')}: ${places(supports.map((part) => boxOf(part).min[0] - boxOf(a1).min[0] + Math.round(part.thickness / 2)))}.`,
        say`Drill ${strong(joints[0]!.positions.length)} pockets in each end, jig at ${dim(joints[0]!.jig)}${upward.length > 0 ? say`, and ${strong(screwsOf(upward))} up through the top edge for the top` : ''}.`,
        say`Glue the ends, flush with the apron tops. Drive ${strong(screwsOf(joints))} pocket screws ${strong(`${joints[0]!.screw} coarse`)}.`,
      ],
      pickUp: say`blanks for ${tagsOf(supports)} · tape · saw · jig at ${dim(joints[0]!.jig)} · screws ${joints[0]!.screw}`,
      clamps: 2,
      cautions: [SAW, GLASSES],
      work: supports.length * 8 + (POCKET + SCREW) * (screwsOf(joints) + screwsOf(upward)),
      wait: 30,
    });
  }

  const fixings = made.filter((item) => item.joint.kind === 'top clips' || item.joint.kind === 'top screws');
  const base = parts.filter((part) => part.role !== 'top');
  const clips = choices.top.fixing === 'clips';
  drafts.push({
    name: 'top-on',
    title: say`Fix the top to the base`,
    adds: idsOf(tops),
    there: idsOf(base),
    does: [
      say`Lay the top face down on a blanket. Set the base on it, upside down.`,
      say`Overhang ${dim(choices.overhang.ends)} at each end and ${dim(choices.overhang.sides)} at each side; measure at all four corners.`,
      ...(clips
        ? [
            say`Cut a slot for the clips on the inside of every apron and support, ${dim(CLIP_SLOT)} below the top edge${fixings.length > 0 ? say`: ${strong(screwsOf(fixings))} clips` : ''}.`,
            say`Leave a gap of ${dim(inches(1 / 8))} between clip and slot end across the grain, so that the top can move.`,
          ]
        : [
            say`Drive ${strong(screwsOf(fixings))} pocket screws ${strong(`${fixings[0]!.screw} coarse`)} up into the top. No glue.`,
          ]),
      say`Check on one screw that its tip stays inside the top before you drive the rest.`,
    ],
    pickUp: say`top, base · blanket · ${clips ? say`${strong(screwsOf(fixings))} clips and their screws` : say`screws ${fixings[0]!.screw}`}`,
    clamps: 2,
    cautions: [say`Two people lift the base and turn the table.`, GLASSES],
    work: 15 + screwsOf(fixings) * (clips ? 4 : SCREW),
  });
  drafts.push({
    name: 'level',
    title: say`Turn it over and level it`,
    adds: [],
    there: idsOf(parts),
    does: [
      say`With a helper, turn the table and set it on a flat floor.`,
      say`If it rocks, find the long leg and take off what rocks, or fit levellers.`,
      say`Check the height: ${dim(size.height)}. Check the top: ${dim(size.length)} by ${dim(size.width)}.`,
      say`Break every edge with 120 grit before you finish it.`,
    ],
    pickUp: say`square, tape, sanding block`,
    cautions: [say`Lift with straight legs. Do not drag it: side load breaks leg joints.`],
    work: 15,
  });

  return drafts.map(({ name, does, title, ...rest }) => ({
    adds: [],
    there: [],
    pickUp: [],
    spacers: [],
    clamps: 0,
    diagonal: null,
    cautions: [],
    wait: 0,
    ...rest,
    work: Math.round(rest.work ?? 10),
    title,
    id: `${piece.id}.${name}`,
    piece: piece.id,
    actions: does.map((text, at) => ({ id: `${piece.id}.${name}.${at + 1}`, text })),
  }));
}

/** Glue-ups of the top, in panels that the open time allows, and the cut to length. */
function topSteps(tops: readonly Part[], edges: readonly Fastening[], drafts: Draft[], shop: Shop): void {
  const length = tops[0]!.length;
  const width = tops.reduce((sum, top) => sum + extent(boxOf(top), 1), 0);
  const clamps = Math.min(shop.clamps, clampsAlong(length));
  const few = clampsAlong(length) > shop.clamps;
  const joinOf = (a: Part, b: Part) => edges.find((item) => item.drilled === a && item.into === b)!;
  const glueUp = (
    name: string,
    title: Phrase,
    boards: readonly Part[],
    joints: readonly Fastening[],
    there: readonly Part[],
  ) =>
    drafts.push({
      name,
      title,
      adds: idsOf(boards),
      there: idsOf(there),
      does: [
        ...(there.length === 0
          ? [say`Lay ${tagsOf(boards)} face down in order on cauls, left ends level. Read the numbers once more.`]
          : []),
        say`Spread glue on both edges of each joint. You have about five minutes.`,
        say`Clamp, alternately above and below: ${strong(clamps)} along the length, and ${strong(caulsAlong(length))} cauls across to keep it flat.${few ? ' That is all the clamps you have: the screws do the rest.' : ''}`,
        say`Press each joint flush and drive its screws: ${strong(`${joints[0]!.screw} coarse`)}, ${strong(screwsOf(joints))} in all.`,
        GLUE_RAGS,
      ],
      pickUp: say`${tagsOf(boards)} · glue · ${strong(clamps)} clamps · ${strong(caulsAlong(length))} cauls · screws ${joints[0]!.screw}`,
      clamps,
      work: 10 + joints.length * 6 + SCREW * screwsOf(joints),
      wait: CLAMP_MINUTES,
    });
  if (tops.length > 1) {
    drafts.push({
      name: 'arrange-top',
      title: say`Lay out the top boards`,
      adds: idsOf(tops),
      does: [
        say`Lay ${tagsOf(tops)} side by side in the order that looks best. Crowns all one way if the top is held flat, alternating if not.`,
        say`Draw one large triangle across all boards on the underside: it tells place and direction after every later cut.`,
        say`Push the joints shut by hand. A gap you can close with two fingers will clamp shut; rip the edge again if it will not.`,
      ],
      pickUp: say`${tagsOf(tops)} · chalk · straightedge ${about(length)} long`,
      work: 10 + HANDLE * tops.length,
    });
    const sizes = panels(tops.length);
    const groups: Part[][] = [];
    for (const size of sizes) groups.push(tops.slice(groups.flat().length, groups.flat().length + size));
    groups.forEach((group, at) => {
      if (group.length < 2) return;
      const joints = group.slice(1).map((board, k) => joinOf(group[k]!, board));
      const title =
        sizes.length === 1 ? say`Glue up the top` : say`Glue up panel ${at + 1} of the top: ${tagsOf(group)}`;
      glueUp(`panel-${at + 1}`, title, group, joints, []);
    });
    groups.slice(1).forEach((group, at) => {
      const before = groups.slice(0, at + 1).flat();
      const joints = [joinOf(before.at(-1)!, group[0]!)];
      glueUp(
        `join-${at + 1}`,
        say`Join the panels at ${tag(before.at(-1)!.tag)} and ${tag(group[0]!.tag)}`,
        group,
        joints,
        before,
      );
    });
  }
  drafts.push({
    name: 'trim-top',
    title: say`Cut the top to length`,
    adds: idsOf(tops),
    does: [
      say`Scrape off the glue. Mark a line square to a long edge near one end; cut along a guide.`,
      say`Measure ${dim(length)} from that edge and cut the other end.`,
      say`Width is ${dim(width)}. Both diagonals should read ${about(diagonalOf(length, width))}.`,
    ],
    pickUp: say`top · guide over ${dim(width)} long · circular saw · square`,
    clamps: 2,
    diagonal: diagonalOf(length, width),
    cautions: [SAW, say`Support the piece that falls off: a pinched blade kicks back.`],
    work: 20,
  });
}
