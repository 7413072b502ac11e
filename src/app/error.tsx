'use client';
import { useEffect } from 'react';
import { Fault } from '@/ui/fault';

export default function PageError({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  useEffect(() => console.error(error), [error]);
  return <Fault digest={error.digest} onAgain={reset} />;
}
