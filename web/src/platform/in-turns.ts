/** Takes work one after the other: each begins when the one before it is settled, well or ill. */
export function inTurns(): <T>(work: () => Promise<T>) => Promise<T> {
  let underWay: Promise<unknown> = Promise.resolve();
  return (work) => {
    const mine = underWay.then(work, work);
    underWay = mine;
    return mine;
  };
}
