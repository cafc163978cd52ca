import { sure } from '@sill/core';
import { randomBytes, randomInt, scrypt, timingSafeEqual } from 'node:crypto';
import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common';

/** Letters and digits that are not taken for one another. */
const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';
const LEAST = 12;
const MOST = 128;
/** Guesses it must stand, as a power of ten of the estimator's scale 0 to 4. */
const STRENGTH = 3;

/**
 * Cost of one try: 128 MB and some tenths of a second (the scrypt figures that OWASP's cheat sheet on password storage
 * recommends).
 */
const COST = { N: 2 ** 17, r: 8, p: 1, maxmem: 160 * 2 ** 20 } as const;
const KEY_BYTES = 32;

/** A new passphrase of four groups of four, 79 bits: typed on a phone once. */
export const madePassphrase = (): string =>
  Array.from({ length: 4 }, () => Array.from({ length: 4 }, () => LETTERS[randomInt(LETTERS.length)]).join('')).join(
    '-',
  );

let estimator: ZxcvbnFactory | null = null;

/**
 * What is wrong with a passphrase that a person chose, as a sentence; null where it will do. Any letters, also spaces.
 */
export function faultOf(passphrase: string): string | null {
  const letters = Array.from(passphrase.normalize('NFC')).length;
  if (letters < LEAST) return `A passphrase has at least ${LEAST} letters; this one has ${letters}.`;
  if (letters > MOST) return `A passphrase has at most ${MOST} letters; this one has ${letters}.`;
  estimator ??= new ZxcvbnFactory({
    dictionary: { ...dictionary, own: ['sill', 'sillplan', 'sill plan'] },
    graphs: adjacencyGraphs,
  });
  return estimator.check(passphrase).score < STRENGTH
    ? 'This passphrase is easily guessed. Take four words that have nothing to do with each other.'
    : null;
}

const derived = (passphrase: string, salt: Buffer, { N, r, p }: { N: number; r: number; p: number }) =>
  new Promise<Buffer>((done, fail) =>
    scrypt(passphrase.normalize('NFC'), salt, KEY_BYTES, { ...COST, N, r, p }, (error, key) =>
      error ? fail(error) : done(key),
    ),
  );

/** Tries one after the other: each takes its memory for itself. */
let underWay: Promise<unknown> = Promise.resolve();
function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const mine = underWay.then(work, work);
  underWay = mine.catch(() => undefined);
  return mine;
}

/** What is stored of a passphrase: scrypt's figures (its N is `cost`), salt and key. */
export async function hashed(passphrase: string, cost: number = COST.N): Promise<string> {
  const salt = randomBytes(16);
  const { r, p } = COST;
  const key = await inTurn(() => derived(passphrase, salt, { N: cost, r, p }));
  return ['scrypt', cost, r, p, salt.toString('base64'), key.toString('base64')].join('$');
}

/** Whether a passphrase is the one that was stored; compared in the same time whatever differs. */
export async function matches(passphrase: string, stored: string): Promise<boolean> {
  const [, N, r, p, salt, key] = stored.split('$');
  const wanted = Buffer.from(sure(key, 'stored key'), 'base64');
  const given = await inTurn(() =>
    derived(passphrase, Buffer.from(sure(salt, 'stored salt'), 'base64'), { N: Number(N), r: Number(r), p: Number(p) }),
  );
  return given.length === wanted.length && timingSafeEqual(given, wanted);
}
