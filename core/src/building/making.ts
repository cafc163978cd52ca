import { first } from '../lists';
import { toInches, type Length } from '../length';
import { clampsOver, type Job, type Piece } from '../job';
import { middleOfParts, WAYS_TO_JOIN, type JointBench, type Fastening } from '../joinery';
import { leftOn } from '../milling';
import { weightOf, type Part, type PieceModel } from '../piece';
import { woodOf } from '../stock';
import { liftFor, together, type Operation } from '../work';

/** When holes, pockets and cut-outs of a part are made. */
export type Stage =
  /** Before anything is joined. */
  | 'early'
  /** Along the edges of boards that are glued to one panel, each still long. */
  | 'edge'
  /** Once the panel is glued and cut to size. */
  | 'whole'
  /** Once it is cut to what is measured. */
  | 'late';

/** A piece as it is built: its parts and joints, the shop, and how what is done is told. */
export type Making = Pick<Job, 'shop' | 'units' | 'measured'> & {
  readonly piece: Piece;
  readonly model: PieceModel;
  readonly made: readonly Fastening[];
  /** Parts that are glued to a panel and trimmed with it, by id, with the panel's name. */
  readonly panelOf: ReadonlyMap<string, string>;
  /** Only these parts are worked at, by id; all where it is not said. */
  readonly only?: ReadonlySet<string>;
  /** The driver where there is little room, by joint. */
  readonly drivers: ReadonlyMap<string, string | null>;
};

export const stageOf = ({ panelOf }: Pick<Making, 'panelOf'>, part: Part, other: Part | null): Stage => {
  if (part.fit !== null) return 'late';
  const panel = panelOf.get(part.id);
  if (panel === undefined) return 'early';
  return other && panelOf.get(other.id) === panel ? 'edge' : 'whole';
};

/** What is left on a part at each end while it waits for its panel. */
const overOf = ({ shop }: Making, part: Part): Length => Math.round(leftOn(part, shop).extra / 2);

/** The bench of a piece. On it the boards of a panel are still long before the panel is cut to size. */
export function benchOf(making: Making, stage: Stage): JointBench {
  return {
    piece: making.piece.id,
    units: making.units,
    middle: middleOfParts(making.model.parts),
    tools: making.shop.tools,
    worked: (part) => ({ part, over: stage === 'edge' ? overOf(making, part) : 0 }),
    takes: (part, other) => stageOf(making, part, other) === stage && (making.only?.has(part.id) ?? true),
    driver: (item) => making.drivers.get(item.joint.id) ?? null,
  };
}

/** Joints by the way they are made; hardware and what only rests left out. */
const byWay = (joints: readonly Fastening[]): readonly (readonly Fastening[])[] =>
  together(
    joints.filter(({ by, troubles }) => by !== 'hardware' && by !== 'nothing' && !troubles.includes('not possible')),
    ({ by, joint }) => `${by} ${joint.kind}`,
  );

/** What joints ask of parts at a stage before they come together. */
export const prepared = (making: Making, joints: readonly Fastening[], stage: Stage): readonly Operation[] =>
  byWay(joints).flatMap((group) => {
    const { by } = first(group);
    return by === 'hardware' || by === 'nothing' ? [] : WAYS_TO_JOIN[by].prepares(group, benchOf(making, stage));
  });

/** What makes joints once their parts are together. */
export const joined = (making: Making, joints: readonly Fastening[]): readonly Operation[] =>
  byWay(joints).flatMap((group) => {
    const { by } = first(group);
    return by === 'hardware' || by === 'nothing' ? [] : WAYS_TO_JOIN[by].makes(group, benchOf(making, 'early'));
  });

/** Pounds of a board as long as it is cut, before it is trimmed and cut to its outline. */
const roughPounds = (part: Part, over: Length): number =>
  part.material === 'bought'
    ? weightOf(part)
    : ((toInches(part.length + over) * toInches(part.width) * toInches(part.thickness)) / 1728) *
      woodOf(part.material).density;

/**
 * How many people lift so much; null where one does.
 *
 * @param over how much too long boards still are; left out for parts that are finished.
 */
export function liftOf(parts: readonly Part[], shop: Job['shop'], over: Length | null = null): Operation['lift'] {
  const pounds = parts.reduce((sum, part) => sum + (over === null ? weightOf(part) : roughPounds(part, over)), 0);
  return liftFor(pounds, shop);
}

/** The saw that goes along a guide across what is glued; null where there is none. */
export const guidedSaw = ({ tools }: Pick<Job['shop'], 'tools'>) =>
  (['circular saw', 'hand saw'] as const).find((tool) => tools.includes(tool)) ?? null;

export const clampsFor = (shop: Job['shop'], span: Length, wanted: number): number =>
  Math.min(clampsOver(shop, span), wanted);
