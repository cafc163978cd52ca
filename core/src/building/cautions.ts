import { say, type Phrase } from '../words';
import type { Operation } from '../work';

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
