import type { Finish, SurfaceName } from '@sill/core';

/** Surfaces as they stand in a list. */
export const SURFACE_NAMES: Readonly<Record<SurfaceName, string>> = {
  top: 'Top',
  edges: 'Edges of the top',
  underside: 'Underside of the top',
  fronts: 'Fronts',
  base: 'Base, outside',
  inside: 'Inside',
  back: 'Back',
};

export const WHEN_NAMES: Readonly<Record<Finish['when'], string>> = {
  assembled: 'Once it stands',
  parts: 'Part by part',
  site: 'Where it stays',
};
