import { inches, type Length } from '../length';
import { dim, listOf, say, tag, type Phrase } from '../words';
import { grainMarks } from './grain';
import type { Setup } from './setup';

/** Under this a piece is held with a block, never by hand. */
export const SHORT_PIECE: Length = inches(6);
/** Shorter than this nothing is fed along a rip fence: it can turn between fence and blade. */
const SHORT_RIP: Length = inches(12);
/** Narrower than this no hand passes between blade and fence. */
const NARROW_RIP: Length = inches(2);
/** What is longer than this and hangs free when it is cut off drops, and pinches the blade. */
const HANGS: Length = inches(36);

/** What to look out for at a setting: pieces too short to hold, short and narrow rips, ends that fall. */
export function cautionsFor({ kind, pieces, setting, tool }: Omit<Setup, 'cautions'>): readonly Phrase[] {
  const tags = (of: typeof pieces): Phrase =>
    listOf([...new Set(of.map(({ blank }) => blank.part.tag))].slice(0, 6).map((name) => tag(name)));
  const found: Phrase[] = [];
  const crosscut = kind === 'stop' || kind === 'marks';
  const short = pieces.filter(({ length, width }) => length < SHORT_PIECE && (crosscut || width < SHORT_PIECE));
  if (kind !== 'fence' && short.length > 0)
    found.push(
      say`${tags(short)}: under ${dim(SHORT_PIECE)}. Hold it with a clamp block, or cut it last from a longer stick; never by hand.`,
    );
  if (crosscut && pieces.some(({ length }) => length > HANGS))
    found.push(say`Support both ends level with the saw: what is cut off must not drop or pinch the blade.`);
  if (kind === 'fence') {
    const stubby = pieces.filter(({ length }) => length < SHORT_RIP);
    if (stubby.length > 0 && tool !== null)
      found.push(
        say`${tags(stubby)}: too short along the fence once cut. Rip it while it is part of a stick over ${dim(SHORT_RIP)}; else use a hand saw or a sled.`,
      );
    if (setting < NARROW_RIP && tool === 'table saw')
      found.push(
        say`Only ${dim(setting)} between blade and fence: push stick and feather board, or let the narrow part fall on the far side.`,
      );
  }
  if (kind === 'guide')
    found.push(
      ...grainMarks(pieces),
      say`Support the sheet on both sides of every cut, so that neither part drops. Clamp the guide, not your hand.`,
    );
  return found;
}
