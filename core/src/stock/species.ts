/**
 * Species as sold, with the figures that weight, stiffness and movement need.
 * Source: Wood Handbook, USDA Forest Products Laboratory, at 12 % moisture; SPF is the usual construction mix.
 */
export const SPECIES = {
  spf: { name: 'spruce-pine-fir', density: 29, modulus: 1.4e6, tangential: 0.0022, radial: 0.0012 },
  fir: { name: 'Douglas-fir', density: 33, modulus: 1.95e6, tangential: 0.00267, radial: 0.00165 },
  pine: { name: 'ponderosa pine', density: 28, modulus: 1.29e6, tangential: 0.00216, radial: 0.00133 },
} as const satisfies Record<string, Wood>;

export type Wood = {
  readonly name: string;
  /** lb per cubic foot. */
  readonly density: number;
  /** Modulus of elasticity along the grain, psi. */
  readonly modulus: number;
  /** Change of width, per 1 % of moisture, of plain-sawn boards. */
  readonly tangential: number;
  readonly radial: number;
};
export type Species = keyof typeof SPECIES;
export const SPECIES_NAMES = Object.keys(SPECIES) as Species[];

/** Moisture of indoor wood in a humid summer and a heated winter, %. Usual swing for a house without control. */
export const SUMMER_MOISTURE = 11;
export const WINTER_MOISTURE = 7;
