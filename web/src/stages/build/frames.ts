import { nth, type Operation, type Phrase, type Plan, settingName, settingWords, type Vec } from '@sill/core';

/** One moment of the rehearsal: what is done, and how everything stands by then. */
export type Moment = {
  readonly id: string;
  /** The setting of a saw, or the step that it belongs to. */
  readonly title: Phrase;
  readonly says: Phrase;
  /** Where on the stick it stands: 0 for the saw, then the steps. */
  readonly notch: number;
  /** Parts that are cut out of their boards, those that have their shape, those that stand in the piece. */
  readonly cut: ReadonlySet<string>;
  readonly shaped: ReadonlySet<string>;
  readonly stands: ReadonlySet<string>;
  /** What has been put together so far: each a body of its own, by the ids of its parts. */
  readonly bodies: readonly ReadonlySet<string>[];
  /** Parts that are worked on now; those that come in now, and which way. */
  readonly works: ReadonlySet<string>;
  readonly comes: ReadonlyMap<string, Vec>;
  /** Joints that are fastened now. */
  readonly joints: ReadonlySet<string>;
  /** It lies on its head. */
  readonly over: boolean;
};

const SHAPES: ReadonlySet<Operation['kind']> = new Set<Operation['kind']>([
  'fit',
  'mitre',
  'outline',
  'cut',
  'trim whole',
]);

/**
 * The whole work on a piece, moment by moment: every setting of the saw that cuts a part of it, then every operation.
 */
export function momentsOf(
  { piece, parts, steps }: Plan['pieces'][number],
  setups: Plan['setups'],
  joinedBy: (operation: Operation) => readonly string[],
): readonly Moment[] {
  const own = new Set(parts.map(({ id }) => id));
  let cut: ReadonlySet<string> = new Set(parts.filter(({ material }) => material === 'bought').map(({ id }) => id));
  let shaped: ReadonlySet<string> = new Set<string>();
  let stands: ReadonlySet<string> = new Set<string>();
  let bodies: readonly ReadonlySet<string>[] = [];
  let over = false;
  const none = { works: new Set<string>(), comes: new Map<string, Vec>(), joints: new Set<string>() };
  const moments: Moment[] = [];
  for (const setup of setups) {
    const here = setup.parts.filter(({ id }) => own.has(id)).map(({ id }) => id);
    if (here.length === 0) continue;
    cut = new Set([...cut, ...here]);
    moments.push({
      ...none,
      id: `${piece.id}.saw.${setup.id}`,
      title: settingName(setup),
      says: settingWords(setup),
      notch: 0,
      cut,
      shaped,
      stands,
      bodies,
      over,
      works: new Set(here),
    });
  }
  steps.forEach((step, at) => {
    step.operations.forEach((operation, k) => {
      const comes = new Map<string, Vec>();
      if (SHAPES.has(operation.kind)) shaped = new Set([...shaped, ...operation.on]);
      if (operation.kind === 'place') {
        const coming = operation.comes.flatMap(({ parts: ids }) => ids);
        for (const { parts: ids, way } of operation.comes)
          if (way) for (const id of ids) if (!stands.has(id)) comes.set(id, way);
        const apart = bodies.filter((body) => !coming.some((id) => body.has(id)));
        const joined = bodies.filter((body) => coming.some((id) => body.has(id)));
        bodies = [...apart, new Set([...joined.flatMap((body) => [...body]), ...coming])];
        stands = new Set([...stands, ...coming]);
        shaped = new Set([...shaped, ...coming]);
        over ||= operation.over;
      }
      if (operation.kind === 'turn') over = false;
      moments.push({
        id: operation.id,
        title: step.title,
        says: nth(step.actions, k).text,
        notch: at + 1,
        cut,
        shaped,
        stands,
        bodies,
        works: new Set(operation.kind === 'place' ? [...comes.keys()] : operation.on.filter((id) => !stands.has(id))),
        comes,
        joints: new Set(joinedBy(operation)),
        over,
      });
    });
  });
  return moments;
}

/** Joints that an operation fastens. */
export const fastenedBy = (operation: Operation): readonly string[] =>
  operation.kind === 'drive' || operation.kind === 'peg' || operation.kind === 'hang' ? operation.joints : [];
