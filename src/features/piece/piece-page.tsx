'use client';
/** A piece and what is written down about it: photos with marks, condition, what came along, handling, place, signature. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useState } from 'react';
import type { PieceView } from '@/contract/views';
import { type Money, formatMoney } from '@/core/units/money';
import { SizeText } from '@/ui/figures';
import { Note, Trouble } from '@/ui/trouble';
import { KIND_NAMES, dayName } from '@/words/materials';
import { PIECE_PAGE } from '@/words/screens/record';
import { Came, Handling, Place } from './care';
import { Condition, newFault } from './condition';
import { Photos } from './photos';
import styles from './piece.module.css';
import { useRecord } from './use-record';
import { patient } from '@/ui/patient';

const Sign = dynamic(() => patient(() => import('./sign')).then((file) => file.Sign), { loading: () => null });

function Value({ view }: { view: PieceView }) {
  if (!view.maySign) return null;
  const { value, limit } = view;
  return (
    <p>
      {PIECE_PAGE.value}{' '}
      <b>{value === null ? <span className="soft">{PIECE_PAGE.noValue}</span> : formatMoney(value as Money)}</b>
      {limit !== null && value !== null && value > limit && (
        <span className={styles.caution}> {PIECE_PAGE.overLimit(formatMoney(limit as Money))}</span>
      )}
    </p>
  );
}

function Signature({ view, dirty, onSign }: { view: PieceView; dirty: boolean; onSign: () => Promise<boolean> }) {
  const [signing, setSigning] = useState(false);
  const { signed, order, revision } = view;
  return (
    <section>
      <h2>{PIECE_PAGE.signature}</h2>
      <Value view={view} />
      {signed && (
        <p>
          {(signed.strokes ? PIECE_PAGE.signedBy : PIECE_PAGE.onPaper)(signed.name, dayName(signed.at.slice(0, 10), 0))}
          {!signed.current && <span className={styles.caution}> {PIECE_PAGE.signedBefore}</span>}
        </p>
      )}
      <div className={styles.line}>
        {order && (
          <Button variant="outlined" href={`/papers/taking-in/${order.number}`} target="_blank">
            {PIECE_PAGE.receipt}
          </Button>
        )}
        {view.maySign && !signing && (
          <Button
            variant="outlined"
            disabled={revision === null && !dirty}
            onClick={() => void onSign().then((kept) => kept && setSigning(true))}
          >
            {PIECE_PAGE.signHere}
          </Button>
        )}
      </div>
      {signing && revision !== null && (
        <Sign
          key={revision}
          pieceId={view.id}
          revision={revision}
          customer={order?.customer ?? ''}
          value={view.value}
          onDone={() => setSigning(false)}
        />
      )}
    </section>
  );
}

export function PiecePage({ view: first }: { view: PieceView }) {
  const hands = useRecord(first);
  const { view, record, change, dirty, issues, conflict, settle, flush } = hands;
  const [chosen, setChosen] = useState<number>();
  const { order, title, kind, size } = view;
  return (
    <main className={styles.page}>
      <header>
        <h1>{title || PIECE_PAGE.untitled}</h1>
        <p className="soft">
          {KIND_NAMES[kind]}
          {size && (
            <>
              , <SizeText of={size} />
            </>
          )}
          {' · '}
          {order ? PIECE_PAGE.of(order.number, order.customer) : PIECE_PAGE.notSaved}
        </p>
        <span role="status" className="soft">
          {dirty ? PIECE_PAGE.notSavedYet : view.revision === null ? '' : PIECE_PAGE.saved}
        </span>
        {view.maySign && (
          <Link href={order ? `/desk/${order.number}` : '/desk'} onClick={() => void flush()}>
            {PIECE_PAGE.back}
          </Link>
        )}
      </header>
      <Photos
        record={record}
        change={change}
        chosen={chosen}
        onChoose={setChosen}
        onMark={(at) => {
          const fault = newFault(record, at);
          change((before) => ({ ...before, faults: [...before.faults, fault] }));
          setChosen(fault.number);
        }}
      />
      <div className={styles.side} tabIndex={0} role="group" aria-label={PIECE_PAGE.condition}>
        {conflict && (
          <Note tone="warn">
            <Button variant="text" onClick={() => settle('mine')}>
              {PIECE_PAGE.mine}
            </Button>
            <Button variant="text" onClick={() => settle('theirs')}>
              {PIECE_PAGE.theirs}
            </Button>
          </Note>
        )}
        <Trouble issues={issues} />
        <Condition record={record} change={change} chosen={chosen} onChoose={setChosen} />
        <Handling record={record} change={change} />
        <Came record={record} change={change} />
        <Place record={record} change={change} view={view} />
        <Signature view={view} dirty={dirty} onSign={flush} />
      </div>
    </main>
  );
}
