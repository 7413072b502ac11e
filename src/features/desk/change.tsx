'use client';
/** An agreed order is changed: what each piece came to and comes to now, what was cut and is paid, agreed once more. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { useRouter } from 'next/navigation';
import type { OrderView, ShopView } from '@/contract/views';
import { changedOf, changedPrice, withCut } from '@/core/changes/change';
import { formatMoney, money, parseMoney } from '@/core/units/money';
import { Cash } from '@/ui/figures';
import { Field, Form, useCommandForm } from '@/ui/form';
import { useUnit } from '@/ui/units';
import { wrongAmount } from '@/ui/wrong-amount';
import { sayCaution } from '@/words/issues/say-caution';
import { dayName } from '@/words/materials';
import { CHANGE } from '@/words/screens/desk-change';
import { ACCEPT } from '@/words/screens/desk-later';
import styles from './desk.module.css';
import { ReasonField } from './reason-field';
import type { Desk } from './use-desk';

/** Paths of the form's fields hold no dots. */
const paidField = (id: string) => `paid-${id}`;

/** Each piece as it is now beside what was agreed, with what of the former one is paid. */
function piecesOf(desk: Desk, order: OrderView, paid: (id: string) => number) {
  return desk.draft.pieces.map((piece, index) => {
    const was = order.pieces.find(({ id }) => id === piece.id)!;
    const how = changedOf(was.design, piece.design);
    const { begun = false, planned = false, amount = 0 } = order.begun[piece.id] ?? {};
    const design = begun ? withCut(piece.design, CHANGE.cutBefore, paid(piece.id)) : piece.design;
    const worked = how === 'design' ? desk.work({ id: `${piece.id}:change`, design, typed: {} }).worked : was.agreed;
    const name = CHANGE.piece(index, piece.design.piece.title);
    return {
      id: piece.id,
      name,
      how,
      begun: begun && how === 'design',
      planned: planned && how === 'design',
      amount,
      was,
      worked,
    };
  });
}

export interface ChangeProps {
  readonly desk: Desk;
  readonly shop: ShopView;
  /** With its designs as they were agreed, as the page has it now. */
  readonly order: OrderView;
}

export function ChangeDialog({ desk, shop, order, onClose }: ChangeProps & { onClose: () => void }) {
  const { unit } = useUnit();
  const router = useRouter();
  const { draft } = desk;
  const first = piecesOf(desk, order, (id) => order.begun[id]?.amount ?? 0);
  const warnings = first.flatMap(({ id, how, worked }) =>
    how === 'design'
      ? (worked?.cautions ?? []).flatMap(({ code, figures, level }) =>
          level === 'warn' ? [{ key: `${id}:${code}`, text: sayCaution(code, figures, unit) }] : [],
        )
      : [],
  );
  const cut = first.filter(({ begun }) => begun);
  const of = useCommandForm<'change-agreed', Record<string, string>>('change-agreed', {
    values: Object.fromEntries([
      ...warnings.map(({ key }) => [key, '']),
      ...cut.map(({ id, amount }) => [paidField(id), formatMoney(money(amount))]),
    ]),
    fieldOf: Object.fromEntries(cut.map(({ id }) => [`paid.${id}`, paidField(id)])),
    payload: (typed) => {
      const wrong = cut.flatMap(({ id }) =>
        parseMoney(typed[paidField(id)] ?? '') === undefined
          ? [wrongAmount(typed[paidField(id)] ?? '', paidField(id))]
          : [],
      );
      if (wrong.length > 0) return { wrong };
      return {
        orderId: order.id,
        revision: order.revision,
        promised: draft.promised,
        pieces: draft.pieces.map(({ id, design }) => ({ id, design })),
        paid: Object.fromEntries(cut.map(({ id }) => [id, parseMoney(typed[paidField(id)] ?? '')!])),
        total: price?.total ?? 0,
        reasons: Object.fromEntries(warnings.map(({ key }) => [key, typed[key] ?? ''])),
      };
    },
    onDone: () => {
      desk.forget();
      router.push(`/desk/${order.number}`);
    },
  });
  const typed = of.form.watch();
  const pieces = piecesOf(desk, order, (id) => parseMoney(typed[paidField(id)] ?? '') ?? 0);
  const prices = pieces.flatMap(({ worked }) => (worked?.price ? [worked.price] : []));
  const priced = prices.length === pieces.length ? changedPrice(prices, shop.prices, order.agreed!) : undefined;
  const price = priced?.ok ? priced.value : undefined;
  const by = price ? price.total - order.agreed!.total : 0;
  const same = draft.promised === order.promised && pieces.every(({ how }) => how === 'no');
  const stopped = pieces.filter(({ planned }) => planned);
  return (
    <Dialog open onClose={onClose} aria-labelledby="change-head">
      <Form of={of} className={styles.dialogFields}>
        <h2 id="change-head" className={styles.dialogHead}>
          {CHANGE.head(order.customer.name)}
        </h2>
        {same ? (
          <p>{CHANGE.none}</p>
        ) : (
          <dl className={styles.agree}>
            {pieces
              .filter(({ how }) => how !== 'no')
              .map(({ id, name, how, was, worked }) => (
                <div key={id}>
                  <dt>{name}</dt>
                  <dd>
                    {how === 'words' ? (
                      CHANGE.words
                    ) : (
                      <>
                        <Cash value={was.agreed!.price?.price ?? 0} /> → <Cash value={worked?.price?.price ?? 0} />
                      </>
                    )}
                  </dd>
                </div>
              ))}
            {draft.promised !== order.promised && (
              <div>
                <dt>{CHANGE.day}</dt>
                <dd>
                  {dayName(order.promised)} → {dayName(draft.promised)}
                </dd>
              </div>
            )}
            <div>
              <dt>{CHANGE.total}</dt>
              <dd>
                <Cash value={order.agreed!.total} /> → <Cash value={price?.total ?? 0} />
              </dd>
            </div>
            <div>
              <dt>{by < 0 ? CHANGE.less : CHANGE.more}</dt>
              <dd>
                <b>
                  <Cash value={Math.abs(by)} />
                </b>
              </dd>
            </div>
            <div>
              <dt>{CHANGE.paid}</dt>
              <dd>
                <Cash value={order.paid} />
              </dd>
            </div>
          </dl>
        )}
        {price && order.paid > price.total && <p className="soft">{CHANGE.back}</p>}
        {stopped.map(({ id, name }) => (
          <p key={id} className={styles.warning}>
            {CHANGE.planned(name)}
          </p>
        ))}
        {cut.map(({ id, name, amount }) => (
          <Field
            key={id}
            name={paidField(id)}
            most={12}
            label={CHANGE.cut(name)}
            hint={CHANGE.cutSay(formatMoney(money(amount)))}
            input={{ inputMode: 'decimal' }}
          />
        ))}
        {warnings.map(({ key, text }) => (
          <ReasonField key={key} name={key} first={false} text={text} />
        ))}
        <div className={styles.dialogEnd}>
          <Button variant="outlined" onClick={onClose}>
            {ACCEPT.notYet}
          </Button>
          <Button
            type="submit"
            variant="contained"
            autoFocus={warnings.length === 0 && cut.length === 0}
            disabled={
              of.busy || same || !price || stopped.length > 0 || warnings.some(({ key }) => !typed[key]?.trim())
            }
          >
            {CHANGE.agree}
          </Button>
        </div>
      </Form>
    </Dialog>
  );
}
