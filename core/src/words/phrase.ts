import { printLength, roundToTape, type Length, type Units } from '../length';

/**
 * A sentence with lengths and part tags kept apart from the words, so that the interface can set real fractions in
 * the reader's units and mark the part on hover. Plain data: it goes through JSON and workers.
 */
export type Phrase = readonly Bit[];
export type Bit =
  | string
  | { readonly dim: Length }
  /** A length that is not exact, shown with "about" and to the nearest tape mark. */
  | { readonly about: Length }
  | { readonly tag: string }
  | { readonly strong: string };

export const dim = (length: Length): Bit => ({ dim: length });
export const about = (length: Length): Bit => ({ about: length });
export const tag = (label: string): Bit => ({ tag: label });
export const strong = (text: string | number): Bit => ({ strong: String(text) });

/** Template tag: say`Lay a ${dim(half)} spacer under ${tag('E1')}`. Phrases and lists of them nest. */
export function say(words: TemplateStringsArray, ...bits: readonly (Bit | Phrase | number)[]): Phrase {
  const phrase: Bit[] = [];
  words.forEach((word, at) => {
    if (word !== '') phrase.push(word);
    const bit = bits[at];
    if (bit === undefined) return;
    if (typeof bit === 'number') phrase.push(String(bit));
    else if (Array.isArray(bit)) phrase.push(...(bit as Phrase));
    else phrase.push(bit as Bit);
  });
  return phrase;
}

/** Joins bits, or phrases, as "A, B and C". */
export function listOf(bits: readonly (Bit | Phrase)[]): Phrase {
  return bits.flatMap((bit, at): Phrase => {
    const words = Array.isArray(bit) ? (bit as Phrase) : [bit as Bit];
    return at === 0 ? words : [at === bits.length - 1 ? ' and ' : ', ', ...words];
  });
}

/** Plain text of a phrase, for the command line, text files and names for screen readers. */
export function plain(phrase: Phrase, units: Units): string {
  return phrase
    .map((bit) => {
      if (typeof bit === 'string') return bit;
      if ('dim' in bit) return printLength(bit.dim, units, units === 'mm');
      if ('about' in bit) return `about ${printLength(roundToTape(bit.about, units), units, units === 'mm')}`;
      return 'tag' in bit ? bit.tag : bit.strong;
    })
    .join('');
}

/** `counted(1, 'board')` is "1 board", `counted(3, 'board')` "3 boards". */
export const counted = (count: number, noun: string, plural = `${noun}s`): string =>
  `${count} ${count === 1 ? noun : plural}`;
