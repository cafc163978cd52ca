import { clampCount, clampsOver, type Finding, type Job } from '../job';
import { JOINTS_AT_ONCE } from '../building';
import { dim, listOf, say, strong, tag, type Bit } from '../words';
import { note, type PieceFacts } from './facts';

/** Screws that can not reach, parts too thin, and clamps that run short. */
export function jointNotes({ piece, parts, fastenings, steps }: PieceFacts, job: Job): readonly Finding[] {
  if (parts.length === 0) return [];
  const found: Finding[] = [];
  const short = fastenings.filter((item) => !item.reaches);
  if (short.length > 0) {
    const rails = [...new Map(short.map((item) => [item.drilled.tag, item])).values()];
    const { drilled, into, screw } = rails[0]!;
    found.push(
      note(piece.id, 'reach', 'stop', 'joints', {
        about: rails.map((item) => item.drilled.id),
        title: say`Screws too short to hold the top`,
        because: say`The top is ${dim(into.thickness)}, so ${strong(screw)} screws are the longest that stay inside it; out of a pocket in ${dim(drilled.thickness)} stock they hardly reach. ${listOf(rails.map((item): Bit => tag(item.drilled.tag)))} need clips.`,
        remedies: [
          { label: say`Use clips`, changes: [{ piece: piece.id, path: ['choices', 'fixing'], value: 'clips' }] },
        ],
      }),
    );
  }
  const most = Math.max(0, ...steps.map((step) => step.clamps));
  const have = clampCount(job.shop);
  if (most >= have && most > 0)
    found.push(
      note(piece.id, 'clamps', 'care', 'build', {
        title: say`All ${have} clamps at once`,
        because: say`Some glue-ups want more than you have. The steps split them, and screws hold while the glue sets.`,
        numbers: { clamps: most },
      }),
    );
  const glued = fastenings
    .filter(({ joint, glue }) => joint.kind === 'lamination' && glue > 0)
    .map(({ drilled }) => drilled);
  const across = glued.some(({ role }) => role === 'top') ? piece.size.width : 0;
  if (across > 0 && clampsOver(job.shop, across) === 0)
    found.push(
      note(piece.id, 'clamps-short', 'care', 'build', {
        title: say`No clamp opens ${dim(across)}`,
        because: say`The top is held by glue alone, and your longest clamp opens ${dim(Math.max(0, ...job.shop.clamps.map(({ length }) => length)))}. Wedge it between two stops on the bench, glue it in halves, or let pocket screws pull it shut.`,
        numbers: { across },
        remedies:
          piece.topChoices.held === 'glue'
            ? [
                {
                  label: say`Hold it by pocket screws`,
                  changes: [{ piece: piece.id, path: ['topChoices', 'held'], value: 'pocket screws' }],
                },
              ]
            : [],
      }),
    );
  const { bench } = job.shop;
  const [long, wide] = [Math.max(piece.size.length, piece.size.width), Math.min(piece.size.length, piece.size.width)];
  const boards = parts.filter((part) => part.role === 'top' && part.trimmedLater).length;
  if (boards > 1 && (long > Math.max(bench.length, bench.width) || wide > Math.min(bench.length, bench.width)))
    found.push(
      note(piece.id, 'bench', 'care', 'build', {
        title: say`The top is larger than the bench`,
        because: say`It is ${dim(long)} by ${dim(wide)}, the bench ${dim(bench.length)} by ${dim(bench.width)}. Glue it up on straight boards across two sawhorses, levelled by eye from both ends: a top glued on a twist stays twisted.`,
      }),
    );
  const tops = parts.filter((part) => part.role === 'top').length;
  if (tops - 1 > JOINTS_AT_ONCE)
    found.push(
      note(piece.id, 'open-time', 'care', 'build', {
        title: say`The top goes up in panels`,
        because: say`${tops - 1} joints at a minute and a half each are more than the five minutes that glue stays open; ${JOINTS_AT_ONCE} at a time fit.`,
        numbers: { joints: tops - 1 },
      }),
    );
  found.push(
    note(piece.id, 'hidden', 'good', 'joints', {
      title: say`No screw shows`,
      because: say`Every pocket is on the underside or inside. Screw lengths follow the thinner of the two parts; try one on offcuts first.`,
    }),
  );
  return found;
}
