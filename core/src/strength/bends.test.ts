import { first, found } from '../lists';
import { newJob } from '../job';
import { newPiece, type Choices } from '../piece';
import { planJob } from '../plan';
import { bendsBy } from './bends';
import { decksOf, sagOf } from './index';

const made = (start: string, choices: Choices = {}) => {
  const base = newPiece('p', start);
  const piece = { ...base, choices: { ...base.choices, ...choices } };
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
