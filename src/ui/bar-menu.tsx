'use client';
/** Behind the name: the places where the bar has no room for them, one's own pages, how the screen looks, and the way out. */
import Divider from '@mui/material/Divider';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useColorScheme } from '@mui/material/styles';
import Link from 'next/link';
import { BAR } from '@/words/screens/frame';
import { Choice } from './choice';
import styles from './top-bar.module.css';
import type { Place } from './place';

const LOOKS = ['light', 'system', 'dark'] as const;

function Look() {
  const { mode, setMode } = useColorScheme();
  return (
    <Choice
      label={BAR.look}
      value={mode ?? 'system'}
      options={LOOKS.map((look) => [look, BAR.looks[look]] as const)}
      onChange={setMode}
    />
  );
}

interface Props {
  readonly at: HTMLElement;
  readonly places: readonly Place[];
  readonly behind: readonly Place[];
  readonly onClose: () => void;
}

export function BarMenu({ at, places, behind, onClose }: Props) {
  const leave = () =>
    void fetch('/api/session', { method: 'DELETE' }).then(() => {
      // What was typed into forms of this tab is nobody else’s business.
      sessionStorage.clear();
      window.location.assign('/sign-in');
    });
  const item = ([name, href]: Place, className?: string) => (
    <MenuItem key={href} component={Link} href={href} className={className ?? ''} onClick={onClose}>
      {name}
    </MenuItem>
  );
  return (
    <Menu anchorEl={at} open onClose={onClose}>
      {places.map((place) => item(place, styles.narrowOnly))}
      <Divider className={styles.narrowOnly ?? ''} />
      {behind.map((place) => item(place))}
      <MenuItem onClick={leave}>{BAR.signOut}</MenuItem>
      <Divider />
      <li className={styles.look}>
        <Look />
      </li>
    </Menu>
  );
}
