import { useEffect, useState } from 'react';
import type { Yard } from '@sill/core';
import { api } from '../../platform/api';
import { useJob } from '../../state/hooks';

/** The yards that are known, with this job's own list among them. */
export function useYards(): readonly Yard[] {
  const { yard } = useJob();
  const [known, setKnown] = useState<readonly Yard[]>([]);
  useEffect(() => {
    let gone = false;
    api.yards.all().then(
      (rows) => !gone && setKnown(rows.map(({ value }) => value)),
      () => undefined,
    );
    return () => {
      gone = true;
    };
  }, []);
  return known.some(({ id }) => id === yard.id) ? known : [yard, ...known];
}
