/**
 * Species as sold, with the figures that weight, stiffness and movement need.
 * Source: Wood Handbook, USDA Forest Products Laboratory, at 12 % moisture; SPF is the usual construction mix.
 * Radiata pine and European redwood (Scots pine) are rounded from the same handbook's imported species and general
 * tables: a person who knows better overrides nothing that matters by more than a tenth.
 */
export const SPECIES = {
  spf: { name: 'spruce-pine-fir', density: 29, modulus: 1.4e6, tangential: 0.0022, radial: 0.0012 },
  fir: { name: 'Douglas-fir', density: 33, modulus: 1.95e6, tangential: 0.00267, radial: 0.00165 },
  pine: { name: 'ponderosa pine', density: 28, modulus: 1.29e6, tangential: 0.00216, radial: 0.00133 },
  'white pine': { name: 'eastern white pine', density: 25, modulus: 1.24e6, tangential: 0.00212, radial: 0.00071 },
  'southern pine': { name: 'southern pine', density: 36, modulus: 1.79e6, tangential: 0.00259, radial: 0.00165 },
  poplar: { name: 'yellow-poplar', density: 29, modulus: 1.58e6, tangential: 0.00289, radial: 0.00158 },
  'red oak': { name: 'northern red oak', density: 44, modulus: 1.82e6, tangential: 0.00369, radial: 0.00158 },
  cedar: { name: 'western redcedar', density: 23, modulus: 1.11e6, tangential: 0.00234, radial: 0.00111 },
  radiata: { name: 'radiata pine', density: 31, modulus: 1.48e6, tangential: 0.0025, radial: 0.0015 },
  redwood: { name: 'European redwood', density: 32, modulus: 1.45e6, tangential: 0.0026, radial: 0.0014 },
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

/** Moisture of indoor wood in a humid summer and a heated winter, %. Usual swing for a house without control. */
export const SUMMER_MOISTURE = 11;
export const WINTER_MOISTURE = 7;
