import { clampCount, clampsOver, type Shop } from '../job';
import type { Fastening } from '../joinery';
import type { Part } from '../piece';
import { printThread } from '../stock';
import { times } from '../solid';
import { about, dim, say, strong, tag, type Phrase } from '../words';
import { CLAMP_MINUTES, caulsAlong, clampsAlong, diagonalOf, panels } from './clamping';
import type { Draft } from './draft';
import { fastenersIn, GLUE_RAGS, idsOf, SAW, screwsOf, tagsOf } from './phrases';

const SCREW = 0.75;
const HANDLE = 3;

/**
 * Boards joined edge to edge: laid out, glued in panels that the open time allows, and cut to size together. `boards`
 * are in order, each joined to the next by one of `edges`.
 */
export function panelSteps(
  name: string,
  what: string,
  boards: readonly Part[],
  edges: readonly Fastening[],
  shop: Shop,
): readonly Draft[] {
  const drafts: Draft[] = [];
  const length = Math.max(...boards.map((part) => part.length));
  const width = boards.reduce((sum, part) => sum + part.width, 0);
  const joinOf = (a: Part, b: Part) => edges.find((item) => item.drilled === a && item.into === b)!;
  const wayOf = (joint: Fastening | undefined) => (joint?.closes ? times(joint.closes, -1) : null);
  const glueUp = (
    id: string,
    title: Phrase,
    group: readonly Part[],
    joints: readonly Fastening[],
    there: readonly Part[],
  ) => {
    const screws = screwsOf(joints);
    const across = [...group, ...there].reduce((sum, part) => sum + part.width, 0);
    const have = clampsOver(shop, across);
    const clamps = Math.min(have, clampsAlong(length));
    drafts.push({
      name: id,
      title,
      adds: idsOf(group),
      there: idsOf(there),
      puts:
        there.length === 0
          ? group.map((board, at) => ({ parts: [board.id], way: wayOf(joints[at - 1]) }))
          : [
              { parts: idsOf(there), way: null },
              { parts: idsOf(group), way: wayOf(joints[0]) },
            ],
      makes: joints.map(({ joint }) => joint.id),
      does: [
        ...(there.length === 0
          ? [say`Lay ${tagsOf(group)} face down in order on cauls, left ends level. Read the numbers once more.`]
          : []),
        say`Spread glue on both edges of each joint. You have about five minutes.`,
        have === 0
          ? say`No clamp of yours opens ${dim(across)}: lay the boards between two straight stops screwed to the bench, and drive pairs of wedges; ${strong(caulsAlong(length))} cauls across keep it flat.`
          : say`Clamp, alternately above and below: ${strong(clamps)} along the length, and ${strong(caulsAlong(length))} cauls across to keep it flat.${clampsAlong(length) > have ? (screws > 0 ? ' That is all you have so long: the screws do the rest.' : ' That is all you have so long: glue one joint at a time.') : ''}`,
        ...(screws > 0
          ? [
              ...(joints[0]!.by === 'pocket screws'
                ? [
                    say`Press each joint flush and drive its screws: ${strong(printThread(joints[0]!.screw))}, ${strong(screws)} in all.`,
                  ]
                : [
                    say`${{ strong: `${screws} ${joints[0]!.by}` }} ${joints[0]!.screw} keep the faces level: glue them into the one edge first, then close the joint.`,
                  ]),
            ]
          : [say`Press each joint flush with your fingers before it grabs.`]),
        GLUE_RAGS,
      ],
      settings: screws > 0 && joints[0]!.by === 'pocket screws' ? [say`Jig and collar at ${dim(joints[0]!.jig)}`] : [],
      pickUp: say`${tagsOf(group)} · glue · ${clamps > 0 ? say`${strong(clamps)} clamps over ${dim(across)}` : 'wedges'} · ${strong(caulsAlong(length))} cauls${screws > 0 ? ` · ${fastenersIn(joints).join(' · ')}` : ''}`,
      clamps,
      work: 10 + joints.length * 6 + SCREW * screws,
      wait: CLAMP_MINUTES,
    });
  };
  drafts.push({
    name: `arrange-${name}`,
    title: say`Lay out the boards of the ${what}`,
    adds: idsOf(boards),
    does: [
      say`Lay ${tagsOf(boards)} side by side in the order that looks best. Crowns all one way if it is held flat, alternating if not.`,
      say`Draw one large triangle across all boards on the underside: it tells place and direction after every later cut.`,
      say`Push the joints shut by hand. A gap you can close with two fingers will clamp shut; rip the edge again if it will not.`,
    ],
    pickUp: say`${tagsOf(boards)} · chalk · straightedge ${about(length)} long`,
    work: 10 + HANDLE * boards.length,
  });
  const sizes = panels(boards.length);
  const groups: Part[][] = [];
  for (const size of sizes) groups.push(boards.slice(groups.flat().length, groups.flat().length + size));
  groups.forEach((group, at) => {
    if (group.length < 2) return;
    const joints = group.slice(1).map((board, k) => joinOf(group[k]!, board));
    const title =
      sizes.length === 1 ? say`Glue up the ${what}` : say`Glue up panel ${at + 1} of the ${what}: ${tagsOf(group)}`;
    glueUp(`${name}-panel-${at + 1}`, title, group, joints, []);
  });
  groups.slice(1).forEach((group, at) => {
    const before = groups.slice(0, at + 1).flat();
    glueUp(
      `${name}-join-${at + 1}`,
      say`Join the panels at ${tag(before.at(-1)!.tag)} and ${tag(group[0]!.tag)}`,
      group,
      [joinOf(before.at(-1)!, group[0]!)],
      before,
    );
  });
  const round = boards.some((part) => part.outline !== null && part.outline.length !== 4);
  drafts.push(
    round
      ? {
          name: `trim-${name}`,
          title: say`Cut the ${what} round`,
          adds: idsOf(boards),
          does: [
            say`Scrape off the glue. Find the middle; drive a small nail from below there.`,
            say`Swing a router or a pencil on a ${dim(Math.round(width / 2))} stick about it. With a saw, cut just outside the line and sand to it.`,
            say`It is ${dim(width)} across every way.`,
          ],
          pickUp: say`top · stick ${dim(Math.round(width / 2))} long · router or jigsaw`,
          cautions: [SAW, say`Several shallow passes; move the router against the bit's turn.`],
          clamps: Math.min(2, clampCount(shop)),
          work: 30,
        }
      : {
          name: `trim-${name}`,
          title: say`Cut the ${what} to length`,
          adds: idsOf(boards),
          does: [
            say`Scrape off the glue. Mark a line square to a long edge near one end; cut along a guide.`,
            say`Measure ${dim(length)} from that edge and cut the other end.`,
            say`Width is ${dim(width)}. Both diagonals should read ${about(diagonalOf(length, width))}.`,
          ],
          pickUp: say`${what} · guide over ${dim(width)} long · circular saw · square`,
          clamps: Math.min(2, clampCount(shop)),
          diagonal: diagonalOf(length, width),
          cautions: [SAW, say`Support the piece that falls off: a pinched blade kicks back.`],
          work: 20,
        },
  );
  return drafts;
}
