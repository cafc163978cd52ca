import { held } from '../lists';
import { inches } from '../length';
import type { Job, Piece, Shop } from '../job';
import type { Joint, Part } from '../piece';
import { volumeOf } from '../solid';
import { WATERPROOF, woodOf } from '../stock';
import type { Operation } from '../work';
import { placed, pointed, type BenchPart, type Hole } from './body';
import type { Fault, FaultKind } from './fault';

/** Numbers are told to 1/64: what is nearer than twice that is right. */
export const NEAR = inches(1 / 32);

/** The bench of one piece while the operations are carried out. */
export type RehearsalBench = {
  readonly shop: Shop;
  /** The glue that its piece is joined with, as it is bought. */
  readonly glue: string;
  readonly parts: ReadonlyMap<string, Part>;
  readonly joints: ReadonlyMap<string, Joint>;
  readonly bodies: Map<string, BenchPart>;
  /** What each part is one with by now. */
  readonly whole: Map<string, Set<string>>;
  readonly stands: Set<string>;
  /** What each part was last put together with, fixed or not. */
  readonly company: Map<string, ReadonlySet<string>>;
  /** Joints with wet glue, and those of them that are pulled shut. */
  readonly glued: Set<string>;
  readonly shut: Set<string>;
  readonly pegged: Set<string>;
  readonly blocked: Set<string>;
  /** Joints of tiles, by id, that adhesive is spread for. */
  readonly spread: Set<string>;
  readonly made: Set<string>;
  /** Used of each kind and size. */
  readonly used: Map<string, number>;
  readonly fault: (operation: Operation, kind: FaultKind, why: string) => void;
};

export function newBench(
  job: Pick<Job, 'shop'>,
  { outside }: Pick<Piece, 'outside'>,
  parts: readonly Part[],
  joints: readonly Joint[],
  bodies: ReadonlyMap<string, BenchPart>,
  faults: Fault[],
): RehearsalBench {
  return {
    shop: job.shop,
    glue: outside ? WATERPROOF : '',
    parts: new Map(parts.map((part) => [part.id, part])),
    joints: new Map(joints.map((joint) => [joint.id, joint])),
    bodies: new Map(bodies),
    whole: new Map(parts.map(({ id }) => [id, new Set([id])])),
    stands: new Set(),
    company: new Map(),
    glued: new Set(),
    shut: new Set(),
    pegged: new Set(),
    blocked: new Set(),
    spread: new Set(),
    made: new Set(),
    used: new Map(),
    fault: ({ id }, kind, why) => faults.push({ operation: id, kind, why }),
  };
}

export const use = ({ used }: RehearsalBench, kind: string, size: string, count: number) => {
  const key = `${kind} ${size}`;
  used.set(key, (used.get(key) ?? 0) + count);
};

/** Parts that are fixed to each other move as one from now on. */
export function fix({ whole }: RehearsalBench, ids: readonly string[]): void {
  const all = new Set(ids.flatMap((id) => [...(whole.get(id) ?? [])]));
  for (const id of all) whole.set(id, all);
}

export const partsOf = (bench: RehearsalBench, op: Operation) => op.on.flatMap((id) => bench.parts.get(id) ?? []);
export const bodyOf = (bench: RehearsalBench, id: string): BenchPart => held(bench.bodies, id);

export const toPiece = (part: Part, { at, direction }: Hole) => ({
  at: placed(part.frame, at),
  direction: pointed(part.frame, direction),
});

/** Pounds of parts: what is wood by its body, what is bought as stated. */
const poundsOf = (bench: RehearsalBench, ids: readonly string[]): number =>
  ids.reduce((sum, id) => {
    const part = bench.parts.get(id);
    if (!part) return sum;
    if (part.material === 'bought') return sum + (part.bought?.pounds ?? 0);
    return sum + (volumeOf(bodyOf(bench, id).solid) / inches(1) ** 3 / 1728) * woodOf(part.material).density;
  }, 0);

export function lifted(bench: RehearsalBench, op: Operation, ids: readonly string[]): void {
  const pounds = poundsOf(bench, ids);
  const people = op.lift?.people ?? 1;
  if (pounds > people * bench.shop.lift * 1.02) bench.fault(op, 'too heavy', `${Math.round(pounds)} lb for ${people}`);
}
