import { inches } from '../length';
import { finishedWith, type Piece, type Use } from '../job';
import { AS_SOLD } from '../stock';
import type { Choices } from './choice';

/** A place to start from: a kind of piece at its usual size. */
export type Start = {
  readonly id: string;
  readonly name: string;
  readonly about: string;
  readonly use: Use;
  readonly family: string;
  readonly top: string;
  /** Length, width, height in inches. */
  readonly size: readonly [number, number, number];
  readonly choices: Choices;
  readonly topChoices: Choices;
};

const at = inches;
const start = (
  id: string,
  name: string,
  about: string,
  use: Use,
  family: string,
  top: string,
  size: Start['size'],
  choices: Choices = {},
  topChoices: Choices = {},
): Start => ({ id, name, about, use, family, top, size, choices, topChoices });

/** The gallery, in the order people ask for them. */
export const STARTS: readonly Start[] = [
  start('dining', 'Dining table', 'Four legs, room for knees', 'dining', 'aprons', 'joined', [66, 34, 29.5], {
    overhangEnds: at(10),
  }),
  start('standing', 'Standing work table', 'High, stiff, no seats', 'standing', 'aprons', 'joined', [60, 28, 36]),
  start('desk', 'Desk', 'One side to sit at', 'desk', 'aprons', 'joined', [52, 26, 29.5]),
  start('coffee', 'Coffee table', 'Low, for a sofa', 'coffee', 'aprons', 'joined', [44, 22, 17], {
    apron: '2x3',
    crossSupports: 1,
  }),
  start(
    'shelf-coffee',
    'Coffee table with shelf',
    'Breadboard ends, slats below',
    'coffee',
    'aprons',
    'breadboard',
    [46, 24, 17.5],
    { apron: '1x3', legs: 'three 1x4', crossSupports: 1, below: 'slat shelf', shelfHeight: at(6), setback: at(0.5) },
    { thickness: '1x' },
  ),
  start('splayed', 'Splayed-leg table', 'Legs that spread', 'side', 'splayed', 'panel', [40, 20, 24], {
    splayEnds: 10,
    splaySides: 6,
    apron: '1x3',
  }),
  start('hairpin', 'Hairpin-leg table', 'Bought metal legs', 'coffee', 'hairpin', 'joined', [42, 20, 17.5], {
    height: '16',
  }),
  start('trestle', 'Trestle table', 'Feet, posts and struts', 'dining', 'trestle', 'breadboard', [72, 36, 29.5], {
    overhangEnds: at(12),
    overhangSides: at(4),
    kickers: true,
    headStruts: true,
  }),
  start('heavy', 'Heavy trestle table', 'Timbers and bolts', 'dining', 'heavy-trestle', 'joined', [78, 36, 30], {
    overhangEnds: at(12),
    overhangSides: at(4),
  }),
  start('x-frame', 'X-frame table', 'Crossed, lapped legs', 'dining', 'x-frame', 'planks', [66, 34, 29.5], {
    overhangEnds: at(8),
    overhangSides: at(4),
  }),
  start('pedestal', 'Round pedestal table', 'One post, crossed feet', 'dining', 'pedestal', 'round', [42, 42, 29.5], {
    braces: '8',
  }),
  start('bench', 'Bench', 'Board ends, long seat', 'bench', 'bench', 'joined', [48, 14, 18], {
    overhangEnds: at(2),
    overhangSides: at(0.75),
  }),
  start(
    'end-table',
    'End table with drawers',
    'Two drawers, even reveals',
    'side',
    'end-table',
    'edged-sheet',
    [22, 18, 24],
    { drawers: 2, legs: 'three 1x4', overhangEnds: at(1), overhangSides: at(1), opening: at(4) },
  ),
  start('extending', 'Extending table', 'A leaf under each end', 'dining', 'extending', 'joined', [60, 34, 30], {
    overhangEnds: at(2),
  }),
  start('cupboard', 'Cupboard', 'Doors, loose shelves', 'storage', 'case', 'joined', [30, 15, 34], {
    front: 'doors',
    shelfKind: 'loose',
  }),
  start('chest', 'Drawer cart', 'A bank of drawers on legs', 'storage', 'case', 'joined', [20, 18, 28], {
    front: 'drawers',
    drawers: 4,
    stand: 'legs',
    standHeight: at(3),
  }),
  start('bookcase', 'Bookcase', 'Fixed shelves, closed back', 'storage', 'case', 'joined', [32, 11.5, 60], {
    shelves: 4,
  }),
  start('shelf-unit', 'Shelf unit', 'Posts, rails and shelves', 'storage', 'shelf-unit', 'joined', [48, 18, 72], {
    rails: '2x4',
  }),
  start(
    'outdoor',
    'Outdoor table',
    'Slats that shed water',
    'dining',
    'aprons',
    'slats',
    [60, 32, 29.5],
    { overhangEnds: at(6), legs: '4x4', fixing: 'screwed', crossSupports: 3 },
    { hole: at(1.75) },
  ),
  start(
    'octagon',
    'Octagon garden table',
    'A ring of eight, slats inside',
    'dining',
    'pedestal',
    'octagon',
    [40, 40, 29.75],
    { braces: '8' },
    { thickness: '2x' },
  ),
  start(
    'tiled',
    'Tiled table',
    'Loose tiles in a frame',
    'side',
    'aprons',
    'tiles',
    [42, 29.875, 18],
    { apron: '1x4', crossSupports: 1, legs: 'three 1x4' },
    { tile: '12', long: 3, wide: 2 },
  ),
  start(
    'top',
    'A top alone',
    'For a base that you have, joined from boards',
    'desk',
    'top-alone',
    'joined',
    [60, 28, 1.5],
    {},
    {},
  ),
  start('folding', 'Folding table', 'Put away flat, set up in a minute', 'desk', 'folding', 'joined', [60, 28, 28.5], {
    overhangEnds: at(2),
    overhangSides: at(1),
    legs: '2x4',
    rails: '1x3',
  }),
];

/** Starts that stand in the garden. */
const OUTSIDE: readonly string[] = ['outdoor', 'octagon'];

/** A piece of usual size for its start, to be changed from there. */
export function pieceFrom(from: Start, id: string, name = from.name): Piece {
  const [length, width, height] = from.size;
  return {
    id,
    name,
    family: from.family,
    top: from.top,
    use: from.use,
    where: '',
    copies: 1,
    ...AS_SOLD,
    size: { length: at(length), width: at(width), height: at(height) },
    seats: null,
    boughtPrice: null,
    outside: OUTSIDE.includes(from.id),
    planedFor: 'all',
    carries: { top: null, lies: 'spread', shelf: null, drawer: null },
    choices: from.choices,
    topChoices: from.topChoices,
    finish: finishedWith('natural.bare.rest'),
    overrides: {},
    loose: [],
    joins: {},
    first: 'top',
  };
}

/** A piece from a start by its id. Throws where there is none of that name. */
export function newPiece(id: string, start: string, name?: string): Piece {
  const from = STARTS.find((one) => one.id === start);
  if (!from) throw new Error(`no start is called ${start}`);
  return pieceFrom(from, id, name);
}
