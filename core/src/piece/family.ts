import type { Length, Units } from '../length';
import type { Finding, Piece, Shop } from '../job';
import type { HardwareNeed, LumberSizes, Nominal } from '../stock';
import type { Phrase } from '../words';
import type { Assembly, Joint, Motion, Part } from './part';
import type { Specs, Values } from './choice';
import type { Box } from './geometry';

type DeckShape = 'rectangle' | 'round' | 'octagon';

/** What the kind of piece is built into: outside size, and the top it must carry. */
export type Room = {
  readonly piece: Piece;
  readonly shop: Shop;
  readonly units: Units;
  /** What boards and sheets measure in the piece's line of boards, once they are planed. */
  readonly sizes: LumberSizes;
  /** What is planed off each face of the boards that are built in here. */
  readonly planed: Length;
  readonly length: Length;
  readonly width: Length;
  readonly height: Length;
  /** Height of the top's underside: where the base ends. The whole height where there is no top. */
  readonly under: Length;
  readonly topThickness: Length;
  readonly deck: DeckShape;
  /** The rectangle inside the top's plan that a base stands under: from [x, y], so long and so wide. */
  readonly inside: { readonly x: Length; readonly y: Length; readonly length: Length; readonly width: Length };
  /** What the base carries the top on, as boxes: known once the base is built, so to the top alone. */
  readonly bearers: readonly Box[];
  /** Lengths on hand that a top of random planks may be laid from. */
  readonly salvage: readonly Length[];
  /** The nominal size that the top is joined from, settled where the choice is "cheapest". */
  readonly topNominal: Nominal;
};

/** What a family or top gives back: parts and joints, or the findings that say why it can not be built. */
export type Built = {
  readonly parts: readonly Part[];
  readonly joints: readonly Joint[];
  readonly assemblies: readonly Assembly[];
  readonly motions: readonly Motion[];
  /** Hardware that no joint asks for: levellers, pulls, tiles. */
  readonly needs: readonly HardwareNeed[];
  readonly findings: readonly Finding[];
  /** The parts whose upper side carries the top, by tag, and how they hold it. */
  readonly bearers: readonly Bearer[];
};

/** A rail takes clips or pocket screws, as the choice says; others are screwed through, or hold by their plate. */
export type Bearer = { readonly tag: string; readonly by: 'rail' | 'screws' | 'plate' };

type Kind<S extends Specs> = {
  readonly id: string;
  readonly name: string;
  /** One line on what it is and when it is right. */
  readonly about: string;
  readonly choices: S;
};

/** A way to carry a top, or a whole case. One file each, one line in the registry. */
export type Family<S extends Specs = Specs> = Kind<S> & {
  /** Whether it carries a top of its own choosing. */
  readonly topped: boolean;
  /** Why this top can not stand on it, in words; null where it can. */
  readonly refuses?: (
    top: Top,
    room: { readonly length: Length; readonly width: Length },
    choices: Values<S>,
  ) => string | null;
  /** What lets the pole of a parasol through, where something of it stands in the middle. */
  readonly forPole?: { readonly label: Phrase; readonly choices: Partial<Values<S>> };
  readonly build: (room: Room, choices: Values<S>) => Built;
};

export type Top<S extends Specs = Specs> = Kind<S> & {
  readonly deck: DeckShape;
  /** Strong enough to take screws from below; a loose or brittle top is not. */
  readonly holdsScrews: boolean;
  /** Boards side by side whose width changes with the seasons. */
  readonly moves: boolean;
  readonly thickness: (choices: Values<S>, sizes: LumberSizes) => Length;
  /** Nominal widths it may be joined from; empty where nothing is left to choose. */
  readonly candidates: (choices: Values<S>) => readonly Nominal[];
  readonly build: (room: Room, choices: Values<S>) => Built;
};

/** Keeps the types of choices inside, and forgets them outside, where a registry holds all kinds. */
export const family = <const S extends Specs>(of: Family<S>): Family => of as unknown as Family;
export const top = <const S extends Specs>(of: Top<S>): Top => of as unknown as Top;
