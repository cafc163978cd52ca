import { inches } from '../length';
import { clampsOver, type Shop } from '../job';
import type { Fastening } from '../joinery';
import type { Part } from '../piece';
import { dim, say, strong } from '../words';
import { CLAMP_MINUTES, clampsAlong } from './clamping';
import type { Draft } from './draft';
import { GLASSES, GLUE_RAGS, places, SAW, screwsOf, idsOf, tagsOf } from './phrases';
import { alike, needsShaping, shapingActions } from './shaping';

/** Minutes for one pocket drilled, one board handled, one part shaped. Typical for one person who is not hurried. */
const POCKET = 1;
const HANDLE = 3;
const SHAPE = 6;

/** Glue-ups of boards face to face, alike ones together, and the cut to length after. */
export function laminationSteps(parts: readonly Part[], shop: Shop): readonly Draft[] {
  return alike(parts.filter((part) => part.plies > 1)).flatMap((group, at): readonly Draft[] => {
    const part = group[0]!;
    const have = clampsOver(shop, part.thickness);
    const each = Math.min(have, clampsAlong(part.length));
    const together = Math.max(1, Math.min(group.length, Math.floor(have / Math.max(1, each))));
    const name = at === 0 ? '' : `-${at + 1}`;
    const several = `${part.name}s`;
    return [
      {
        name: `glue-legs${name}`,
        title: say`Glue up the ${several} ${tagsOf(group)}`,
        adds: idsOf(group),
        does: [
          say`Pair the boards so that bows face each other and the best faces look out.`,
          say`Spread glue on both faces, thin and whole. Bring the boards together with one long edge flush.`,
          say`Clamp every ${dim(inches(10))} or so, ${strong(each)} clamps each. You have ${strong(have)}: glue ${strong(together)} at a time.`,
          GLUE_RAGS,
        ],
        pickUp: say`${strong(group.length * part.plies)} boards · glue and a roller · ${strong(Math.min(have, each * together))} clamps`,
        clamps: Math.min(have, each * together),
        work: group.length * 10,
        wait: CLAMP_MINUTES * Math.ceil(group.length / together),
      },
      {
        name: `trim-legs${name}`,
        after: [`glue-legs${name}`],
        title: say`Cut the ${several} to length`,
        adds: idsOf(group),
        does: [
          say`Square one end of each, or cut it to its angle.`,
          say`Set the stop at ${dim(part.length)} and cut all ${strong(group.length)} without moving it.`,
          say`Each is ${dim(part.width)} by ${dim(part.thickness)}. If the section comes out thicker, what joins it is shorter: measure, do not assume.`,
        ],
        pickUp: say`${tagsOf(group)} · saw with a stop at ${dim(part.length)} · square`,
        cautions: [SAW],
        work: group.length * 6,
      },
    ];
  });
}

/** Angles, laps, notches, grooves and holes, before anything is joined. What is cut to fit waits for its place. */
export function shapingStep(parts: readonly Part[]): readonly Draft[] {
  const shaped = parts.filter((part) => needsShaping(part) && part.fit === null && !part.trimmedLater);
  if (shaped.length === 0) return [];
  return [
    {
      name: 'shape',
      title: say`Cut angles, laps and grooves`,
      adds: idsOf(shaped),
      does: [
        ...shapingActions(shaped),
        say`Lay each part on its full-size template from Parts before and after: a traced line needs no arithmetic.`,
      ],
      pickUp: say`${tagsOf(shaped)} · templates · square and bevel gauge`,
      cautions: [SAW, say`Clamp small parts; never hold them by hand at the blade.`],
      work: SHAPE * shaped.length,
    },
  ];
}

export const pocketed = (made: readonly Fastening[]) =>
  made.filter((item) => item.by === 'pocket screws' && item.positions.length > 0);

/** Pockets in all parts that are cut by now, by jig setting. */
export function pocketStep(made: readonly Fastening[]): readonly Draft[] {
  const now = pocketed(made).filter((item) => item.drilled.fit === null);
  if (now.length === 0) return [];
  const settings = [...new Set(now.map(({ jig }) => jig))];
  const parts = [...new Set(now.map((item) => item.drilled))];
  const rows = new Map<string, { item: Fastening; drilled: Part[]; count: number }>();
  for (const item of now) {
    const key = [item.joint.kind, item.face, item.jig, item.positions.join()].join();
    const row = rows.get(key) ?? { item, drilled: [], count: 0 };
    if (!row.drilled.includes(item.drilled)) row.drilled.push(item.drilled);
    rows.set(key, { ...row, count: row.count + 1 });
  }
  return [
    {
      name: 'pockets',
      title: say`Drill the pockets`,
      adds: idsOf(parts),
      does: [
        ...settings.map((jig) => say`Set jig and drill collar for ${dim(jig)} stock.`),
        ...[...rows.values()].map(({ item, drilled }) => {
          const where =
            item.joint.kind === 'edge'
              ? say`along the edge that meets the next board: ${places(item.positions)} from the left end`
              : item.joint.kind === 'rail end'
                ? say`${strong(item.positions.length)} pockets in each end: ${places(item.positions)} from the top edge`
                : say`up through the top edge: ${places(item.positions)} from the near end`;
          return say`${tagsOf(drilled)}, ${item.face === 'inside' ? 'inside face' : item.face}, ${where}.`;
        }),
        say`Try the setting on an offcut first: the screw must not come through.`,
      ],
      pickUp: say`pocket jig, step bit, collar · clamp · ${tagsOf(parts)}`,
      settings: settings.map((jig) => say`Jig and collar at ${dim(jig)}`),
      cautions: [GLASSES],
      clamps: 1,
      work: POCKET * screwsOf(now) + HANDLE * parts.length,
    },
  ];
}
