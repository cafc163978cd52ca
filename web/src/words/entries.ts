import {
  hardwareName,
  isSheet,
  plain,
  printLength,
  printMaterial,
  printOnHand,
  type Body,
  type Entry,
  type Holdings,
  type Plan,
  type Units,
} from '@sill/core';
import { runs } from './labels';

type Telling = {
  readonly holdings: Holdings;
  readonly units: Units;
  readonly label: (id: string) => string;
  /** The sentence of each step, by its id; null while the plan is not there. */
  readonly steps: ReadonlyMap<string, string> | null;
};

/** The sentence of each step of a plan, by the id it is ticked off under. */
export const stepSentences = ({ pieces }: Plan, units: Units): ReadonlyMap<string, string> =>
  new Map(
    pieces.flatMap(({ steps }) =>
      steps.flatMap(({ actions }) => actions.map(({ id, text }) => [id, plain(text, units)])),
    ),
  );

type Wood = Pick<Body, 'material' | 'length' | 'width' | 'piece'>;

/** A thing by what it is: a board with its length, a piece by its tag. */
function bodyName(body: Wood | undefined, { units, label }: Telling): string {
  if (!body) return 'something unknown';
  const { material, length, width, piece } = body;
  const size = isSheet(material)
    ? `${printLength(length, units)} × ${printLength(width, units)}`
    : printLength(length, units);
  return piece ? `${label(piece.part)}, ${printMaterial(material)} ${size}` : `${printMaterial(material)} ${size}`;
}

const madeUp = ({ simulated }: { readonly simulated: boolean }): string => (simulated ? ', a simulated reading' : '');

/** What an entry says, in a few words. */
export function entryWords(entry: Entry, telling: Telling): string {
  const { holdings, units, label, steps } = telling;
  const of = (id: string) => bodyName(holdings.bodies.get(id), telling);
  const onHand = (id: string) => {
    const hand = holdings.hands.get(id);
    return hand ? printOnHand(hand, units) : 'something unknown';
  };
  switch (entry.what) {
    case 'found':
      return `Found ${printOnHand(entry.hand, units)}`;
    case 'photographed':
      return `Photo of ${onHand(entry.of)}`;
    case 'bought':
      return `Bought ${bodyName({ ...entry, piece: null }, telling)}, ${entry.yard.name}`;
    case 'box':
      return `Bought ${hardwareName(entry.kind, entry.size)}, ${entry.count} in it, ${entry.yard.name}`;
    case 'rejected':
      return `Put back a board: ${entry.offer}`;
    case 'returned':
      return `Taken back ${of(entry.of)}`;
    case 'marked': {
      const bad = entry.bad.map(({ from, to }) => `${printLength(from, units)} to ${printLength(to, units)}`);
      return `Bad stretch on ${of(entry.of)}: ${bad.join(', ')}`;
    }
    case 'sized':
      return `${of(entry.of)}: really ${printLength(entry.length, units)} long, ${printLength(entry.width, units)} wide`;
    case 'cut': {
      const parts = runs(entry.pieces.map(({ part }) => label(part)));
      return `${entry.by === null ? 'Cut' : 'Cut in part'} ${of(entry.of)}: ${parts}`;
    }
    case 'spoiled':
      return `Spoiled ${of(entry.of)}`;
    case 'gone':
      return `Given away ${of(entry.of)}`;
    case 'racked':
      return `To the rack ${of(entry.of)}`;
    case 'fetched':
      return `From the rack ${printOnHand(entry.hand, units)}`;
    case 'can racked':
      return `To the rack ${entry.can.ounces} fl oz of ${hardwareName(entry.can.kind, entry.can.size)}`;
    case 'can fetched':
      return `From the rack ${entry.can.ounces} fl oz of ${hardwareName(entry.can.kind, entry.can.size)}`;
    case 'measured':
      return `Measured ${label(`${entry.piece}.${entry.tag}`)}: ${entry.side} ${printLength(entry.size, units)}${madeUp(entry)}`;
    case 'fitted':
      return `Cut to fit ${label(`${entry.piece}.${entry.tag}`)}`;
    case 'diagonal':
      return `${entry.which === 0 ? 'First' : 'Second'} diagonal ${printLength(entry.size, units)}${madeUp(entry)}`;
    case 'done':
      return `Done: ${steps?.get(entry.of) ?? (entry.of.startsWith('saw:') ? 'a pass at the saw' : steps ? 'a step that the plan has no more' : 'a step')}`;
    case 'corrected':
      return 'Taken back as a mistake';
  }
}
