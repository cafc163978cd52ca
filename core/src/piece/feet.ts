import { inches } from '../length';
import { yes, type Choices } from './choice';
import type { Part } from './part';
import { boxOf } from './shape';

/** Thinner than this a foot gives a leveller no wood. */
const LEAST = inches(1.25);

/** A part whose length rises less than this lies. */
const LIES = 0.1;

/** Legs and feet that a leveller can be let into. */
const solid = ({ legs }: Choices): boolean => legs !== 'bought' && !String(legs).startsWith('box');

/** Whether it stands on levellers: offered by what stands on feet of its own. */
export const levelling = {
  levellers: yes('Levellers in the feet', false, {
    when: solid,
    help: 'Screws that are turned until it stands on a floor that is not flat. They stand out 1/4 in: the legs are cut as they are.',
  }),
};

/** Parts that stand on the floor and take a leveller, with how many each: one under a leg, two under a long foot. */
export const levelled = (parts: readonly Part[]): readonly { readonly part: Part; readonly count: number }[] =>
  parts.flatMap((part) => {
    const thick = Math.min(part.width, part.thickness);
    if (part.loose || part.material === 'bought' || boxOf(part).min[2] > inches(1 / 16) || thick < LEAST) return [];
    return [{ part, count: Math.abs(part.frame.u[2]) < LIES ? 2 : 1 }];
  });
