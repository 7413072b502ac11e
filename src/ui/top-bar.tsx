'use client';
/** The way between the places of the shop, the finder, the unit and who is here. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useEffect, useState } from 'react';
import { BAR, PRODUCT } from '@/words/screens/frame';
import { Brand } from './brand';
import { useBenchScheme } from './dress';
import { Finder } from './finder';
import { onKey } from './keys';
import type { Place } from './place';
import styles from './top-bar.module.css';
import { UnitSwitch } from './units';
import { patient } from './patient';

const BarMenu = dynamic(() => patient(() => import('./bar-menu')).then((file) => file.BarMenu), {
  loading: () => null,
});
const KeysDialog = dynamic(() => patient(() => import('./keys-dialog')).then((file) => file.KeysDialog), {
  loading: () => null,
});

export interface TopBarProps {
  readonly person: string;
  readonly role: string;
  /** Where this person may go. */
  readonly places: readonly Place[];
  readonly behind: readonly Place[];
  readonly home: string;
  readonly finds: boolean;
}

export function TopBar({ person, role, places, behind, home, finds }: TopBarProps) {
  const path = usePathname();
  const scheme = useBenchScheme();
  const [keys, setKeys] = useState(false);
  const [menuAt, setMenuAt] = useState<HTMLElement | null>(null);
  useEffect(() => onKey('?', () => setKeys(true)), []);
  return (
    <header className={styles.bar} {...(path.startsWith('/bench') ? { 'data-scheme': scheme } : {})}>
      <Link href={home} className={styles.brand} aria-label={BAR.home}>
        <Brand />
        <span>{PRODUCT.name}</span>
      </Link>
      <nav className={styles.places} aria-label={BAR.places}>
        {places.map(([name, href]) => (
          <Link key={href} href={href} aria-current={path.startsWith(href) ? 'page' : undefined}>
            {name}
          </Link>
        ))}
      </nav>
      {finds && <Finder />}
      <UnitSwitch className={styles.units} />
      <Button
        variant="text"
        className={styles.person ?? ''}
        aria-haspopup="menu"
        aria-expanded={menuAt !== null}
        title={BAR.personTitle(person, role)}
        onClick={(event) => setMenuAt(event.currentTarget)}
      >
        {person}
      </Button>
      {menuAt && <BarMenu at={menuAt} places={places} behind={behind} onClose={() => setMenuAt(null)} />}
      {keys && <KeysDialog onClose={() => setKeys(false)} />}
    </header>
  );
}
