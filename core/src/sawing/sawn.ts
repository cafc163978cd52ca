import { cutAs, type Board, type Stamp } from '../buying';
import { found } from '../lists';
import type { Entry, Job } from '../job';
import { holdingsOf, type Holdings } from '../ledger';
import type { Setup } from './setup';

/** Whether a board went through the saw at a setting. */
export const wentThrough = ({ body, state }: Board, { id }: Setup, { bodies }: Holdings): boolean =>
  state === 'cut' || (body !== null && (bodies.get(body)?.settings.includes(id) ?? false));

/** Boards of the plan by number. */
type Sawn = { readonly boards: readonly Board[]; readonly setups: readonly Setup[] };
const numbered = ({ boards }: Sawn, number: number): Board => found(boards, (board) => board.number === number);

/** Whether every board of a setting went through the saw at it, as it is told now; old jobs ticked it by name. */
export const isSawn = (setup: Setup, sawn: Sawn, holdings: Holdings): boolean =>
  holdings.done.get(setup.id)?.as === null ||
  setup.boards.every((number) => wentThrough(numbered(sawn, number), setup, holdings));

/** What is told when all boards of a setting have gone through: those that it was the last setting of are cut. */
export function sawnAt(job: Job, setup: Setup, sawn: Sawn, stamp: Stamp): readonly Entry[] {
  const holdings = holdingsOf(job);
  return setup.boards.flatMap((number) => {
    const board = numbered(sawn, number);
    if (wentThrough(board, setup, holdings)) return [];
    const others = sawn.setups.filter((other) => other.id !== setup.id && other.boards.includes(number));
    const isLast = others.every((other) => wentThrough(board, other, holdings));
    return cutAs(job, board, isLast ? null : setup.id, stamp);
  });
}

/** What is told where a setting was ticked by mistake: every cut at it, and those that finished its boards. */
export function notSawn(job: Job, setup: Setup, sawn: Sawn, stamp: Stamp): readonly Entry[] {
  const bodies = new Set(setup.boards.map((number) => numbered(sawn, number).body));
  const { bodies: known } = holdingsOf(job);
  return job.ledger.flatMap((entry): readonly Entry[] => {
    const isAt =
      (entry.what === 'cut' && bodies.has(entry.of) && (entry.by === setup.id || entry.by === null)) ||
      (entry.what === 'done' && entry.of === setup.id);
    const stands = entry.what !== 'cut' || known.get(entry.of)?.cut !== null;
    return isAt && stands ? [{ id: stamp.id(), at: stamp.at, what: 'corrected', of: entry.id }] : [];
  });
}
