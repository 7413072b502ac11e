'use client';
/** MUI dressed for the shop: square corners, hairlines, underlined fields, one accent. Colours are those of globals.css. */
import { type Theme, createTheme } from '@mui/material/styles';

interface Colours {
  readonly mode: 'light' | 'dark';
  readonly paper: string;
  readonly sheet: string;
  readonly ink: string;
  readonly soft: string;
  readonly line: string;
  readonly next: string;
  readonly onNext: string;
  readonly caution: string;
  readonly refuse: string;
}
const DAY: Colours = {
  mode: 'light',
  paper: '#F6F3EC',
  sheet: '#FCFAF6',
  ink: '#20272B',
  soft: '#5F6361',
  line: '#D8D1C2',
  next: '#0E6A5E',
  onNext: '#FCFAF6',
  caution: '#8F580A',
  refuse: '#9E3226',
};
const NIGHT: Colours = {
  mode: 'dark',
  paper: '#1B2023',
  sheet: '#20272A',
  ink: '#F1EDE3',
  soft: '#A9ABA5',
  line: '#343B3F',
  next: '#F1EDE3',
  onNext: '#1B2023',
  caution: '#E0A845',
  refuse: '#E98B7C',
};

const FAMILY = '"Alegreya Sans", "Gill Sans", sans-serif';

function dressed(c: Colours): Theme {
  return createTheme({
    palette: {
      mode: c.mode,
      primary: { main: c.next, contrastText: c.onNext },
      secondary: { main: c.ink, contrastText: c.paper },
      error: { main: c.refuse },
      warning: { main: c.caution },
      background: { default: c.paper, paper: c.sheet },
      text: { primary: c.ink, secondary: c.soft },
      divider: c.line,
    },
    shape: { borderRadius: 0 },
    shadows: Array.from({ length: 25 }, () => 'none') as Theme['shadows'],
    typography: {
      fontFamily: FAMILY,
      fontSize: 15,
      fontWeightRegular: 500,
      fontWeightMedium: 700,
      fontWeightBold: 800,
      button: { textTransform: 'none', fontWeight: 700, fontSize: 16 },
    },
    transitions: { create: () => 'none' },
    components: {
      MuiButtonBase: { defaultProps: { disableRipple: true } },
      MuiButton: {
        defaultProps: { disableElevation: true },
        styleOverrides: {
          root: {
            minHeight: 44,
            padding: '6px 18px',
            '&.Mui-focusVisible': { outline: `2px solid ${c.next}`, outlineOffset: 2 },
          },
          outlined: { borderColor: c.ink, color: c.ink, '&:hover': { borderColor: c.ink, background: c.line } },
          text: {
            color: c.ink,
            textDecoration: 'underline',
            textUnderlineOffset: 3,
            padding: '2px 0',
            minWidth: 0,
            minHeight: 0,
            justifyContent: 'flex-start',
            justifySelf: 'start',
            fontSize: 15,
            fontWeight: 500,
          },
        },
      },
      MuiInputBase: {
        styleOverrides: {
          root: {
            fontSize: 18,
            '&.MuiInput-root': { marginTop: 0 },
            '&.MuiInput-root::before': { borderBottom: `1px solid ${c.ink}` },
            '&.MuiInput-root:hover:not(.Mui-disabled)::before': { borderBottom: `2px solid ${c.ink}` },
          },
          input: { paddingTop: 4, paddingBottom: 5, height: 'auto' },
        },
      },
      MuiSelect: {
        defaultProps: { variant: 'standard' },
        styleOverrides: { select: { '&:focus': { background: 'transparent' } } },
      },
      MuiMenuItem: {
        styleOverrides: {
          root: {
            fontSize: 16,
            minHeight: 36,
            '&.Mui-selected': { background: c.mode === 'light' ? '#DDEBE6' : '#24403B' },
          },
        },
      },
      MuiPaper: { styleOverrides: { root: { backgroundImage: 'none' } } },
      MuiPopover: { styleOverrides: { paper: { border: `1px solid ${c.line}` } } },
      MuiDialog: {
        styleOverrides: { paper: { border: `1px solid ${c.ink}`, minWidth: 420, maxWidth: 620, padding: '26px 30px' } },
      },
      MuiBackdrop: {
        styleOverrides: { root: { backgroundColor: c.mode === 'light' ? 'rgba(32,39,43,.35)' : 'rgba(0,0,0,.55)' } },
      },
      MuiTooltip: { styleOverrides: { tooltip: { background: c.ink, color: c.paper, fontSize: 14 } } },
    },
  });
}

export const dayTheme = dressed(DAY);
export const nightTheme = dressed(NIGHT);
