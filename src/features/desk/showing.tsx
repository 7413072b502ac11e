'use client';
/** The order of this desk put on a screen that faces the customer, for as long as the desk shows it. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { useEffect, useState } from 'react';
import type { PutOn, ScreenView } from '@/contract/shown-view';
import type { Issue } from '@/core/issue';
import { useLateView } from '@/ui/query';
import { put } from '@/ui/send';
import { Trouble } from '@/ui/trouble';
import { SHOWN } from '@/words/screens/shown';
import styles from './desk.module.css';
import { keptScreen, keepScreen } from './kept-screen';

/** One's own second window. */
const MINE = 'mine';

interface Props {
  /** As the draft of this order is kept. */
  readonly order: string;
  readonly piece: string;
  readonly onClose: () => void;
}

export function Showing({ order, piece, onClose }: Props) {
  const [screen, setScreen] = useState(keptScreen);
  const [asking, setAsking] = useState(screen === null);
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const screens = useLateView<readonly ScreenView[]>('/api/screens', ['shown', 'staff']);
  useEffect(() => {
    if (screen === null) return;
    void put(`/api/view/${screen}`, { order, piece } satisfies PutOn).then((answer) => {
      if (answer.ok) return;
      setIssues(answer.issues);
      setScreen(null);
      setAsking(true);
    });
  }, [screen, order, piece]);
  // Taken off where the desk is left, or the window is closed.
  useEffect(() => {
    if (screen === null) return undefined;
    const off = () => void put(`/api/view/${screen}`, { order, piece: null } satisfies PutOn, { keepalive: true });
    window.addEventListener('pagehide', off);
    return () => {
      window.removeEventListener('pagehide', off);
      off();
    };
  }, [screen, order]);
  const choose = (to: string | null) => {
    keepScreen(to);
    setIssues([]);
    setScreen(to);
    setAsking(false);
    if (to === null) onClose();
  };
  const name = screen === MINE ? SHOWN.ownWindow : (screens?.find(({ id }) => id === screen)?.name ?? '');
  const close = () => (screen === null ? choose(null) : setAsking(false));
  return (
    <>
      <Button variant="contained" onClick={() => setAsking(true)}>
        {SHOWN.screen}
      </Button>
      <Dialog open={asking} onClose={close} aria-labelledby="showing-head">
        <div className={styles.showing}>
          <h2 id="showing-head">{screen === null ? SHOWN.head : SHOWN.shownOn(name)}</h2>
          <p>{SHOWN.say}</p>
          <Trouble issues={issues} />
          <ul>
            {screens?.map(({ id, name: called, by }) => (
              <li key={id}>
                <Button variant="outlined" disabled={id === screen} onClick={() => choose(id)}>
                  {SHOWN.onto(called)}
                </Button>
                {by && id !== screen && <span className="soft">{SHOWN.busy(by)}</span>}
              </li>
            ))}
            <li>
              <Button
                variant="outlined"
                onClick={() => {
                  window.open(`/view/${MINE}`, 'lopren-view', 'popup,width=1280,height=800');
                  choose(MINE);
                }}
              >
                {SHOWN.window}
              </Button>
            </li>
          </ul>
          {screens?.length === 0 && <p className="soft">{SHOWN.none}</p>}
          <p className={styles.showingEnd}>
            {screen !== null && (
              <Button variant="outlined" onClick={() => choose(null)}>
                {SHOWN.stop}
              </Button>
            )}
            <Button variant="outlined" autoFocus onClick={close}>
              {SHOWN.close}
            </Button>
          </p>
        </div>
      </Dialog>
    </>
  );
}
