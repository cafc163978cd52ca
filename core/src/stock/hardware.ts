/**
 * What is bought besides wood. Sizes are in the trade's names; counts are pieces in a box or fluid ounces in a bottle.
 */
export const HARDWARE = {
  'pocket-screw': 'pocket screws',
  screw: 'wood screws',
  clip: 'table-top clips with screws',
  glue: 'wood glue (PVA)',
  brad: '18 gauge brads',
  bolt: 'hex bolts with washer and nut',
  lag: 'lag screws with washer',
  insert: 'threaded inserts with bolt',
  dowel: 'dowel pins',
  biscuit: 'biscuits',
  tenon: 'loose tenons',
  plug: 'wood plugs',
  'pocket-plug': 'pocket plugs',
  hinge: 'butt hinges with screws',
  'long-hinge': 'long hinges with screws',
  stay: 'folding stays',
  catch: 'magnetic catches with plates',
  slide: 'pairs of drawer slides',
  'shelf-pin': 'shelf pins',
  leg: 'turned legs with plates',
  'hairpin-leg': 'hairpin legs with screws',
  'folding-bracket': 'folding brackets with screws',
  pull: 'pulls with screws',
  leveller: 'levellers with their nuts',
  tile: 'tiles',
  'tile-adhesive': 'tile adhesive for wood',
  'tile-spacer': 'tile spacers',
  grout: 'grout, ready mixed',
  sealant: 'flexible sealant',
  'tile-tool': 'for tiles:',
  disc: '5 in sanding discs',
  stain: 'stain',
  finish: 'finish',
  paper: 'sanding sheets',
  belt: 'sander belts',
  filler: 'filler',
  'thin-glue': 'thin instant glue with activator',
  caulk: 'paintable caulk',
  brush: 'brushes',
  roller: 'roller covers',
  rag: 'lint-free rags',
  tape: 'rolls of masking tape, 60 ft',
  glove: 'pairs of gloves',
  cartridge: 'pairs of respirator cartridges',
  'lead-test': 'lead test swabs',
  top: 'top, bought as it is',
} as const;
export type HardwareKind = keyof typeof HARDWARE;
export const HARDWARE_KINDS = Object.keys(HARDWARE) as HardwareKind[];

/** Pocket screw lengths in inches, short first: the sizes the jig table asks for. */
export const POCKET_SCREWS = ['1', '1 1/4', '1 1/2', '2', '2 1/2'] as const;
export type PocketScrew = (typeof POCKET_SCREWS)[number];
/** Ends the size of a pocket screw with a fine thread, for hardwood; the others are coarse, for softwood and sheets. */
const FINE = ' fine';
/** Ends the size of what is coated against weather and the salts of treated wood. */
const COATED = 'coated';
/** What is bought coated where a piece stands outside; glue waterproof. */
const WEATHERED: readonly HardwareKind[] = ['pocket-screw', 'screw', 'brad', 'lag', 'bolt'];
/** The glue that holds outside. */
export const WATERPROOF = 'waterproof';

/** The size of a fastener for a piece that stands outside: `2 1/2 coated`. */
export const coatedSize = (kind: HardwareKind, size: string): string =>
  WEATHERED.includes(kind) ? [size, COATED].filter((bit) => bit !== '').join(' ') : size;

/** A pocket screw with its thread: `1 1/4 coarse`, `1 1/4 fine`, `2 coarse, coated`. */
export function printThread(size: string): string {
  const isCoated = size.endsWith(` ${COATED}`);
  const bare = isCoated ? size.slice(0, -COATED.length - 1) : size;
  return `${bare.endsWith(FINE) ? bare : `${bare} coarse`}${isCoated ? `, ${COATED}` : ''}`;
}

/** Colours that stains and paints are sold in; what a can is called is the store's own. */
export const TONES = ['honey', 'nut brown', 'red brown', 'dark brown', 'black', 'grey', 'white'] as const;
export type Tone = (typeof TONES)[number];

/** A product that is bought in a colour as it stands on the can: `oil stain dark brown`. */
export const inTone = (product: 'oil stain' | 'water stain' | 'gel stain' | 'enamel', tone: Tone): string =>
  `${product} ${tone}`;

export type HardwareNeed = {
  readonly kind: HardwareKind;
  /** Length in inches of screws and slides, height of legs, else what tells it apart, or empty. */
  readonly size: string;
  /** Pieces, or fluid ounces of what is poured. */
  readonly count: number;
  /** Cents each where the person states the price: a stone top, tiles already chosen. */
  readonly price?: number;
};

/** What is told in fluid ounces, and sold in bottles, cans and tubes. */
export const POURED = [
  'glue',
  'thin-glue',
  'stain',
  'finish',
  'filler',
  'caulk',
  'tile-adhesive',
  'grout',
  'sealant',
] as const;
export const isPoured = (kind: HardwareKind): kind is (typeof POURED)[number] =>
  (POURED as readonly HardwareKind[]).includes(kind);

export const hardwareName = (kind: HardwareKind, size: string): string =>
  kind === 'pocket-screw'
    ? `pocket screws ${printThread(size)}`
    : kind === 'stain' || kind === 'finish'
      ? size
      : kind === 'disc' || kind === 'paper' || kind === 'belt'
        ? `${HARDWARE[kind]} of grit ${size}`
        : kind === 'filler'
          ? `${size} filler`
          : kind === 'brush'
            ? `brushes for ${size}`
            : size === ''
              ? HARDWARE[kind]
              : `${HARDWARE[kind]} ${size}`;
