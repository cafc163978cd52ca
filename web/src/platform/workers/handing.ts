import { held } from '@sill/core';
import type { Plan } from '@sill/core';

type Planned = Plan['pieces'][number];
/** What of a piece is large, and stays as it is while others change. */
export type Heavy = Pick<Planned, 'model' | 'parts' | 'fastenings' | 'steps'>;
/** A plan without what is large: each piece says by which key that was handed over. */
export type LightPlan = Omit<Plan, 'pieces' | 'parts' | 'joints'> & {
  readonly pieces: readonly (Omit<Planned, keyof Heavy> & { readonly key: string })[];
  /** Keys that no plan refers to from here on. */
  readonly forget: readonly string[];
};

/**
 * Hands plans over in parts: each piece that the other side does not have as a message of its own, so that no message
 * takes the page long to read, and one that did not change is not sent again. What a plan does not hold is forgotten
 * with it: it says so itself, since its parts may overtake the plan before it.
 *
 * @returns the plan as it is sent, and what goes before it.
 */
export function newSender(): (plan: Plan) => {
  readonly light: LightPlan;
  readonly parts: readonly (readonly [string, Heavy])[];
} {
  type Sent = { readonly key: string; readonly heavy: Heavy };
  let there = new Map<Heavy['model'], Sent>();
  let count = 0;
  return ({ pieces, parts: _parts, joints: _joints, ...rest }) => {
    const next = new Map<Heavy['model'], Sent>();
    const parts: [string, Heavy][] = [];
    const light = pieces.map(({ model, parts: own, fastenings, steps, ...small }) => {
      const heavy = { model, parts: own, fastenings, steps };
      const same = (sent: Sent | undefined) =>
        sent && sent.heavy.steps === steps && sent.heavy.fastenings === fastenings;
      const before = [there.get(model), next.get(model)].find(same);
      const sent = before ?? { key: `${++count}`, heavy };
      if (!before) parts.push([sent.key, heavy]);
      next.set(model, sent);
      return { ...small, key: sent.key };
    });
    const kept = new Set(light.map(({ key }) => key));
    const forget = [...there.values()].map(({ key }) => key).filter((key) => !kept.has(key));
    there = next;
    return { light: { ...rest, pieces: light, forget }, parts };
  };
}

/** The other side: what was handed over before a plan, and the plan made whole with it. */
export function newReceiver() {
  const there = new Map<string, Heavy>();
  return {
    part: (key: string, heavy: Heavy): void => void there.set(key, heavy),
    whole({ pieces: light, forget, ...rest }: LightPlan): Plan {
      const pieces = light.map(({ key, ...small }): Planned => ({ ...small, ...held(there, key) }));
      for (const key of forget) there.delete(key);
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
