import type { Yard } from '@sill/core';
import { useJob } from './hooks';
import { useYardsQuery } from './server';

/** The yards that are known, with this job's own list among them. */
export function useYards(): readonly Yard[] {
  const { yard } = useJob();
  const { data = [] } = useYardsQuery({});
  const known = data.map(({ value }) => value);
  return known.some(({ id }) => id === yard.id) ? known : [yard, ...known];
}
