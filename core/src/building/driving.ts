import { inches } from '../length';
import { BLOCK, CLIP_SLOT, drillingOf, isCountersunk, isDense, plugsFor, type Fastening } from '../joinery';
import { JOINT_KINDS } from '../piece';
import { printThread } from '../stock';
import { dim, listOf, say, strong, tag, type Bit, type Phrase } from '../words';
import { hardwareActions } from './hanging';
import { screwsOf } from './phrases';

/** What to drive, by kind and size: how many, and from which parts into which. */
export function drivingActions(joints: readonly Fastening[]): readonly Phrase[] {
  const groups = new Map<string, Fastening[]>();
  for (const item of joints) {
    const bare = item.by === 'hardware' || item.by === 'nothing' || item.by === 'glue';
    const key = `${item.by} ${item.screw} ${bare ? item.joint.kind : ''}`;
    groups.set(key, [...(groups.get(key) ?? []), item]);
  }
  return [...groups.values()].flatMap((group): readonly Phrase[] => {
    const { by, screw, positions, joint } = group[0]!;
    const from = listOf([...new Set(group.map((item) => item.drilled.tag))].slice(0, 12).map((name): Bit => tag(name)));
    const into = listOf([...new Set(group.map((item) => item.into.tag))].slice(0, 12).map((name): Bit => tag(name)));
    const even = group.every((item) => item.positions.length === positions.length);
    const each = even && group.length > 1 ? say`, ${strong(positions.length)} each joint` : '';
    const count = strong(screwsOf(group));
    const plugs = plugsFor(group[0]!);
    const plugged = plugs
      ? [say`Glue a plug into each of the ${count} holes, grain with grain; trim it flush when dry.`]
      : [];
    switch (by) {
      case 'pocket screws':
        return [
          say`Drive ${count} pocket screws ${strong(printThread(screw))}${each}: ${from} into ${into}.`,
          ...plugged,
        ];
      case 'screws':
        return [say`Drill, countersink and drive ${count} screws ${strong(screw)}${each}: ${from} into ${into}.`];
      case 'plugged screws':
        return [
          say`Counterbore, drill and drive ${count} screws ${strong(screw)}${each}: ${from} and ${into}.`,
          ...plugged,
        ];
      case 'slotted screws':
        return [
          say`Drill ${count} holes up through ${from}, counterbored from below; draw each out to a slot ${dim(inches(1 / 2))} long across the top's grain.`,
          say`Drive ${count} screws ${strong(screw)} with washers up into ${into}, snug, not tight, so that the top can move.`,
        ];
      case 'corner block':
        return [
          say`Cut ${strong(group.length)} blocks ${dim(BLOCK)} by ${dim(BLOCK)}, as long as the rails are wide, from an offcut.`,
          say`Glue and screw a block into each inside corner with ${count} screws ${strong(screw)}${each}, half into the rail and half into what it ends on: ${from} to ${into}.`,
        ];
      case 'brads':
        return [say`Glue, and hold with ${count} brads ${strong(screw)} while it sets: ${from} on ${into}.`];
      case 'bolts':
        return [say`Bolt with ${count} of ${strong(screw)}, washer under head and nut: ${from} to ${into}.`];
      case 'lag screws':
        return [
          say`Counterbore for washer and socket, drill clearance and lead hole, soap the thread: ${count} lag screws ${strong(screw)}${each}, ${from} and ${into}.`,
        ];
      case 'inserts':
        return [
          say`Set ${count} threaded inserts in ${into}, square to the face; bolt ${from} on with ${strong(screw)}.`,
        ];
      case 'dowels':
        return [say`Bore for ${count} dowels ${strong(screw)}${each} with a guide, from the same face of both parts. Glue the holes: ${from} to ${into}. Clamp.`]; // prettier-ignore
      case 'biscuits':
        return [say`Cut ${count} slots in each for biscuits ${strong(screw)}${each}, from the same face. Glue and clamp ${from} to ${into}.`]; // prettier-ignore
      case 'loose tenon':
        return [say`Cut a mortise in both parts for ${count} loose tenons ${strong(screw)}${each}. Glue cheeks and tenons, ${from} to ${into}. Clamp.`]; // prettier-ignore
      case 'mortise and tenon':
        return [say`Fit each tenon to its mortise until it goes in by hand pressure. Glue the cheeks: ${from} into ${into}. Clamp.`]; // prettier-ignore
      case 'half lap':
        return [say`Fit the laps flush, glue both cheeks, clamp across: ${from} to ${into}.`];
      case 'clips':
        return [
          say`Cut a slot for the clips on the inside of ${from}, ${dim(CLIP_SLOT)} below the top edge: ${count} clips.`,
          say`Leave a gap of ${dim(inches(1 / 8))} between clip and slot end across the grain, so that the top can move.`,
        ];
      case 'glue':
        return [say`Glue ${from} to ${into} and clamp.`];
      case 'nothing':
        return joint.kind === 'groove'
          ? [say`Slide ${from} into its groove in ${into}, without glue.`]
          : [
              say`${from} ${new Set(group.map((item) => item.drilled.tag)).size > 1 ? 'rest' : 'rests'} on ${into}, not fixed.`,
            ];
      case 'hardware':
        return hardwareActions(joint.kind, group) ?? [say`Fix the ${JOINT_KINDS[joint.kind]}: ${from} to ${into}.`];
    }
  });
}

/** What to set up for the screws and bolts of a step: holes by size. */
export function settingsFor(joints: readonly Fastening[]): readonly Phrase[] {
  const sizes = new Map<string, Fastening>();
  for (const item of joints) if (item.screw !== '') sizes.set(`${item.by} ${item.screw}`, item);
  return [...sizes.values()].flatMap((item): readonly Phrase[] => {
    const drilling = drillingOf(item.screw);
    if (!drilling?.pilot) return [];
    const hard = isDense(item.into) || isDense(item.drilled);
    const sunk = isCountersunk(item.by) ? say`countersink` : say`counterbore ${strong(drilling.counterbore ?? '3/8')}`;
    return [
      say`${strong(item.screw)}: pilot ${strong(drilling.pilot[hard ? 1 : 0])}, clearance ${strong(drilling.clearance ?? 'none')}, ${sunk}, ${drilling.bit}`,
    ];
  });
}
