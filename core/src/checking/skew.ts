import { inches, type Length } from '../length';
import { note, set, type Finding, type Job } from '../job';
import { readingsOf } from '../ledger';
import type { Part } from '../piece';
import { dot } from '../solid';
import { dim, say, tag } from '../words';
import type { PieceFacts } from './facts';

/** Less than this nobody sees of a corner. */
const SEEN: Length = inches(1 / 32);
const PAIRED: readonly Part['role'][] = ['apron', 'rail', 'stretcher', 'foot', 'support'];

/** The one that a rail stands opposite to: of its name and length, beside it. */
const twinOf = (part: Part, parts: readonly Part[]): Part | undefined =>
  parts.find(
    (other) =>
      other !== part &&
      other.name === part.name &&
      Math.abs(other.length - part.length) < 2 &&
      Math.abs(dot(other.frame.u, part.frame.u)) > 0.99,
  );

/**
 * Two rails that stand opposite and came out of different lengths: what they join is a trapezium, of which both
 * diagonals are alike, so that measuring these does not show it. One that is not measured yet is cut as long as the
 * other.
 */
export function skewNotes({ piece, parts }: PieceFacts, job: Job): readonly Finding[] {
  const { asBuilt } = readingsOf(job, piece.id);
  const readOf = (part: Part): Length | undefined => asBuilt[part.tag]?.length;
  const now = (part: Part): Length => readOf(part) ?? piece.overrides[part.tag]?.length ?? part.length;
  const told = new Set<string>();
  return parts.flatMap((part): readonly Finding[] => {
    const read = readOf(part);
    const twin = read === undefined || !PAIRED.includes(part.role) ? undefined : twinOf(part, parts);
    if (read === undefined || !twin || told.has(part.id) || now(twin) === read) return [];
    told.add(twin.id);
    const skew = Math.abs(read - now(twin)) / 2;
    if (skew < SEEN) return [];
    const [long, short] = read > now(twin) ? [part, twin] : [twin, part];
    const open = readOf(twin) === undefined;
    return [
      note(piece.id, 'measured', 'care', 'build', {
        which: `skew-${part.tag}-${twin.tag}`,
        about: [part.id, twin.id],
        title: say`${tag(long.tag)} is longer than ${tag(short.tag)}: it skews`,
        because: say`What stands at their ends runs together by ${dim(Math.round(skew))} at each end, and both diagonals still match. ${open ? say`${tag(twin.tag)} is not measured yet: cut it as long as ${tag(part.tag)}.` : say`Trim ${tag(long.tag)}, or shim the end of ${tag(short.tag)}, before they are joined.`}`,
        numbers: { skew },
        remedies: open
          ? [
              {
                label: say`${tag(twin.tag)} at ${dim(read)} too`,
                changes: [set(piece.id, ['overrides', twin.tag, 'length'], read)],
              },
            ]
          : [],
      }),
    ];
  });
}
