/**
 * What a finish covers and asks for. Square feet a quart goes in one coat, usual coats, grit between coats (0: none),
 * hours to dry before the next and until light use, whether what stays wet is wiped off.
 * Rounded from common product sheets; the label in hand comes first.
 */
export const COATS = {
  'oil polyurethane': { coverage: 125, coats: 3, between: 220, hours: 12, use: 72, wipe: false },
  'water polyurethane': { coverage: 125, coats: 3, between: 220, hours: 2, use: 24, wipe: false },
  'wipe-on polyurethane': { coverage: 125, coats: 5, between: 320, hours: 3, use: 24, wipe: false },
  'hard-wax oil': { coverage: 250, coats: 2, between: 0, hours: 10, use: 24, wipe: true },
  'penetrating oil': { coverage: 125, coats: 2, between: 0, hours: 0.5, use: 96, wipe: true },
  'exterior urethane': { coverage: 125, coats: 3, between: 220, hours: 3, use: 24, wipe: false },
  enamel: { coverage: 100, coats: 2, between: 220, hours: 3, use: 24, wipe: false },
} as const;
export type Coat = keyof typeof COATS;

/** Under the coats: what it covers of a quart. Conditioner goes on before an oil stain, primer before enamel. */
export const UNDER = {
  'oil stain': { coverage: 125, before: 'conditioner', hours: 24, wipe: true },
  'water stain': { coverage: 150, before: null, hours: 3, wipe: true },
  conditioner: { coverage: 125, before: null, hours: 0.25, wipe: true },
  primer: { coverage: 100, before: null, hours: 2, wipe: false },
} as const;

export const OUNCES_A_QUART = 32;

/** Grits in order; none is skipped by more than one, or its scratches show under the finish. */
export const GRITS = [80, 120, 150, 180, 220] as const;

/** Square feet one 5 in disc lasts at a grit: coarse ones load and tear sooner. */
export const perDisc = (grit: number): number => (grit <= 150 ? 12 : 25);
