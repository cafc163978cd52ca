import { useTheme } from '@mui/material/styles';

/** Colours of what is drawn in space; lines are the edges of bodies. The theme gives them. */
export type SpaceColours = {
  readonly wood: string;
  readonly onBench: string;
  readonly stone: string;
  readonly metal: string;
  readonly lit: string;
  readonly line: string;
  readonly litLine: string;
  readonly measure: string;
  readonly driven: string;
};

declare module '@mui/material/styles' {
  interface Palette {
    readonly space: SpaceColours;
  }
  interface PaletteOptions {
    readonly space?: SpaceColours;
  }
}

export const useSpace = (): SpaceColours => useTheme().palette.space;
