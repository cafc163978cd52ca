import { inches, toInches } from '../../length';
import { rectangle } from '../../solid';
import { count, measure, pick } from '../choice';
import { top } from '../family';
import { putFoundTop, SOME_WOOD } from '../found-top';
import { kitFor } from '../kit';
import { cordChoices } from './cord';
import { profileChoices } from './profile';

/** lb per cubic foot: stone and tile figures of builders' tables, glass from its makers. */
const KINDS = { stone: 168, glass: 156, wood: SOME_WOOD } as const;

/** A stone, glass or other top bought as it is: its weight is carried, its price counted. */
export const boughtTop = top({
  id: 'bought',
  name: 'Stone or other bought top',
  about: 'Bought as it is: the base carries its weight.',
  deck: 'rectangle',
  holdsScrews: false,
  moves: false,
  choices: {
    kind: pick('It is', { stone: 'stone', glass: 'glass', wood: 'wood' }, 'stone'),
    thick: measure('Thickness, measured', inches(1.25), inches(1 / 4), inches(4)),
    price: count('Price, whole dollars', 0, 0, 20_000),
  },
  thickness: (choices) => choices.thick,
  candidates: () => [],
  build(room, choices) {
    const kit = kitFor(room);
    const feet = (toInches(room.length) * toInches(room.width) * toInches(choices.thick)) / 1728;
    kit.shaped(
      {
        tag: 'T1',
        role: 'top',
        name: `${choices.kind} top`,
        material: 'bought',
        bought: { kind: 'top', size: choices.kind, pounds: feet * KINDS[choices.kind], price: choices.price * 100 },
      },
      rectangle(room.length, room.width),
      choices.thick,
      { at: [0, 0, room.under], u: [1, 0, 0], v: [0, 1, 0] },
    );
    return kit.built();
  },
});

/** A top, board or panel found or salvaged: the piece takes its size from it. */
export const foundTop = top({
  id: 'found',
  name: 'A top you already have',
  about: 'Found or salvaged: the piece takes its size from it.',
  deck: 'rectangle',
  holdsScrews: true,
  moves: true,
  choices: {
    thick: measure('Thickness, measured', inches(1), inches(3 / 8), inches(4)),
    ...cordChoices,
    ...profileChoices,
  },
  thickness: (choices) => choices.thick,
  candidates: () => [],
  build(room, choices) {
    const kit = kitFor(room);
    putFoundTop(kit, [room.length, room.width, choices.thick], [0, 0, room.under]);
    return kit.built();
  },
});
