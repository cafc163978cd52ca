import { inches, parseLength } from '../length';
import { planned, startJob } from '../testing/planning';
import { plain } from '../words';
import type { Operation } from '../work';
import { pickUpFor } from './pick-up';

const opsOf = (start: string): readonly Operation[] =>
  planned(startJob(start)).pieces.flatMap(({ steps }) => steps.flatMap(({ operations }) => operations));
const toPickUp = (ops: readonly Operation[]): string => plain(pickUpFor(ops), 'in');

/** Overall lengths of common twist drills, inches, as a drill chart has them. */
const CHART: Readonly<Record<string, number>> = {
  '5/64': 2,
  '3/32': 2.25,
  '7/64': 2.625,
  '1/8': 2.75,
  '9/64': 2.875,
  '11/64': 3.25,
  '3/16': 3.5,
  '5/16': 4.5,
  '3/8': 5,
};

test.each(['pedestal', 'heavy', 'bookcase', 'folding', 'shelf-coffee', 'outdoor'])(
  '%s: a bit is called long where a common one, held in a chuck, does not reach',
  (start) => {
    const pilots = opsOf(start).flatMap((one) => (one.kind === 'drive' && one.pilot ? [{ one, ...one.pilot }] : []));
    expect(pilots.length).toBeGreaterThan(0);
    for (const { one, bit, reach } of pilots) {
      const isLong = reach / inches(1) > CHART[bit.name]! - 5 / 8;
      expect([bit.name, toPickUp([one]).includes(`long ${bit.name}`)]).toEqual([bit.name, isLong]);
      // From where its head lies down to its tip: a screw's own length, to a mark of the tape.
      const screw = /^#\d+ ([\d /]+\d)/.exec(one.size)?.[1];
      if (screw === undefined) continue;
      const own = parseLength(screw, 'in');
      const bored = reach - Math.max(0, ...one.sunk);
      expect(Math.abs(bored - (own.ok ? own.length : NaN))).toBeLessThanOrEqual(inches(1 / 8));
    }
  },
);

test('through a post of 3 1/2 a bit for a hole of 11/64 is long, through a case side it is not', () => {
  const bores = (start: string) =>
    opsOf(start).filter((one) => one.kind === 'bore' && one.bits.some(({ bit }) => bit.name === '11/64'));
  expect(bores('bookcase').map((one) => toPickUp([one]).includes('long 11/64'))).not.toContain(true);
  const deep = bores('shelf-coffee').filter((one) => one.kind === 'bore' && one.through > inches(3));
  expect(deep.map((one) => toPickUp([one]).includes('long 11/64'))).toEqual(deep.map(() => true));
  expect(deep.length).toBeGreaterThan(0);
});
