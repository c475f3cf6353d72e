import { createTheme } from '@mui/material/styles';
import { DAY, NIGHT, type Tokens } from './tokens.ts';

const HEADING = '"Bricolage Grotesque", system-ui, sans-serif';
const TEXT = '"Atkinson Hyperlegible Next", system-ui, sans-serif';

declare module '@mui/material/styles' {
  interface Palette {
    role: Tokens;
  }
  interface PaletteOptions {
    role?: Tokens;
  }
}

const palette = (t: Tokens) => ({
  role: t,
  background: { default: t.ground, paper: t.enamel },
  text: { primary: t.ink, secondary: t.inkMuted },
  primary: { main: t.rim, contrastText: t.onRim },
  divider: t.hairline,
  info: { main: t.cold },
  success: { main: t.ready },
  warning: { main: t.caution },
  error: { main: t.danger },
});

/** A colour role as a CSS value that follows day and night. */
export const role = (name: keyof Tokens): string => `var(--mui-palette-role-${name})`;

export const heading = {
  fontFamily: HEADING,
  fontWeight: 600,
  fontFeatureSettings: '"tnum"',
  letterSpacing: '-0.01em',
};

export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'data-scheme' },
  colorSchemes: { light: { palette: palette(DAY) }, dark: { palette: palette(NIGHT) } },
  shape: { borderRadius: 8 },
  transitions: { create: () => 'none' },
  typography: {
    fontFamily: TEXT,
    fontSize: 15,
    h1: { ...heading, fontSize: '1.75rem', lineHeight: 1.15 },
    h2: { ...heading, fontSize: '1.2rem', lineHeight: 1.25 },
    h3: { ...heading, fontSize: '1.05rem', lineHeight: 1.3 },
    body1: { fontSize: '1rem', lineHeight: 1.45 },
    body2: { fontSize: '0.875rem', lineHeight: 1.4 },
    button: { ...heading, textTransform: 'none', fontSize: '1rem' },
  },
  components: {
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: {
        root: { minHeight: 44, borderRadius: '4px 4px 12px 12px', paddingInline: 18 },
        outlined: { borderWidth: 2, '&:hover': { borderWidth: 2 } },
      },
    },
    MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { backgroundImage: 'none' } } },
    MuiTextField: { defaultProps: { size: 'small' } },
    // Only fields that ask to be told when the browser fills them in need these styles, once for each field.
    MuiInputBase: { defaultProps: { disableInjectingGlobalStyles: true } },
    // On a narrow screen words go on in the next line; nothing of them is cut off.
    MuiSelect: { styleOverrides: { select: { whiteSpace: 'normal' } } },
    MuiChip: { styleOverrides: { root: { height: 'auto', minHeight: 32 }, label: { whiteSpace: 'normal' } } },
    MuiOutlinedInput: {
      styleOverrides: {
        root: { borderRadius: 6, minHeight: 44 },
        notchedOutline: { borderColor: role('line') },
      },
    },
    MuiDialog: {
      styleOverrides: {
        paper: {
          boxShadow: 'none',
          borderTop: `2.5px solid ${role('rim')}`,
          borderRadius: '3px 3px 14px 14px',
        },
      },
    },
    MuiSlider: {
      styleOverrides: {
        thumb: { width: 24, height: 24, boxShadow: 'none', '&::before': { boxShadow: 'none' } },
        rail: { opacity: 1, backgroundColor: role('line') },
        track: { height: 4 },
      },
    },
    // Choices may wrap: each stands on its own, with its own border.
    MuiToggleButtonGroup: {
      styleOverrides: {
        root: { flexWrap: 'wrap', gap: 6 },
        grouped: {
          margin: 0,
          border: `1px solid ${role('line')}`,
          borderRadius: 8,
          '&.Mui-selected': { borderColor: role('rim') },
        },
        firstButton: { borderRadius: 8 },
        middleButton: { borderRadius: 8, marginLeft: 0, borderLeft: `1px solid ${role('line')}` },
        lastButton: { borderRadius: 8, marginLeft: 0, borderLeft: `1px solid ${role('line')}` },
      },
    },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          textTransform: 'none',
          minHeight: 44,
          borderColor: role('line'),
          color: role('ink'),
          '&.Mui-selected': { backgroundColor: role('enamelDeep'), color: role('rim'), fontWeight: 700 },
        },
      },
    },
    MuiCssBaseline: {
      styleOverrides: {
        body: { fontVariantNumeric: 'tabular-nums' },
        a: { color: role('rim') },
        // Over the components' own `outline: 0`. Text fields show their focus by their frame.
        ':focus-visible, .Mui-focusVisible': {
          outline: `3px solid ${role('rim')} !important`,
          outlineOffset: '2px',
        },
        '.MuiInputBase-input:focus-visible': { outline: 'none !important' },
        'h1:focus-visible': { outline: 'none !important' },
        // On paper only what is to be read or bought: no places to go, nothing to press.
        '.sheet': { display: 'none' },
        '@media print': {
          '.sheet': { display: 'block' },
          'body:has(.sheet) #root': { display: 'none' },
          'nav, .MuiButton-root, .MuiToggleButtonGroup-root': { display: 'none !important' },
        },
        '@media (prefers-reduced-motion: reduce)': {
          '*': { animation: 'none !important', transition: 'none !important' },
        },
      },
    },
  },
});

/** A button for a wet thumb: 56 px at least, read from two metres. */
export const thumb = { minHeight: 56, fontSize: '1.1rem' } as const;
