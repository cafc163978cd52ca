import type { Stamp } from './buying';
import { applyChanges, dateOf, dayOf, finishedWith, newJob, type Entry, type Job } from './job';
import { entered, holdingsOf } from './ledger';
import { inches, type Length } from './length';
import { mishapOf } from './mishaps';
import { newPiece } from './piece';
import { planJob, type Plan } from './plan';
import { playedThrough, type Builder } from './played';
import { boughtInstead, cameTo } from './reckoned';

/** Who built them: a little slower than the usual. */
const BUILDER: Builder = { pace: 1.2, spread: 0.35, seed: 7 };
/** Days before today on which the finished one was begun, and the one under way. */
const [LONG_AGO, LATELY] = [75, 20] as const;

const before = (today: string, days: number): string => dateOf(dayOf(today.slice(0, 10)) - days);
const sign = ({ id, at }: Stamp) => ({ id: id(), at });

/** Lengths of a few legs and rails as measured, in 64ths of an inch off. */
const OFF: readonly Length[] = [1, -1, 2, 0, -2, 1].map((sixtyFourths) => inches(sixtyFourths / 64));

/** What a builder writes down beside time and ticks, after the sessions of a job. */
function wordsAfter(bench: { job: Job; plan: Plan }, session: number, stamp: Stamp): readonly Entry[] {
  const [piece] = bench.job.pieces;
  const [facts] = bench.plan.pieces;
  if (!piece || !facts) return [];
  const none = { piece: piece.id, family: piece.family, part: '', of: '', work: null, tool: null } as const;
  const note = (text: string, next: boolean, rest: Partial<Extract<Entry, { what: 'note' }>> = {}): Entry => ({
    ...{ ...sign(stamp), what: 'note', ...none, next, text, photo: null },
    ...rest,
  });
  if (session === 0)
    return [
      { ...sign(stamp), what: 'moisture', of: null, percent: 9.5, simulated: true },
      note('The yard was out of the straight ones; took what was there.', false),
    ];
  if (session === 1)
    return [
      ...facts.parts
        .filter(({ fit, role }) => fit === null && role !== 'top')
        .slice(0, OFF.length)
        .map((part, at): Entry => ({
          ...{ ...sign(stamp), what: 'measured', piece: piece.id, tag: part.tag, side: 'length' },
          ...{ size: part.length + (OFF[at] ?? 0), simulated: false, planned: part.length },
        })),
      note('Set the stop with a steel rule, not with the tape.', true, { work: 'saw', tool: 'mitre saw' }),
    ];
  return [];
}

/** Parts that are cut and lie there. */
const cutParts = (job: Job): readonly string[] =>
  [...holdingsOf(job).bodies.values()].flatMap(({ piece, state }) => (piece && state === 'whole' ? [piece.part] : []));

/** A finished job of the studio: closed, with its hours, its receipt, a mishap and words for the next. */
export function finishedJob(today: string): Job {
  const stand = newPiece('stand', 'end-table', 'Hand wheel stand');
  const job: Job = {
    ...newJob('Kiln Lane hand wheel stand'),
    budget: 30_000,
    pieces: [
      {
        ...stand,
        where: 'By the sink',
        boughtPrice: 34_900,
        finish: finishedWith('natural.wipeable', 'natural.wipeable.rest'),
      },
    ],
  };
  const played = playedThrough(job, BUILDER, before(today, LONG_AGO), 1, (bench, session, stamp) => {
    const more = wordsAfter(bench, session, stamp);
    const part = session === 2 ? cutParts(bench.job)[0] : undefined;
    if (part === undefined) return more;
    const told = { how: 'split', piece: 'stand', part, of: null, anew: false } as const;
    return [...more, ...mishapOf(bench.job, bench.plan, { ...told, note: 'Drove a screw without a pilot.' }, stamp)];
  });
  const plan = planJob(played, { today, effort: 'quick' });
  const day = dateOf(dayOf((played.ledger.at(-1)?.at ?? today).slice(0, 10)) + 7);
  const id = (name: string) => ({ id: `over-${name}`, at: `${day}T10:00` });
  const back = plan.buying.idle
    .filter(({ bought, state }) => bought !== null && state === 'whole')
    .map((body): Entry => ({ ...id(`back-${body.id}`), what: 'returned', of: body.id }));
  const done = applyChanges(played, back.map(entered));
  const finish = plan.needs.find(({ kind }) => kind === 'finish');
  return applyChanges(
    done,
    (
      [
        ...(finish
          ? [
              {
                ...{ ...id('used'), what: 'used', kind: 'finish', size: finish.size },
                ...{ planned: finish.count, ounces: Math.round(11 * finish.count) / 10 },
              },
            ]
          : []),
        {
          ...{ ...id('next'), what: 'note', piece: 'stand', family: 'end-table', part: '', of: '', work: 'coat' },
          ...{ tool: null, next: true, text: 'Thin the first coat; it dragged.', photo: null },
        },
        { ...id('closed'), what: 'closed', ...cameTo(done, plan, day), bought: boughtInstead(done) },
      ] as readonly Entry[]
    ).map(entered),
  );
}

/** A job of the studio that is under way: bought, sawn and partly joined. */
export function jobUnderWay(today: string): Job {
  const bench = newPiece('porch', 'bench', 'Porch bench');
  const job: Job = {
    ...newJob('Kiln Lane porch bench'),
    budget: 20_000,
    pieces: [{ ...bench, where: 'Under the porch roof', boughtPrice: 21_900, finish: finishedWith('natural.mended') }],
  };
  return playedThrough(job, { ...BUILDER, seed: 11 }, before(today, LATELY), 0.5, wordsAfter);
}
