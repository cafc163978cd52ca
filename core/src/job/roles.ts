/** What a part is for, whatever family it is of. */
export const ROLES = [
  'top',
  'leg',
  'apron',
  'support',
  'rail',
  'stretcher',
  'brace',
  'foot',
  'shelf',
  'side',
  'back',
  'door',
  'drawer',
  'edging',
  'runner',
  'loose',
] as const;
export type Role = (typeof ROLES)[number];
