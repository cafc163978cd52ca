import {
  counted,
  hardwareName,
  isSheet,
  plain,
  printLength,
  printMaterial,
  printOnHand,
  type Body,
  type Entry,
  type EntryOf,
  type Holdings,
  type Mishap,
  type Plan,
  type Units,
  type WorkKind,
} from '@sill/core';
import { spanWords } from './days';
import { runs } from './labels';
import { dollars } from './money';

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

/** Kinds of work, as they are said. */
export const WORK_WORDS: Readonly<Record<WorkKind, string>> = {
  errand: 'to the yard and back',
  saw: 'at the saw',
  prepare: 'boring, fitting and the like',
  join: 'joining',
  sand: 'sanding',
  coat: 'coats',
  other: 'other work',
};
/** What goes wrong, as it stands on a button. */
export const MISHAP_WORDS: Readonly<Record<Mishap, string>> = {
  'cut wrong': 'Cut wrong',
  split: 'Split',
  'drilled wrong': 'Drilled wrong',
  'joined wrong': 'Joined wrong',
  'finish spoiled': 'Finish spoiled',
  other: 'Something else',
};

/** What a mishap cost, where it cost anything. */
function costOf({ minutes, wood }: EntryOf<'mishap'>): string {
  const lost = [
    ...(minutes >= 1 ? [spanWords(Math.round(minutes))] : []),
    ...(wood > 0 ? [`${dollars(wood)} of wood`] : []),
  ];
  return lost.length === 0 ? '' : ` It cost ${lost.join(' and ')}.`;
}

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
    case 'set out':
      return `Set out: ${spanWords(Math.round(entry.minutes))}, ${dollars(entry.cents)}, ${counted(entry.boards, 'board')}`;
    case 'clock':
      return entry.on ? 'The clock began' : 'The clock stopped';
    case 'timed':
      return `${spanWords(Math.round(entry.minutes))}: ${steps?.get(entry.of) ?? (entry.of.startsWith('saw') ? 'at the saw' : WORK_WORDS[entry.work])}${entry.planned > 0 ? `, ${spanWords(Math.round(entry.planned))} planned` : ''}`;
    case 'paid':
      return `Really cost ${dollars(entry.price)}: ${of(entry.of)}`;
    case 'receipt':
      return `Receipt of ${entry.yard}, ${counted(entry.of.length + entry.extras.length, 'row')}, ${dollars(entry.total)}`;
    case 'mishap':
      return `Went wrong: ${MISHAP_WORDS[entry.how].toLowerCase()}${entry.part === '' ? '' : `, ${label(entry.part)}`}${entry.note === '' ? '' : `. ${entry.note}`}${costOf(entry)}`;
    case 'note':
      return `${entry.next ? 'Next time: ' : ''}${entry.text || 'A picture'}${entry.part === '' ? '' : ` (${label(entry.part)})`}`;
    case 'moisture':
      return `Moisture ${entry.percent} %${entry.of === null ? '' : ` in ${of(entry.of)}`}${madeUp(entry)}`;
    case 'used':
      return `${entry.ounces} fl oz of ${hardwareName(entry.kind, entry.size)} used, ${entry.planned} planned`;
    case 'closed':
      return `Finished: ${spanWords(Math.round(entry.minutes))}, ${dollars(entry.cents)}`;
    case 'corrected':
      return 'Taken back as a mistake';
  }
}
