import type { ReactNode } from 'react';
import { pageViewer } from '@/server/access';

/** Whoever may not be here is sent on before anything is said: what is shown while it loads would be an answer. */
export default async function Layout({ children }: { children: ReactNode }) {
  await pageViewer('/rack');
  return children;
}
