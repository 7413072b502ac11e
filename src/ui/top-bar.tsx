'use client';
/** The way between the places of the shop, the finder, the unit and who is here. */
import Dialog from '@mui/material/Dialog';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Link from 'next/link';
import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import { Brand } from './brand';
import { onKey } from './keys';
import { ask } from './send';
import styles from './top-bar.module.css';
import { UnitSwitch } from './units';

interface Found {
  readonly number: number;
  readonly state: string;
  readonly customer: string;
  readonly titles: string;
}

function Finder() {
  const [text, setText] = useState('');
  const [found, setFound] = useState<readonly Found[]>([]);
  const field = useRef<HTMLInputElement>(null);
  const router = useRouter();
  useEffect(() => onKey('/', () => field.current?.focus()), []);
  useEffect(() => {
    const late = new AbortController();
    const timer = setTimeout(() => {
      if (text.trim() === '') return setFound([]);
      void ask<Found[]>(`/api/find?text=${encodeURIComponent(text)}`, { signal: late.signal }).then((answer) => {
        if (!late.signal.aborted) setFound(answer.ok ? answer.value : []);
      });
    }, 120);
    return () => {
      late.abort();
      clearTimeout(timer);
    };
  }, [text]);
  const go = (number: number) => {
    setText('');
    setFound([]);
    router.push(`/desk/${number}`);
  };
  return (
    <div className={styles.finder}>
      <input
        ref={field}
        value={text}
        placeholder="Find an order"
        aria-label="Find an order by number, name or phone"
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && found[0]) go(found[0].number);
          if (event.key === 'Escape') setText('');
        }}
      />
      <kbd>/</kbd>
      {text !== '' && (
        <ul className={styles.found}>
          {found.map((one) => (
            <li key={one.number}>
              <button type="button" onClick={() => go(one.number)}>
                <b>{one.number}</b> {one.customer} <span className="soft">{one.titles || one.state}</span>
              </button>
            </li>
          ))}
          {found.length === 0 && <li className={styles.none}>No order with this number, name or phone.</li>}
        </ul>
      )}
    </div>
  );
}

const KEYS: readonly (readonly [string, string])[] = [
  ['/', 'Find an order'],
  ['u', 'Inches or millimetres'],
  ['1 … 6', 'Desk: open a section'],
  ['Enter', 'Take the field and go to the next'],
  ['Ctrl Z, Ctrl Y', 'Desk: undo, redo'],
  ['Ctrl S', 'Desk: save the quote'],
  ['digits, Enter', 'Bench: open a ticket (a scanner types the same)'],
  ['Enter', 'Bench: the step is done'],
  ['?', 'These keys'],
];

/** What is behind the name: one's own PIN, what only the owner needs, and the way out. */
function Mine({ person, role, places }: { person: string; role: string; places: TopBarProps['behind'] }) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  const leave = () => void fetch('/api/session', { method: 'DELETE' }).then(() => window.location.assign('/sign-in'));
  return (
    <>
      <button
        type="button"
        className={styles.person}
        aria-haspopup="menu"
        title={`${person}, ${role}`}
        onClick={(event) => setAt(event.currentTarget)}
      >
        {person}
      </button>
      <Menu anchorEl={at} open={at !== null} onClose={() => setAt(null)}>
        {places.map(([name, href]) => (
          <MenuItem key={href} component={Link} href={href} onClick={() => setAt(null)}>
            {name}
          </MenuItem>
        ))}
        <MenuItem onClick={leave}>Sign out</MenuItem>
      </Menu>
    </>
  );
}

type Place = readonly [name: string, href: string];
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
  const [keys, setKeys] = useState(false);
  useEffect(() => onKey('?', () => setKeys(true)), []);
  return (
    <header className={styles.bar} data-scheme={path.startsWith('/bench') ? 'night' : 'day'}>
      <Link href={home} className={styles.brand} aria-label="Lopren, to where your work begins">
        <Brand />
        <span>Lopren</span>
      </Link>
      <nav className={styles.places} aria-label="Places">
        {places.map(([name, href]) => (
          <Link key={href} href={href} aria-current={path.startsWith(href) ? 'page' : undefined}>
            {name}
          </Link>
        ))}
      </nav>
      {finds && <Finder />}
      <UnitSwitch className={styles.units} />
      <Mine person={person} role={role} places={behind} />
      <Dialog open={keys} onClose={() => setKeys(false)} aria-label="Keys">
        <h2 className={styles.keysHead}>Keys</h2>
        <dl className={styles.keys}>
          {KEYS.map(([key, does]) => (
            <div key={key + does}>
              <dt>{key}</dt>
              <dd>{does}</dd>
            </div>
          ))}
        </dl>
      </Dialog>
    </header>
  );
}
