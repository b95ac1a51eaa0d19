'use client';
/** The one theme: paper, ink, and one color for each meaning, each with a pattern of its own beside it. */
import { createTheme } from '@mui/material/styles';

export const MEANINGS = [
  'run',
  'pass',
  'us',
  'them',
  'finding',
  'rule',
  'faintRule',
  'highlight',
  'mark',
] as const;
type Meaning = (typeof MEANINGS)[number];

declare module '@mui/material/styles' {
  interface Palette extends Record<Meaning, string> {}
  interface PaletteOptions extends Partial<Record<Meaning, string>> {}
}

const FAMILY = '"Archivo Variable", "Archivo", sans-serif';
export const MONO = '"JetBrains Mono Variable", monospace';

export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'media' },
  colorSchemes: {
    light: {
      palette: {
        background: { default: '#f6f2e8', paper: '#fffdf7' },
        text: { primary: '#1d2a2d', secondary: '#536063' },
        primary: { main: '#1d2a2d', contrastText: '#fffdf7' },
        error: { main: '#8a2d5d' },
        divider: '#d8d1bf',
        run: '#8f5512',
        pass: '#2b5d8c',
        us: '#1f5e52',
        them: '#9c4a14',
        finding: '#8a2d5d',
        rule: '#d8d1bf',
        faintRule: '#e9e3d4',
        highlight: '#f3e3b3',
        mark: '#1d2a2d',
      },
    },
    dark: {
      palette: {
        background: { default: '#171b1c', paper: '#1f2526' },
        text: { primary: '#ece6d6', secondary: '#aab2b0' },
        primary: { main: '#ece6d6', contrastText: '#171b1c' },
        error: { main: '#e290bd' },
        divider: '#3c4443',
        run: '#d99a4e',
        pass: '#7fb2e0',
        us: '#6fc0ae',
        them: '#e08e55',
        finding: '#e290bd',
        rule: '#3c4443',
        faintRule: '#2b3232',
        highlight: '#38321a',
        mark: '#ece6d6',
      },
    },
  },
  // What changes is there at once: a button that fades in for a quarter of a second cannot be read meanwhile.
  transitions: { create: () => 'none' },
  shape: { borderRadius: 2 },
  typography: {
    fontFamily: FAMILY,
    fontSize: 13,
    button: { textTransform: 'none', fontWeight: 600 },
    h1: { fontSize: '1.15rem', fontWeight: 650 },
    h2: { fontSize: '0.95rem', fontWeight: 650 },
  },
  components: {
    MuiButton: { defaultProps: { disableElevation: true, size: 'small' } },
    MuiTextField: { defaultProps: { size: 'small' } },
    MuiSelect: { defaultProps: { size: 'small' } },
    // What opens is there at once: a click into a list that still grows lands on its neighbor.
    MuiMenu: { defaultProps: { transitionDuration: 0 } },
    // In the dark a dialog has the ground of a card, not a haze over it.
    MuiPaper: { styleOverrides: { root: { backgroundImage: 'none' } } },
    MuiDialog: { defaultProps: { transitionDuration: 0 } },
    MuiCssBaseline: { styleOverrides: { body: { fontStretch: '86%', fontVariantNumeric: 'tabular-nums' } } },
  },
});
