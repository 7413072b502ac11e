import '@fontsource/alegreya-sans/latin-500.css';
import '@fontsource/alegreya-sans/latin-700.css';
import '@fontsource/alegreya-sans/latin-800.css';
import '@fontsource/alegreya-sans/latin-ext-500.css';
import '@fontsource/alegreya-sans/latin-ext-700.css';
import '@/ui/globals.css';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import type { Metadata } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { Dress } from '@/ui/dress';

export const metadata: Metadata = {
  title: { default: 'Lopren', template: '%s · Lopren' },
  description: 'Sizes, prices and the way of every job',
};

export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? '';
  return (
    <html lang="en">
      <body>
        <AppRouterCacheProvider options={{ nonce, key: 'lo' }}>
          <Dress>{children}</Dress>
        </AppRouterCacheProvider>
      </body>
    </html>
  );
}
