'use client';
/** A discount on the piece, and lines priced otherwise than by the rules; each with its reason. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Input from '@mui/material/Input';
import { useState } from 'react';
import type { Design } from '@/core/design/design';
import type { PriceLine } from '@/core/pricing/price-line';
import { type Money, formatMoney, money, parseMoney, spread } from '@/core/units/money';
import { DECIMAL } from '@/core/units/rational';
import { Cash } from '@/ui/figures';
import { Choice } from '@/ui/choice';
import { lineName } from '@/words/materials';
import { CONCESSION } from '@/words/screens/concession';
import styles from './concession.module.css';
import type { Desk } from './use-desk';

type Given = Pick<Design, 'discount' | 'overrides'>;
interface Props {
  readonly desk: Desk;
  readonly onClose: () => void;
}
type Kind = 'percent' | 'amount';

const startOf = ({ discount }: Given): { kind: Kind; off: string; reason: string } =>
  discount === undefined
    ? { kind: 'percent', off: '', reason: '' }
    : 'percent' in discount
      ? { kind: 'percent', off: discount.percent, reason: discount.reason }
      : { kind: 'amount', off: formatMoney(discount.amount as Money), reason: discount.reason };

const HUNDRED = 100;
/** What is typed as a discount; undefined where it cannot be read. */
function discountOf(kind: Kind, typed: string, reason: string): { readonly discount: Design['discount'] } | undefined {
  const text = typed.trim().replace(',', '.');
  if (text === '') return { discount: undefined };
  if (reason.trim() === '') return undefined;
  const said = { reason: reason.trim(), by: '' };
  if (kind === 'percent')
    return DECIMAL.test(text) && Number(text) <= HUNDRED ? { discount: { percent: text, ...said } } : undefined;
  const amount = parseMoney(text);
  return amount === undefined ? undefined : { discount: { amount, ...said } };
}

/** What each piece of the order comes to without its discount; a money discount of the order is shared out by these. */
const weightsOf = ({ shown }: Desk): Money[] =>
  shown.map(({ worked }) => money((worked?.price?.price ?? 0) - (worked?.price?.discount ?? 0)));

/** The discount of each piece, when it is of the whole order: the same percent, or its share of the money. */
export function overOrder(discount: Design['discount'], weights: readonly Money[]): readonly Design['discount'][] {
  if (!discount || 'percent' in discount) return weights.map(() => discount);
  const parts = spread(discount.amount as Money, weights);
  return parts.map((amount) => ({ ...discount, amount }));
}

export function Concession({ desk, onClose }: Props) {
  const { design } = desk.piece;
  const lines: readonly PriceLine[] = desk.shown[desk.active]!.worked?.price?.lines ?? [];
  const many = desk.draft.pieces.length > 1;
  const [of, setOf] = useState<'piece' | 'order'>('piece');
  const [off, setOff] = useState(() => startOf(design));
  const [own, setOwn] = useState<ReadonlyMap<string, string>>(
    () => new Map((design.overrides ?? []).map(({ key, amount }) => [key, formatMoney(amount as Money)])),
  );
  const [why, setWhy] = useState(design.overrides?.[0]?.reason ?? '');
  const typed = lines.flatMap(({ key }) => {
    const text = own.get(key)?.trim() ?? '';
    return text === '' ? [] : [{ key, amount: parseMoney(text) }];
  });
  const unread = typed.filter(({ amount }) => amount === undefined).map(({ key }) => key);
  const discount = discountOf(off.kind, off.off, off.reason);
  const whyMissing = typed.length > 0 && why.trim() === '';
  const reasonMissing = off.off.trim() !== '' && off.reason.trim() === '';
  const take = () => {
    if (!discount || unread.length > 0 || whyMissing) return;
    const overrides = typed.map(({ key, amount }) => ({ key, amount: amount!, reason: why.trim() }));
    desk.discount(
      of === 'order' ? overOrder(discount.discount, weightsOf(desk)) : [discount.discount],
      overrides.length > 0 ? overrides : undefined,
    );
    onClose();
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="concession-head" maxWidth="sm" fullWidth>
      <form
        className={styles.form}
        onSubmit={(event) => {
          event.preventDefault();
          take();
        }}
      >
        <h2 id="concession-head">{CONCESSION.head}</h2>
        {many && (
          <Choice
            label={CONCESSION.of}
            value={of}
            options={(['piece', 'order'] as const).map((one) => [one, CONCESSION.ofWhat[one]])}
            onChange={setOf}
          />
        )}
        <div className={styles.off}>
          <Choice
            label={CONCESSION.kind}
            value={off.kind}
            options={(['percent', 'amount'] as const).map((kind) => [kind, CONCESSION.kinds[kind]])}
            onChange={(kind) => setOff({ ...off, kind })}
          />
          <Input
            autoFocus
            value={off.off}
            error={!discount && !reasonMissing}
            onChange={(event) => setOff({ ...off, off: event.target.value })}
            slotProps={{ input: { 'aria-label': CONCESSION.off, inputMode: 'decimal', maxLength: 14 } }}
          />
          <Input
            className={styles.why ?? ''}
            value={off.reason}
            error={reasonMissing}
            placeholder={CONCESSION.why}
            onChange={(event) => setOff({ ...off, reason: event.target.value })}
            slotProps={{ input: { 'aria-label': CONCESSION.whyOff, maxLength: 200 } }}
          />
        </div>
        <h3>{CONCESSION.lines}</h3>
        <ul>
          {lines.map((line) => (
            <li key={line.key}>
              <span>{lineName(line)}</span>
              <span className="num">
                <Cash value={line.rule ?? line.amount} />
              </span>
              <Input
                value={own.get(line.key) ?? ''}
                placeholder={CONCESSION.asRuled}
                error={unread.includes(line.key)}
                onChange={(event) => setOwn(new Map(own).set(line.key, event.target.value))}
                slotProps={{
                  input: {
                    'aria-label': CONCESSION.instead(lineName(line)),
                    'aria-invalid': unread.includes(line.key),
                    inputMode: 'decimal',
                    maxLength: 14,
                  },
                }}
              />
            </li>
          ))}
        </ul>
        {typed.length > 0 && (
          <Input
            value={why}
            error={whyMissing}
            placeholder={CONCESSION.why}
            onChange={(event) => setWhy(event.target.value)}
            slotProps={{ input: { 'aria-label': CONCESSION.whyLines, maxLength: 200 } }}
          />
        )}
        <p role="status" className={styles.wrong}>
          {unread.length > 0
            ? CONCESSION.unread
            : reasonMissing || whyMissing
              ? CONCESSION.needsWhy
              : discount
                ? ''
                : CONCESSION.unread}
        </p>
        <div className={styles.ends}>
          <Button variant="outlined" onClick={onClose}>
            {CONCESSION.leave}
          </Button>
          <Button type="submit" variant="contained" disabled={!discount || unread.length > 0 || whyMissing}>
            {CONCESSION.take}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
