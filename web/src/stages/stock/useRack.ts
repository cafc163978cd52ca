import { useCallback, useEffect, useState } from 'react';
import type { OnHand } from '@sill/core';
import { api, RACK } from '../../platform/api';

type Kept = { readonly revision: number; readonly pieces: readonly OnHand[] };

/** The rack that all jobs share. `put` saves it on top of what was read; null while it is not known. */
export function useRack(): {
  readonly pieces: readonly OnHand[] | null;
  readonly put: (pieces: readonly OnHand[]) => Promise<void>;
} {
  const [kept, setKept] = useState<Kept | null>(null);
  useEffect(() => {
    let gone = false;
    api.racks.all().then(
      (rows) => {
        const row = rows.find(({ id }) => id === RACK);
        if (!gone) setKept({ revision: row?.revision ?? 0, pieces: row?.value.pieces ?? [] });
      },
      () => undefined,
    );
    return () => {
      gone = true;
    };
  }, []);
  const put = useCallback(
    async (pieces: readonly OnHand[]) => {
      const { revision } = await api.racks.save(RACK, kept?.revision ?? 0, { pieces });
      setKept({ revision, pieces });
    },
    [kept],
  );
  return { pieces: kept?.pieces ?? null, put };
}
