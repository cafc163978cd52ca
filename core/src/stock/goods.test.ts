import { inches, PER_FOOT } from '../length';
import {
  boardKey,
  coatedSize,
  crossShare,
  HARDWARE_KINDS,
  hardwareName,
  inTone,
  isPoured,
  isSolid,
  LUMBER,
  LUMBER_NAMES,
  POCKET_SCREWS,
  POURED,
  printThread,
  SAMPLE_YARDS,
  SHEETS,
  SPECIES,
  taxOn,
  thicknessOf,
  woodOf,
} from './index';

describe('names as a list has them', () => {
  test.each([
    ['pocket-screw', '1 1/4', 'pocket screws 1 1/4 coarse'],
    ['pocket-screw', '1 1/4 fine', 'pocket screws 1 1/4 fine'],
    ['pocket-screw', '2 coated', 'pocket screws 2 coarse, coated'],
    ['screw', '#8 1 1/2', 'wood screws #8 1 1/2'],
    ['disc', '120', '5 in sanding discs of grit 120'],
    ['paper', '220', 'sanding sheets of grit 220'],
    ['stain', 'oil stain honey', 'oil stain honey'],
    ['filler', 'stainable', 'stainable filler'],
    ['brush', 'oil', 'brushes for oil'],
    ['clip', '', 'table-top clips with screws'],
    ['slide', '12', 'pairs of drawer slides 12'],
  ] as const)('%s %s is “%s”', (kind, size, name) => expect(hardwareName(kind, size)).toBe(name));

  test('what rusts is bought coated for outside, by its size; what does not stays', () => {
    expect(coatedSize('screw', '#8 2')).toBe('#8 2 coated');
    expect(coatedSize('brad', '')).toBe('coated');
    expect(coatedSize('dowel', '3/8')).toBe('3/8');
    expect(printThread(coatedSize('pocket-screw', '2 1/2 fine'))).toBe('2 1/2 fine, coated');
  });

  test('a colour as it stands on the can', () => expect(inTone('gel stain', 'nut brown')).toBe('gel stain nut brown'));

  test('what is told in ounces is poured, screws are not', () => {
    expect(HARDWARE_KINDS.filter(isPoured).sort()).toEqual([...POURED].sort());
    expect(isPoured('screw')).toBe(false);
  });
});

describe('woods', () => {
  test('a cubic foot of each weighs what the handbook says, and less than water', () => {
    expect([SPECIES.cedar.density, SPECIES.fir.density, SPECIES['red oak'].density]).toEqual([23, 33, 44]);
    for (const { density, modulus, tangential, radial } of Object.values(SPECIES)) {
      expect(density).toBeLessThan(62.4);
      expect(modulus).toBeGreaterThan(1e6);
      // Round the rings wood moves more than across them.
      expect(tangential).toBeGreaterThan(radial);
    }
  });

  test('every board of every line has a wood; a sheet has its own figures', () => {
    for (const line of LUMBER_NAMES)
      for (const nominal of ['1x4', '2x6', '4x4'] as const) {
        const species = LUMBER[line].woods[thicknessOf(nominal)];
        expect(woodOf(boardKey(line, nominal))).toEqual(SPECIES[species]);
      }
    expect(woodOf('mdf 3/4')).toBe(SHEETS['mdf 3/4']);
  });

  test('across the grain a board is a sixteenth as stiff, plywood half, fibre as much', () => {
    expect([crossShare('2x4'), crossShare('ply 3/4'), crossShare('mdf 3/4')]).toEqual([0.06, 0.5, 1]);
    expect([isSolid('2x4'), isSolid('ply 3/4'), isSolid('mdf 3/4')]).toEqual([true, false, false]);
  });
});

describe('the sample yards', () => {
  test('tax by hand: 8.25 on 10.00 is 0.83, none is none', () => {
    expect(taxOn(1000, { tax: 8.25 })).toBe(83);
    expect(taxOn(1000, { tax: 0 })).toBe(0);
  });

  test.each(SAMPLE_YARDS.map((yard) => [yard.id, yard] as const))(
    '%s: whole cents, sizes a saw can reach',
    (_, yard) => {
      for (const { price } of [...yard.boards, ...yard.sheets, ...yard.hardware]) {
        expect(Number.isInteger(price)).toBe(true);
        expect(price).toBeGreaterThan(0);
      }
      for (const { length } of yard.boards) {
        expect(length).toBeGreaterThanOrEqual(inches(24));
        expect(length).toBeLessThanOrEqual(20 * PER_FOOT);
      }
      for (const { count } of yard.hardware) expect(count).toBeGreaterThan(0);
    },
  );

  test('of one board the longer costs more; per foot no length is half of another', () => {
    for (const { boards } of SAMPLE_YARDS) {
      const kinds = new Map<string, (typeof boards)[number][]>();
      for (const offer of boards) {
        const kind = `${offer.board} ${offer.grade}`;
        kinds.set(kind, [...(kinds.get(kind) ?? []), offer]);
      }
      for (const offers of kinds.values()) {
        const sorted = [...offers].sort((a, b) => a.length - b.length);
        sorted.slice(1).forEach((offer, at) => expect(offer.price).toBeGreaterThan(sorted[at]!.price));
        const feet = sorted.map(({ length, price }) => price / length);
        expect(Math.max(...feet) / Math.min(...feet)).toBeLessThan(2);
      }
    }
  });

  test('the jig’s screws are all sold somewhere, each in one box at least', () => {
    const sold = new Set(SAMPLE_YARDS.flatMap(({ hardware }) => hardware.map(({ kind, size }) => `${kind} ${size}`)));
    for (const size of POCKET_SCREWS) expect(sold.has(`pocket-screw ${size}`)).toBe(true);
  });
});
