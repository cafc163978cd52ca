import { first } from '../lists';
import { wholeInches } from '../length';
import { SHORT_PIECE } from '../sawing';
import { note, set } from '../job';
import type { Finding, Job, Lock } from '../job';
import { entered, holdingsOf, misentryWords, type Body } from '../ledger';
import { isCutInto, ownSize, sparesFor } from '../buying';
import { printMaterial } from '../stock';
import { tagList, together } from '../work';
import { dim, listOf, say, strong, tag, type Phrase } from '../words';
import type { Facts } from './facts';
import { unplacedNotes } from './unplaced';

const MEASURES = {
  waste: (value: number): Phrase => say`${strong(Math.round(value / 14.4) / 10)} sq ft left over`,
  boards: (value: number): Phrase => say`${strong(value)} ${value === 1 ? 'board' : 'boards'} bought`,
  setups: (value: number): Phrase =>
    say`${strong(value)} ${value === 1 ? 'setting' : 'settings'}, boards cut alike together`,
} as const;
const AIM_NAMES = { waste: 'least left over', boards: 'fewest boards', setups: 'fewest saw settings' } as const;

/** What boards were chosen for, what that comes to, and what it costs beside the cheapest. */
function aimNote(aim: NonNullable<Facts['buying']['aim']>, cost: number): Finding {
  const { cheapest, value, atLeast } = aim;
  const measure = MEASURES[aim.for];
  const dearer = cost - cheapest.cost;
  const proved = value <= atLeast + 1e-9;
  return note(null, 'aim', proved ? 'good' : 'care', 'cuts', {
    title: say`Chosen for ${AIM_NAMES[aim.for]}`,
    because: say`${measure(value)}; with the cheapest boards it would be ${measure(cheapest.value)}. That costs $${(dearer / 100).toFixed(2)} more. ${proved ? 'Nothing does with less: proved.' : say`Less than ${measure(atLeast)} is not possible at any price.`}`,
    numbers: { cents: dearer, value, atLeast },
    remedies: [{ label: say`Choose the cheapest`, changes: [set(null, ['aim', 'for'], 'cost')] }],
  });
}

/** Tags as a phrase, runs drawn together whatever order they were found in. */
const inOrder = (tags: readonly string[]): Phrase =>
  tagList([...tags].sort((a, b) => a.localeCompare(b, 'en', { numeric: true })));
/** The tag of a part out of its id, also where there is no such part any more. */
const tagIn = (part: string): string => part.slice(part.lastIndexOf('.') + 1);

/** What became of wishes: what they cost, and those that no longer stand. */
function wishNotes({ locks }: Job, { wish, lostLocks }: Facts['buying']): readonly Finding[] {
  const found: Finding[] = [];
  const without = (gone: readonly Lock[]) => gone.map(({ id }) => set(null, ['locks', id], undefined));
  if (wish >= 1)
    found.push(
      note(null, 'wish', 'care', 'cuts', {
        title: say`Kept boards cost $${(wish / 100).toFixed(2)}`,
        because: say`That much more than if ${strong(locks.length)} kept ${locks.length === 1 ? 'board' : 'boards'} could change with the rest.`,
        numbers: { cents: wish },
        remedies: [{ label: say`Let them change`, changes: without(locks) }],
      }),
    );
  if (lostLocks.length > 0)
    found.push(
      note(null, 'lost-locks', 'care', 'cuts', {
        title: say`${lostLocks.length === 1 ? 'A kept board' : `${lostLocks.length} kept boards`} could not stay`,
        because: say`A piece on ${lostLocks.length === 1 ? 'it' : 'them'} is gone, has another size now or is cut elsewhere, or the board is not to be had any more. Its pieces are planned anew.`,
        remedies: [{ label: say`Forget ${lostLocks.length === 1 ? 'it' : 'them'}`, changes: without(lostLocks) }],
      }),
    );
  return found;
}

/** What is cut: pieces that are larger than they must be now, pieces that are none, boards that nothing comes from. */
function factNotes(job: Job, { boards, unfit, idle }: Facts['buying'], spares: readonly Body[]): readonly Finding[] {
  const found: Finding[] = [];
  const larger = boards
    .filter(isCutInto)
    .flatMap(({ pieces }) => pieces)
    .flatMap((piece) => {
      const { blank } = piece;
      const { length, width } = ownSize(piece);
      return [
        { blank, from: length, to: blank.length, side: 'long' },
        { blank, from: width, to: blank.width, side: 'wide' },
      ].filter(({ from, to }) => from > to);
    });
  const alike = together(larger, ({ from, to, side }) => `${from} ${to} ${side}`).map((rows): Phrase => {
    const { from, to, side } = first(rows);
    return say`${inOrder(rows.map(({ blank }) => blank.part.tag))} from ${dim(from)} to ${dim(to)} ${side}`;
  });
  if (larger.length > 0)
    found.push(
      note(null, 'cut-otherwise', 'care', 'cuts', {
        about: [...new Set(larger.map(({ blank }) => blank.part.id))],
        title: say`Cut larger than ${larger.length === 1 ? 'it is' : 'they are'} now`,
        because: say`Before anything else is done with ${larger.length === 1 ? 'it' : 'them'}: ${listOf(alike)}.`,
      }),
    );
  return [...found, ...unfitNotes(unfit), ...idleNotes(job, idle, spares), ...misentryNotes(job)];
}

/** Pieces that are cut and no part of the plan: what they were cut as. */
function unfitNotes(unfit: Facts['buying']['unfit']): readonly Finding[] {
  if (unfit.length === 0) return [];
  const all = unfit.map(({ piece, material }) => ({ ...piece, material }));
  const sizes = together(all, ({ length, width, material }) => `${length} ${width} ${material}`).map((rows): Phrase => {
    const { length, width, material } = first(rows);
    return say`${inOrder(rows.map(({ part }) => tagIn(part)))}, ${dim(length)} × ${dim(width)} of ${printMaterial(material)}`;
  });
  return [
    note(null, 'cut-unfit', 'care', 'cuts', {
      about: [...new Set(all.map(({ part }) => part))],
      title:
        all.length === 1
          ? say`A piece that is cut is no part any more`
          : say`${strong(all.length)} cut pieces are no parts any more`,
      because: say`${listOf(sizes)}: the plan wants another size, other wood or none of them now, and no other part is cheaper cut from ${all.length === 1 ? 'it' : 'them'}. What lacks is planned anew, and their board stays paid.`,
      numbers: { pieces: all.length },
    }),
  ];
}

/** The id of an entry that a remedy writes: another each time. */
const entryId = ({ ledger }: Job, what: string, at: number): string => `${what}.${ledger.length + at}`;

/** Boards that are bought, whole, and that nothing comes from, spares left out. */
function idleNotes(job: Job, idle: readonly Body[], spares: readonly Body[]): readonly Finding[] {
  const whole = idle.filter((body) => body.state === 'whole' && !spares.includes(body));
  if (whole.length === 0) return [];
  const cents = whole.reduce((sum, { bought }) => sum + (bought?.price ?? 0), 0);
  return [
    note(null, 'bought-idle', 'care', 'cuts', {
      title: whole.length === 1 ? say`A bought board lies idle` : say`${strong(whole.length)} bought boards lie idle`,
      because: say`Nothing comes from ${whole.length === 1 ? 'it' : 'them'} any more: $${(cents / 100).toFixed(2)} before tax, still in what is spent. Take ${whole.length === 1 ? 'it' : 'them'} back, or keep ${whole.length === 1 ? 'it as a spare' : 'them as spares'}.`,
      numbers: { cents },
      remedies: [
        {
          label: whole.length === 1 ? say`It is taken back` : say`They are taken back`,
          changes: whole.map(({ id }, at) =>
            entered({ id: entryId(job, 'returned', at), at: null, what: 'returned', of: id }),
          ),
        },
      ],
    }),
  ];
}

/** Entries of the ledger that can not be so, as two browsers may have told them apart. */
function misentryNotes(job: Job): readonly Finding[] {
  const { faults } = holdingsOf(job);
  if (faults.length === 0) return [];
  return [
    note(null, 'misentry', 'care', 'cuts', {
      title: faults.length === 1 ? say`An entry can not be so` : say`${strong(faults.length)} entries can not be so`,
      because: say`${faults.slice(0, 3).map(misentryWords).join(' ')}${faults.length > 3 ? ` And ${faults.length - 3} more.` : ''} The plan is made without ${faults.length === 1 ? 'it' : 'them'}; wood that is cut counts as found.`,
      numbers: { entries: faults.length },
      remedies: [
        {
          label: faults.length === 1 ? say`Take it out` : say`Take them out`,
          changes: faults.map(({ entry }, at) =>
            entered({ id: entryId(job, 'corrected', at), at: null, what: 'corrected', of: entry.id }),
          ),
        },
      ],
    }),
  ];
}

/** What found no board, what was proved, and pieces that are dangerous to hold. */
export function cutNotes({ job, buying, offcuts }: Facts): readonly Finding[] {
  const found: Finding[] = [];
  found.push(...unplacedNotes(job, buying.unplaced));
  if (buying.aim) found.push(aimNote(buying.aim, buying.cost));
  else if (buying.boards.length > 0 && buying.unplaced.length === 0) {
    const gap = buying.cost - buying.lowerBound;
    const held = buying.boards.filter(
      ({ state, kept }) => kept !== null || (state !== 'to buy' && state !== 'on hand'),
    ).length;
    found.push(
      gap === 0
        ? note(null, 'proved', 'good', 'cuts', {
            title: held > 0 ? say`Cheapest with what stays` : say`Cheapest for these sizes of board`,
            because: say`No other mix of boards on this price list makes ${held > 0 ? 'the other' : 'these'} pieces for less, each from the size of board it is made of: proved, kerf and squared ends counted. Whether a wider board ripped down would be cheaper is not looked into.`,
            numbers: { cents: buying.cost },
          })
        : note(null, 'proved', 'care', 'cuts', {
            title: say`Within $${(gap / 100).toFixed(2)} of the least`,
            because: say`These boards cost $${(buying.cost / 100).toFixed(2)}. No mix can cost less than $${(buying.lowerBound / 100).toFixed(2)}; whether one is in between is not proved. Each piece comes from the size of board it is made of.`,
            numbers: { cents: buying.cost, boundCents: buying.lowerBound },
          }),
    );
  }
  const spares = sparesFor(job, buying).flatMap(({ own }) => own);
  found.push(...wishNotes(job, buying), ...factNotes(job, buying, spares));
  const samples = offcuts.filter(({ jobs }) => jobs.some(({ kind }) => kind === 'sample'));
  if (samples.length > 0)
    found.push(
      note(null, 'samples', 'care', 'cuts', {
        title: say`Keep ${samples.length === 1 ? 'this offcut' : 'these offcuts'} for samples`,
        because: say`${listOf(samples.map(({ board, offcut }): Phrase => say`${dim(wholeInches(offcut.length))} of board ${strong(board)}`))}: the same wood as the top. Try stain and finish there before the top.`,
      }),
    );
  const short = [
    ...new Set(
      buying.boards
        .flatMap((board) => board.pieces)
        .filter((piece) => piece.length < SHORT_PIECE)
        .map((piece) => piece.blank.part),
    ),
  ];
  if (short.length > 0)
    found.push(
      note(null, 'short', 'care', 'cuts', {
        about: short.map((part) => part.id),
        title: say`Short pieces near the blade`,
        because: say`${listOf(short.map((part): Phrase[number] => tag(part.tag)))} are under ${dim(SHORT_PIECE)}. Hold them with a clamp block, never by hand.`,
      }),
    );
  return found;
}
