import '@fontsource/alegreya-sans/latin-500.css';
import '@fontsource/alegreya-sans/latin-700.css';
import '@fontsource/alegreya-sans/latin-800.css';
import '@fontsource/alegreya-sans/latin-ext-500.css';
import '@fontsource/alegreya-sans/latin-ext-700.css';
import '@/ui/globals.css';
import { AppRouterCacheProvider } from '@mui/material-nextjs/v16-appRouter';
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript';
import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import type { ReactNode } from 'react';
import { Dress } from '@/ui/dress';
import { LOOK_KEY } from '@/ui/look';
import { PRODUCT } from '@/words/screens/frame';

export const metadata: Metadata = {
  title: { default: PRODUCT.name, template: `%s · ${PRODUCT.name}` },
  description: PRODUCT.does,
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = (await headers()).get('x-nonce') ?? '';
  return (
    // The script below sets the look before the first paint, which the server cannot know.
    <html lang="en-US" data-scheme="light" suppressHydrationWarning>
      <body>
        <InitColorSchemeScript
          nonce={nonce}
          defaultMode="system"
          attribute='[data-scheme="%s"]'
          modeStorageKey={LOOK_KEY}
        />
        <AppRouterCacheProvider options={{ nonce, key: 'lo', enableCssLayer: true }}>
          <Dress>{children}</Dress>
        </AppRouterCacheProvider>
      </body>
    </html>
  );
}
