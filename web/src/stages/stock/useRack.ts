import type { OnHand } from '@sill/core';
import { RACK, useRacksQuery, useSaveRackMutation } from '../../state/server';

/** The rack that all jobs share; null while it is not known. `put` saves it on top of what was read. */
export function useRack(): {
  readonly pieces: readonly OnHand[] | null;
  readonly put: (pieces: readonly OnHand[]) => Promise<void>;
} {
  const { data } = useRacksQuery({});
  const [save] = useSaveRackMutation();
  const row = data?.find(({ id }) => id === RACK);
  const put = async (pieces: readonly OnHand[]) => {
    await save({ params: { id: RACK }, body: { revision: row?.revision ?? 0, value: { pieces } } }).unwrap();
  };
  return { pieces: data ? (row?.value.pieces ?? []) : null, put };
}
