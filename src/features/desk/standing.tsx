'use client';
/** What the desk must say of the order as a whole: changed elsewhere, typed elsewhere, prices held or run out. */
import Button from '@mui/material/Button';
import type { OrderView } from '@/contract/views';
import { Note } from '@/ui/trouble';
import { dayName } from '@/words/materials';
import { DESK } from '@/words/screens/desk';
import styles from './desk.module.css';
import { OwnerAllows } from './owner-allows';
import type { Desk } from './use-desk';

function Stale({ desk }: { desk: Desk }) {
  return (
    <Note tone="warn">
      <p>{DESK.stale}</p>
      <p className={styles.ways}>
        <Button variant="text" onClick={() => void desk.settle('mine')}>
          {DESK.goOnWithMine}
        </Button>
        <Button variant="text" onClick={() => void desk.settle('theirs')}>
          {DESK.takeTheirs}
        </Button>
      </p>
    </Note>
  );
}

/** The same person typed at another screen meanwhile; what this browser had is not lost. */
function Other({ desk }: { desk: Desk }) {
  return (
    <Note tone="warn">
      <p>{DESK.other}</p>
      <p className={styles.ways}>
        <Button variant="text" onClick={desk.takeOther}>
          {DESK.takeOther}
        </Button>
        <Button variant="text" onClick={desk.leaveOther}>
          {DESK.leaveOther}
        </Button>
      </p>
    </Note>
  );
}

/** A quote keeps its prices while it holds; the books may have moved on. */
function Held({ desk, order, edition }: { desk: Desk; order: OrderView; edition: number }) {
  if (desk.held) {
    return (
      <Note tone="advise">
        <p>{DESK.held(order.edition, dayName(order.quoteUntil), edition)}</p>
        <p className={styles.ways}>
          <Button variant="text" onClick={desk.takeToday}>
            {DESK.takeToday}
          </Button>
        </p>
      </Note>
    );
  }
  if (!order.expired) return null;
  return <Note tone="advise">{DESK.expired(dayName(order.quoteUntil))}</Note>;
}

/** All of it, in the order of how much it matters. */
export function Standing({ desk, order, edition }: { desk: Desk; order: OrderView | null; edition: number }) {
  return (
    <>
      {desk.other && <Other desk={desk} />}
      {desk.stale && <Stale desk={desk} />}
      {desk.issues[0]?.path === 'pin' && <OwnerAllows busy={desk.busy} onAllow={(pin) => void desk.save(pin)} />}
      {order?.state === 'quoted' && <Held desk={desk} order={order} edition={edition} />}
    </>
  );
}
