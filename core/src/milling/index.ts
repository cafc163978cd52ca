/**
 * From finished part to the blank that must come out of a board. In: parts and the shop's ways. Out: blanks with what
 * is ripped off and what is left on. Used by buying and by the cut sheets.
 */
export * from './blank';
