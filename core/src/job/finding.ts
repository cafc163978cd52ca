import type { Phrase } from '../words';
import type { Change } from './change';

/** The stages of the work, in the order people do it. A finding belongs to one. */
export const STAGE_NAMES = [
  'brief',
  'shape',
  'parts',
  'stock',
  'cuts',
  'joints',
  'build',
  'finish',
  'days',
  'log',
] as const;
export type StageName = (typeof STAGE_NAMES)[number];

/** What the interface can do about a finding with one click, and undo. */
export type Remedy = { readonly label: Phrase; readonly changes: readonly Change[] };

/**
 * Every kind of finding there is, and what it says. What a family or top can not be built as is a `shape`, by a name of
 * its own.
 */
export const FINDINGS = {
  seats: 'how many sit at it, against how many are wanted',
  height: 'higher or lower than such a piece usually is',
  knees: 'knees touch the apron',
  shape: 'the size or a choice can not be built so',
  'top-refused': 'this top can not stand on this base',
  'top-unsupported': 'the top does not rest on its base',
  'edging-hits': 'the edging runs into what stands or moves below it',
  'hole-in-leg': 'the parasol would stand in a leg',
  unbuilt: 'a fault of the program: nothing of a piece could be worked out',
  unordered: 'a fault of the program: its steps could not be worked out',
  unsawn: 'a fault of the program: how a board is cut could not be worked out',
  'by-hand': 'parts set by hand',
  wide: 'a part is wider than its board',
  salvage: 'a top of planks on hand, and none are there',
  chords: 'the boards of a round top, each to its chord',
  anchor: 'tall, or it tips when it stands open: it must be fixed to the wall',
  budget: 'the total against the budget',
  bought: 'the total against the price of a bought one',
  spares: 'spare boards, and the odds of a second trip',
  'not-sold': 'screws, glue and the like that no yard of the job sells',
  lumber: 'a line of boards that no yard of the job sells',
  'car-too-short': 'longer than the car, and the store can not cut it',
  car: 'boards that the store must cut for the car',
  'on-hand': 'what is used of what is there',
  shop: 'work that the shop has no tool for',
  'shop-angle': 'an angle that the saw does not turn to',
  planed: 'boards planed thinner than they come',
  'inside-wood': 'planed to the inside of construction boards',
  treated: 'treated boards where food lies',
  outside: 'what is bought for a piece that stands outside, and what does not last there',
  movement: 'a top that is held fast moves with the seasons',
  'cross-grain': 'boards that are held fast across their grain move with the seasons',
  sag: 'what spans too far sags',
  'shelf-sag': 'a shelf that spans too far sags',
  'rail-sag': 'a rail that dips between its ends under what stays for years',
  hung: 'a drawer too heavy for its slides, a door for its hinges, a leaf for its runners, a drop front for its stays',
  tipping: 'who leans on it tips it',
  sway: 'a push at the top moves it so far that it feels loose',
  'joint-gives': 'a joint that is asked more than it bears',
  unplaced: 'a part that no board gives',
  grain: 'grain that is to run on from part to part: where it does, and where it breaks',
  proved: 'the boards are the cheapest there can be, or how near',
  short: 'short pieces, to be held safely',
  samples: 'an offcut to try the stain on',
  aim: 'what boards were chosen for, and what that costs',
  wish: 'what kept boards cost',
  'built-otherwise': 'steps that were done otherwise than the plan has them now',
  misentry: 'entries of the ledger that can not be so',
  'lost-locks': 'boards that could not stay as they were',
  'cut-otherwise': 'pieces cut longer or wider than they should be now',
  'cut-unfit': 'pieces that are cut and no part of the plan any more',
  'bought-idle': 'boards that are bought and that nothing comes from any more',
  reach: 'screws too short to hold the top',
  joint: 'joints that will not do as they are asked for',
  instead: 'joints made in another way than the usual',
  lacks: 'a way to join that the shop has no tools for',
  hidden: 'pockets that show',
  clamps: 'a glue-up wants all clamps',
  'clamps-short': 'no clamp reaches across',
  'open-time': 'more joints than the glue stays open for',
  bench: 'wider or longer than the bench it is glued up on',
  'no-driver': 'no room for the drivers in whatever order',
  'in-the-room': 'what is joined only where it stays',
  bare: 'wood that nothing covers where it is used wet or outside',
  'no-recipe': 'a surface whose recipe is not there any more',
  'empty-recipe': 'a recipe that does nothing',
  blotches: 'a stain that this wood takes in blotches',
  'no-stain': 'a board that takes no stain',
  'fine-stain': 'sanded so fine that it takes little colour',
  uneven: 'a top whose two faces are coated unlike',
  'indoor-coat': 'a coat that the weather takes off',
  'no-planer': 'a top to be flattened in a planer that is not there, or is too narrow',
  unlike: 'surfaces of one colour that were sanded unlike',
  'oil-under': 'an oil stain under a coat of water: the wait it needs',
  'in-the-room-finish': 'what can not be carried whole is sanded and coated in the room',
  'closed-in': 'what is sanded and coated before it is closed in',
  leftover: 'what is left in the cans, and how long it keeps',
  measured: 'what was measured, and what follows it',
  'no-time': 'work that there is no time for in a year',
  due: 'the day it is ready against the day it is wanted',
  earliest: 'that no earlier day is possible, or how near it is to that',
  decides: 'what decides the day it is ready',
  'runs-over': 'work in one go that is longer than any time there is',
  'late-coat': 'a coat that is sanded first, as the one below has hardened by then',
  hands: 'days on which someone must help to lift',
  'lost-wish': 'work that can not be done on the day it was moved to',
  range: 'the days between which it is likely to be ready, and from how many records that is told',
  'spoil-habit': 'more or fewer boards are spoiled here than is counted on',
  'price-habit': 'what is paid against the list',
  'cover-habit': 'what is used out of cans against what is planned',
  lesson: 'what went wrong in another job, or was to be done otherwise, where it applies',
  pace: 'the hours so far against the usual, and what is left',
  'cold-days': 'days on which the shop is too cold for glue and coats',
} as const;
export type FindingKind = keyof typeof FINDINGS;

/** A note in the margin: what, why with the number, and the way out. `about` lists part or piece ids it is tied to. */
export type Finding = {
  readonly id: string;
  readonly kind: FindingKind;
  readonly level: 'stop' | 'care' | 'good';
  readonly stage: StageName;
  /** The piece it belongs to; null where it is about the whole job. */
  readonly piece: string | null;
  readonly about: readonly string[];
  readonly title: Phrase;
  readonly because: Phrase;
  /** The figures behind it, by name, in the units the name says. */
  readonly numbers: Readonly<Record<string, number>>;
  readonly remedies: readonly Remedy[];
};

type Rest = Pick<Finding, 'title' | 'because'> &
  Partial<Pick<Finding, 'about' | 'numbers' | 'remedies'>> & {
    /** Tells several of a kind apart. */
    readonly which?: string | number;
  };

/** A finding about a piece, or about the job when `piece` is null. */
export const note = (
  piece: string | null,
  kind: FindingKind,
  level: Finding['level'],
  stage: StageName,
  { which, ...rest }: Rest,
): Finding => ({
  id: [piece ?? 'job', which === undefined ? kind : `${kind}-${which}`].join('.'),
  kind,
  level,
  stage,
  piece,
  about: piece === null ? [] : [piece],
  numbers: {},
  remedies: [],
  ...rest,
});
