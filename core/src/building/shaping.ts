import { angled, edgeLength, shortLength, type Cutout, type Part } from '../piece';
import { dim, listOf, say, strong, type Phrase } from '../words';
import { degreesText, tagsOf } from './phrases';

const sameShape = (part: Part): string =>
  JSON.stringify([
    part.name,
    part.length,
    part.width,
    part.thickness,
    part.ends,
    part.cuts.map(({ kind, axis }) => [kind, axis]),
  ]);

/** Parts of one shape together, in order. */
export function alike(parts: readonly Part[]): readonly (readonly Part[])[] {
  const groups = new Map<string, Part[]>();
  for (const part of parts) groups.set(sameShape(part), [...(groups.get(sameShape(part)) ?? []), part]);
  return [...groups.values()];
}

/** How the ends of a part are cut, in words: angles, and which way they slant. */
export function endsInWords(part: Part): Phrase | null {
  if (!angled(part)) return null;
  const { left, right } = part.ends;
  const angle = (end: Part['ends']['left']) =>
    [
      end.mitre !== 0 ? `${degreesText(end.mitre)} across the face` : '',
      end.bevel !== 0 ? `${degreesText(end.bevel)} through the thickness` : '',
    ]
      .filter((text) => text !== '')
      .join(' and ') || 'square';
  const along = edgeLength(part);
  if (along !== null)
    return say`both ends ${strong(angle(left))}, slanting the same way: ${dim(along)} along each edge`;
  const short = shortLength(part);
  const both =
    angle(left) === angle(right)
      ? say`both ends ${strong(angle(left))}`
      : say`one end ${strong(angle(left))}, the other ${strong(angle(right))}`;
  return say`${both}: ${dim(part.length)} long point to long point, ${dim(short)} between the short points`;
}

const KIND_WORDS: Readonly<Record<Cutout['kind'], string>> = {
  lap: 'half lap',
  notch: 'notch',
  groove: 'groove',
  rebate: 'rebate',
  dado: 'dado',
  hole: 'hole',
  relief: 'relief',
  corner: 'clipped corner',
  mortise: 'mortise',
  tenon: 'tenon cut',
};

/** The cut-outs of a part in words, those of one kind counted. */
export function cutsInWords(part: Part): Phrase | null {
  if (part.cuts.length === 0) return null;
  const kinds = [...new Set(part.cuts.map(({ kind }) => kind))];
  return listOf(
    kinds.map((kind) => {
      const of = part.cuts.filter((cut) => cut.kind === kind);
      const fors = [...new Set(of.map((cut) => cut.for).filter((name) => name !== null))];
      const words =
        of.length === 1
          ? `a ${KIND_WORDS[kind]}`
          : `${of.length} ${KIND_WORDS[kind]}${kind === 'relief' ? 's' : kind === 'notch' ? 'es' : 's'}`;
      return { strong: fors.length > 0 && fors.length <= 4 ? `${words} for ${fors.join(', ')}` : words };
    }),
  );
}

/** What to do to parts that are more than a board cut square. */
export const shapingActions = (parts: readonly Part[]): readonly Phrase[] =>
  alike(parts).flatMap((group) => {
    const part = group[0]!;
    const ends = endsInWords(part);
    const cuts = cutsInWords(part);
    return [
      ...(ends ? [say`${tagsOf(group)}: ${ends}.`] : []),
      ...(cuts ? [say`${tagsOf(group)}: ${cuts}.`] : []),
      ...(part.outline !== null && !part.trimmedLater && part.cuts.length === 0
        ? [say`${tagsOf(group)}: cut to the outline of its template.`]
        : []),
    ];
  });

export const needsShaping = (part: Part): boolean =>
  !part.loose &&
  part.bought === null &&
  (angled(part) || part.cuts.length > 0 || (part.outline !== null && part.outline.length !== 4));
