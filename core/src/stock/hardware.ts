/** What is bought besides wood. Sizes are in the trade's names; counts are pieces in a box or fluid ounces in a bottle. */
export type HardwareKind = 'pocket-screw' | 'clip' | 'glue';

/** Pocket screw lengths in inches, short first: the sizes the jig table asks for. */
export const POCKET_SCREWS = ['1', '1 1/4', '1 1/2', '2', '2 1/2'] as const;
export type PocketScrew = (typeof POCKET_SCREWS)[number];

export type HardwareNeed = {
  readonly kind: HardwareKind;
  /** Screw length in inches for screws, else empty. */
  readonly size: PocketScrew | '';
  /** Pieces, or fluid ounces of glue. */
  readonly count: number;
};

export const hardwareName = (kind: HardwareKind, size: string): string =>
  kind === 'pocket-screw'
    ? `pocket screws ${size} coarse`
    : kind === 'clip'
      ? 'table-top clips with screws'
      : 'wood glue (PVA)';
