'use client';
/** Puts the shop's dress on everything inside: by day on paper, by night for the bench. */
import { ThemeProvider } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { dayTheme, nightTheme } from './theme';

export function Dress({ scheme = 'day', children }: { scheme?: 'day' | 'night'; children: ReactNode }) {
  return <ThemeProvider theme={scheme === 'night' ? nightTheme : dayTheme}>{children}</ThemeProvider>;
}
