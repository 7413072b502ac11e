'use client';
/** One order at the counter: where its pieces are, what was paid, what is still to be paid, and the hand-over. */
import Button from '@mui/material/Button';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { OrderView, PaymentView } from '@/contract/views';
import { frontScene } from '@/core/drawing/front';
import type { Issue } from '@/core/issue';
import type { WorkedOut } from '@/core/work-out';
import { Cash, Len, SizeText } from '@/ui/figures';
import { SceneSvg } from '@/ui/scene-svg';
import { useLive } from '@/ui/live';
import { send } from '@/ui/send';
import { Trouble } from '@/ui/trouble';
import { holderName, stateName } from '@/words/bench';
import { dayName } from '@/words/materials';
import styles from './collect.module.css';
import { HandOver } from './hand-over';
import { TakePayment } from './take-payment';

function Thumb({ worked }: { worked: WorkedOut }) {
  const scene = useMemo(() => frontScene(worked, false), [worked]);
  return <SceneSvg scene={scene} width={104} height={104} label="The framed piece" />;
}

function Ledger({ order, onIssues }: { order: OrderView; onIssues: (issues: readonly Issue[]) => void }) {
  const router = useRouter();
  const [reversing, setReversing] = useState<{ id: string; newId: string; reason: string } | undefined>();
  const reversed = new Set(order.payments.flatMap((payment) => payment.reverses ?? []));
  const reverse = async () => {
    if (!reversing) return;
    const answer = await send(
      'reverse-payment',
      { paymentId: reversing.id, newId: reversing.newId, reason: reversing.reason },
      reversing.newId,
    );
    onIssues(answer.ok ? [] : answer.issues);
    if (answer.ok) setReversing(undefined);
    router.refresh();
  };
  const canReverse = (payment: PaymentView) =>
    order.state === 'accepted' && !payment.reverses && !reversed.has(payment.id);
  return (
    <ul className={styles.ledger}>
      {order.payments.map((payment) => (
        <li key={payment.id}>
          <span>
            {dayName(payment.at.slice(0, 10))} <span className="soft">{payment.by}</span>
          </span>
          <span>
            {payment.kind}, {payment.method}
            {payment.note && <span className="soft"> {payment.note}</span>}
          </span>
          <span>
            {canReverse(payment) && (
              <button
                type="button"
                className={styles.link}
                onClick={() => setReversing({ id: payment.id, newId: crypto.randomUUID(), reason: '' })}
              >
                reverse
              </button>
            )}
          </span>
          <span className="num">
            <Cash value={payment.amount} />
          </span>
          {reversing?.id === payment.id && (
            <form
              className={styles.reverse}
              onSubmit={(event) => {
                event.preventDefault();
                void reverse();
              }}
            >
              <input
                value={reversing.reason}
                autoFocus
                placeholder="Why is it reversed?"
                aria-label="Why is it reversed?"
                maxLength={300}
                onChange={(event) => setReversing({ ...reversing, reason: event.target.value })}
              />
              <Button type="submit" variant="outlined" disabled={!reversing.reason.trim()}>
                Reverse
              </Button>
            </form>
          )}
        </li>
      ))}
      {order.payments.length === 0 && <li className="soft">Nothing was paid yet.</li>}
    </ul>
  );
}

function Cancel({ order, onIssues }: { order: OrderView; onIssues: (issues: readonly Issue[]) => void }) {
  const router = useRouter();
  const [reason, setReason] = useState<string | undefined>();
  if (order.state !== 'accepted' && order.state !== 'quoted') return null;
  if (reason === undefined) {
    return (
      <button type="button" className={styles.link} onClick={() => setReason('')}>
        Cancel this order
      </button>
    );
  }
  const cancel = async () => {
    const answer = await send('cancel-order', { orderId: order.id, revision: order.revision, reason });
    onIssues(answer.ok ? [] : answer.issues);
    router.refresh();
  };
  return (
    <form
      className={styles.reverse}
      onSubmit={(event) => {
        event.preventDefault();
        void cancel();
      }}
    >
      <input
        value={reason}
        autoFocus
        placeholder="Why is it cancelled?"
        aria-label="Why is it cancelled?"
        maxLength={300}
        onChange={(event) => setReason(event.target.value)}
      />
      <Button type="submit" variant="outlined" disabled={!reason.trim()}>
        Cancel it
      </Button>
    </form>
  );
}

export function Account({ order }: { order: OrderView }) {
  const router = useRouter();
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  useLive(
    (touched) => touched.includes(`order:${order.id}`),
    () => router.refresh(),
  );
  const total = order.agreed?.total ?? 0;
  const balance = total - order.paid;
  return (
    <main className={styles.account}>
      <section className={styles.pieces}>
        <h1>
          {order.customer.name} <span className="soft">{order.customer.phone}</span>
        </h1>
        <p className="soft">
          Order {order.number}, {stateName(order.state).toLowerCase()}, promised for {dayName(order.promised)}
        </p>
        <ul>
          {order.pieces.map((piece, index) => {
            const job = order.jobs[index];
            const hanging = piece.agreed?.hanging;
            return (
              <li key={piece.id}>
                <b>{job?.ticket ?? index + 1}</b>
                {piece.agreed ? <Thumb worked={piece.agreed} /> : <span />}
                <div>
                  <p className={styles.title}>{piece.design.piece.title || 'Untitled'}</p>
                  {piece.agreed && (
                    <p className="soft">
                      <SizeText of={piece.agreed.sizes.outside ?? piece.agreed.sizes.package} /> outside,{' '}
                      {piece.agreed.weight.kg.toFixed(1)} kg
                      {hanging?.by === 'wire' && !hanging.noWire && (
                        <>
                          , hook <Len value={hanging.wireDrop} /> below the top
                        </>
                      )}
                    </p>
                  )}
                  {piece.design.insists && <p>Insists on: {piece.design.insists}</p>}
                  {job?.hold && (
                    <p className={styles.hold}>
                      On hold, {holderName(job.hold.who)}: {job.hold.reason}
                    </p>
                  )}
                  {job && (
                    <p className={styles.papers}>
                      <a href={`/papers/wall-card/${job.ticket}`} target="_blank" rel="noreferrer">
                        Wall card
                      </a>
                      <a href={`/papers/ticket/${job.ticket}`} target="_blank" rel="noreferrer">
                        Ticket
                      </a>
                      <a href={`/bench/${job.ticket}`}>At the bench</a>
                    </p>
                  )}
                </div>
                <span className={styles.state} data-state={job?.state}>
                  {job ? stateName(job.state) : ''}
                </span>
              </li>
            );
          })}
        </ul>
        <p className={styles.papers}>
          <a href={`/papers/quote/${order.number}`} target="_blank" rel="noreferrer">
            {order.state === 'quoted' ? 'Quote' : 'Order on paper'}
          </a>
          <a href={`/desk/${order.number}`}>At the desk</a>
          <Cancel order={order} onIssues={setIssues} />
        </p>
      </section>
      <section className={styles.money}>
        <h2>Money</h2>
        <dl>
          <div>
            <dt>Agreed, with tax</dt>
            <dd>{order.agreed ? <Cash value={total} /> : 'not agreed yet'}</dd>
          </div>
        </dl>
        <Ledger order={order} onIssues={setIssues} />
        <dl className={styles.balance}>
          <div>
            <dt>{order.owedBack > 0 ? 'Owed back to the customer' : 'Balance'}</dt>
            <dd>{order.agreed ? <Cash value={order.owedBack > 0 ? order.owedBack : balance} /> : '—'}</dd>
          </div>
        </dl>
        <Trouble issues={issues} />
        {order.state === 'accepted' && order.agreed && (balance > 0 || order.openCards.length > 0) && (
          <TakePayment key={order.payments.length} order={order} balance={balance} />
        )}
        {order.state === 'accepted' && balance === 0 && order.openCards.length === 0 && <HandOver order={order} />}
        {order.state === 'handed-over' && <p className={styles.done}>Handed over and paid.</p>}
      </section>
    </main>
  );
}
