import type { Length } from '../length';
import type { Change, Finding, Piece, Remedy } from '../job';
import { dim, say, type Phrase } from '../words';
import type { legSection } from './apron-table';

type Sizes = {
  readonly topThickness: Length;
  readonly apron: { readonly width: Length; readonly thickness: Length };
  readonly leg: ReturnType<typeof legSection>;
  readonly legHeight: Length;
  /** What is left between the legs for the long and the end aprons. */
  readonly longRoom: Length;
  readonly endRoom: Length;
  readonly least: Length;
};

/** Why a four-leg table of these sizes can not be built, each with a way out. Empty when it can. */
export function impossible(piece: Piece, sizes: Sizes): readonly Finding[] {
  const { size, choices } = piece;
  const { topThickness, apron, leg, legHeight, longRoom, endRoom, least } = sizes;
  const findings: Finding[] = [];
  const change = (path: Change['path'], value: unknown): Change => ({ piece: piece.id, path, value });
  const stop = (
    name: string,
    title: Phrase,
    because: Phrase,
    numbers: Finding['numbers'],
    remedies: readonly Remedy[],
  ) =>
    findings.push({
      id: `${piece.id}.${name}`,
      level: 'stop',
      stage: 'shape',
      piece: piece.id,
      about: [piece.id],
      title,
      because,
      numbers,
      remedies,
    });

  if (legHeight <= 0) {
    const height = topThickness + apron.width + least;
    stop(
      'lower-than-top',
      say`Lower than its top is thick`,
      say`The table is ${dim(size.height)} high and the top alone takes ${dim(topThickness)}.`,
      { height: size.height, topThickness },
      [{ label: say`Make it ${dim(height)} high`, changes: [change(['size', 'height'], height)] }],
    );
    return findings;
  }
  if (legHeight < apron.width) {
    const height = topThickness + apron.width + least;
    stop(
      'apron-below-floor',
      say`The apron is deeper than the legs are long`,
      say`Under the top ${dim(legHeight)} is left for legs, and a ${choices.apron} apron is ${dim(apron.width)} deep.`,
      { legHeight, apronWidth: apron.width },
      [{ label: say`Make it ${dim(height)} high`, changes: [change(['size', 'height'], height)] }],
    );
  }
  const room = (side: 'length' | 'width', left: Length, overhang: 'ends' | 'sides', legSize: Length) => {
    if (left >= least) return;
    const needed = least - left;
    const smallerOverhang = choices.overhang[overhang] - Math.ceil(needed / 2);
    const remedies: Remedy[] = [];
    if (smallerOverhang >= 0)
      remedies.push({
        label: say`Overhang ${dim(smallerOverhang)} instead`,
        changes: [change(['choices', 'overhang', overhang], smallerOverhang)],
      });
    remedies.push({
      label: say`Make it ${dim(size[side] + needed)} ${side === 'length' ? 'long' : 'wide'}`,
      changes: [change(['size', side], size[side] + needed)],
    });
    stop(
      `no-room-${side}`,
      side === 'length'
        ? say`No room between the legs along the table`
        : say`No room between the legs across the table`,
      say`Two legs of ${dim(legSize)} and two overhangs of ${dim(choices.overhang[overhang])} leave ${dim(left)} of ${dim(size[side])} for the apron. It needs ${dim(least)}.`,
      { left, least },
      remedies,
    );
  };
  room('length', longRoom, 'ends', leg.along);
  room('width', endRoom, 'sides', leg.across);

  const thinnest = Math.min(leg.along, leg.across);
  const deepest = thinnest - apron.thickness;
  if (choices.setback > deepest) {
    stop(
      'setback-past-leg',
      say`The apron is set back past its leg`,
      say`Set back ${dim(choices.setback)}, a ${dim(apron.thickness)} apron leaves a ${dim(thinnest)} leg. At most ${dim(deepest)} fits.`,
      { setback: choices.setback, deepest },
      [{ label: say`Set back ${dim(deepest)}`, changes: [change(['choices', 'setback'], deepest)] }],
    );
  }
  const gaps = choices.crossSupports + 1;
  const most = Math.max(0, Math.floor((longRoom - least) / (apron.thickness + least)));
  if (choices.crossSupports > 0 && longRoom >= least && choices.crossSupports > most) {
    stop(
      'too-many-supports',
      say`${choices.crossSupports} cross supports do not fit`,
      say`Between the legs there is ${dim(longRoom)}; ${gaps} gaps would be under ${dim(least)} each.`,
      { longRoom, most },
      [{ label: say`Use ${most}`, changes: [change(['choices', 'crossSupports'], most)] }],
    );
  }
  return findings;
}
