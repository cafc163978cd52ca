import { first } from '@sill/core';
import type { Fastening, Part, Plan, Step } from '@sill/core';
import type { Drawn } from './PartPicture';

type Facts = Plan['pieces'][number];

/** The parts as they stand in a step: new, there before, later; and the corner blocks that are glued in by then. */
export function drawnIn(step: Step, { parts, fastenings }: Pick<Facts, 'parts' | 'fastenings'>): readonly Drawn[] {
  const adds = new Set(step.adds);
  const there = new Set(step.there);
  const makes = new Set(step.makes);
  const here = ({ id }: Part) => adds.has(id) || there.has(id);
  const blocks = fastenings
    .filter(({ blocks, drilled, into }) => blocks.length > 0 && here(drilled) && here(into))
    .map(({ joint, drilled, blocks }): Drawn => ({
      part: drilled,
      as: makes.has(joint.id) ? 'new' : 'there',
      body: blocks,
    }));
  const drawn = parts.map((part): Drawn => ({
    part,
    as: adds.has(part.id) ? 'new' : there.has(part.id) ? 'there' : 'later',
  }));
  return [...drawn, ...blocks];
}

/** The joints that a step makes. */
export function joinedIn(step: Step, made: readonly Fastening[]): readonly Fastening[] {
  const makes = new Set(step.makes);
  return made.filter(({ joint }) => makes.has(joint.id));
}

/** The part whose length matters in a step: the one rail that is added. */
export const measured = (step: Step, parts: readonly Part[]): Part | null => {
  const rails = parts.filter((part) => step.adds.includes(part.id) && part.role !== 'leg' && part.role !== 'top');
  return rails.length > 0 && rails.length <= 2 ? first(rails) : null;
};
