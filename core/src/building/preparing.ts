import { first, last } from '../lists';
import { inches } from '../length';
import { clampsOver, toolFor, WAYS } from '../job';
import { blankOf, leftOn } from '../milling';
import type { Part } from '../piece';
import { dim, say, type Phrase } from '../words';
import { sizesOf } from '../stock';
import { several, tagList, together, type Operation, operation } from '../work';
import { CLAMP_MINUTES, clampsAlong } from './clamping';
import type { Draft } from './draft';
import { prepared, stageOf, type Making } from './making';
import { shapingOperations } from './shaping';

const PLANE = 4;
const GLUE = 10;
const TRIM = 6;
const RIP = 4;
/** What one pass of a bench-top planer takes at most. */
const ONE_PASS = inches(1 / 32);

const own = ({ model }: Making): readonly Part[] =>
  model.parts.filter((part) => !part.loose && part.bought === null && part.material !== 'bought');

const blankFor = (part: Part, { piece, shop, measured }: Making) => blankOf(part, piece, shop, sizesOf(measured));

/** Boards planed to their thickness, all of one at one setting. */
function planeSteps(making: Making): readonly Draft[] {
  const rows = own(making).flatMap((part) => {
    const plane = blankFor(part, making)?.plane;
    return plane ? [{ part, plane }] : [];
  });
  const ops = together(rows, ({ plane }) => `${plane.to} ${plane.each}`).map((group) => {
    const { plane, part } = first(group);
    const passes = Math.max(1, Math.ceil(plane.each / ONE_PASS));
    const tool = making.shop.tools.includes('planer') ? ('planer' as const) : null;
    return operation(
      making,
      part.tag,
      { kind: 'plane', ...plane, passes },
      group.map((one) => one.part),
      PLANE * group.length,
      { tool },
    );
  });
  return ops.length > 0 ? [{ name: 'plane', title: say`Plane the boards`, ops }] : [];
}

/** Minutes to take an old piece apart, and for each part of it that is kept. */
const [APART, KEPT] = [20, 8] as const;

/** What is kept of an old piece, taken out of it and cut to the length that it has here. */
function keptStep(making: Making): readonly Draft[] {
  const kept = making.model.parts.filter((part) => part.kept);
  if (kept.length === 0) return [];
  const sizes = together(kept, ({ length }) => String(length)).reduce<Phrase>(
    (all, alike, at) =>
      say`${all}${at > 0 ? ', ' : ''}${tagList(alike.map(({ tag }) => tag))} to ${dim(first(alike).length)}`,
    say``,
  );
  const { width, thickness } = first(kept);
  const says = say`Take the old piece apart: open its joints with a mallet and a block, pull every nail and screw, and run a magnet along what is kept before a saw or bit comes near. Write their tags on the inside. Cut both ends square, what is left of old joints off: ${sizes}. They are taken to be ${dim(width)} by ${dim(thickness)}: measure again before you go on. Paint on an old piece may hold lead: test it before you sand or scrape.`;
  const atHand = ['mallet', 'block', 'pincers', 'magnet', 'pencil'].map((name) => say`${name}`);
  const tool = toolFor(making.shop.tools, WAYS.angle);
  const op = operation(making, 'kept', { kind: 'heed', says, atHand }, kept, APART + KEPT * kept.length, { tool });
  return [{ name: 'kept', title: say`Take the old piece apart`, ops: [op] }];
}

/** Glue-ups of boards face to face, alike ones together, then ripped clean where that is wished, and cut to length. */
function laminationSteps(making: Making): readonly Draft[] {
  const plied = own(making).filter((part) => part.plies > 1);
  const groups = together(plied, ({ name, length, width, thickness, plies }) =>
    [name, length, width, thickness, plies].join(),
  );
  return groups.flatMap((group, at): readonly Draft[] => {
    const part = first(group);
    const have = clampsOver(making.shop, part.thickness);
    const each = Math.min(have, clampsAlong(part.length));
    const beside = Math.max(1, Math.min(group.length, Math.floor(have / Math.max(1, each))));
    const rounds = Math.ceil(group.length / beside);
    const name = at === 0 ? '' : `-${at + 1}`;
    const rip = blankFor(part, making)?.rip ?? null;
    const ripTool = toolFor(making.shop.tools, WAYS.rip);
    const tool = toolFor(making.shop.tools, WAYS.angle);
    const { extra } = leftOn(part, making.shop);
    const laminate = { kind: 'laminate' as const, plies: part.plies, each, together: beside, noun: part.name, rounds };
    return [
      {
        name: `glue-legs${name}`,
        title: say`Glue up the ${several(part.name)} ${tagList(group.map(({ tag }) => tag))}`,
        ops: [operation(making, part.tag, laminate, group, GLUE * group.length)],
        clamps: Math.min(have, each * beside),
        wait: CLAMP_MINUTES * rounds,
      },
      {
        name: `trim-legs${name}`,
        after: [`glue-legs${name}`],
        title: say`Cut the ${several(part.name)} to size`,
        ops: [
          ...(rip
            ? [
                operation(
                  making,
                  part.tag,
                  {
                    kind: 'rip',
                    to: rip.to,
                    from: rip.from,
                    passes:
                      rip.why === 'square edges' ? [rip.from - Math.round((rip.from - rip.to) / 2), rip.to] : [rip.to],
                  },
                  group,
                  RIP * group.length,
                  { tool: ripTool },
                ),
              ]
            : []),
          operation(
            making,
            part.tag,
            { kind: 'trim', to: part.length, off: Math.round(extra / 2), why: 'long' },
            group,
            TRIM * group.length,
            { tool },
          ),
        ],
      },
    ];
  });
}

/**
 * Parts that are longer than they will be and that nothing else shortens: snipe, and boards of a top that is one board.
 */
function trimSteps(making: Making): readonly Draft[] {
  const long = own(making)
    .filter((part) => part.plies === 1 && part.fit === null && !part.flush && !making.panelOf.has(part.id))
    .map((part) => ({ part, ...leftOn(part, making.shop) }))
    .filter(({ extra }) => extra > 0);
  const tool = toolFor(making.shop.tools, WAYS.angle);
  const ops = together(long, ({ part, extra, extraFor }) => `${part.length} ${extra} ${extraFor}`).map((group) => {
    const { part, extra, extraFor } = first(group);
    const why = extraFor === 'cutting off the snipe' ? ('snipe' as const) : ('long' as const);
    return operation(
      making,
      part.tag,
      { kind: 'trim', to: part.length, off: Math.round(extra / 2), why },
      group.map((one) => one.part),
      TRIM * group.length,
      { tool },
    );
  });
  return ops.length > 0 ? [{ name: 'trim', title: say`Cut to length`, after: ['plane'], ops }] : [];
}

/** Ends that the saw slanted as it cut a part out of its board. */
export const isSawn =
  (making: Making) =>
  (part: Part): boolean =>
    (blankFor(part, making)?.ends ?? null) !== null;

/** Longer than this nobody stands at the drill without a rest. */
const MOST_MINUTES = 120;

/** Operations in order, in sittings that are not too long. */
function sittingsOf(ops: readonly Operation[]): readonly (readonly Operation[])[] {
  const groups: Operation[][] = [];
  for (const op of ops) {
    const last = groups.at(-1);
    const minutes = (last ?? []).reduce((sum, one) => sum + one.minutes, 0);
    if (last && minutes + op.minutes <= MOST_MINUTES) last.push(op);
    else groups.push([op]);
  }
  return groups;
}

/**
 * All that is done to parts before anything is joined, in the order that it can be done.
 *
 * @param pins holes for shelf pins.
 */
export function preparingSteps(making: Making, pins: readonly Operation[] = []): readonly Draft[] {
  const early = own(making).filter((part) => stageOf(making, part, null) === 'early');
  const shaping = shapingOperations(early, making, isSawn(making));
  const holes = [...prepared(making, making.made, 'early'), ...pins];
  const sized = [...laminationSteps(making), ...trimSteps(making)];
  const names = sized.map(({ name }) => name);
  const shape: readonly Draft[] =
    shaping.length > 0
      ? [{ name: 'shape', title: say`Cut angles, laps and grooves`, after: ['kept', 'plane', ...names], ops: shaping }]
      : [];
  const bored = sittingsOf(holes).map((ops, at): Draft => ({
    name: at === 0 ? 'pockets' : `pockets-${at + 1}`,
    title: say`${holeTitle(ops)}`,
    after: ['kept', 'plane', ...names, 'shape'],
    ops,
  }));
  return [
    ...keptStep(making),
    ...planeSteps(making),
    ...sized.map((draft) => ({ ...draft, after: [...(draft.after ?? []), 'plane'] })),
    ...shape,
    ...bored,
  ];
}

export const holeTitle = (holes: readonly Operation[]): string => {
  const kinds = new Set(holes.map(({ kind }) => kind));
  const words = [
    ...(kinds.has('pocket') ? ['pockets'] : []),
    ...(kinds.has('bore') || kinds.has('elongate') ? ['holes'] : []),
    ...(kinds.has('slot') ? ['slots'] : []),
  ];
  return `Drill ${words.length > 2 ? `${words.slice(0, -1).join(', ')} and ${last(words)}` : words.join(' and ')}`;
};
