'use client';
/** Taking money, in cash or by the card terminal. What the terminal left unanswered is asked again, never charged twice. */
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useQueryClient } from '@tanstack/react-query';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { OrderView } from '@/contract/views';
import { type Issue, issue } from '@/core/issue';
import { type Money, formatMoney, parseMoney } from '@/core/units/money';
import { Choice } from '@/ui/choice';
import { Cash } from '@/ui/figures';
import { PlainField } from '@/ui/plain-field';
import { lookAgain } from '@/ui/fresh';
import { type Sent, post } from '@/ui/send';
import { Note, Trouble } from '@/ui/trouble';
import { useCommand } from '@/ui/use-command';
import { wrongAmount } from '@/ui/wrong-amount';
import { PAY } from '@/words/screens/collect';
import styles from './collect.module.css';
import { patient } from '@/ui/patient';

const Otherwise = dynamic(() => patient(() => import('./otherwise')).then((file) => file.Otherwise), {
  loading: () => null,
});

const ACTS = ['pays', 'is declined', 'walks away', 'pays unheard'] as const;
type Acts = (typeof ACTS)[number];

/** The stand-in's other side: what the customer at the simulated terminal does next. */
function Simulated({ acts, onActs }: { acts: Acts; onActs: (acts: Acts) => void }) {
  return (
    <div className={styles.simulated}>
      <span className="soft">{PAY.simulated}</span>
      <Choice
        label={PAY.simulatedLabel}
        value={acts}
        options={ACTS.map((act) => [act, act] as const)}
        onChange={onActs}
      />
    </div>
  );
}

/** Has the terminal ask the customer, who does as was chosen at the stand-in. */
async function askTerminal(requestId: string, acts: Acts): Promise<Sent<{ state: string }>> {
  await post('/api/terminal', { acts });
  return post<{ state: string }>('/api/v1/card', { requestId });
}

/** What a payment changes, wherever it is shown. */
const paidFor = (orderId: string) => [`order:${orderId}`, 'ledger'];

function OpenCard({ orderId, card }: { orderId: string; card: OrderView['openCards'][number] }) {
  const client = useQueryClient();
  const drop = useCommand('drop-card');
  const [asking, setAsking] = useState(false);
  const [acts, setActs] = useState<Acts>('pays');
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const again = async () => {
    setAsking(true);
    const answer = await askTerminal(card.id, acts);
    await lookAgain(client, paidFor(orderId));
    setAsking(false);
    setIssues(answer.ok ? (answer.value.state === 'unanswered' ? [issue('card-silent')] : []) : answer.issues);
  };
  const busy = asking || drop.busy;
  return (
    <div className={styles.pay}>
      <Note tone="warn">
        {PAY.silentBefore} <Cash value={card.amount} />
        {PAY.silentAfter}
      </Note>
      <Simulated acts={acts} onActs={setActs} />
      <Trouble issues={[...issues, ...drop.issues]} />
      <div className={styles.buttons}>
        <Button variant="outlined" disabled={busy} onClick={() => void drop.run({ requestId: card.id })}>
          {PAY.dropIt}
        </Button>
        <Button variant="contained" disabled={busy} onClick={() => void again()}>
          {asking ? PAY.askingTerminal : PAY.askAgain}
        </Button>
      </div>
    </div>
  );
}

interface PayProps {
  readonly order: OrderView;
  readonly balance: number;
  /** Cash was taken: this much goes back as change. */
  readonly onTaken: (change: number) => void;
}

/** What goes back of what was put on the counter, while it is typed. */
function Change({ text, tendered }: { text: string; tendered: string }) {
  const [amount, given] = [parseMoney(text), parseMoney(tendered)];
  if (amount === undefined || given === undefined || given < amount) return null;
  return (
    <p className={styles.change}>
      {PAY.change} <Cash value={given - amount} />
    </p>
  );
}

/** Made once for each attempt, so that a second tap on the same attempt books nothing twice. */
const newIds = () => ({ payment: crypto.randomUUID(), request: crypto.randomUUID() });

function Pay({ order, balance, onTaken }: PayProps) {
  const client = useQueryClient();
  const first = order.paid === 0;
  const due = first ? Math.min(order.agreed?.deposit ?? balance, balance) : balance;
  const [ids, setIds] = useState(newIds);
  const [acts, setActs] = useState<Acts>('pays');
  const [asking, setAsking] = useState(false);
  const [declined, setDeclined] = useState<readonly Issue[]>([]);
  const askCard = useCommand('ask-card');

  const [text, setText] = useState(() => formatMoney(due as Money));
  const [tendered, setTendered] = useState('');
  const [less, setLess] = useState<Issue>();
  /** It was taken; until the order comes anew nothing more is taken by what is typed. */
  const [taken, setTaken] = useState(false);
  const [why, setWhy] = useState('');
  const [credit, setCredit] = useState(false);
  const [otherwise, setOtherwise] = useState<'bank' | 'vouchers'>();
  const [wrong, setWrong] = useState<Issue>();
  const cash = useCommand('take-cash');
  const deposit = order.state === 'accepted' ? (order.agreed?.deposit ?? 0) : 0;
  const typed = parseMoney(text);
  const isLess = typed !== undefined && typed > 0 && order.paid + typed < deposit;
  const isMore = typed !== undefined && typed > balance;
  const meant = isMore && credit ? { credit: true as const } : {};
  const reason = isLess && why.trim() !== '' ? { less: why.trim() } : {};
  /** The amount in the field; what is wrong with it is said beside it. */
  const amountTyped = (): number | undefined => {
    const amount = parseMoney(text);
    const problem =
      amount === undefined || amount === 0
        ? wrongAmount(text)
        : amount > balance && !credit
          ? issue('payment-above-balance', { amount, balance })
          : undefined;
    setWrong(problem);
    setDeclined([]);
    return problem ? undefined : amount;
  };
  const take = async () => {
    const amount = amountTyped();
    if (amount === undefined) return;
    const given = tendered === '' ? amount : parseMoney(tendered);
    if (given === undefined || given < amount) {
      setLess(given === undefined ? wrongAmount(tendered) : issue('tendered-less', { tendered: given, amount }));
      return;
    }
    const paid = { orderId: order.id, paymentId: ids.payment, amount, ...reason, ...meant };
    const answer = await cash.run(tendered === '' ? paid : { ...paid, tendered: given });
    if (answer.ok) {
      onTaken(given - amount);
      setTaken(true);
    }
    if (answer.ok || !answer.lost) setIds(newIds());
  };
  const card = async () => {
    const amount = amountTyped();
    if (amount === undefined) return;
    setAsking(true);
    const asked = await askCard.run({ orderId: order.id, requestId: ids.request, amount, ...reason });
    const answer = asked.ok ? await askTerminal(ids.request, acts) : asked;
    await lookAgain(client, paidFor(order.id));
    setAsking(false);
    if (answer.ok || !answer.lost) setIds(newIds());
    setDeclined(answer.ok && answer.value.state === 'declined' ? [issue('card-declined')] : []);
  };
  const open = order.openCards[0];
  if (open && !asking) return <OpenCard orderId={order.id} card={open} />;
  const busy = cash.busy || asking || taken;
  const said = [...declined, ...cash.issues, ...askCard.issues];
  const unexplained = said.find(({ path }) => path === 'less');
  return (
    <form
      className={styles.pay}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void take();
      }}
    >
      <PlainField
        name="amount"
        label={first ? PAY.deposit : PAY.balance}
        aloud={PAY.amount}
        value={text}
        most={14}
        first
        wrong={wrong}
        onEnter={() => void take()}
        onChange={(to) => {
          setText(to);
          setWrong(undefined);
        }}
      />
      <PlainField
        name="tendered"
        label={PAY.tendered}
        value={tendered}
        most={14}
        wrong={less}
        onEnter={() => void take()}
        onChange={(to) => {
          setTendered(to);
          setLess(undefined);
        }}
      />
      <Change text={text} tendered={tendered} />
      {isMore && (
        <FormControlLabel
          label={PAY.credit(formatMoney((typed - balance) as Money))}
          control={
            <Checkbox
              checked={credit}
              onChange={(event) => {
                setCredit(event.target.checked);
                setWrong(undefined);
              }}
            />
          }
        />
      )}
      {isLess && (
        <PlainField
          name="less"
          label={PAY.whyLess(formatMoney((deposit - order.paid) as Money))}
          value={why}
          most={200}
          wrong={unexplained}
          onEnter={() => void take()}
          onChange={(to) => {
            setWhy(to);
            cash.setIssues([]);
            askCard.setIssues([]);
          }}
        />
      )}
      <Trouble issues={said.filter((one) => one !== unexplained)} />
      <div className={styles.buttons}>
        <Button variant="outlined" disabled={busy} onClick={() => void card()}>
          {asking ? PAY.asking : PAY.byCard}
        </Button>
        <Button type="submit" variant="contained" disabled={busy}>
          {PAY.cash}
        </Button>
      </div>
      <div className={styles.papers}>
        <Button variant="text" disabled={busy} onClick={() => setOtherwise('bank')}>
          {PAY.byTransfer}
        </Button>
        <Button variant="text" disabled={busy} onClick={() => setOtherwise('vouchers')}>
          {PAY.byVoucher}
        </Button>
      </div>
      <Simulated acts={acts} onActs={setActs} />
      {otherwise && (
        <Otherwise
          order={order}
          means={otherwise}
          amount={amountTyped}
          more={{ ...reason, ...meant }}
          onClose={() => setOtherwise(undefined)}
        />
      )}
    </form>
  );
}
export { Pay as TakePayment };
