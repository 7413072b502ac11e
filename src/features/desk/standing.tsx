'use client';
/** What the desk must say of the order as a whole: changed elsewhere, typed elsewhere, prices held or run out. */
import Button from '@mui/material/Button';
import type { OrderView, ShopView } from '@/contract/views';
import { Note } from '@/ui/trouble';
import { dayName } from '@/words/materials';
import { STANDING } from '@/words/screens/standing';
import styles from './desk.module.css';
import { Stale } from './stale';
import { OwnerAllows } from './owner-allows';
import type { Desk } from './use-desk';

/** The same person typed at another screen meanwhile; what this browser had is not lost. */
function Other({ desk }: { desk: Desk }) {
  return (
    <Note tone="warn">
      <p>{STANDING.other}</p>
      <p className={styles.ways}>
        <Button variant="text" onClick={desk.takeOther}>
          {STANDING.takeOther}
        </Button>
        <Button variant="text" onClick={desk.leaveOther}>
          {STANDING.leaveOther}
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
        <p>{STANDING.held(order.edition, dayName(order.quoteUntil), edition)}</p>
        <p className={styles.ways}>
          <Button variant="text" onClick={desk.takeToday}>
            {STANDING.takeToday}
          </Button>
        </p>
      </Note>
    );
  }
  if (!order.expired) return null;
  return <Note tone="advise">{STANDING.expired(dayName(order.quoteUntil))}</Note>;
}

/** All of it, in the order of how much it matters. */
interface Props {
  readonly desk: Desk;
  readonly order: OrderView | null;
  readonly shop: ShopView;
}
export function Standing({ desk, order, shop }: Props) {
  return (
    <>
      {desk.other && <Other desk={desk} />}
      {desk.stale && order && <Stale desk={desk} shop={shop} number={order.number} />}
      {desk.issues[0]?.path === 'pin' && <OwnerAllows busy={desk.busy} onAllow={(pin) => void desk.save(pin)} />}
      {order?.state === 'quoted' && <Held desk={desk} order={order} edition={shop.prices.edition} />}
    </>
  );
}
