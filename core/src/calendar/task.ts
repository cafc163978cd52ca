import type { Length } from '../length';
import type { Tool, WorkKind } from '../job';
import type { Phrase } from '../words';

/** What must be over before work begins, and how long after. */
export type After = { readonly task: string; readonly wait: number };

/** Work that is done in one go, by one person, and what it waits for. Times are minutes. */
export type Task = {
  /** `of`, with a number after a slash where it is done in several goes. */
  readonly id: string;
  /** The step, the setting of the saw, or the errand that it is of. */
  readonly of: string;
  readonly piece: string | null;
  readonly title: Phrase;
  /** What pace it takes, and how it is drawn. */
  readonly kind: WorkKind;
  /** Which part of how many. */
  readonly part: readonly [number, number];
  readonly minutes: number;
  /** A saw, a router or a sander runs. */
  readonly loud: boolean;
  /** Done at the yard, while it is open. */
  readonly errand: boolean;
  /** How many it takes at some moment of it. */
  readonly people: number;
  readonly tool: Tool | null;
  /** Degrees F, least and most, and percent of humidity at most; null where any will do. */
  readonly air: readonly [number, number, number] | null;
  readonly after: readonly After[];
  /**
   * Begun later than so long after another, or after now where that is done (null), it takes so much longer: what
   * hardened is sanded first.
   */
  readonly fresh: { readonly after: string | null; readonly within: number; readonly extra: number } | null;
  /** Before the earliest at which it may begin: minutes from now. */
  readonly release: number;
  /** What it leaves to set, dry or harden; it is ready after. */
  readonly wait: number;
  /** Held until its wait is over. */
  readonly clamps: { readonly count: number; readonly span: Length } | null;
  /** It takes a place to lie until its wait is over. */
  readonly lies: boolean;
};

/** Shorter waits than this are spent with a broom: nothing else is begun, and no place is missed. */
export const SHORT_WAIT = 15;
