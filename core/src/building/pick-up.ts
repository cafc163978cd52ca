import { inches, type Length } from '../length';
import { hardwareName, isPoured, type HardwareKind } from '../stock';
import { dim, say, strong, type Phrase } from '../words';
import { tagList, type DrillBit, type Operation, type OperationOf } from '../work';
import { thingsFor } from './at-hand';

/** Counted by name, in the order they are first asked for. */
function counts(rows: readonly (readonly [name: string, count: number])[]): readonly (readonly [string, number])[] {
  const sums = new Map<string, number>();
  for (const [name, count] of rows) sums.set(name, (sums.get(name) ?? 0) + count);
  return [...sums];
}

/** One of what is sold in numbers: `pair of drawer slides`, `hinge`. */
const single = (name: string): string =>
  name
    .replace(/^(pair|hinge|stay|pull|leg|screw|clip|dowel pin|bolt|insert|plug|shelf pin)s\b/, '$1')
    .replace(/catches\b/, 'catch')
    .replace(/(hinge|clip|leg|screw|brad|stay|pin|bolt|insert|biscuit|tenon|plug)s\b/, '$1');

/** Hardware as it is picked up: so many of it. */
const held = (kind: HardwareKind, size: string, count: number): readonly (readonly [string, number])[] =>
  count > 0 && !isPoured(kind) ? [[hardwareName(kind, size), count]] : [];

/** What is done to the piece as it stands: nothing of it is picked up. */
const WHOLE: ReadonlySet<Operation['kind']> = new Set([
  'drive',
  'turn',
  'level',
  'measure',
  'anchor',
  'profile',
  'square',
  'sand',
  'coat',
  'sample',
  'strip',
  'flatten',
  'fill',
  'mask',
  'rub',
  'cure',
  'tile',
  'slide',
  'glue',
  'clamp',
  'wait',
  'dry',
  'heed',
  'carry',
  'trim whole',
  'peg',
  'plug',
]);
const tagsFor = (one: Operation): readonly string[] =>
  one.kind === 'place'
    ? one.comes.flatMap(({ tags }) => (tags.length > 1 ? [] : tags))
    : WHOLE.has(one.kind)
      ? []
      : one.tags;

/** How long common twist drills are, inches, from 1/16 by 64ths up (jobber lengths, ASME B94.11M). */
const LENGTHS = [1.875, 2, 2.25, 2.625, 2.75, 2.875, 3.125, 3.25];
/** From 3/16 up each 64th is an eighth longer; what is wider than 1/2 is of another kind, and reaches so far. */
const [FROM, WIDEST, WIDE_REACH] = [12, 32, inches(2)];
/** So much of it is in the chuck. */
const HELD = inches(5 / 8);

/** How far down a hole a common bit reaches. */
function reachOf({ across }: DrillBit): Length {
  const size = Math.round(across / inches(1 / 64));
  if (size > WIDEST) return WIDE_REACH;
  return inches(size >= FROM ? 3.5 + (size - FROM) / 8 : (LENGTHS[Math.max(0, size - 4)] ?? 3.5)) - HELD;
}
const reaching = (bit: DrillBit, deep: Length): string => (deep > reachOf(bit) ? `long ${bit.name}` : bit.name);
const deepest = (bits: OperationOf<'bore'>['bits']): Length => Math.max(0, ...bits.map(({ deep }) => deep ?? 0));

/** What to have at hand: parts, tools and bits, spacers, hardware, glue, clamps. A view of what is done. */
export function pickUpFor(ops: readonly Operation[]): Phrase {
  const tags = [...new Set(ops.flatMap(tagsFor))];
  const bits = new Set<string>();
  const hardware: (readonly [string, number])[] = [];
  const things: Phrase[] = [];
  const grits = new Set<number>();
  let [glue, clamps, span, cauls] = [false, 0, 0, 0];
  for (const one of ops) {
    things.push(...thingsFor(one));
    switch (one.kind) {
      case 'bore':
        for (const { bit, deep } of one.bits) bits.add(reaching(bit, deep ?? Math.max(deepest(one.bits), one.through)));
        break;
      case 'drive':
        hardware.push(...held(one.fastener, one.size, one.count));
        if (one.pilot) bits.add(reaching(one.pilot.bit, one.pilot.reach));
        break;
      case 'peg':
      case 'plug':
        hardware.push(...held(one.fastener, one.size, one.count));
        glue = true;
        break;
      case 'hang':
        if (one.fastener) hardware.push(...held(one.fastener, one.size, one.count));
        break;
      case 'fit hardware':
        hardware.push(...held(one.fastener, one.size, one.count));
        break;
      case 'glue':
      case 'laminate':
      case 'block':
        glue = true;
        break;
      case 'clamp':
        if (one.count > clamps) [clamps, span] = [one.count, one.span];
        cauls = Math.max(cauls, one.cauls);
        break;
      case 'sand':
        [...one.grits, ...(one.ends === null ? [] : [one.ends])].forEach((grit) => grits.add(grit));
        break;
    }
  }
  const tools = new Set(ops.flatMap(({ tool }) => tool ?? []));
  const rows: readonly Phrase[] = [
    ...(tags.length > 0 ? [tagList(tags)] : []),
    ...[...tools].map((tool) => say`${tool}`),
    ...(bits.size > 0 ? [say`bits ${[...bits].join(', ')}, stop collar`] : []),
    ...counts(hardware).map(([name, count]) => say`${strong(count)} ${count === 1 ? single(name) : name}`),
    ...(grits.size > 0 ? [say`discs ${[...grits].sort((a, b) => a - b).join(', ')}`] : []),
    ...[...new Map(things.map((thing) => [JSON.stringify(thing), thing])).values()],
    ...(glue ? [say`glue`] : []),
    ...(clamps > 0 ? [say`${strong(clamps)} clamps over ${dim(span)}`] : []),
    ...(cauls > 0 ? [say`${strong(cauls)} cauls`] : []),
  ];
  if (rows.length === 0 && ops.every(({ kind }) => kind === 'heed' || kind === 'cure')) return say`nothing`;
  return rows.length > 0 ? rows.reduce((all, next) => say`${all} · ${next}`) : say`square, tape`;
}
