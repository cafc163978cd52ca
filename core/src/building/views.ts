import type { Finish } from '../job';
import { hardwareName, isPoured, type HardwareKind } from '../stock';
import { dim, say, strong, type Phrase } from '../words';
import { PROFILE_BITS, several, tagList, type Operation, type OperationOf } from '../work';

/** What to look out for, by what is done. Said where it is done, once a step. */
const DRILL = say`Glasses on. If the bit grabs, the jig spins: clamp the work, never hold it in your hand.`;
const SAW = say`Eye, ear and dust protection. Guards stay on; unplug before you change a blade. Hands well clear of the blade.`;
const FALLS = say`Support the piece that falls off: a pinched blade kicks back.`;
const SMALL = say`Clamp small parts; never hold them by hand at the blade.`;
const HEAVY = say`Lift together; do not drag it: side load breaks leg joints.`;
const ROUTER = say`Several shallow passes; move the router against the bit's turn.`;
const RAGS = say`Oily rags catch fire by themselves: dry them flat outside or in a closed can of water. Air the room; no flame.`;
const DUST = say`Dust mask; no sanding of old paint, it may hold lead.`;

const TILED = say`Gloves and glasses: adhesive and grout eat skin. Cut tiles wet, with a mask: their dust is silica.`;
const LABEL = say`Gloves on, air the room, no flame or pilot light near. The label on the can comes before all that stands here; whether food may lie on it the label says too.`;
const SPRAY = say`Spraying: a respirator for vapours, not a dust mask, and no spark in the room.`;
const STRIPPED = say`Gloves and glasses for stripper, air through the room. What was painted long ago may hold lead: test it before it is sanded, scraped or burned.`;
/** What levels a top, beside the tool that its operation names. */
const LEVELLED_WITH: Readonly<Record<Finish['flatten'], readonly string[]>> = {
  sander: ['discs of 60'],
  'belt sander': ['belt sander', 'belt of 60'],
  'hand plane': ['plane'],
  planer: ['scraps as thick as the top'],
};
const DUSTY: readonly Operation['kind'][] = ['sand', 'flatten', 'strip'];

const SAWN: readonly Operation['kind'][] = ['rip', 'trim', 'fit', 'mitre', 'outline', 'cut', 'trim whole'];
const DRILLED: readonly Operation['kind'][] = ['pocket', 'bore', 'slot', 'elongate', 'drive'];

export function cautionsFor(ops: readonly Operation[]): readonly Phrase[] {
  const kinds = new Set(ops.map(({ kind }) => kind));
  const any = (of: readonly Operation['kind'][]) => of.some((kind) => kinds.has(kind));
  return [
    ...(any(SAWN) || ops.some(({ tool }) => tool === 'planer') ? [SAW] : []),
    ...(kinds.has('trim whole') ? [FALLS] : []),
    ...(kinds.has('cut') || kinds.has('mitre') ? [SMALL] : []),
    ...(any(DRILLED) ? [DRILL] : []),
    ...(ops.some(({ tool }) => tool === 'router') ? [ROUTER] : []),
    ...(ops.some(({ lift }) => lift !== null) ? [HEAVY] : []),
    ...(any(DUSTY) ? [DUST] : []),
    ...(ops.some((one) => one.kind === 'coat' && one.oily) ? [RAGS] : []),
    ...(kinds.has('coat') ? [LABEL] : []),
    ...(ops.some((one) => one.kind === 'coat' && one.by === 'spray') ? [SPRAY] : []),
    ...(kinds.has('strip') ? [STRIPPED] : []),
    ...(kinds.has('tile') ? [TILED] : []),
  ];
}

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

/** What a finish is put on with. */
const TO_PUT_ON: Readonly<Record<OperationOf<'coat'>['by'], readonly string[]>> = {
  brush: ['brush'],
  wipe: ['rags'],
  roller: ['roller and tray'],
  spray: ['sprayer', 'respirator'],
};

/** What tiles are set, grouted and sealed with. */
const tiledWith = ({ what, takes }: OperationOf<'tile'>): readonly Phrase[] => [
  ...takes.map(({ kind, size, count }) =>
    isPoured(kind) || kind === 'tile-tool'
      ? say`${size || hardwareName(kind, '')}`
      : say`${strong(count)} ${hardwareName(kind, size)}`,
  ),
  ...(what === 'set' ? [say`vacuum`, say`straight board`] : []),
  say`cloth`,
];

/** What to have at hand: parts, tools and bits, spacers, hardware, glue, clamps. A view of what is done. */
export function pickUpFor(ops: readonly Operation[]): Phrase {
  const tags = [...new Set(ops.flatMap(tagsFor))];
  const bits = new Set<string>();
  const hardware: (readonly [string, number])[] = [];
  const things: Phrase[] = [];
  const grits = new Set<number>();
  let [glue, clamps, span, cauls] = [false, 0, 0, 0];
  for (const one of ops) {
    switch (one.kind) {
      case 'bore':
        for (const { bit } of one.bits) bits.add(bit.name);
        break;
      case 'drive':
        hardware.push(...held(one.fastener, one.size, one.count));
        if (one.pilot) bits.add(one.pilot.bit.name);
        if (one.bit !== '') things.push(say`${one.bit} bit`);
        break;
      case 'profile':
        if (one.tool === 'router') things.push(say`${PROFILE_BITS[one.shape]} bit ${dim(one.deep)}`);
        break;
      case 'peg':
      case 'plug':
        hardware.push(...held(one.fastener, one.size, one.count));
        glue = true;
        break;
      case 'hang':
        if (one.fastener) hardware.push(...held(one.fastener, one.size, one.count));
        if (one.fastener === 'long-hinge') things.push(say`hacksaw`, say`file`);
        break;
      case 'fit hardware':
        hardware.push(...held(one.fastener, one.size, one.count));
        break;
      case 'glue':
      case 'laminate':
      case 'block':
        glue = true;
        if (one.kind === 'block') things.push(say`${strong(one.count)} corner blocks`);
        break;
      case 'clamp':
        if (one.count > clamps) [clamps, span] = [one.count, one.span];
        cauls = Math.max(cauls, one.cauls);
        break;
      case 'spacers':
        things.push(say`${strong(one.count)} ${one.count === 1 ? 'spacer' : several('spacer')} ${dim(one.thickness)}`);
        break;
      case 'coat':
        things.push(say`${[one.product, ...(one.mix.length === 1 ? one.mix.map(({ tone }) => tone) : [])].join(' ')}`);
        things.push(
          ...TO_PUT_ON[one.by].map((name) => say`${name}`),
          ...(one.wipe === null ? [] : [say`rags`]),
          say`gloves`,
        );
        if (one.between > 0) things.push(say`paper of ${strong(one.between)}`);
        break;
      case 'sand':
        [...one.grits, ...(one.ends === null ? [] : [one.ends])].forEach((grit) => grits.add(grit));
        things.push(say`block`, say`pencil`, say`vacuum`, say`cloth`);
        break;
      case 'flatten':
        things.push(...LEVELLED_WITH[one.by].map((name) => say`${name}`), say`chalk`, say`straightedge`);
        break;
      case 'fill':
        if (one.heads > 0 || (one.knots && one.cracks === 'filler'))
          things.push(say`${one.product} filler`, say`filling knife`);
        if (one.knots && one.cracks === 'thin glue') things.push(say`thin glue and activator`, say`glasses`);
        if (one.knots && one.cracks === 'sawdust') things.push(say`sawdust of the same wood`, say`glue`);
        if (one.seams >= 0.5) things.push(say`caulk`);
        break;
      case 'tile':
        things.push(...tiledWith(one));
        break;
      case 'mask':
        things.push(say`masking tape`);
        break;
      case 'strip':
        things.push(say`${one.what === 'paint' ? 'test swab, stripper, scraper' : 'discs of 80'}`);
        break;
      case 'rub':
        things.push(say`${one.edges ? 'paper of 220' : 'brown paper'}`);
        break;
      case 'sample':
        things.push(say`offcuts`, say`what each recipe takes`, say`masking tape`);
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
