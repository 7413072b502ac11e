'use client';
import { useEffect } from 'react';
import { Fault } from '@/ui/fault';
import '@/ui/globals.css';

/** When even what stands round the pages failed: it brings its own page. */
export default function GlobalError({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  useEffect(() => console.error(error), [error]);
  return (
    <html lang="en-US" data-scheme="light">
      <body>
        <Fault digest={error.digest} onAgain={reset} />
      </body>
    </html>
  );
}
