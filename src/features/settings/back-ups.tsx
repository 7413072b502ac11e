'use client';
import Button from '@mui/material/Button';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { BackUpView } from '@/contract/views';
import type { Issue } from '@/core/issue';
import { lookAgain } from '@/ui/fresh';
import { ask, post } from '@/ui/send';
import { Trouble } from '@/ui/trouble';
import { bytesText, momentText } from '@/words/moments';
import { BACK_UPS } from '@/words/screens/settings';
import styles from './settings.module.css';

/** How often is asked whether a back-up that takes long is there. */
const LOOK_AGAIN_MS = 2000;

/** Back-ups that were made, and one made now while the shop goes on. */
export function BackUps({ backUps }: { backUps: readonly BackUpView[] }) {
  const client = useQueryClient();
  const [busy, setBusy] = useState(false);
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const make = async () => {
    setBusy(true);
    const answer = await post<{ making?: boolean }>('/api/back-up', {});
    setIssues(answer.ok ? [] : answer.issues);
    let making = answer.ok && answer.value.making;
    while (making) {
      await new Promise((resolve) => setTimeout(resolve, LOOK_AGAIN_MS));
      const now = await ask<{ making: boolean }>('/api/back-up');
      making = now.ok && now.value.making;
    }
    await lookAgain(client, ['settings']);
    setBusy(false);
  };
  return (
    <>
      <div className={styles.acts}>
        <Button variant="outlined" disabled={busy} onClick={() => void make()}>
          {busy ? BACK_UPS.making : BACK_UPS.make}
        </Button>
        <span className="soft">{BACK_UPS.meanwhile}</span>
      </div>
      <Trouble issues={issues} />
      {backUps.length === 0 ? (
        <p className={`soft ${styles.none}`}>{BACK_UPS.none}</p>
      ) : (
        <>
          <p className={`soft ${styles.none}`}>{BACK_UPS.folder}</p>
          <ul className={styles.backUps}>
            {backUps.map((backUp) => (
              <li key={backUp.name}>
                <time dateTime={backUp.at}>{momentText(backUp.at)}</time>
                <span>{backUp.name}</span>
                <span className="num">{bytesText(backUp.bytes)}</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </>
  );
}
