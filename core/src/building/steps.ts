import { first, last, nth } from '../lists';
import type { Piece, Job } from '../job';
import { inches } from '../length';
import type { Fastening } from '../joinery';
import { leftOn } from '../milling';
import { NO_FINISHING, TOP_RESTS, type FinishingWork } from '../finishing';
import { anchored, around, boxOf, extent, isTopAlone, profileOf, type Part, type PieceModel } from '../piece';
import { listOf, say } from '../words';
import { several, type Operation, operation } from '../work';
import { clampCount } from '../job';
import { finished, type Draft } from './draft';
import { fittings, pinHoles } from './hanging';
import { guidedSaw, liftOf, type Making } from './making';
import { isPanel, laidParts, operationsOf, type Union as Assembling } from './operations';
import { panelSteps } from './panel-steps';
import { preparingSteps } from './preparing';
import { runningIn } from './running';
import { schedule } from './schedule';
import { sittings, sittingStep } from './sitting';
import type { Step } from './step';
import { groutingSteps } from './tiling';
import { staysBecause } from './way-out';

/** Minutes to draw both lines, set a guide twice and cut. */
const TRIM_FLUSH = 18;

/** The steps of one operation, one after the other. */
function assemblingSteps(assembling: Assembling, making: Making): readonly Draft[] {
  const { assembly, bodies, joints, panel, origin } = assembling;
  if (panel) {
    const boards = bodies.flat();
    return panelSteps(assembly.id, first(boards).role === 'top' ? 'top' : first(boards).name, boards, joints, making);
  }
  const groups = sittings(assembling, making.shop.drivers);
  let before: readonly Part[] = [];
  // A sitting is about the part that comes by itself; where none does, about the whole.
  const homes = groups.map(
    (placings) => origin.get(placings.findLast(({ body }) => body.length === 1)?.body[0]?.id ?? '') ?? assembly,
  );
  const drafts = groups.map((placings, at) => {
    const home = nth(homes, at);
    const part = homes.slice(0, at + 1).filter((other) => other === home).length;
    const draft = sittingStep({ operation: assembling, placings, at, of: groups.length, before, home, part }, making);
    before = [...before, ...placings.flatMap(({ body }) => body)];
    return draft;
  });
  return [...drafts, ...flushing(assembling, making)];
}

/** Planks that were laid long, cut flush with what they lie on once they are fixed to it. */
function flushing({ assembly, bodies }: Assembling, { model, ...making }: Making): readonly Draft[] {
  const here = bodies.flat();
  const planks = here.filter(({ id, flush }) => flush && assembly.parts.includes(id));
  const [plank] = planks;
  const glued = model.joints.filter(
    ({ kind, drilled, into }) => kind === 'glue' && [drilled, into].includes(plank?.id ?? ''),
  );
  const under = here.find(
    (part) => part !== plank && glued.some(({ drilled, into }) => [drilled, into].includes(part.id)),
  );
  if (!plank || !under) return [];
  const box = around(planks.map(boxOf));
  const above = glued.some(({ drilled }) => drilled === plank.id);
  const { shop } = making;
  const { extra } = leftOn(plank, shop);
  const does = {
    kind: 'trim whole',
    what: 'planks',
    to: plank.length,
    off: Math.round(extra / 2),
    width: box ? extent(box, 1) : plank.width,
    round: null,
    flush: { to: under.tag, deep: plank.thickness + (above ? 0 : under.thickness), above },
    along: { axis: 0, sign: -1 },
  } as const;
  return [
    {
      name: `flush-${assembly.id}`,
      title: say`Cut the planks flush`,
      there: here.map(({ id }) => id),
      adds: [],
      ops: [
        operation(making, `${assembly.id}-flush`, does, planks, TRIM_FLUSH, {
          tool: guidedSaw(shop),
          lift: liftOf(here, shop, extra),
        }),
      ],
    },
  ];
}

/** A step that joins on its head what more is put on later ends by turning it back. */
function setUpright(drafts: readonly Draft[], making: Making): readonly Draft[] {
  const ids = new Set(
    drafts
      .flatMap(({ ops }) => ops.flatMap((op) => (op.kind === 'place' ? op.comes : [])))
      .flatMap(({ parts }) => parts),
  );
  const parts = making.model.parts.filter(({ id }) => ids.has(id));
  const does = { kind: 'turn' as const, about: 'upright' as const, out: [], says: say`Turn it over onto its feet.` };
  const turn = operation(making, `${last(drafts).name}.upright`, does, parts, 3, { lift: liftOf(parts, making.shop) });
  return drafts.with(-1, { ...last(drafts), ops: [...last(drafts).ops, turn] });
}

/** Turned upright where it was joined on its head, levelled, measured. */
function levelStep(making: Making, parts: readonly Part[], over: boolean): Draft {
  const { piece, shop } = making;
  const { size } = piece;
  const running = runningIn(making.model, new Set(parts.map(({ id }) => id)));
  const feet = say`Turn it over onto its feet; all that is fixed so far comes with it.`;
  const alone = isTopAlone(piece);
  const box = around(parts.map(boxOf));
  const high = alone && box ? box.max[2] - box.min[2] : size.height;
  const op = (about: string, does: Parameters<typeof operation>[2], minutes: number, lift: Operation['lift'] = null) =>
    operation(making, about, does, parts, minutes, { lift });
  return {
    name: 'level',
    title: alone ? say`Measure it` : over ? say`Turn it upright and level it` : say`Level it`,
    there: parts.map(({ id }) => id),
    adds: [],
    stays: staysBecause(parts, shop),
    ops: [
      ...(over
        ? [
            op(
              'upright',
              {
                kind: 'turn',
                about: 'upright',
                out: running.out,
                says: running.says ? say`${running.says} ${feet}` : feet,
              },
              3,
              liftOf(parts, shop),
            ),
          ]
        : []),
      ...(alone
        ? []
        : [op('level', { kind: 'level', levellers: making.model.needs.some(({ kind }) => kind === 'leveller') }, 6)]),
      op('size', { kind: 'measure', size: [size.length, size.width, high] }, 3),
      ...(anchored(piece, making.model) ? [op('anchor', { kind: 'anchor' }, 8)] : []),
    ],
  };
}

/** Minutes to set a router, and a foot of edge in each pass; a plane takes thrice as long a foot. */
const [SET_ROUTER, A_FOOT] = [8, 0.6];
/** What a router takes off a corner in one pass. */
const ONE_PASS = inches(1 / 8);

/** The profile of the top's edge, once all stands: before it is sanded. */
function profiling(making: Making, parts: readonly Part[]): readonly Draft[] {
  const profile = profileOf(making.piece, parts);
  if (!profile) return [];
  const { name, deep, run } = profile;
  const shape = name === 'bead' ? 'bead' : name === 'chamfer 1/4' ? 'chamfer' : 'round';
  const isRouted = making.shop.tools.includes('router') || shape === 'bead';
  const passes = Math.ceil(deep / ONE_PASS);
  const feet = run / inches(12);
  const minutes = isRouted ? SET_ROUTER + feet * A_FOOT * passes : feet * A_FOOT * passes * 3;
  const on = parts.filter(({ role }) => role === 'top' || role === 'edging');
  const does = { kind: 'profile' as const, shape, deep, run, passes } as const;
  const op = operation(making, 'edge', does, on, minutes, { tool: isRouted ? 'router' : null });
  return [{ name: 'profile', title: say`Shape the edge of the top`, there: parts.map(({ id }) => id), ops: [op] }];
}

/** Each step after the one before it. */
const inTurn = (drafts: readonly Draft[], first: readonly string[]): readonly Draft[] =>
  drafts.map((draft, at) => ({
    ...draft,
    after: at === 0 ? [...(draft.after ?? []), ...first] : [nth(drafts, at - 1).name],
  }));

const isTop = ({ bodies }: Assembling): boolean =>
  bodies.every((body) => body.every(({ role }) => role === 'top' || role === 'edging'));

const rank = ({ first }: Pick<Piece, 'first'>, assembling: Assembling): number =>
  isTop(assembling) === (first === 'top') ? 0 : 1;

/** Boards of panels by id, with the name of their panel: known before anything is ordered. */
function panelsIn(model: PieceModel): ReadonlyMap<string, string> {
  const found = new Map<string, string>();
  for (const { id, parts: ids, from } of model.assemblies) {
    const own = model.parts.filter((part) => ids.includes(part.id));
    const joints = model.joints.filter(({ drilled, into }) => ids.includes(drilled) && ids.includes(into));
    if (
      from.length === 0 &&
      isPanel(
        own,
        joints.map((joint) => ({ joint })),
      )
    )
      for (const part of own) found.set(part.id, id);
  }
  return found;
}

/** Nothing is coated before the samples of it are dry and one has won. */
const chosenBefore = (draft: Draft, samples: FinishingWork['samples']): Draft => ({
  ...draft,
  after: [...(draft.after ?? []), ...samples.map(({ name }) => name)],
});

/** A glued top is left a day before it is flattened: a step of its own, in which other things are done. */
function resting(making: Making, top: Assembled): readonly Draft[] {
  const boards = top.assembling.bodies.flat();
  const says = say`Leave the top a day before it is flattened: glue of fresh seams still shrinks, and seams that are sanded too soon sink.`;
  const op = operation(making, 'top-rests', { kind: 'heed', says, atHand: [] }, boards, 1);
  return [
    {
      name: 'top-rests',
      title: say`Leave the top until its glue has set through`,
      there: boards.map(({ id }) => id),
      adds: [],
      wait: TOP_RESTS,
      ops: [op],
      after: [last(top.own).name],
    },
  ];
}

/** An assembly with its steps. */
type Assembled = { readonly assembling: Assembling; readonly own: readonly Draft[] };

/** A glued top left until its seams have set; flattened then where that is done before it is joined to anything. */
function settling(
  making: Making,
  glued: Assembled,
  flatten: FinishingWork['flatten'],
  alone: boolean,
): readonly Draft[] {
  if (flatten.length === 0) return [];
  const rests = resting(making, glued);
  const names = rests.map(({ name }) => name);
  return alone ? [...rests, ...inTurn(flatten, names)] : rests;
}

/** What comes first of parts that must be finished before they are joined is said to all that joins them. */
const waitingFor = ({ assembling, own }: Assembled, names: readonly string[]): Assembled => ({
  assembling,
  own: own.map((draft, at) => (at === 0 ? { ...draft, after: [...(draft.after ?? []), ...names] } : draft)),
});

/**
 * Where finishing comes in: what is closed in later before its parts are joined; all else before the base and the rest
 * are joined, or once it stands.
 */
function finishedAmong(
  assembled: readonly Assembled[],
  making: Making,
  { when, closing, closes, flatten, flattenAlone, main, last: final }: FinishingWork,
  prepared: readonly Draft[],
  profile: readonly Draft[],
): { readonly assembled: readonly Assembled[]; readonly among: readonly Draft[]; readonly after: readonly Draft[] } {
  const asParts = when === 'parts';
  const isPanelled = ({ assembling }: Assembled) => assembling.panel;
  const touches = ({ assembling }: Assembled) =>
    assembling.bodies.some((body) => body.some(({ id }) => closes.has(id)));
  const first = assembled.filter(isPanelled).map(({ own }) => last(own).name);
  const glued = assembled.find(({ assembling }) => assembling.panel && isTop(assembling));
  const rests = glued ? settling(making, glued, flatten, flattenAlone) : [];
  const restNames = rests.map(({ name }) => name).slice(-1);
  const isAlone = flattenAlone && rests.length > 0;
  const boards = new Set(glued?.assembling.bodies.flatMap((body) => body.map(({ id }) => id)));
  const takesTop = ({ assembling }: Assembled) =>
    assembling.bodies.some((body) => body.some(({ id }) => boards.has(id)));
  // A planer takes off both faces what was put on them.
  const early = inTurn(closing, [...prepared.map(({ name }) => name), ...first, ...(isAlone ? restNames : [])]);
  const earlyLast = early.map(({ name }) => name).slice(-1);
  const closed = assembled.map((one) => {
    const shut = !isPanelled(one) && touches(one) ? earlyLast : [];
    const flat = isAlone && one !== glued && takesTop(one) ? restNames : [];
    return shut.length + flat.length > 0 ? waitingFor(one, [...shut, ...flat]) : one;
  });
  const work = [...(isAlone ? [] : flatten), ...profile, ...main];
  if (!asParts)
    return { assembled: closed, among: [...early, ...rests], after: inTurn([...work, ...final], restNames) };
  const whole = (one: Assembled) => isPanelled(one) || isTop(one.assembling);
  const before = [
    ...prepared.map(({ name }) => name),
    ...closed.filter(whole).map(({ own }) => last(own).name),
    ...earlyLast,
    ...restNames,
  ];
  const among = inTurn(work, before);
  const coated = among.map(({ name }) => name).slice(-1);
  return {
    assembled: closed.map((one) => (whole(one) ? one : waitingFor(one, coated))),
    among: [...early, ...rests, ...among],
    after: inTurn(final, []),
  };
}

/**
 * The steps of one piece: what is planed, laminated, shaped and drilled; then its assemblies, the top's or the base's
 * first as the person says, every joint in exactly one of them, in the order in which glue and clamps keep a person
 * waiting least; levelled, finished, and at the end what only lies on it. None where the piece can not be built.
 *
 * @param finishing what is sanded and coated, worked out from its surfaces, and when.
 */
export function stepsOf(
  piece: Piece,
  model: PieceModel,
  made: readonly Fastening[],
  where: Pick<Job, 'shop' | 'units' | 'measured'>,
  finishing: FinishingWork = NO_FINISHING,
): readonly Step[] {
  const { parts } = model;
  const { shop } = where;
  if (parts.length === 0) return [];
  const assemblings = operationsOf(model, made, shop);
  const usual = shop.drivers[0] ?? 'long bit';
  const drivers = new Map(
    assemblings
      .flatMap(({ placings }) => placings.flatMap(({ access }) => access))
      .flatMap(({ joint, driver, room }) =>
        driver !== usual && driver !== null && Number.isFinite(room) ? [[joint.joint.id, driver] as const] : [],
      ),
  );
  const making: Making = { ...where, piece, model, made, panelOf: panelsIn(model), drivers };
  const pins = pinHoles(making);
  const preparing = preparingSteps(making, pins);
  const worked = preparing.map(({ ops }) => new Set(ops.flatMap(({ on }) => on)));
  const lastOf = new Map<string, string>();
  const joinedUp = assemblings.map((assembling): Assembled => {
    const touched = new Set(
      assembling.bodies.flat().flatMap(({ id }) => preparing.filter((_, at) => nth(worked, at).has(id))),
    );
    const prepared = preparing.filter((draft) => touched.has(draft)).map(({ name }) => name);
    const sources = assembling.from.flatMap((id) => lastOf.get(id) ?? []);
    const made = assemblingSteps(assembling, making);
    const isOver = made.some(({ ops }) => ops.some((one) => one.kind === 'place' && one.over));
    const isTaken = isOver && model.assemblies.some(({ from }) => from.includes(assembling.assembly.id));
    const own = inTurn(isTaken ? setUpright(made, making) : made, [...prepared, ...sources]);
    lastOf.set(assembling.assembly.id, nth(own, own.length - 1).name);
    return { assembling, own };
  });
  // Each comes as early as it is wished for and what it is made of allows: the schedule sees to that.
  const laid = laidParts(model);
  const stands = parts.filter((part) => !part.loose && !laid.has(part.id));
  const { assembled, among, after } = finishedAmong(joinedUp, making, finishing, preparing, profiling(making, stands));
  const fixed = assembled.filter(({ assembling }) => !assembling.laid);
  const wished = [...fixed].sort((a, b) => rank(piece, a.assembling) - rank(piece, b.assembling));
  const fits = fittings(making);
  const hung =
    lastOf.size > 0 && fits.length > 0
      ? [
          {
            name: 'fittings',
            title: say`Fit the ${listOf([...new Set(fits.flatMap((one) => (one.kind === 'fit hardware' ? [several(one.fastener)] : [])))])}`,
            after: [...lastOf.values()].filter((name) => name !== 'lay'),
            ops: fits,
          },
        ]
      : [];
  const built: readonly Draft[] = [...preparing, ...among, ...wished.flatMap(({ own }) => own), ...hung];
  const turns = built
    .flatMap(({ ops }) => ops)
    .filter((one) => one.kind === 'turn' || (one.kind === 'place' && one.over));
  const over = turns.length > 0 && last(turns).kind !== 'turn';
  const level = { ...levelStep(making, stands, over), after: built.map(({ name }) => name) };
  // What can not be carried there whole is finished where it was joined.
  const stays =
    finishing.when === 'site'
      ? say`It is finished where it stays: cover the floor, air the room, and do not use it until it is hard.`
      : (level.stays ?? null);
  const coats = inTurn(after, [level.name]).map((draft) => ({ ...draft, stays }));
  const final = assembled
    .filter(({ assembling }) => assembling.laid)
    .flatMap(({ own }) => inTurn([...own, ...groutingSteps(making)], [coats.at(-1)?.name ?? level.name]));
  const all = [...finishing.samples, ...built, level, ...coats, ...final].map((draft) =>
    draft.ops.some(({ kind }) => kind === 'coat') ? chosenBefore(draft, finishing.samples) : draft,
  );
  return finished(piece.id, schedule(all, clampCount(shop)));
}
