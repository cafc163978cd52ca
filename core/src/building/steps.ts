import { inches } from '../length';
import { clampCount, type Piece, type Shop } from '../job';
import type { Fastening } from '../joinery';
import { topOf, type Part, type PieceModel } from '../piece';
import { dim, say } from '../words';
import { finished, type Draft } from './draft';
import { operationsOf, type Operation } from './operations';
import { panelSteps } from './panel-steps';
import { HEAVY, idsOf } from './phrases';
import { laminationSteps, pocketStep, shapingStep } from './preparing';
import { schedule } from './schedule';
import { sittings, sittingStep } from './sitting';
import type { Step } from './step';
import { staysBecause } from './way-out';

/** The steps of one operation, one after the other. */
function operationSteps(operation: Operation, model: PieceModel, shop: Shop): readonly Draft[] {
  const { assembly, bodies, joints, panel } = operation;
  if (panel) {
    const boards = bodies.flat();
    return panelSteps(assembly.id, boards[0]!.role === 'top' ? 'top' : boards[0]!.name, boards, joints, shop);
  }
  const groups = sittings(operation);
  let before: readonly Part[] = [];
  const homes = groups.map((placings) => operation.origin.get(placings.at(-1)!.body[0]!.id) ?? assembly);
  return groups.map((placings, at) => {
    const home = homes[at]!;
    const part = homes.slice(0, at + 1).filter((other) => other === home).length;
    const draft = sittingStep({ operation, placings, at, of: groups.length, before, home, part }, model, shop);
    before = [...before, ...placings.flatMap(({ body }) => body)];
    return draft;
  });
}

function lastStep(piece: Piece, parts: readonly Part[], shop: Shop): Draft {
  const { size } = piece;
  const tall = topOf(piece) === null && size.height > inches(30);
  return {
    name: 'level',
    title: say`Turn it over and level it`,
    there: idsOf(parts),
    stays: staysBecause(parts, shop),
    does: [
      say`Stand it on a flat floor. If it rocks, find the long leg and take off what rocks, or fit levellers.`,
      say`Check the height: ${dim(size.height)}. Check the outside: ${dim(size.length)} by ${dim(size.width)}.`,
      ...(tall ? [say`Anchor it to the wall: a tall case tips onto a child who climbs an open drawer or shelf.`] : []),
      say`Break every edge with 120 grit before you finish it.`,
    ],
    pickUp: say`square, tape, sanding block`,
    cautions: [HEAVY],
    work: 15,
  };
}

/** Each step after the one before it. */
const inTurn = (drafts: readonly Draft[], first: readonly string[]): readonly Draft[] =>
  drafts.map((draft, at) => ({
    ...draft,
    after: at === 0 ? [...(draft.after ?? []), ...first] : [drafts[at - 1]!.name],
  }));

const isTop = ({ bodies }: Operation): boolean =>
  bodies.every((body) => body.every(({ role }) => role === 'top' || role === 'edging'));

/**
 * The steps of one piece: what is laminated, shaped and drilled; then its operations, the top's or the base's first as
 * the person says, every joint in exactly one of them; put in the order in which glue and clamps keep a person waiting
 * least. None where the piece can not be built.
 */
export function stepsOf(piece: Piece, model: PieceModel, made: readonly Fastening[], shop: Shop): readonly Step[] {
  const { parts } = model;
  if (parts.length === 0) return [];
  const preparing = [...laminationSteps(parts, shop), ...shapingStep(parts), ...pocketStep(made)];
  const operations = operationsOf(model, made, shop);
  const lastOf = new Map<string, string>();
  const assembled = operations.map((operation) => {
    const touched = new Set(idsOf(operation.bodies.flat()));
    const prepared = preparing.filter(({ adds = [] }) => adds.some((id) => touched.has(id))).map(({ name }) => name);
    const sources = operation.from.flatMap((id) => lastOf.get(id) ?? []);
    const own = inTurn(operationSteps(operation, model, shop), [...prepared, ...sources]);
    lastOf.set(operation.assembly.id, own.at(-1)!.name);
    return { operation, own };
  });
  // Each comes as early as it is wished for and what it is made of allows: the schedule sees to that.
  const wished = [...assembled].sort((a, b) => rank(piece, a.operation) - rank(piece, b.operation));
  const drafts = [...preparing, ...wished.flatMap(({ own }) => own)];
  const last = {
    ...lastStep(
      piece,
      parts.filter((part) => !part.loose),
      shop,
    ),
    after: drafts.map(({ name }) => name),
  };
  return finished(piece.id, schedule([...drafts, last], clampCount(shop)));
}

const rank = ({ first }: Pick<Piece, 'first'>, operation: Operation): number =>
  isTop(operation) === (first === 'top') ? 0 : 1;
