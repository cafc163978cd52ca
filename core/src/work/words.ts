import { first, last, nth } from '../lists';
import { inches } from '../length';
import { hardwareName, type HardwareKind } from '../stock';
import { about, counted, dim, listOf, say, strong, tag, type Phrase } from '../words';
import type { Operation, OperationOf } from './operation';
import { finishSentence } from './finish-words';
import { degreesText, several, sortedTags, tagList } from './phrases';
import { standingsOf, placesOf } from './places';

/** A name of what is bought as it stands in a sentence: without what it is sold with. */
const short = (kind: HardwareKind, size: string): string =>
  hardwareName(kind, size).replace(/ with .*?(?= #| \d|$)/, '');

const people = (operation: Operation): Phrase =>
  operation.lift && operation.lift.people > 1
    ? say` It weighs about ${strong(Math.round(operation.lift.pounds))} lb: ${strong(operation.lift.people)} people.`
    : say``;

function plane({ tags, tool, to, each, passes }: OperationOf<'plane'>): Phrase {
  return tool
    ? say`Plane both faces of ${tagList(tags)} to ${dim(to)} thick: ${strong(counted(passes, 'pass', 'passes'))} a face, no more than ${dim(inches(1 / 32))} each, all boards at one setting. The ends may be gouged: they come off later.`
    : say`Have ${tagList(tags)} planed to ${dim(to)} thick, ${dim(each)} off each of the two faces.`;
}

/** The bits that shape an edge. */
export const PROFILE_BITS = { round: 'round-over', chamfer: 'chamfer', bead: 'beading' } as const;

function laminate({ tags, plies, each, together, noun, rounds }: OperationOf<'laminate'>): Phrase {
  return say`Glue up ${several(noun)} ${tagList(tags)}, ${strong(plies)} boards each, bows facing each other, best faces out, one long edge flush. Glue both faces thin and whole. ${
    each > 0
      ? say`${strong(each)} clamps each, one every ${dim(inches(10))} or so: ${strong(together)} at a time${rounds > 1 ? say`, ${strong(rounds)} rounds` : ''}.`
      : say`No clamp of yours opens so far: screw them together in the waste or weigh them down on a flat bench.`
  }`;
}

function rip({ tags, passes, to, tool }: OperationOf<'rip'>): Phrase {
  if (!tool) return say`Have the yard rip ${tagList(tags)} to ${dim(to)}.`;
  return say`Rip ${tagList(tags)}, now that they are glued: ${passes.length > 1 ? say`fence at ${dim(first(passes))} for the first edge, then ${dim(to)} for the other` : say`fence or guide at ${dim(to)}`}.`;
}

function trimWhole({ what, to, off, width, round, flush }: OperationOf<'trim whole'>): Phrase {
  if (flush)
    return say`The ${what} stand about ${dim(off)} over both ends of ${tag(flush.to)}. Draw a line across all of them level with each end of it${flush.above ? say`, brought up with a square at both long edges, and score it with a knife` : say`, along which you can see it from above`}. Clamp a guide, the saw just over ${dim(flush.deep)} deep; cut on the outer side of each line. ${dim(to)} stay between the cuts.`;
  return round === null
    ? say`Scrape off the glue. Mark a line square to a long edge, ${dim(off)} from the left end; cut along a guide. Cut the other end ${dim(to)} from that. It is ${dim(width)} wide.`
    : say`Scrape off the glue. Find the middle and drive a small nail from below there. Swing a router or a pencil on a stick ${dim(round)} long about it; with a saw cut just outside the line and sand to it. It is ${dim(width)} across every way.`;
}

function trim({ tags, to, off, why }: OperationOf<'trim'>): Phrase {
  return why === 'snipe'
    ? say`Cut ${dim(off)} off each end of ${tagList(tags)}, the gouged ends: ${dim(to)} is left.`
    : say`Square one end of ${tagList(tags)}, taking off about ${dim(off)}; stop at ${dim(to)}, cut the other end of all without moving it.`;
}

function mitre({ tags, ends, length, short: least }: OperationOf<'mitre'>): Phrase {
  const of = ({ end, mitre: across, bevel, long }: (typeof ends)[number]): Phrase => {
    const angles = [
      across !== 0 ? `${degreesText(across)} across the face` : '',
      bevel !== 0 ? `${degreesText(bevel)} through the thickness` : '',
    ].filter((text) => text !== '');
    return angles.length === 0
      ? say`${end.name} square`
      : say`${end.name} ${strong(angles.join(' and '))}, longest at the ${long.map(({ name }) => name).join(' and the ')}`;
  };
  return say`Cut the ends of ${tagList(tags)}: ${listOf(ends.map(of))}; ${dim(length)} from long point to long point, ${dim(least)} between the short ones.`;
}

function outline({ tags, outline: corners, from, up, face }: OperationOf<'outline'>): Phrase {
  const rows = corners.map(([x, y]) => say`${dim(x)} | ${dim(y)}`);
  const arcs = corners.some(([, , bulge = 0]) => bulge !== 0);
  return say`Mark ${tagList(tags)} on the ${face.name}, corners (from the ${from.name} | from the ${up.name}) ${listOf(rows)}${arcs ? '; arcs by their template' : ''}. Saw just outside the lines, plane to them.`;
}

function cut({ tags, what, for: names, says }: OperationOf<'cut'>): Phrase {
  return say`${tagList(tags)}: ${what}${names.length > 0 && names.length <= 4 && (names.length === 1 || says.length < 3) ? say` for ${tagList(names)}` : ''}, ${says}.`;
}

function bore({ spots, bits, countersunk, for: what, slant }: OperationOf<'bore'>): Phrase {
  const rows = bits.map(
    ({ bit, deep, as }) =>
      say`${as === 'hole' ? '' : `${as} `}${strong(bit.name)} ${deep === null ? 'through' : say`wide, ${dim(deep)} deep`}`,
  );
  const stop = bits.some(({ deep }) => deep !== null) ? ', stop collar on the bit' : '';
  return say`Bore ${strong(counted(spots.length, 'hole'))} for ${what}, ${listOf(rows)}${countersunk ? ', countersunk' : ''}${stop}${slant ? ', square to the face of what it meets, not to this one' : ''}: ${placesOf(spots)}.`;
}

/** A body by what it is made of: a part alone by its tag, more by the first and what is joined to it. */
const bodyName = (tags: readonly string[]): Phrase =>
  tags.length === 1
    ? tagList(tags)
    : tags.length <= 4
      ? say`${tagList(tags.slice(0, 1))} (with ${tagList(tags.slice(1))})`
      : say`all that is joined to ${tagList(tags.slice(0, 1))}`;

function place(operation: OperationOf<'place'>): Phrase {
  const { comes, marks, row, fixed, says } = operation;
  const moving = comes.filter(({ way }) => way !== null);
  const lying = comes.filter(({ way }) => way === null);
  // In the order in which they come; parts alone that follow each other in one list.
  const names = (of: typeof comes): Phrase => {
    const runs: (typeof comes)[number][][] = [];
    for (const one of of)
      if (one.tags.length === 1 && runs.at(-1)?.[0]?.tags.length === 1) last(runs).push(one);
      else runs.push([one]);
    return listOf(
      runs.map((run) => (run.length === 1 ? bodyName(nth(run, 0).tags) : tagList(run.flatMap(({ tags }) => tags)))),
    );
  };
  const where = standingsOf(marks);
  const level =
    row === 'ends'
      ? say` Left ends level.`
      : row === 'middles'
        ? say` They differ in length: mark the middle of each, all middles on one line.`
        : say``;
  const first = lying.length > 0 ? say`Lay ${names(lying)} ready. ` : say``;
  const what =
    moving.length === 0 ? say`` : fixed ? say`Put ${names(moving)} in place` : say`Lay ${names(moving)} on, not fixed`;
  const close = moving.length === 0 ? say`` : say`${where ? say`: ${where}` : ''}.`;
  return say`${first}${what}${close}${level}${says ? say` ${says}` : ''}`;
}

function glue({ count, ends, slow, only }: OperationOf<'glue'>): Phrase {
  return say`Glue ${only ?? (count === 1 ? 'the joint' : say`the ${strong(count)} joints`)}.${ends ? ' End grain drinks: glue it, wait a minute, glue it again.' : ''}${slow ? say` They all close at once: take a glue that stays open 10 minutes, and a second pair of hands.` : ''} Wipe squeeze-out now: stain will not take over glue.`;
}

function clamp({ count, span, cauls, holds }: OperationOf<'clamp'>): Phrase {
  const flat = cauls > 0 ? say`, alternately above and below, ${strong(cauls)} cauls across to keep it flat` : say``;
  if (count === 0)
    return holds
      ? say`${holds === 'brads' ? 'The brads hold it while the glue sets' : 'The screws pull it shut'}${flat}.`
      : say`No clamp of yours opens ${dim(span)}: pull it shut with a strap round it all, or with wedges against stops on the bench${flat}.`;
  return say`Clamp with ${strong(count)} over ${dim(span)}${flat}${holds ? say` until the ${holds} are in` : ''}.`;
}

function drive(operation: OperationOf<'drive'>): Phrase {
  const { tags, fastener, size, count, into, pilot, sunk, washer, nuts, snug, driver, spots } = operation;
  const name = short(fastener, size);
  const [from, to] = [sortedTags(tags), sortedTags(into)];
  const ends = tagList(to);
  // Boards of a ring: each is screwed to its neighbour.
  const joined = from.length > 1 && from.join() === to.join() ? say`each other` : ends;
  const hole = !pilot
    ? say``
    : fastener === 'clip'
      ? say`Set the clips in their slots; bore ${strong(pilot.bit.name)}, ${dim(pilot.deep)} deep at the hole of each into ${ends}. `
      : say`Through the holes bore ${strong(pilot.bit.name)}, ${nuts === 'out' ? say`on through ${ends}` : say`${dim(pilot.deep)} deep into ${ends}`}. `;
  const depths = [...new Set(sunk)].filter((one) => one > 0).sort((a, b) => a - b);
  const heads = depths.length > 0 ? say`, heads ${listOf(depths.map((one) => dim(one)))} below the surface` : say``;
  const drives = fastener === 'bolt' ? 'Bolt with' : fastener === 'insert' ? 'Turn in the bolts of' : 'Drive';
  const nut =
    nuts === 'in'
      ? ', washer and nut pushed in by the holes at the side'
      : nuts === 'out'
        ? ', washer and nut in the counterbore at its far end'
        : '';
  const nails = fastener === 'brad' && spots.length > 0 ? say`: ${placesOf(spots)}` : say``;
  return say`${hole}${drives} ${strong(count)} ${name}${washer ? ', each with a washer under its head' : ''}${nut}, ${tagList(from)} to ${joined}${heads}${snug ? ', snug, not tight, so that the top can move' : ''}${driver ? say`; there is little room: take the ${strong(driver)}` : ''}${nails}.`;
}

function tile({ what, joint, notch, spaced, tags }: OperationOf<'tile'>): Phrase {
  switch (what) {
    case 'set':
      return say`Vacuum the bed. Spread adhesive over as much of it as you cover in ten minutes, with the flat of the trowel first, then comb it one way with its ${dim(notch)} teeth. Press each tile in with a small twist, ${dim(joint)} from the next and from the frame: ${spaced ? 'spacers between them, against the frame too' : say`slips ${dim(joint)} thick between them, against the frame too`}. A straight board over them and a few taps bring them level with each other. Lift one now: its back should be covered. Scrape out what comes up in the joints, wipe the faces and the frame, and leave it a day; nobody leans on it.`;
    case 'grout':
      return say`Pull ${spaced ? 'the spacers' : 'the slips'}. Press grout into the joints between ${tagList(tags)} with the rubber float held at 45, across the joints; the joint along the frame stays empty: wood moves, tiles do not. Wipe what gets on the frame at once. After a quarter of an hour wipe with a sponge wrung out, across the joints, and the haze with a dry cloth when it shows. Leave it a day.`;
    case 'seal':
      return say`${tags.length === 1 ? `Pull ${spaced ? 'the spacers' : 'the slips'}. ` : ''}Fill the joint along the frame with flexible sealant, smooth it with a wet finger, wipe the frame. No water on it for a day. The labels of adhesive, grout and sealant come before all of this.`;
  }
}

/** The sentence of an operation, and how many people lift. The only place where one is written. */
export const wordsOf = (operation: Operation): Phrase => say`${sentenceOf(operation)}${people(operation)}`;

function sentenceOf(operation: Operation): Phrase {
  const { tags } = operation;
  switch (operation.kind) {
    case 'plane':
      return plane(operation);
    case 'laminate':
      return laminate(operation);
    case 'rip':
      return rip(operation);
    case 'trim':
      return trim(operation);
    case 'fit':
      return say`${tagList(tags)}: measure ${operation.measure}${tags.length > 1 ? ', for each' : ''}; the plan says ${dim(operation.planned)}. Cut ${tags.length > 1 ? 'each' : 'it'} to what you measure.`;
    case 'mitre':
      return mitre(operation);
    case 'outline':
      return outline(operation);
    case 'cut':
      return cut(operation);
    case 'pocket':
      return say`Jig and collar at ${dim(operation.jig)}, ${strong(counted(operation.spots.length, 'pocket'))} out through the ${operation.exit.name}: ${placesOf(operation.spots)}.`;
    case 'bore':
      return bore(operation);
    case 'slot':
      return say`Cut ${strong(counted(operation.spots.length, operation.what, several(operation.what)))}${operation.tool ? ` with the ${operation.tool}` : ''}, ${dim(operation.long)} long, ${dim(operation.thick)} wide, ${dim(operation.deep)} deep, the long way in the direction of the first measure${operation.slant ? ', square to the slanted end' : ''}, their middles: ${placesOf(operation.spots)}.`;
    case 'elongate':
      return say`Draw these holes out to slots ${dim(operation.long)} long across the grain, rocking the drill to and fro, and clean them with a round file: ${placesOf(operation.spots)}.`;
    case 'arrange':
      return say`Lay ${tagList(tags)} side by side in the order that looks best${operation.unequal ? ', only those of one length changing places' : ''}, the ${operation.what}'s best faces down; sight the joints with a straightedge ${about(operation.straightedge)} long. Draw one large triangle across all on the side that is up: it tells place and direction from now on. A joint that two fingers can close will clamp shut; rip the edge again if not.`;
    case 'dry':
      return say`Put it together dry first, clamps and all. See that it closes without force; mark what meets what; take it apart.`;
    case 'place':
      return place(operation);
    case 'glue':
      return glue(operation);
    case 'peg':
      return say`Glue ${strong(operation.count)} ${short(operation.fastener, operation.size)} into ${tagList(tags)}, half of each, then the holes that they go into.`;
    case 'clamp':
      return clamp(operation);
    case 'wait':
      return say`Leave it ${strong(operation.wait)} min${operation.clamped ? ' in the clamps' : ' before it is moved'}.`;
    case 'drive':
      return drive(operation);
    case 'plug':
      return say`Glue ${strong(operation.count)} ${short(operation.fastener, operation.size)} over the heads, grain with grain; trim them flush when dry.`;
    case 'block':
      return say`Cut ${strong(counted(operation.count, 'block'))} ${dim(operation.thick)} by ${dim(operation.thick)}, ${dim(operation.long)} long, from an offcut; bore them ${strong('11/64')} for their screws, countersunk, so that the two rows pass each other; glue one into each inside corner of ${tagList(tags)}.`;
    case 'hang':
    case 'fit hardware':
    case 'heed':
    case 'turn':
      return operation.says;
    case 'spacers':
      return say`Lay ${strong(counted(operation.count, 'spacer'))} ${dim(operation.thickness)} thick under ${tagList(operation.under)}.`;
    case 'slide':
      return say`Slide ${operation.name} in and out over all of its ${dim(operation.travel)} now. It must not bind.`;
    case 'square':
      return operation.reads[0] === operation.reads[1]
        ? say`Measure both diagonals: ${about(operation.reads[0])} each. Alike but another number: the sides are not as planned. Unlike: push the long corner.`
        : say`Measure both diagonals: ${about(operation.reads[0])} and ${about(operation.reads[1])}.`;
    case 'carry':
      return say`Do this where the piece stays: ${operation.because}. Carry the parts in first.`;
    case 'trim whole':
      return trimWhole(operation);
    case 'level':
      return say`Stand it on a flat floor. If it rocks, ${operation.levellers ? 'turn the levellers until it does not' : 'find the long leg and take off what rocks'}.`;
    case 'tile':
      return tile(operation);
    case 'profile':
      return operation.tool === 'router'
        ? say`Rout the upper edge of the top all round, ${dim(operation.run)} in all: a ${PROFILE_BITS[operation.shape]} bit of ${dim(operation.deep)}, with a bearing, in ${strong(operation.passes)} passes, each a little deeper. Clamp the top down. Ends first, then the sides: what tears out at a corner goes. Move against the turn of the bit, to the right as you face the edge; never climb. Try it on an offcut.`
        : say`Plane the upper edge of the top all round, ${dim(operation.run)} in all: mark a line ${dim(operation.deep)} in and ${dim(operation.deep)} down, plane to both, ends first from the corners inwards${operation.shape === 'round' ? ', then round it with a block and paper' : ''}.`;
    case 'measure': {
      const [length, width, height] = operation.size;
      return say`Check the outside: ${dim(length)} by ${dim(width)}, ${dim(height)} high.`;
    }
    case 'anchor':
      return say`Anchor it to the wall, a bracket into a stud at the top: it tips onto a child who climbs an open drawer or a shelf.`;
    default:
      return finishSentence(operation);
  }
}
