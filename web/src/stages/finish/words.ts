import { surfaceOfKey, type Finish, type Role, type SurfaceKey, type SurfaceName } from '@sill/core';

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

/** Parts of a piece by what they are for. */
export const ROLE_NAMES: Readonly<Record<Role, string>> = {
  top: 'Boards',
  leg: 'Legs',
  apron: 'Aprons',
  support: 'Supports',
  rail: 'Rails',
  stretcher: 'Stretchers',
  brace: 'Braces',
  foot: 'Feet',
  shelf: 'Shelves',
  side: 'Sides',
  back: 'Back',
  door: 'Doors',
  drawer: 'Drawers',
  edging: 'Edging',
  runner: 'Runners',
  loose: 'Loose parts',
};

/** A surface by its name, or parts of one role of it: `Base, outside: legs`. */
export function surfaceLabel(key: SurfaceKey): string {
  const { surface, role } = surfaceOfKey(key);
  return role === null ? SURFACE_NAMES[surface] : `${SURFACE_NAMES[surface]}: ${ROLE_NAMES[role].toLowerCase()}`;
}

export const WHEN_NAMES: Readonly<Record<Finish['when'], string>> = {
  assembled: 'Once it stands',
  parts: 'Part by part',
  site: 'Where it stays',
};
