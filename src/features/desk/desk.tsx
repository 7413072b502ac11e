'use client';
/** The desk: choices left, the piece in the middle, the tape right. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Pictures, ShopView } from '@/contract/views';
import { onKey } from '@/ui/keys';
import { useLive } from '@/ui/live';
import { useLateView } from '@/ui/query';
import { Trouble } from '@/ui/trouble';
import { useUnit } from '@/ui/units';
import { DESK } from '@/words/screens/desk';
import { Choices, SECTIONS } from './choices';
import styles from './desk.module.css';
import { unread } from './draft';
import { Drawings } from './drawings';
import { OrderBar } from './order-bar';
import { RefusedAt, refusedOf } from './refused-at';
import { piecePanel } from './piece-tabs';
import { Tape, Totals } from './tape';
import { type Desk, type DeskStart, useDesk } from './use-desk';
import { useDeskKeys } from './use-desk-keys';
import { patient } from '@/ui/patient';

const Standing = dynamic(() => patient(() => import('./standing')).then((file) => file.Standing), {
  loading: () => null,
});
const CustomerDialog = dynamic(() => patient(() => import('./customer')).then((file) => file.CustomerDialog), {
  loading: () => null,
});
const Concession = dynamic(() => patient(() => import('./concession')).then((file) => file.Concession), {
  loading: () => null,
});
const Compare = dynamic(() => patient(() => import('./compare')).then((file) => file.Compare), { loading: () => null });
const OnTheWall = dynamic(() => patient(() => import('./on-the-wall')).then((file) => file.OnTheWall), {
  loading: () => null,
});
const MatByHand = dynamic(() => patient(() => import('./mat-by-hand')).then((file) => file.MatByHand), {
  loading: () => null,
});
const NothingToDraw = dynamic(() => patient(() => import('./nothing-to-draw')).then((file) => file.NothingToDraw), {
  loading: () => null,
});
const DeskLink = dynamic(() => patient(() => import('./desk-link')).then((file) => file.DeskLink), {
  loading: () => null,
});
const Sentences = dynamic(() => patient(() => import('@/ui/sentences')).then((file) => file.Sentences), {
  loading: () => null,
});
const Early = dynamic(() => patient(() => import('./early')).then((file) => file.Early), { loading: () => null });
const ChangeFoot = dynamic(() => patient(() => import('./change-foot')).then((file) => file.ChangeFoot), {
  loading: () => null,
});
const AcceptDialog = dynamic(() => patient(() => import('./accept')).then((file) => file.AcceptDialog), {
  loading: () => null,
});

/** What stands in the place of the drawing; by hand, beside the price. */
type Beside = 'compare' | 'wall' | 'mat';
const MAT = SECTIONS.findIndex(({ key }) => key === 'mat');

interface FootProps {
  readonly desk: Desk;
  readonly number: number | undefined;
  readonly onAccept: () => void;
  readonly onLink: () => void;
}
function Foot({ desk, number, onAccept, onLink }: FootProps) {
  const clean = number !== undefined && !desk.dirty;
  const stop = desk.shown.flatMap(refusedOf).at(0);
  return (
    <>
      {stop && (
        <div className={styles.stop}>
          <Sentences issues={[stop]} />
        </div>
      )}
      <div className={styles.foot}>
        {clean ? (
          <>
            <Button variant="outlined" href={`/papers/quote/${number}`} target="_blank" aria-label={DESK.printQuote}>
              {DESK.print}
            </Button>
            <Button variant="outlined" onClick={onLink}>
              {DESK.link}
            </Button>
          </>
        ) : (
          <Button variant="outlined" disabled={desk.busy} onClick={() => void desk.save()} title={DESK.saveKey}>
            {DESK.saveQuote}
          </Button>
        )}
        <Button
          variant="contained"
          disabled={desk.busy || !desk.complete || stop !== undefined || !desk.draft.customer}
          onClick={onAccept}
        >
          {DESK.accept}
        </Button>
      </div>
    </>
  );
}

/** Whether the customer looks on: cost, margin and what is for staff is not shown. By key as well. */
function useTurned() {
  const [turned, setTurned] = useState(false);
  const turn = useCallback(() => setTurned((before) => !before), []);
  useEffect(() => onKey('t', turn), [turn]);
  return [turned, turn] as const;
}

/** To the first field of the section that is open. */
/** Frames waited for the fields of a section that is still on its way. */
const FRAMES = 120;
function focusSection(frames = FRAMES): void {
  const field = document.querySelector<HTMLElement>(`.${styles.body} input, .${styles.body} [role=combobox]`);
  if (field) field.focus();
  else if (frames > 0) requestAnimationFrame(() => focusSection(frames - 1));
}

/** Saved while it is being said whose piece it is: as soon as that is known. */
function useSave(desk: Desk, asking: boolean, changing: boolean | undefined) {
  const { save: keepQuote } = desk;
  const soon = useRef(false);
  useEffect(() => {
    if (!soon.current || asking) return;
    soon.current = false;
    void keepQuote();
  }, [asking, keepQuote]);
  return useCallback(() => {
    if (asking) soon.current = true;
    else if (!changing) void keepQuote();
  }, [asking, changing, keepQuote]);
}

export function DeskScreen({ shop, ...start }: DeskStart & { shop: ShopView }) {
  const { order, changing } = start;
  const { unit } = useUnit();
  const desk = useDesk(start, shop, unit);
  const [open, setOpen] = useState(0);
  const [beside, setBeside] = useState<Beside | undefined>();
  const [turned, turn] = useTurned();
  const [dialog, setDialog] = useState<'customer' | 'accept' | 'concession' | 'link' | undefined>();
  const { piece, active, shown } = desk;
  const current = shown[active]!;
  const refusals = useMemo(() => refusedOf(current), [current]);
  // While a measure is missing or cannot be read, what is shown is of the last ones that could.
  const former = current.issues.length > 0 || unread(piece, unit).length > 0;

  const show = useCallback((index: number) => {
    setOpen(index);
    requestAnimationFrame(() => focusSection());
  }, []);
  const { afresh } = desk;
  const { begins } = start;
  useEffect(() => {
    if (!begins) return;
    afresh(begins);
    // Coming here once more by the same address, as by a reload, begins nothing anew.
    window.history.replaceState(null, '', '/desk');
    // Once, as the page opened.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  // A new order begins with typing; a screen without a keyboard is not given one.
  useEffect(() => {
    if (order === null && window.matchMedia('(pointer: fine)').matches) focusSection();
  }, [order]);
  const [compare, wall, byHand] = useMemo(
    () =>
      (['compare', 'wall', 'mat'] as const).map((view) => () => {
        setBeside((before) => (before === view ? undefined : view));
        if (view === 'mat') setOpen(MAT);
      }) as [() => void, () => void, () => void],
    [],
  );
  const bringPiece = useCallback(
    (bring: () => void) => {
      bring();
      setBeside(undefined);
      show(0);
    },
    [show],
  );
  const next = useCallback(() => changing || bringPiece(desk.addPiece), [bringPiece, changing, desk.addPiece]);
  const agree = useCallback(() => {
    if (changing || desk.busy) return;
    if (!desk.draft.customer) setDialog('customer');
    else if (desk.complete && desk.shown.flatMap(refusedOf).length === 0) setDialog('accept');
  }, [changing, desk]);
  useDeskKeys(
    desk,
    useSave(desk, dialog === 'customer', changing),
    show,
    { c: compare, w: wall, h: byHand },
    next,
    agree,
  );
  useLive(
    (touched) => order !== null && touched.includes(`order:${order.id}`),
    () => void desk.changedElsewhere(),
  );

  const { type, commit, put, build, toRecord, addPieces } = desk;
  const hands = useMemo(
    () => ({ type, commit, put, build, toRecord, addPieces }),
    [type, commit, put, build, toRecord, addPieces],
  );
  const pictures = useLateView<Pictures>(`/api/pictures?of=${desk.draft.pieces.map(({ id }) => id).join()}`, [
    'piece:',
  ]);
  const says = desk.other || desk.stale || (desk.held && !changing) || order?.expired || desk.issues[0]?.path === 'pin';
  const concede = useCallback(() => setDialog('concession'), []);
  return (
    <main className={styles.desk} data-turned={turned}>
      <OrderBar
        desk={desk}
        number={order?.number}
        changing={changing}
        calendar={shop.calendar}
        today={shop.today}
        onCustomer={() => setDialog('customer')}
        onCompare={compare}
        onWall={wall}
        turned={turned}
        onTurn={turn}
        onPiece={bringPiece}
      />
      <section className={styles.left} aria-label={DESK.choices}>
        <RefusedAt value={refusals}>
          <Choices
            shop={shop}
            piece={piece}
            worked={current.worked}
            unit={unit}
            desk={hands}
            pieces={shown.length}
            alike={desk.draft.pieces.filter(({ design }) => design.count === piece.design.count).length}
            open={open}
            onOpen={show}
          />
        </RefusedAt>
        {order === null && desk.canUndo && (
          <Button
            variant="text"
            className={styles.afresh ?? ''}
            onClick={() => {
              desk.afresh(start.fresh);
              show(0);
            }}
          >
            {DESK.afresh}
          </Button>
        )}
      </section>
      {beside === 'wall' ? (
        <OnTheWall desk={desk} shop={shop} pictures={pictures} number={order?.number} onClose={wall} />
      ) : beside === 'compare' ? (
        <Compare desk={desk} shop={shop} photos={pictures?.[piece.id]} onClose={compare} />
      ) : (
        <>
          <section className={styles.middle} {...piecePanel(shown.length, active)}>
            {current.worked && beside === 'mat' ? (
              <MatByHand
                key={piece.id}
                worked={current.worked}
                design={piece.design}
                photos={pictures?.[piece.id]}
                homeUnit={shop.homeUnit}
                former={former}
                put={put}
                onClose={byHand}
              />
            ) : current.worked ? (
              <Drawings
                worked={current.worked}
                faded={former}
                photos={pictures?.[piece.id]}
                onByHand={current.worked.sizes.matted && byHand}
              />
            ) : (
              <NothingToDraw shop={shop} />
            )}
          </section>
          <section className={styles.right} aria-label={DESK.sizesAndPrice}>
            <div className={styles.scroll} tabIndex={0} role="group" aria-label={DESK.tape}>
              {says && <Standing desk={desk} order={order} shop={shop} />}
              {!desk.stale && <Trouble issues={desk.issues} />}
              <Trouble issues={current.issues} />
              {current.worked && (
                <Tape
                  worked={current.worked}
                  former={former}
                  turned={turned}
                  onApply={turned ? undefined : desk.apply}
                  onConcession={turned ? undefined : concede}
                />
              )}
            </div>
            <Totals
              piece={former ? undefined : current.worked?.price}
              order={desk.price}
              all={shown.map((one) => one.worked?.price)}
              turned={turned}
              floor={shop.marginFloor}
              currency={shop.currency}
            />
            <Early
              promised={desk.draft.promised}
              worked={shown.map((one) => one.worked)}
              shop={shop}
              onPromise={(day) => desk.putOrder('promised', day)}
            />
            {changing && order ? (
              <ChangeFoot desk={desk} shop={shop} order={order} />
            ) : (
              <Foot
                desk={desk}
                number={order?.number}
                onAccept={() => setDialog('accept')}
                onLink={() => setDialog('link')}
              />
            )}
          </section>
        </>
      )}
      {dialog === 'customer' && (
        <CustomerDialog
          onClose={() => setDialog(undefined)}
          onChoose={(customer) => {
            desk.putOrder('customer', customer);
            setDialog(undefined);
          }}
        />
      )}
      {dialog === 'concession' && <Concession desk={desk} onClose={() => setDialog(undefined)} />}
      {dialog === 'link' && order && (
        <DeskLink desk={desk} number={order.number} onClose={() => setDialog(undefined)} />
      )}
      {dialog === 'accept' && <AcceptDialog desk={desk} onClose={() => setDialog(undefined)} />}
    </main>
  );
}
