import type { Finish } from '../job';
import { inches, type Length } from '../length';
import { hardwareName, isPoured } from '../stock';
import { dim, say, strong, type Phrase } from '../words';
import { PROFILE_BITS, several, type Operation, type OperationOf } from '../work';

/** What levels a top, beside the tool that its operation names. */
const LEVELLED_WITH: Readonly<Record<Finish['flatten'], readonly string[]>> = {
  sander: ['discs of 60'],
  'belt sander': ['belt sander', 'belt of 60'],
  'hand plane': ['plane'],
  planer: ['scraps as thick as the top'],
};

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

/** What a glued top is marked and cut to size with, beside the saw. */
const cutOffWith = ({ flush, round }: OperationOf<'trim whole'>): readonly Phrase[] =>
  [
    ...(flush ? [] : ['scraper']),
    ...(round !== null
      ? ['nail', 'stick', 'pencil']
      : ['guide with two clamps', 'pencil', ...(flush && !flush.above ? [] : ['square'])]),
    ...(flush?.above ? ['knife'] : []),
  ].map((name) => say`${name}`);

/** A head that goes down further than this is out of reach of a common bit. */
const DEEP: Length = inches(1);

/** The bit that drives, as long or short as there is room for, and what turns it there. */
function drivenWith({ bit, driver, sunk }: OperationOf<'drive'>): readonly Phrase[] {
  if (bit === '') return [];
  const isLong = bit.startsWith('long ') || Math.max(0, ...sunk) > DEEP;
  const size = driver === 'short bit' ? 'short ' : isLong ? 'long ' : '';
  return [
    ...(driver === 'right-angle head' ? [say`right-angle head`] : []),
    say`${size}${bit.replace(/^long /, '')} bit`,
  ];
}

/** What is cut out of a part with no machine named for it: chopped, or sawn at both ends and pared between. */
const cutWith = ({ tool, what }: OperationOf<'cut'>): readonly Phrase[] =>
  tool !== null
    ? []
    : [what.startsWith('mortise') ? 'drill' : 'saw', 'chisel', 'mallet', 'square'].map((name) => say`${name}`);

const hangWith = ({ fastener }: OperationOf<'hang'>): readonly Phrase[] => [
  ...(fastener === 'long-hinge' ? [say`hacksaw`, say`file`] : []),
  ...(fastener === 'hinge' || fastener === 'long-hinge' ? [say`centring bit ${strong('1/16')}`] : []),
];

const coatWith = ({ product, mix, by, wipe, between }: OperationOf<'coat'>): readonly Phrase[] => [
  say`${[product, ...(mix.length === 1 ? mix.map(({ tone }) => tone) : [])].join(' ')}`,
  ...TO_PUT_ON[by].map((name) => say`${name}`),
  ...(wipe === null ? [] : [say`rags`]),
  say`gloves`,
  ...(between > 0 ? [say`paper of ${strong(between)}`] : []),
];

const fillWith = ({ heads, knots, cracks, product, seams }: OperationOf<'fill'>): readonly Phrase[] => [
  ...(heads > 0 || (knots && cracks === 'filler') ? [say`${product} filler`, say`filling knife`] : []),
  ...(knots && cracks === 'thin glue' ? [say`thin glue and activator`, say`glasses`] : []),
  ...(knots && cracks === 'sawdust' ? [say`sawdust of the same wood`, say`glue`] : []),
  ...(seams >= 0.5 ? [say`caulk`] : []),
];

/** What an operation takes beside parts, its tool, bits, hardware, glue and clamps. */
export function thingsFor(one: Operation): readonly Phrase[] {
  switch (one.kind) {
    case 'drive':
      return drivenWith(one);
    case 'profile':
      return one.tool === 'router' ? [say`${PROFILE_BITS[one.shape]} bit ${dim(one.deep)}`] : [];
    case 'hang':
      return hangWith(one);
    case 'fit hardware':
      return one.fastener === 'pull' ? [say`bit ${strong('3/16')}`, say`block of waste`] : [];
    case 'arrange':
      return [say`straightedge`, say`pencil`];
    case 'heed':
      return one.atHand;
    case 'laminate':
      return one.each > 0 ? [say`${strong(one.each * one.together)} clamps`] : [];
    case 'cut':
      return cutWith(one);
    case 'outline':
      return [say`plane`];
    case 'trim':
      return one.why === 'snipe' ? [] : [say`square`];
    case 'trim whole':
      return cutOffWith(one);
    case 'bore':
      return one.countersunk ? [say`countersink`] : [];
    case 'slot':
      return one.tool === 'router' ? [say`router bit ${dim(one.thick)}`] : [];
    case 'elongate':
      return [say`round file`];
    case 'block':
      return [say`${strong(one.count)} corner blocks`];
    case 'clamp':
      return one.count === 0 && !one.holds ? [say`strap or wedges`] : [];
    case 'spacers':
      return [say`${strong(one.count)} ${one.count === 1 ? 'spacer' : several('spacer')} ${dim(one.thickness)}`];
    case 'coat':
      return coatWith(one);
    case 'sand':
      return [...(one.hand > 0 ? [say`paper as fine`] : []), say`block`, say`pencil`, say`vacuum`, say`cloth`];
    case 'flatten':
      return [...LEVELLED_WITH[one.by].map((name) => say`${name}`), say`chalk`, say`straightedge`];
    case 'fill':
      return fillWith(one);
    case 'tile':
      return tiledWith(one);
    case 'mask':
      return [say`masking tape`];
    case 'strip':
      return [say`${one.what === 'paint' ? 'test swab, stripper, scraper' : 'discs of 80'}`];
    case 'rub':
      return [say`${one.edges ? 'paper of 220' : 'brown paper'}`];
    case 'sample':
      return [say`offcuts`, say`what each recipe takes`, say`masking tape`];
    default:
      return [];
  }
}
