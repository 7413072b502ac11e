'use client';
/**
 * MUI dressed for the shop: square corners, hairlines, underlined fields, one accent. Every colour stands here and
 * nowhere else; `globals.css` gives the CSS variables that MUI makes of them their short names.
 */
import { createTheme } from '@mui/material/styles';

interface Tones {
  readonly line: string;
  readonly hair: string;
  readonly wall: string;
  readonly next: string;
  readonly nextGround: string;
  readonly cautionGround: string;
  readonly refuseGround: string;
  readonly press: string;
  readonly done: string;
}
declare module '@mui/material/styles' {
  interface Palette {
    readonly tones: Tones;
  }
  interface PaletteOptions {
    readonly tones?: Tones;
  }
}

const DAY = {
  primary: { main: '#0E6A5E', contrastText: '#FCFAF6' },
  secondary: { main: '#20272B', contrastText: '#F6F3EC' },
  error: { main: '#9E3226' },
  warning: { main: '#8F580A' },
  background: { default: '#F6F3EC', paper: '#FCFAF6' },
  text: { primary: '#20272B', secondary: '#5F6361' },
  divider: '#D8D1C2',
  tones: {
    line: '#D8D1C2',
    hair: '#E7E1D4',
    wall: '#DAD7CC',
    next: '#0E6A5E',
    nextGround: '#DDEBE6',
    cautionGround: '#F7EBD3',
    refuseGround: '#F5E0DB',
    press: '#EFEBE1',
    done: '#2F7F72',
  },
};
const NIGHT: typeof DAY = {
  primary: { main: '#F1EDE3', contrastText: '#1B2023' },
  secondary: { main: '#F1EDE3', contrastText: '#1B2023' },
  error: { main: '#E98B7C' },
  warning: { main: '#E0A845' },
  background: { default: '#1B2023', paper: '#20272A' },
  text: { primary: '#F1EDE3', secondary: '#A9ABA5' },
  divider: '#343B3F',
  tones: {
    line: '#343B3F',
    hair: '#2B3236',
    wall: '#3A4144',
    next: '#7DB9AC',
    nextGround: '#24403B',
    cautionGround: '#3A2F19',
    refuseGround: '#44241F',
    press: '#262D31',
    done: '#6FA89C',
  },
};

export const theme = createTheme({
  cssVariables: { cssVarPrefix: 'lo', colorSchemeSelector: '[data-scheme="%s"]' },
  colorSchemes: { light: { palette: DAY }, dark: { palette: NIGHT } },
  shape: { borderRadius: 0 },
  typography: {
    fontFamily: '"Alegreya Sans", "Gill Sans", sans-serif',
    fontSize: 15,
    fontWeightRegular: 500,
    fontWeightMedium: 700,
    fontWeightBold: 800,
    button: { textTransform: 'none', fontWeight: 700, fontSize: 16 },
  },
  components: {
    MuiButtonBase: {
      defaultProps: { disableRipple: true },
      styleOverrides: {
        root: { '&.Mui-focusVisible': { outline: '2px solid var(--next)', outlineOffset: 2 } },
      },
    },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: {
        root: { minHeight: 44, padding: '6px 18px', transition: 'none' },
        outlined: {
          borderColor: 'var(--ink)',
          color: 'var(--ink)',
          '&:hover': { borderColor: 'var(--ink)', background: 'var(--press)' },
        },
        text: {
          color: 'inherit',
          textDecoration: 'underline',
          textUnderlineOffset: 3,
          padding: '2px 0',
          minWidth: 0,
          minHeight: 0,
          justifyContent: 'flex-start',
          justifySelf: 'start',
          font: 'inherit',
          fontSize: 15,
          '&:hover': { background: 'none', color: 'var(--next)' },
        },
      },
    },
    MuiToggleButtonGroup: { styleOverrides: { root: { flexWrap: 'wrap', gap: 6 } } },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          textTransform: 'none',
          font: 'inherit',
          color: 'var(--ink)',
          minHeight: 32,
          padding: '3px 11px',
          border: '1px solid var(--line) !important',
          marginLeft: '0 !important',
          background: 'var(--sheet)',
          '&.Mui-selected, &.Mui-selected:hover': {
            borderColor: 'var(--next) !important',
            background: 'var(--next-ground)',
            color: 'var(--next)',
            fontWeight: 700,
          },
          '&:hover': { background: 'var(--press)' },
        },
      },
    },
    MuiTabs: {
      styleOverrides: {
        root: { minHeight: 34, minWidth: 0 },
        indicator: { display: 'none' },
        list: { gap: 4 },
        scrollButtons: { width: 26 },
      },
    },
    MuiTab: {
      styleOverrides: {
        root: {
          minHeight: 34,
          minWidth: 0,
          maxWidth: 230,
          padding: '6px 20px',
          fontSize: 16,
          fontWeight: 500,
          letterSpacing: 0,
          textTransform: 'none',
          opacity: 1,
          background: 'var(--press)',
          color: 'var(--soft)',
          clipPath: 'polygon(var(--slant) 0, 100% 0, calc(100% - var(--slant)) 100%, 0 100%)',
          '&.Mui-selected': { background: 'var(--ink)', color: 'var(--paper)' },
          '&.Mui-focusVisible': { outlineOffset: -5 },
        },
      },
    },
    MuiInputBase: {
      styleOverrides: {
        root: {
          fontSize: 18,
          color: 'inherit',
          '&.MuiInput-root': { marginTop: 0 },
          '&.MuiInput-root::before': { borderBottom: '1px solid var(--ink)' },
          '&.MuiInput-root:hover:not(.Mui-disabled)::before': { borderBottom: '2px solid var(--ink)' },
        },
        input: {
          paddingTop: 4,
          paddingBottom: 5,
          height: 'auto',
          '&::placeholder': { color: 'var(--soft)', opacity: 1 },
        },
      },
    },
    MuiSelect: {
      defaultProps: { variant: 'standard' },
      styleOverrides: { select: { '&:focus': { background: 'transparent' } } },
    },
    MuiCheckbox: { styleOverrides: { root: { padding: 6, color: 'var(--soft)' } } },
    MuiFormControlLabel: { styleOverrides: { root: { marginLeft: -6, marginRight: 0 }, label: { font: 'inherit' } } },
    MuiMenuItem: {
      styleOverrides: {
        root: { fontSize: 16, minHeight: 36, '&.Mui-selected': { background: 'var(--next-ground)' } },
      },
    },
    MuiTable: { styleOverrides: { root: { fontSize: 'inherit' } } },
    MuiTableCell: {
      styleOverrides: {
        root: { font: 'inherit', color: 'inherit', padding: '6px 10px 6px 0', borderBottomColor: 'var(--hair)' },
        head: { color: 'var(--soft)', fontSize: 14, fontWeight: 500, lineHeight: 1.3, background: 'var(--paper)' },
      },
    },
    MuiPaper: {
      defaultProps: { elevation: 0 },
      styleOverrides: { root: { backgroundImage: 'none', color: 'var(--ink)' } },
    },
    MuiPopover: { styleOverrides: { paper: { border: '1px solid var(--line)' } } },
    MuiAutocomplete: { styleOverrides: { paper: { border: '1px solid var(--line)' }, option: { fontSize: 16 } } },
    MuiDialog: {
      styleOverrides: {
        paper: {
          border: '1px solid var(--ink)',
          minWidth: 'min(420px, calc(100vw - 32px))',
          maxWidth: 620,
          margin: 16,
          padding: 'clamp(16px, 4vw, 30px)',
        },
      },
    },
    MuiBackdrop: { styleOverrides: { root: { backgroundColor: 'rgba(20, 24, 27, .45)' } } },
    MuiTooltip: { styleOverrides: { tooltip: { background: 'var(--ink)', color: 'var(--paper)', fontSize: 14 } } },
    MuiSnackbarContent: {
      styleOverrides: { root: { background: 'var(--ink)', color: 'var(--paper)', fontSize: 16, boxShadow: 'none' } },
    },
  },
});
