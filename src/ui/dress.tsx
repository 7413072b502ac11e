'use client';
/** What stands round every page: the shop's dress, light or dark by the system's setting or as was chosen here, and what the server shows. */
import { ThemeProvider, useColorScheme } from '@mui/material/styles';
import type { ReactNode } from 'react';
import { LOOK_KEY } from './look';
import { ServerState } from './query';
import { theme } from './theme';

export function Dress({ children }: { children: ReactNode }) {
  return (
    <ThemeProvider theme={theme} defaultMode="system" modeStorageKey={LOOK_KEY}>
      <ServerState>{children}</ServerState>
    </ThemeProvider>
  );
}

/** The bench is dark unless somebody chose light on this screen: bright figures on a dark ground tire less at night. */
export function useBenchScheme(): 'light' | 'dark' {
  return useColorScheme().mode === 'light' ? 'light' : 'dark';
}
