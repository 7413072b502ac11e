'use client';
/** Taking money, in cash or by the card terminal. What the terminal left unanswered is asked again, never charged twice. */
import Button from '@mui/material/Button';
import Input from '@mui/material/Input';
import { useRouter } from 'next/navigation';
import { type FormEvent, useState } from 'react';
import type { OrderView } from '@/contract/views';
import { type Issue, issue } from '@/core/issue';
import { type Money, formatMoney, parseMoney } from '@/core/units/money';
import { Cash } from '@/ui/figures';
import { post, send } from '@/ui/send';
import { Note, Trouble } from '@/ui/trouble';
import styles from './collect.module.css';

const ACTS = ['pays', 'is declined', 'walks away'] as const;
type Acts = (typeof ACTS)[number];

/** The stand-in's other side: what the customer at the simulated terminal does next. */
function Simulated({ acts, onActs }: { acts: Acts; onActs: (acts: Acts) => void }) {
  return (
    <div className={styles.simulated} role="group" aria-label="Simulated terminal: the customer">
      <span className="soft">Simulated terminal, the customer</span>
      {ACTS.map((one) => (
        <button key={one} type="button" aria-pressed={one === acts} onClick={() => onActs(one)}>
          {one}
        </button>
      ))}
    </div>
  );
}

function OpenCard({ card, onSettled }: { card: OrderView['openCards'][number]; onSettled: () => void }) {
  const [busy, setBusy] = useState(false);
  const [acts, setActs] = useState<Acts>('pays');
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const again = async () => {
    setBusy(true);
    await post('/api/terminal', { acts });
    const answer = await post<{ state: string }>('/api/v1/card', { requestId: card.id });
    setBusy(false);
    setIssues(answer.ok ? (answer.value.state === 'unanswered' ? [issue('card-silent')] : []) : answer.issues);
    onSettled();
  };
  const drop = async () => {
    const answer = await send('drop-card', { requestId: card.id });
    setIssues(answer.ok ? [] : answer.issues);
    onSettled();
  };
  return (
    <div className={styles.pay}>
      <Note tone="warn">
        The terminal has not answered about <Cash value={card.amount} />. Nothing is booked; ask again, it cannot charge
        twice.
      </Note>
      <Simulated acts={acts} onActs={setActs} />
      <Trouble issues={issues} />
      <div className={styles.buttons}>
        <Button variant="outlined" disabled={busy} onClick={() => void drop()}>
          Drop it
        </Button>
        <Button variant="contained" disabled={busy} onClick={() => void again()}>
          {busy ? 'Asking the terminal …' : 'Ask again'}
        </Button>
      </div>
    </div>
  );
}

/** Made once for each attempt, so that a second tap on the same attempt books nothing twice. */
const newIds = () => ({
  payment: crypto.randomUUID(),
  command: crypto.randomUUID(),
  request: crypto.randomUUID(),
  ask: crypto.randomUUID(),
});

export function TakePayment({ order, balance }: { order: OrderView; balance: number }) {
  const router = useRouter();
  const first = order.paid === 0;
  const [text, setText] = useState(
    formatMoney((first ? Math.min(order.agreed?.deposit ?? balance, balance) : balance) as Money),
  );
  const [ids, setIds] = useState(newIds);
  const [acts, setActs] = useState<Acts>('pays');
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [busy, setBusy] = useState(false);
  const open = order.openCards[0];
  if (open && !busy) return <OpenCard card={open} onSettled={() => router.refresh()} />;

  const amountOf = (): number | undefined => {
    const amount = parseMoney(text);
    if (amount === undefined || amount === 0) setIssues([issue('amount-wrong', { typed: text.slice(0, 20) })]);
    else if (amount > balance) setIssues([issue('payment-above-balance', { amount, balance })]);
    else return amount;
    return undefined;
  };
  const cash = async (event: FormEvent) => {
    event.preventDefault();
    const amount = amountOf();
    if (amount === undefined || busy) return;
    setBusy(true);
    const answer = await send('take-cash', { orderId: order.id, paymentId: ids.payment, amount }, ids.command);
    setBusy(false);
    setIssues(answer.ok ? [] : answer.issues);
    if (!answer.ok && !answer.lost) setIds(newIds());
    router.refresh();
  };
  const card = async () => {
    const amount = amountOf();
    if (amount === undefined || busy) return;
    setBusy(true);
    await post('/api/terminal', { acts });
    const asked = await send('ask-card', { orderId: order.id, requestId: ids.request, amount }, ids.ask);
    const answer = asked.ok ? await post<{ state: string }>('/api/v1/card', { requestId: ids.request }) : asked;
    setBusy(false);
    if (answer.ok || !answer.lost) setIds(newIds());
    if (!answer.ok) setIssues(answer.issues);
    else if (answer.value.state === 'declined') setIssues([issue('card-declined')]);
    else setIssues([]);
    router.refresh();
  };
  return (
    <form className={styles.pay} onSubmit={(event) => void cash(event)}>
      <label>
        <span className="soft">{first ? 'Deposit' : 'Balance'} to take</span>
        <Input
          value={text}
          fullWidth
          autoFocus
          onChange={(event) => {
            setText(event.target.value);
            setIssues([]);
          }}
          onFocus={(event) => event.target.select()}
          slotProps={{ input: { inputMode: 'decimal', maxLength: 14, 'aria-label': 'Amount to take' } }}
        />
      </label>
      <Trouble issues={issues} />
      <div className={styles.buttons}>
        <Button variant="outlined" disabled={busy} onClick={() => void card()}>
          {busy ? 'Asking …' : 'By card'}
        </Button>
        <Button type="submit" variant="contained" disabled={busy}>
          Take cash
        </Button>
      </div>
      <Simulated acts={acts} onActs={setActs} />
    </form>
  );
}
