import type { Phrase } from '../words';
import type { Change } from './change';

export type StageName = 'brief' | 'shape' | 'parts' | 'stock' | 'cuts' | 'joints' | 'build';

/** What the interface can do about a finding with one click, and undo. */
export type Remedy = { readonly label: Phrase; readonly changes: readonly Change[] };

/** A note in the margin: what, why with the number, and the way out. `about` lists part or piece ids it is tied to. */
export type Finding = {
  readonly id: string;
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
