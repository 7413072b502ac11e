'use client';
/** The desk: choices left, the piece in the middle, the tape right. */
import Button from '@mui/material/Button';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { OrderView, ShopView } from '@/contract/views';
import { isTyping } from '@/ui/keys';
import { useLive } from '@/ui/live';
import { Note, Trouble } from '@/ui/trouble';
import { useUnit } from '@/ui/units';
import { dayName } from '@/words/materials';
import { AcceptDialog } from './accept';
import { Choices, SECTIONS } from './choices';
import { CustomerDialog } from './customer';
import styles from './desk.module.css';
import { Drawings } from './drawings';
import { Tape, Totals } from './tape';
import { unread } from './draft';
import { type Desk, useDesk } from './use-desk';

function useDeskKeys(desk: Desk, save: () => void, open: (index: number) => void) {
  useEffect(() => {
    const hear = (event: KeyboardEvent) => {
      const command = event.ctrlKey || event.metaKey;
      const key = event.key.toLowerCase();
      if (command && key === 'z') (event.shiftKey ? desk.redo : desk.undo)();
      else if (command && key === 'y') desk.redo();
      else if (command && key === 's') save();
      else if (
        /^[1-6]$/.test(key) &&
        !command &&
        (event.altKey || !isTyping(event.target)) &&
        !document.querySelector('[role=dialog]')
      )
        open(Number(key) - 1);
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', hear);
    return () => window.removeEventListener('keydown', hear);
  }, [desk, save, open]);
}

function OrderBar({ desk, number, onCustomer }: { desk: Desk; number: number | undefined; onCustomer: () => void }) {
  const { draft, active } = desk;
  return (
    <div className={styles.order}>
      <h1>{number ? `Order ${number}` : 'New order'}</h1>
      <button type="button" className={styles.customer} onClick={onCustomer}>
        {draft.customer ? (
          <>
            {draft.customer.name} <span className="soft">{draft.customer.phone}</span>
          </>
        ) : (
          'Choose the customer'
        )}
      </button>
      <div className={styles.tabs} role="tablist" aria-label="Pieces">
        {draft.pieces.map((piece, index) => (
          <button
            key={piece.id}
            type="button"
            role="tab"
            aria-selected={index === active}
            onClick={() => desk.choose(index)}
          >
            {piece.design.piece.title || `Piece ${index + 1}`}
          </button>
        ))}
        <button type="button" onClick={desk.addPiece}>
          Add piece
        </button>
        {draft.pieces.length > 1 && (
          <button type="button" className={styles.drop} onClick={() => desk.removePiece(active)}>
            Remove
          </button>
        )}
      </div>
      <div className={styles.undo}>
        <button type="button" disabled={!desk.canUndo} onClick={desk.undo} title="Undo, Ctrl Z">
          Undo
        </button>
        <button type="button" disabled={!desk.canRedo} onClick={desk.redo} title="Redo, Ctrl Y">
          Redo
        </button>
      </div>
      <label className={styles.promised}>
        Promised for <b>{dayName(draft.promised)}</b>
        <input
          type="date"
          value={draft.promised}
          onChange={(event) => event.target.value && desk.putOrder('promised', event.target.value)}
          aria-label="Promised for"
        />
      </label>
    </div>
  );
}

function Foot({ desk, number, onAccept }: { desk: Desk; number: number | undefined; onAccept: () => void }) {
  const clean = number !== undefined && !desk.dirty;
  const refused = desk.shown.some((shown) => shown.worked?.cautions.some((caution) => caution.level === 'refuse'));
  return (
    <div className={styles.foot}>
      {clean ? (
        <Button variant="outlined" href={`/papers/quote/${number}`} target="_blank">
          Print quote
        </Button>
      ) : (
        <Button variant="outlined" disabled={desk.busy} onClick={() => void desk.save()}>
          Save quote
        </Button>
      )}
      <Button
        variant="contained"
        disabled={desk.busy || !desk.complete || refused || !desk.draft.customer}
        onClick={onAccept}
      >
        Accept, deposit
      </Button>
    </div>
  );
}

function Stale({ desk }: { desk: Desk }) {
  return (
    <Note tone="warn">
      <p>This order was changed at another screen. What you typed here is kept.</p>
      <button type="button" className={styles.link} onClick={() => void desk.settle('mine')}>
        Go on with mine
      </button>{' '}
      <button type="button" className={styles.link} onClick={() => void desk.settle('theirs')}>
        Take theirs, drop mine
      </button>
    </Note>
  );
}

/** A quote keeps its prices while it holds; the books may have moved on. */
function Held({ desk, order, edition }: { desk: Desk; order: OrderView; edition: number }) {
  if (desk.held) {
    return (
      <Note tone="advise">
        <p>
          Prices of edition {order.edition}, held until {dayName(order.quoteUntil)}; the books are at edition {edition}.
        </p>
        <button type="button" className={styles.link} onClick={desk.takeToday}>
          Take today’s prices
        </button>
      </Note>
    );
  }
  if (!order.expired) return null;
  return <Note tone="advise">This quote ran out on {dayName(order.quoteUntil)}. These are today’s prices.</Note>;
}

export function DeskScreen({ order, shop }: { order: OrderView | null; shop: ShopView }) {
  const { unit } = useUnit();
  const desk = useDesk(order, shop, unit);
  const [open, setOpen] = useState(0);
  const [dialog, setDialog] = useState<'customer' | 'accept' | undefined>();
  const { piece, active, shown } = desk;
  const current = shown[active]!;
  // While a measure is missing or cannot be read, what is shown is of the last ones that could.
  const former = current.issues.length > 0 || unread(piece, unit).length > 0;

  const show = useCallback((index: number) => {
    setOpen(index);
    requestAnimationFrame(() =>
      document.querySelector<HTMLElement>(`.${styles.body} input, .${styles.body} [role=combobox]`)?.focus(),
    );
  }, []);
  const { save: keepQuote } = desk;
  // Saved while it is being said whose piece it is: as soon as that is known.
  const soon = useRef(false);
  const save = useCallback(() => {
    if (dialog === 'customer') soon.current = true;
    else void keepQuote();
  }, [dialog, keepQuote]);
  useEffect(() => {
    if (!soon.current || dialog === 'customer') return;
    soon.current = false;
    void keepQuote();
  }, [dialog, keepQuote]);
  useDeskKeys(desk, save, show);
  useLive(
    (touched) => order !== null && touched.includes(`order:${order.id}`),
    () => void desk.changedElsewhere(),
  );

  const { type, commit, put, build } = desk;
  const hands = useMemo(() => ({ type, commit, put, build }), [type, commit, put, build]);
  const elsewhere = current.issues.filter(
    (issue) => !SECTIONS[open]!.paths.some((path) => issue.path?.startsWith(path)),
  );
  const here = current.issues.filter((issue) => !elsewhere.includes(issue));
  return (
    <main className={styles.desk}>
      <OrderBar desk={desk} number={order?.number} onCustomer={() => setDialog('customer')} />
      <section className={styles.left} aria-label="Choices">
        <Choices shop={shop} piece={piece} worked={current.worked} unit={unit} desk={hands} open={open} onOpen={show} />
        <Trouble issues={here} />
      </section>
      <section className={styles.middle} aria-label="Drawing">
        {current.worked ? (
          <Drawings worked={current.worked} faded={former} />
        ) : (
          <div className={styles.empty}>
            <p>{shop.lists.mouldings.length === 0 ? 'The price list is empty.' : 'Nothing to draw yet.'}</p>
            {shop.lists.mouldings.length === 0 && (
              <Button variant="contained" href="/books">
                Import a supplier’s list
              </Button>
            )}
          </div>
        )}
      </section>
      <section className={styles.right} aria-label="Sizes and price">
        <div className={styles.scroll}>
          {desk.stale && <Stale desk={desk} />}
          {!desk.stale && <Trouble issues={desk.issues} />}
          <Trouble issues={elsewhere} />
          {order && <Held desk={desk} order={order} edition={shop.prices.edition} />}
          {current.worked && <Tape worked={current.worked} former={former} onApply={desk.apply} />}
        </div>
        <Totals piece={former ? undefined : current.worked?.price} order={desk.price} pieces={shown.length} />
        <Foot desk={desk} number={order?.number} onAccept={() => setDialog('accept')} />
      </section>
      {dialog === 'customer' && (
        <CustomerDialog
          onClose={() => setDialog(undefined)}
          onChoose={(customer) => {
            desk.putOrder('customer', customer);
            setDialog(undefined);
          }}
        />
      )}
      {dialog === 'accept' && <AcceptDialog desk={desk} onClose={() => setDialog(undefined)} />}
    </main>
  );
}
