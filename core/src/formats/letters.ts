/** A name as it may stand in any file: without control characters, half pairs and what no XML may hold. */
export const plainLetters = (text: string): string => text.replace(/[\p{Cc}\p{Cs}\uFFFE\uFFFF]+/gu, ' ');
