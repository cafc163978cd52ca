import { first, found } from '../lists';
import { newJob, type Piece } from '../job';
import { inches, toInches } from '../length';
import { woodOf } from '../stock';
import { newPiece, type Choices } from '../piece';
import { planJob } from '../plan';
import { bendsBy, dipsBy } from './bends';
import { decksOf, sagOf, sagUnder } from './index';

const made = (start: string, choices: Choices = {}, more: Partial<Piece> = {}) => {
  const base = newPiece('p', start);
  const piece = { ...base, ...more, choices: { ...base.choices, ...choices } };
  const { parts, model, fastenings } = first(
    planJob({ ...newJob('j'), pieces: [piece] }, { today: '2026-11-29', effort: 'quick' }).pieces,
  );
  const deckOf = (tag: string) =>
    found(decksOf(parts, model.joints), (deck) => deck.parts.some((part) => part.tag === tag));
  return { parts, fastenings, deckOf };
};

test('twice the load bends it twice as far, whatever stands on it', () => {
  const { parts, fastenings, deckOf } = made('octagon');
  const deck = deckOf('T4');
  const under = (point: number) => bendsBy(parts, fastenings, deck, { point })!;
  expect(under(200)).toBeGreaterThan(0);
  expect(under(200) / under(100)).toBeCloseTo(2, 6);
  const along = (aFoot: number) => bendsBy(parts, fastenings, deck, { aFoot })!;
  expect(along(30) / along(10)).toBeCloseTo(3, 6);
});

test('a shelf in its dados lies between one held fast at both ends, a fifth of the beam’s sag, and somewhat over it', () => {
  const { parts, fastenings, deckOf } = made('bookcase');
  const deck = deckOf('H1B');
  const by = bendsBy(parts, fastenings, deck, { aFoot: 25 })!;
  const beam = sagOf(deck, { aFoot: 25 })!.sag;
  expect(by / beam).toBeGreaterThan(0.2);
  expect(by / beam).toBeLessThan(1.2);
});

test('battens hung on one beam: the beam formula takes them for spans of 39, the ring at their ends holds them', () => {
  const { parts, fastenings, deckOf } = made('octagon');
  const deck = deckOf('T1');
  expect(bendsBy(parts, fastenings, deck, { point: 200 })!).toBeLessThan(sagOf(deck, { point: 200 })!.sag);
});

test('a bench dips as its boards and aprons do together: between a beam that lies on its ends and one clamped there', () => {
  const size = { length: inches(72), width: inches(14), height: inches(18) };
  const { parts, fastenings, deckOf } = made('bench', { apron: '1x3' }, { size });
  const deck = deckOf('T1');
  const beams = parts.filter(({ tag }) => /^(T|A)\d$/.test(tag));
  const stiff = beams.reduce((sum, part) => {
    const [wide, deep] = part.tag.startsWith('T') ? [part.width, part.thickness] : [part.thickness, part.width];
    return sum + (woodOf(part.material as '1x3').modulus * toInches(wide) * toInches(deep) ** 3) / 12;
  }, 0);
  const [along, across] = dipsBy(parts, fastenings, deck, { aFoot: 100, briefly: true })!;
  // Between its legs, 65 in of the 72.
  const free = sagUnder(100 / 12, 65, stiff);
  expect(along.sag).toBeLessThan(1.1 * free);
  expect(along.sag).toBeGreaterThan(free / 5);
  expect([along.span, across.span]).toEqual([72, 14]);
  expect(across.sag).toBeLessThan(along.sag / 3);
  // Years of it bend solid wood half as much again.
  expect(dipsBy(parts, fastenings, deck, { aFoot: 100 })![0].sag / along.sag).toBeCloseTo(1.5, 6);
});

test('an edging that hangs below a sheet is a rib of it; one that is level with it is none', () => {
  const dip = (edging: string) => {
    const size = { length: inches(60), width: inches(16), height: inches(18) };
    const more = { top: 'edged-sheet', topChoices: { edging }, size };
    const { parts, fastenings, deckOf } = made('coffee', { crossSupports: 0, overhangEnds: inches(8) }, more);
    return dipsBy(parts, fastenings, deckOf('T1'), { point: 200 })![0].sag;
  };
  expect(dip('1x3')).toBeLessThan(0.8 * dip('flush'));
});
