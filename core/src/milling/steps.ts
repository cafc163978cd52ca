import { inches, type Length } from '../length';
import { able, WAYS, type Shop } from '../job';
import { isSheet, printMaterial } from '../stock';
import type { Part } from '../piece';
import { dim, listOf, say, strong, type Phrase } from '../words';
import type { Blank } from './blank';

/** One thing done to a blank on its way to the part, with the size it has after it. */
export type MillingStep = { readonly text: Phrase; readonly leaves: Length };

/** Ripping a board from one width to a smaller, the way the shop can: each pass with what it leaves. */
function ripping({ from, to, why }: NonNullable<Blank['rip']>, shop: Shop): readonly MillingStep[] {
  const { tools } = shop;
  const off = from - to;
  if (why === 'to width' || off < 2)
    return [
      able(tools, WAYS.rip)
        ? { text: say`Rip it to ${dim(to)}, the good edge against the fence or the guide.`, leaves: to }
        : { text: say`Have the yard rip it to ${dim(to)}.`, leaves: to },
    ];
  const first = from - Math.round(off / 2);
  if (tools.includes('table saw') && tools.includes('jointer'))
    return [
      { text: say`Joint one edge straight and square: ${dim(first)} is left.`, leaves: first },
      { text: say`Rip the other edge: fence at ${dim(to)}.`, leaves: to },
    ];
  if (tools.includes('table saw')) {
    const quarter = (passes: number) => from - Math.round((off * passes) / 4);
    return [1, 2, 3, 4].map((pass) => ({
      text: say`Pass ${pass} of four, ${pass % 2 === 1 ? 'one edge' : 'the other edge'} against the fence at ${dim(quarter(pass))}.`,
      leaves: quarter(pass),
    }));
  }
  if (able(tools, WAYS.rip))
    return [
      { text: say`Guide along one edge, the rounding off: ${dim(first)} is left.`, leaves: first },
      { text: say`Measure ${dim(to)} from that edge at both ends, guide there.`, leaves: to },
    ];
  return [{ text: say`Have the yard rip both edges: ${dim(to)} is left.`, leaves: to }];
}

/** What one pass of a bench-top planer takes at most. */
const ONE_PASS = inches(1 / 32);
const passesFor = (off: Length): number => Math.max(1, Math.ceil(off / ONE_PASS));

const CUT_NAMES: Readonly<Record<Part['cuts'][number]['kind'], string>> = {
  lap: 'half lap',
  notch: 'notch',
  rebate: 'rebate',
  groove: 'groove',
  dado: 'dado',
  hole: 'hole',
  relief: 'relief',
  mortise: 'mortises',
  tenon: 'tenons',
  corner: 'clipped corner',
};

/** Ends that are not square, and what is taken out: last, from the template. */
function shaped(part: Part): readonly MillingStep[] {
  const steps: MillingStep[] = [];
  const ends = (
    [
      ['left', part.ends.left],
      ['right', part.ends.right],
    ] as const
  ).filter(([, { mitre, bevel }]) => mitre !== 0 || bevel !== 0);
  const degrees = (angle: number) => `${Math.round(Math.abs(angle) * 2) / 2}°`;
  if (ends.length > 0)
    steps.push({
      text: say`Cut the ends: ${listOf(
        ends.map(
          ([side, { mitre, bevel }]): Phrase =>
            say`${side} ${[mitre !== 0 ? `${degrees(mitre)} across the face` : '', bevel !== 0 ? `${degrees(bevel)} through the thickness` : ''].filter((bit) => bit !== '').join(' and ')}`,
        ),
      )}; ${dim(part.length)} from long point to long point.`,
      leaves: part.length,
    });
  const kinds = [...new Set(part.cuts.map(({ kind }) => kind))];
  if (kinds.length > 0)
    steps.push({
      text: say`Take out ${listOf(
        kinds.map((kind): Phrase => {
          const count = part.cuts.filter((cut) => cut.kind === kind).length;
          return say`${strong(count)} ${CUT_NAMES[kind]}${count === 1 ? '' : 's'}`;
        }),
      )}: the template shows where.`,
      leaves: part.length,
    });
  return steps;
}

/**
 * From store board to finished part, in order: rough length, straight edges, glue-up of plies, trimming to length. With
 * a jointer an edge a pass; with a table saw alone four passes, each edge twice, which straightens as well; else a
 * guide. What is left long says for what.
 */
export function millingSteps(blank: Blank, shop: Shop): readonly MillingStep[] {
  const { part, length, extra, extraFor, rip, plane } = blank;
  const each = part.plies > 1 ? say`, ${strong(part.plies)} of them` : say``;
  const rough: MillingStep = isSheet(blank.material)
    ? {
        text: say`Cut ${dim(length)} by ${dim(blank.width)} out of ${printMaterial(blank.material)}, a factory edge as the reference.`,
        leaves: length,
      }
    : {
        text:
          extra > 0
            ? say`Crosscut to ${dim(length)}${each}: ${dim(extra)} over, for ${extraFor ?? ''}.`
            : say`Square one end, crosscut to ${dim(length)}${each}.`,
        leaves: length,
      };
  const glued: readonly MillingStep[] =
    part.plies > 1
      ? [
          {
            text: say`Glue the ${strong(part.plies)} face to face, edges flush or a little proud; scrape and plane them level.`,
            leaves: length,
          },
        ]
      : [];
  const planed: readonly MillingStep[] = plane
    ? [
        shop.tools.includes('planer')
          ? {
              text: say`Plane both faces to ${dim(plane.to)} thick: ${strong(passesFor(plane.each))} ${passesFor(plane.each) === 1 ? 'pass' : 'passes'} a face, no more than ${dim(ONE_PASS)} each, all boards at one setting. The ends may be gouged: they come off later.`,
              leaves: length,
            }
          : {
              text: say`Have the boards planed to ${dim(plane.to)} thick, ${dim(plane.each)} off each face.`,
              leaves: length,
            },
      ]
    : [];
  const trimmed: readonly MillingStep[] =
    extra > 0
      ? [
          {
            text:
              extraFor === 'fitting'
                ? say`Cut to the measured length; the plan says ${dim(part.length)}.`
                : extraFor === 'squaring the glued top'
                  ? say`Cut with the whole top once it is glued: ${dim(part.length)}.`
                  : extraFor === 'cutting off the snipe'
                    ? say`Cut the gouged ends off, half of it from each: ${dim(part.length)}.`
                    : say`Trim both ends square: ${dim(part.length)}.`,
            leaves: part.length,
          },
        ]
      : [];
  // Plies are ripped together, once they are one.
  const ripped = rip ? ripping(rip, shop) : [];
  const edged = part.plies > 1 ? [...glued, ...ripped] : [...ripped, ...glued];
  return [rough, ...planed, ...edged, ...trimmed, ...shaped(part)];
}
