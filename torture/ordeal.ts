/**
 * What an ordeal is given: until when it goes on, by `performance.now()`, what it rolls from, how many of it would
 * do, and how many go on side by side.
 */
type Stretch = { readonly until: number; readonly seed: number; readonly most: number; readonly lanes: number };
/** What came of it. Each fault says how to repeat it. */
type Outcome = {
  readonly tried: number;
  readonly faults: readonly string[];
  /** What was measured besides, as a sentence. */
  readonly said: string;
};
export type Ordeal = (stretch: Stretch) => Promise<Outcome>;

/** Whether one more is tried: at least one is, however long it took to get ready, or nothing was shown. */
export const goesOn = ({ until, most }: Pick<Stretch, 'until' | 'most'>, tried: number): boolean =>
  tried < most && (tried === 0 || performance.now() < until);

/** One of a few. */
export const pick = <T>(roll: () => number, of: readonly T[]): T => of[Math.floor(roll() * of.length)]!;

/** The same work in so many lanes at once, until all of them end. */
export const inLanes = async (lanes: number, lane: () => Promise<void>): Promise<void> => {
  await Promise.all(Array.from({ length: lanes }, lane));
};

export const pause = (ms: number): Promise<void> => new Promise((done) => setTimeout(done, ms));

/** What takes longer is given up, and said so. */
export const within = <T>(ms: number, work: Promise<T>, what: string): Promise<T> =>
  new Promise((done, fail) => {
    const timer = setTimeout(() => fail(new Error(`${what} took over ${ms / 1000} s`)), ms);
    work.then(done, fail).finally(() => clearTimeout(timer));
  });
