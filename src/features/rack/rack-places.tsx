'use client';
/** The places of the rack, and its data kept fresh while others work. */
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { type ReactNode, useCallback, useState } from 'react';
import type { RackView } from '@/contract/views';
import { useLive } from '@/ui/live';
import { ask } from '@/ui/send';
import styles from './rack.module.css';

const PLACES = [
  ['On the rack', '/rack'],
  ['Plan the cuts', '/rack/plan'],
  ['Plans made', '/rack/plans'],
  ['Mat cutter', '/rack/mat-cutter'],
] as const;

export function RackPlaces({ children }: { children?: ReactNode }) {
  const path = usePathname();
  return (
    <nav className={styles.places} aria-label="Places of the rack">
      {PLACES.map(([name, href]) => (
        <Link key={href} href={href} aria-current={path === href ? 'page' : undefined}>
          {name}
        </Link>
      ))}
      <span className={styles.grow} />
      {children}
    </nav>
  );
}

/** The rack as the server has it; asked again when it changes anywhere. */
export function useRack(first: RackView): { rack: RackView; refresh: () => Promise<RackView | undefined> } {
  const [rack, setRack] = useState(first);
  const refresh = useCallback(async () => {
    const answer = await ask<RackView>('/api/rack');
    if (answer.ok) setRack(answer.value);
    return answer.ok ? answer.value : undefined;
  }, []);
  useLive(
    (touched) => touched.includes('rack') || touched.includes('board') || touched.includes('books'),
    () => void refresh(),
  );
  return { rack, refresh };
}

export function nameOf({ lists }: RackView, code: string): string {
  const all = [...lists.mouldings, ...lists.mats, ...lists.glazings, ...lists.backings];
  return all.find((one) => one.code === code)?.name ?? code;
}
