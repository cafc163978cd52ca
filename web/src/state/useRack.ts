import type { Can, OnHand, Rack } from '@sill/core';
import { EMPTY_RACK, RACK, useRacksQuery, useSaveRackMutation } from './server';

/** The rack that all jobs share; null while it is not known. `put` saves it on top of what was read. */
export function useRack(): {
  readonly pieces: readonly OnHand[] | null;
  readonly cans: readonly Can[] | null;
  readonly put: (pieces: readonly OnHand[]) => Promise<void>;
  readonly putCans: (cans: readonly Can[]) => Promise<void>;
  readonly putAll: (all: Rack) => Promise<void>;
} {
  const { data } = useRacksQuery({});
  const [save] = useSaveRackMutation();
  const row = data?.find(({ id }) => id === RACK);
  const { pieces, cans } = row?.value ?? EMPTY_RACK;
  const put = async (value: Rack) => {
    await save({ params: { id: RACK }, body: { revision: row?.revision ?? 0, value } }).unwrap();
  };
  return {
    pieces: data ? pieces : null,
    cans: data ? cans : null,
    put: (next) => put({ pieces: next, cans }),
    putCans: (next) => put({ pieces, cans: next }),
    putAll: put,
  };
}
