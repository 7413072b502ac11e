'use client';
/** The end of a drawer's day: counted without knowing what is expected, then held against it, then sealed. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { TillDayView } from '@/contract/money-views';
import { type Issue, issue } from '@/core/issue';
import { parseMoney } from '@/core/units/money';
import { Cash } from '@/ui/figures';
import { PlainField } from '@/ui/plain-field';
import { Cell, Row, SheetTable } from '@/ui/sheet-table';
import { Trouble } from '@/ui/trouble';
import { useCommand } from '@/ui/use-command';
import { wrongAmount } from '@/ui/wrong-amount';
import { TILL } from '@/words/screens/till';
import { type Counts, Counting, miscounted, piecesOf } from './counting';
import styles from './till.module.css';

const COUNTED = ['cash', 'card', 'vouchers'] as const;
/** Empty is nothing; undefined is no amount. */
const amountOf = (text: string) => (text.trim() === '' ? 0 : parseMoney(text));

function Count({ open, money, onCounted }: { open: TillDayView; money: readonly number[]; onCounted: () => void }) {
  const [counts, setCounts] = useState<Counts>({});
  const [card, setCard] = useState('');
  const [vouchers, setVouchers] = useState('');
  const [wrong, setWrong] = useState<Readonly<Record<string, Issue>>>({});
  const count = useCommand('count-till');
  const run = async () => {
    const found: Record<string, Issue> = {};
    const bad = miscounted(money, counts);
    if (bad !== undefined) found.counts = issue('setting-out', { read: counts[bad] ?? '', least: 0, most: 99_999 });
    for (const [key, text] of Object.entries({ card, vouchers }))
      if (amountOf(text) === undefined) found[key] = wrongAmount(text);
    setWrong(found);
    if (Object.keys(found).length > 0) return;
    const answer = await count.run({
      dayId: open.id,
      pieces: piecesOf(money, counts),
      card: amountOf(card)!,
      vouchers: amountOf(vouchers)!,
    });
    if (answer.ok) onCounted();
  };
  return (
    <section>
      <h2>{TILL.closeHead}</h2>
      <p className="soft">{TILL.closeSay}</p>
      <Counting money={money} counts={counts} onChange={setCounts} />
      <PlainField label={TILL.card} name="card" value={card} most={14} wrong={wrong.card} onChange={setCard} />
      <PlainField
        label={TILL.vouchers}
        name="vouchers"
        value={vouchers}
        most={14}
        wrong={wrong.vouchers}
        onChange={setVouchers}
      />
      <Trouble issues={[...(wrong.counts ? [wrong.counts] : []), ...count.issues]} />
      <Button variant="contained" disabled={count.busy} onClick={() => void run()}>
        {TILL.count}
      </Button>
    </section>
  );
}

function Seal({ open, onAgain }: { open: TillDayView; onAgain: () => void }) {
  const [note, setNote] = useState('');
  const seal = useCommand('seal-till');
  const counted = open.counted!;
  const off = COUNTED.some((one) => counted[one] !== counted.expected[one]);
  const beside = seal.issues.find(({ path }) => path === 'note');
  return (
    <section>
      <h2>{TILL.closeHead}</h2>
      <SheetTable label={TILL.closeHead} columns={TILL.found}>
        {COUNTED.map((one) => (
          <Row key={one}>
            <Cell>{TILL.means[one]}</Cell>
            <Cell num>
              <Cash value={counted[one]} />
            </Cell>
            <Cell num>
              <Cash value={counted.expected[one]} />
            </Cell>
            <Cell num className={counted[one] === counted.expected[one] ? undefined : styles.off}>
              <Cash value={counted[one] - counted.expected[one]} />
            </Cell>
          </Row>
        ))}
      </SheetTable>
      {off && (
        <PlainField
          label={TILL.note}
          name="note"
          value={note}
          most={300}
          first
          wrong={beside}
          onChange={(text) => {
            setNote(text);
            seal.setIssues([]);
          }}
        />
      )}
      <p className="soft">{TILL.sealSay}</p>
      <Trouble issues={seal.issues.filter((one) => one !== beside)} />
      <div className={styles.buttons}>
        <Button variant="outlined" onClick={onAgain}>
          {TILL.countAgain}
        </Button>
        <Button
          variant="contained"
          disabled={seal.busy}
          onClick={() => void seal.run({ dayId: open.id, note: note.trim() })}
        >
          {TILL.seal}
        </Button>
      </div>
    </section>
  );
}

export function CloseDay({ open, money }: { open: TillDayView; money: readonly number[] }) {
  const [again, setAgain] = useState(false);
  return open.counted && !again ? (
    <Seal open={open} onAgain={() => setAgain(true)} />
  ) : (
    <Count open={open} money={money} onCounted={() => setAgain(false)} />
  );
}
