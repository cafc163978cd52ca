import { inches, type Length } from '../length';
import { dim, say, type Phrase } from '../words';

/** Small bends to the nearest 1/64, the finest a person can see. */
export const fine = (value: number): Phrase =>
  value < 1 / 64 ? say`under ${dim(inches(1 / 64))}` : say`${dim(inches(Math.round(value * 64) / 64))}`;
/** Minutes as they are said: whole ones of less than an hour and a half, else hours to the half. */
export const hours = (minutes: number): string =>
  minutes < 90 ? `${Math.round(minutes)} min` : `${Math.round(minutes / 30) / 2} h`;
/** Inches to the nearest sixteenth, never nothing. */
export const toSixteenth = (value: number): Length => inches(Math.max(1, Math.round(value * 16)) / 16);

/** How far something bends is estimated no finer than to a tenth. */
export const COARSE = 1.1;
