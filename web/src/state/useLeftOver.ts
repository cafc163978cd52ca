import {
  asRow,
  inches,
  isSheet,
  KEEP_OFFCUT,
  leftInCans,
  type Body,
  type Can,
  type Entry,
  type Plan,
} from '@sill/core';
import { useEdges, useJob } from './hooks';
import { newId } from './newId';
import { STAMP, useHoldings } from './useLedger';
import { useRack } from './useRack';

/** Long enough to be kept, and no strip: a foot, of a sheet both ways. */
const isWorthKeeping = ({ material, length, width, piece }: Body): boolean =>
  piece !== null || (length >= KEEP_OFFCUT && width >= (isSheet(material) ? KEEP_OFFCUT : inches(1)));

/** What a job leaves over: boards nothing comes from, offcuts worth keeping, and what is in its cans. */
export function useLeftOver(plan: Plan) {
  const job = useJob();
  const rack = useRack();
  const { today } = useEdges();
  const { cans: used } = useHoldings();
  const bodies = [
    ...plan.buying.idle.filter(({ state }) => state === 'whole'),
    ...plan.buying.left.filter(isWorthKeeping),
  ];
  const cans = leftInCans(plan, job).filter(({ isHere }) => isHere);
  return {
    bodies,
    cans,
    /** Whether the rack is known: it is kept by the server. */
    isReached: rack.pieces !== null,
    /** Puts boards and cans on the rack; what is then to be told. */
    toRack: async (moved: readonly Body[], poured: readonly (typeof cans)[number][]): Promise<readonly Entry[]> => {
      const rows = moved.map((body) => ({ body, row: newId() }));
      const filled = poured.map(({ kind, size, ounces }): Can => {
        // What came from a can that was open before is as old as that.
        const opened = used.flatMap((can) => (can.kind === kind && can.size === size ? (can.since ?? []) : []));
        return { id: newId(), kind, size, ounces, since: opened.sort()[0] ?? today(), note: `from ${job.name}` };
      });
      await rack.putAll({
        pieces: [
          ...(rack.pieces ?? []),
          ...rows.map(({ body, row }) => ({ ...asRow(body), id: row, note: body.note || `from ${job.name}` })),
        ],
        cans: [...(rack.cans ?? []), ...filled],
      });
      return [
        ...rows.map(({ body, row }): Entry => ({ id: newId(), at: STAMP.at, what: 'racked', of: body.id, row })),
        ...filled.map((can): Entry => ({ id: newId(), at: STAMP.at, what: 'can racked', can })),
      ];
    },
  };
}
