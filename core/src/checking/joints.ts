import { first, last, sure } from '../lists';
import {
  note,
  able,
  clampCount,
  clampsOver,
  type Change,
  type Finding,
  type Job,
  type Method,
  type Piece,
  set,
} from '../job';
import { DRIVER_ROOM, WAYS_TO_JOIN, type Fastening, type Trouble } from '../joinery';
import { JOINT_KINDS, pairKey, type Adaptation } from '../piece';
import { JOINTS_AT_ONCE } from '../building';
import { dim, listOf, say, strong, tag, type Bit, type Phrase } from '../words';
import type { PieceFacts } from './facts';

/** Screws that can not reach, parts too thin, and clamps that run short. */
export function jointNotes(facts: PieceFacts, job: Job): readonly Finding[] {
  const { piece, parts, model, fastenings } = facts;
  if (parts.length === 0) return [];
  const found: Finding[] = [];
  const short = fastenings.filter((item) => !item.reaches && item.joint.kind.startsWith('top '));
  if (short.length > 0) {
    const rails = [...new Map(short.map((item) => [item.drilled.tag, item])).values()];
    const { drilled, into, screw } = first(rails);
    found.push(
      note(piece.id, 'reach', 'stop', 'joints', {
        about: rails.map((item) => item.drilled.id),
        title: say`Screws too short to hold the top`,
        because: say`The top is ${dim(into.thickness)}, so ${strong(screw)} screws are the longest that stay inside it; out of a pocket in ${dim(drilled.thickness)} stock they hardly reach. ${listOf(rails.map((item): Bit => tag(item.drilled.tag)))} need clips.`,
        remedies: [
          {
            label: say`Use clips`,
            changes: [set(piece.id, ['choices', 'fixing'], 'clips'), ...unsaid(piece, short)],
          },
          {
            label: say`Screw up through the rails, in slots`,
            changes: [...unsaid(piece, short), set(piece.id, ['joins', 'top screws'], { by: 'slotted screws' })],
          },
        ],
      }),
    );
  }
  found.push(
    ...troubleNotes(
      piece,
      fastenings.filter((item) => !short.includes(item)),
    ),
  );
  found.push(...insteadNotes(piece, fastenings, job));
  found.push(...toolNotes(piece, fastenings, job));
  found.push(...adaptationNotes(piece.id, model.adaptations));
  found.push(...benchNotes(facts, job), ...hiddenNotes(facts));
  return found;
}

/** Clamps, bench, open time, drivers, and what is joined only where it stays. */
function benchNotes({ piece, parts, fastenings, steps }: PieceFacts, job: Job): readonly Finding[] {
  const found: Finding[] = [];
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
                  changes: [set(piece.id, ['topChoices', 'held'], 'pocket screws')],
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
  if (boards - 1 > JOINTS_AT_ONCE)
    found.push(
      note(piece.id, 'open-time', 'care', 'build', {
        title: say`The top goes up in panels`,
        because: say`${boards - 1} joints at a minute and a half each are more than the five minutes that glue stays open; ${JOINTS_AT_ONCE} at a time fit.`,
        numbers: { joints: boards - 1 },
      }),
    );
  const blocked = new Set(steps.flatMap(({ noRoom }) => noRoom));
  const stuck = fastenings.filter(({ joint, troubles }) => blocked.has(joint.id) && troubles.length === 0);
  if (stuck.length > 0)
    found.push(
      note(piece.id, 'no-driver', 'care', 'build', {
        about: stuck.map(({ drilled }) => drilled.id),
        title: say`No room for your drivers`,
        because: say`When ${listOf(stuck.slice(0, 6).map(pairOf))} ${stuck.length === 1 ? 'is' : 'are'} joined, parts stand too near behind the screws, in whatever order. A right-angle head wants ${dim(DRIVER_ROOM['right-angle head'])}; or join them another way.`,
        numbers: { joints: stuck.length },
        remedies: job.shop.drivers.includes('right-angle head')
          ? []
          : [
              {
                label: say`I have a right-angle head`,
                changes: [set(null, ['shop', 'drivers', 'right-angle head'], 'right-angle head')],
              },
            ],
      }),
    );
  const room = steps.filter(({ stays, makes }) => stays !== null && makes.length > 0);
  if (room.length > 0)
    found.push(
      note(piece.id, 'in-the-room', 'care', 'build', {
        title: say`The last joints are made where it stays`,
        because: say`Whole it can not be carried there: ${sure(last(room).stays, 'reason to stay')}. ${strong(room.length)} ${room.length === 1 ? 'step is' : 'steps are'} done there: take glue, driver and clamps along.`,
        numbers: { steps: room.length },
      }),
    );
  return found;
}

/** Whether screws show, where all joints are sound. */
function hiddenNotes({ piece, fastenings }: PieceFacts): readonly Finding[] {
  const found: Finding[] = [];
  const seen = fastenings.filter(
    ({ by, face, positions }) =>
      positions.length > 0 &&
      (face === 'outside' || by === 'screws') &&
      by !== 'dowels' &&
      by !== 'biscuits' &&
      by !== 'loose tenon',
  );
  const sound = fastenings.every(({ troubles }) => troubles.length === 0);
  if (sound)
    found.push(
      seen.length === 0
        ? note(piece.id, 'hidden', 'good', 'joints', {
            title: say`No screw shows`,
            because: say`Every pocket is on the underside or inside. Screw lengths follow the thinner of the two parts; try one on offcuts first.`,
          })
        : note(piece.id, 'inside-wood', 'good', 'joints', {
            title: say`Every screw stays inside`,
            because: say`${strong(fastenings.reduce((sum, { by, shanks }) => sum + (by === 'hardware' ? 0 : shanks.length), 0))} fasteners were followed through the wood: none comes out, none meets another, each has its bite.`,
          }),
    );
  return found;
}

/** Takes out what is said of some joints: of each, and of all of their kind. */
const unsaid = ({ id, joins }: Piece, some: readonly Fastening[]): readonly Change[] =>
  [...new Set(some.flatMap((one) => [keyOf(one), one.joint.kind]))]
    .filter((key) => key in joins)
    .map((key) => set(id, ['joins', key], undefined));

const keyOf = ({ joint }: Fastening): string => pairKey(joint);
const pairOf = ({ drilled, into }: Fastening): Phrase => say`${tag(drilled.tag)} to ${tag(into.tag)}`;

const TROUBLE: Readonly<Record<Trouble, string>> = {
  'no bite': 'too little wood holds the screw',
  'comes out': 'the screw would come out on the far side',
  'meets another': 'its screws would meet another fastener',
  'wood is cut away': 'the wood is cut away where its screws would go',
  'no room': 'no driver of yours has room behind it',
  'not possible': 'the parts do not allow it',
};

/** Joints that do not work as they are asked for: the usual way is one click away. */
function troubleNotes(piece: Piece, made: readonly Fastening[]): readonly Finding[] {
  const kinds = new Map<string, Fastening[]>();
  for (const item of made)
    if (item.troubles.length > 0) {
      const key = `${item.joint.kind} ${item.by} ${item.troubles[0]}`;
      kinds.set(key, [...(kinds.get(key) ?? []), item]);
    }
  return [...kinds.values()].map((group, at): Finding => {
    const item = first(group);
    const said = group.filter((one) => piece.joins[keyOf(one)] ?? piece.joins[one.joint.kind]);
    return note(piece.id, 'joint', 'care', 'joints', {
      which: at + 1,
      about: group.map(({ drilled }) => drilled.id),
      title: say`${nameOf(item)} will not do for ${pairOf(item)}`,
      because: say`${listOf(group.slice(0, 6).map(pairOf))}: ${TROUBLE[first(item.troubles)]}.`,
      numbers: { joints: group.length },
      remedies: [
        ...(said.length > 0 ? [{ label: say`Join them the usual way`, changes: unsaid(piece, group) }] : []),
        ...(item.by === 'pocket screws' && !piece.joins[item.joint.kind]?.flip
          ? [
              {
                label: say`Pockets on the other face`,
                changes: group.map((one) => set(piece.id, ['joins', keyOf(one), 'flip'], true)),
              },
            ]
          : []),
      ],
    });
  });
}

const nameOf = ({ by, joint }: Fastening): string =>
  by === 'hardware' || by === 'nothing' ? capital(JOINT_KINDS[joint.kind]) : WAYS_TO_JOIN[by].name;
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** Joints made in another way than the usual, with the reason, and what would bring the usual back. */
function insteadNotes(piece: Piece, made: readonly Fastening[], job: Job): readonly Finding[] {
  const groups = new Map<string, Fastening[]>();
  for (const item of made) {
    if (!item.instead) continue;
    const key = `${item.instead.of} ${item.instead.because} ${item.by}`;
    groups.set(key, [...(groups.get(key) ?? []), item]);
  }
  return [...groups.values()].map((group, at): Finding => {
    const { instead: other, by, joint } = first(group);
    const instead = sure(other, 'other way');
    const usual = WAYS_TO_JOIN[instead.of as Method].name.toLowerCase();
    const headless =
      !job.shop.drivers.includes('right-angle head') && instead.because === 'no room' && joint.kind !== 'edge';
    return note(piece.id, 'instead', 'care', 'joints', {
      which: at + 1,
      about: group.map(({ drilled }) => drilled.id),
      title: say`${WAYS_TO_JOIN[by as Method].name} instead of ${usual}`,
      because: say`${listOf(group.slice(0, 6).map(pairOf))}${group.length > 6 ? ` and ${group.length - 6} more` : ''}: with ${usual} ${TROUBLE[instead.because]}.`,
      numbers: { joints: group.length },
      remedies: headless
        ? [
            {
              label: say`I have a right-angle head`,
              changes: [set(null, ['shop', 'drivers', 'right-angle head'], 'right-angle head')],
            },
          ]
        : [],
    });
  });
}

/** Ways that the shop has no tools for. */
function toolNotes(piece: Piece, made: readonly Fastening[], job: Job): readonly Finding[] {
  const methods = [...new Set(made.map(({ by }) => by))].filter(
    (by): by is Method =>
      by !== 'hardware' && by !== 'nothing' && by !== 'pocket screws' && !able(job.shop.tools, WAYS_TO_JOIN[by].tools),
  );
  return methods.map((by) => {
    const lacks = WAYS_TO_JOIN[by].tools.map((set) => set.filter((tool) => !job.shop.tools.includes(tool)));
    const least = lacks.reduce((a, b) => (b.length < a.length ? b : a));
    return note(piece.id, 'lacks', 'care', 'joints', {
      which: by.replace(/ /g, '-'),
      title: say`${WAYS_TO_JOIN[by].name} need a ${least.join(' and a ')}`,
      because: say`Your shop does not list it. Choose another way in Joints, borrow one, or add it to your shop.`,
    });
  });
}

const THEN: Readonly<Record<Adaptation['then'], string>> = {
  follows: 'the plan follows',
  'leave it': 'nobody will see it: leave it',
  shim: 'it is cut already: shim the gap',
  trim: 'it is cut already: trim it',
  'cut anew': 'it is cut already and too short to shim: cut it anew',
};

/** What measured sizes changed, and what to do about what is cut already. */
function adaptationNotes(piece: string, adaptations: readonly Adaptation[]): readonly Finding[] {
  const groups = new Map<string, Adaptation[]>();
  for (const one of adaptations)
    groups.set(`${one.measured} ${one.side}`, [...(groups.get(`${one.measured} ${one.side}`) ?? []), one]);
  return [...groups.values()].map((group): Finding => {
    const { measured, side, off } = first(group);
    const cut = group.filter(({ then }) => then !== 'follows' && then !== 'leave it');
    return note(piece, 'measured', cut.length > 0 ? 'care' : 'good', 'build', {
      which: `${measured}-${side}`,
      about: group.map(({ part }) => `${piece}.${part}`),
      title: say`${tag(measured)} is ${dim(Math.abs(off))} ${off > 0 ? 'over' : 'under'} in ${side}`,
      because: listOf(
        group
          .slice(0, 8)
          .map(
            ({ part, from, to, then, changes }) =>
              say`${tag(part)} ${changes === 'length' ? '' : `${changes} `}${dim(from)} becomes ${dim(to)}: ${THEN[then]}`,
          ),
      ),
      numbers: { off },
    });
  });
}
