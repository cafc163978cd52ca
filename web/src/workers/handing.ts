import type { Plan } from '@sill/core';

type Planned = Plan['pieces'][number];
/** What of a piece is large, and stays as it is while others change. */
export type Heavy = Pick<Planned, 'model' | 'parts' | 'fastenings' | 'steps'>;
/** A plan without what is large: each piece says by which key that was handed over. */
export type LightPlan = Omit<Plan, 'pieces' | 'parts' | 'joints'> & {
  readonly pieces: readonly (Omit<Planned, keyof Heavy> & { readonly key: string })[];
};

/**
 * Hands plans over in parts: each piece that the other side does not have as a message of its own, so that no message
 * takes the page long to read, and one that did not change is not sent again. What the last plan does not hold is
 * forgotten, on both sides alike.
 *
 * @returns the plan as it is sent, and what goes before it.
 */
export function newSender(): (plan: Plan) => {
  readonly light: LightPlan;
  readonly parts: readonly (readonly [string, Heavy])[];
} {
  let there = new Map<Heavy['steps'], string>();
  let count = 0;
  return ({ pieces, parts: _parts, joints: _joints, ...rest }) => {
    const next = new Map<Heavy['steps'], string>();
    const parts: [string, Heavy][] = [];
    const light = pieces.map(({ model, parts: own, fastenings, steps, ...small }) => {
      // The steps are worked out once for a piece as built: they are the same ones where all of it is.
      const key = there.get(steps) ?? next.get(steps) ?? `${++count}`;
      if (!there.has(steps) && !next.has(steps)) parts.push([key, { model, parts: own, fastenings, steps }]);
      next.set(steps, key);
      return { ...small, key };
    });
    there = next;
    return { light: { ...rest, pieces: light }, parts };
  };
}

/** The other side: what was handed over before a plan, and the plan made whole with it. */
export function newReceiver() {
  let there = new Map<string, Heavy>();
  return {
    part: (key: string, heavy: Heavy): void => void there.set(key, heavy),
    whole({ pieces: light, ...rest }: LightPlan): Plan {
      const pieces = light.map(({ key, ...small }): Planned => ({ ...small, ...there.get(key)! }));
      there = new Map(light.map(({ key }) => [key, there.get(key)!]));
      // Frozen on its face, the store does not walk through all of it to freeze it.
      return Object.freeze({
        ...rest,
        pieces,
        parts: pieces.flatMap((piece) => piece.parts),
        joints: pieces.flatMap((piece) => piece.model.joints),
      });
    },
  };
}
export type Receiver = ReturnType<typeof newReceiver>;
