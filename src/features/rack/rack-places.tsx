'use client';
/** The places of the rack, and its data kept fresh while others work. */
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import type { ReactNode } from 'react';
import type { RackView } from '@/contract/views';
import { useView } from '@/ui/query';
import { RACK } from '@/words/screens/rack';
import styles from './rack.module.css';

export function RackPlaces({ children }: { children?: ReactNode }) {
  const path = usePathname();
  return (
    <nav className={styles.places} aria-label={RACK.places}>
      {RACK.placeNames.map(([name, href]) => (
        <Link key={href} href={href} className={styles.place} aria-current={path === href ? 'page' : undefined}>
          {name}
        </Link>
      ))}
      <span className={styles.grow} />
      {children}
    </nav>
  );
}

/** The rack as the server has it; asked again when it changes anywhere. */
export function useRack(first: RackView) {
  const { view: rack, refresh } = useView('/api/rack', first, ['rack', 'board', 'books']);
  return { rack, refresh };
}

export function nameOf({ lists }: RackView, code: string): string {
  const all = [...lists.mouldings, ...lists.mats, ...lists.glazings, ...lists.backings];
  return all.find((one) => one.code === code)?.name ?? code;
}
