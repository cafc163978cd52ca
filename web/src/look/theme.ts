import type { Role } from '@sill/core';
import { createTheme, type Theme } from '@mui/material/styles';
import type { SpaceColours } from '../drawing/space';
import type { ScreenLook } from '../state/view';

/**
 * Colours of the two looks. Style sheets read them as CSS variables, MUI through the theme; they are written here once.
 */
const COLOURS = {
  light: {
    paper: '#f5f5f0',
    sheet: '#fffefb',
    ink: '#20272b',
    soft: '#556167',
    line: '#d5d6cd',
    edge: '#b3b5a9',
    chalk: '#21577f',
    chalkWash: '#e1edf5',
    keel: '#b5341c',
    ochre: '#8a5a06',
    moss: '#43682f',
    slate: '#2a3439',
    slateInk: '#fffefb',
    slateSoft: '#c3ccd0',
    sapwood: '#ecdcb9',
    sapwoodLight: '#f5ebd3',
    sapwoodDark: '#d9c08d',
    grain: '#d8c294',
    woodInk: '#20272b',
    woodEdge: '#6e5a2f',
    stick: '#f3ead6',
    stickDeep: '#e6d5ae',
    fresh: '#a9c9e0',
    freshDark: '#7fabcb',
  },
  workshop: {
    paper: '#14181a',
    sheet: '#1d2326',
    ink: '#f6f5ee',
    soft: '#c2cbcf',
    line: '#3b464b',
    edge: '#66747a',
    chalk: '#8fc7f0',
    chalkWash: '#1f3b4e',
    keel: '#ff9d87',
    ochre: '#f2bd62',
    moss: '#a5d68a',
    slate: '#0b0e10',
    slateInk: '#ffffff',
    slateSoft: '#c2cbcf',
    sapwood: '#e3cf9f',
    sapwoodLight: '#f0e2c0',
    sapwoodDark: '#c4a566',
    grain: '#c9b17d',
    woodInk: '#14181a',
    woodEdge: '#f6f5ee',
    stick: '#2b2a24',
    stickDeep: '#38352a',
    fresh: '#8fc7f0',
    freshDark: '#5d9cca',
  },
} as const;

/** Wood and what is lit on it are the same in both looks: what is built looks as it will. */
const SPACE: SpaceColours = {
  wood: '#f2dfb4',
  onBench: '#e6d3a6',
  stone: '#d9d6cf',
  metal: '#a9adad',
  lit: '#9cc4e0',
  line: '#5f5233',
  litLine: '#21577f',
  measure: '#b5341c',
  driven: '#c23b22',
};

/** Tones of the parts' roles: an edge on a piece, never its fill. */
const ROLE_TONE: Readonly<Record<Role, string>> = {
  top: '#21577f',
  leg: '#4b7337',
  apron: '#8a5a12',
  support: '#6b4a7d',
  rail: '#8a5a12',
  stretcher: '#2f6b6b',
  brace: '#7a3b52',
  foot: '#4b7337',
  shelf: '#21577f',
  side: '#4b7337',
  back: '#5b666b',
  door: '#7a3b52',
  drawer: '#8a5a12',
  edging: '#2f6b6b',
  runner: '#6b4a7d',
  loose: '#5b666b',
};

const DISPLAY = '"Barlow Semi Condensed", "Arial Narrow", sans-serif';
const TEXT = '"Atkinson Hyperlegible Next", Verdana, sans-serif';

const kebab = (name: string) => name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);

/** What style sheets take from here, for the root element: `--keel: #b5341c`, `--role-leg`, `--display`. */
const variables = (look: ScreenLook): Record<string, string> => ({
  ...Object.fromEntries(Object.entries(COLOURS[look]).map(([name, value]) => [`--${kebab(name)}`, value])),
  ...Object.fromEntries(Object.entries(ROLE_TONE).map(([role, tone]) => [`--role-${role}`, tone])),
  '--display': DISPLAY,
  '--text': TEXT,
});

export function makeTheme(look: ScreenLook): Theme {
  const colour = COLOURS[look];
  return createTheme({
    palette: {
      mode: look === 'light' ? 'light' : 'dark',
      primary: { main: colour.chalk, contrastText: look === 'light' ? '#ffffff' : '#0b0e10' },
      error: { main: colour.keel },
      warning: { main: colour.ochre },
      success: { main: colour.moss },
      info: { main: colour.slate, contrastText: colour.slateInk },
      text: { primary: colour.ink, secondary: colour.soft },
      background: { default: colour.paper, paper: colour.sheet },
      divider: colour.line,
      space: SPACE,
    },
    shape: { borderRadius: 3 },
    shadows: Array.from({ length: 25 }, (_, at) =>
      at === 0 ? 'none' : '0 6px 24px rgb(0 0 0 / 0.22)',
    ) as Theme['shadows'],
    typography: {
      fontFamily: TEXT,
      fontSize: 15,
      htmlFontSize: 16,
      body1: { fontSize: 15, lineHeight: 1.45 },
      body2: { fontSize: 15, lineHeight: 1.4 },
      h1: { fontFamily: DISPLAY, fontWeight: 600, fontSize: 26, lineHeight: 1.2 },
      h2: { fontFamily: DISPLAY, fontWeight: 600, fontSize: 17, lineHeight: 1.3 },
      h3: { fontFamily: DISPLAY, fontWeight: 600, fontSize: 22, lineHeight: 1.2 },
      button: { fontFamily: TEXT, textTransform: 'none', fontSize: 15, fontWeight: 500 },
    },
    components: {
      MuiButtonBase: { defaultProps: { disableRipple: true } },
      MuiButton: {
        defaultProps: { disableElevation: true, variant: 'outlined', color: 'inherit' },
        styleOverrides: {
          root: {
            borderColor: colour.edge,
            minHeight: 34,
            padding: '4px 12px',
            '&.Mui-focusVisible': { outline: `2px solid ${colour.chalk}`, outlineOffset: 2 },
          },
        },
      },
      MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { backgroundImage: 'none' } } },
      MuiTextField: { defaultProps: { size: 'small', fullWidth: true, className: 'field' } },
      MuiTableCell: {
        styleOverrides: {
          root: {
            fontSize: 15,
            padding: '6px 8px',
            borderColor: colour.line,
            fontVariantNumeric: 'tabular-nums',
            '&.soft': { color: colour.soft },
            '&.tag-cell': { fontFamily: DISPLAY, fontWeight: 600 },
            '@media (max-width: 899px)': { '&.wide-only': { display: 'none' } },
          },
          head: { fontFamily: DISPLAY, fontWeight: 500, color: colour.soft },
        },
      },
      MuiTableRow: {
        styleOverrides: { root: { '&.Mui-selected, &.Mui-selected:hover': { backgroundColor: colour.chalkWash } } },
      },
      // An arrow on every column would say that each is sorted.
      MuiTableSortLabel: {
        styleOverrides: { root: { '&:not(.Mui-active) .MuiTableSortLabel-icon': { display: 'none' } } },
      },
      MuiTabs: { styleOverrides: { indicator: { display: 'none' } } },
      MuiTab: {
        styleOverrides: {
          root: {
            minHeight: 34,
            minWidth: 0,
            padding: '6px 12px',
            fontSize: 15,
            borderRadius: 3,
            color: colour.soft,
            whiteSpace: 'nowrap',
            '&.Mui-selected': { background: colour.chalkWash, fontWeight: 700 },
          },
        },
      },
      MuiTooltip: { styleOverrides: { tooltip: { fontSize: 14 } } },
      MuiLink: { defaultProps: { underline: 'always' } },
      MuiCssBaseline: {
        styleOverrides: {
          ':root': variables(look),
          body: { fontVariantNumeric: 'tabular-nums' },
          ':focus-visible': { outline: `2px solid ${colour.chalk}`, outlineOffset: 2 },
          '@media (prefers-reduced-motion: reduce)': {
            '*': { animationDuration: '0s !important', transitionDuration: '0s !important' },
          },
        },
      },
    },
  });
}
