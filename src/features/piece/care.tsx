'use client';
/** What came along with a piece, how it may be touched, and where it lies. */
import Button from '@mui/material/Button';
import { useId, useState } from 'react';
import type { PieceView } from '@/contract/views';
import { FLAGS, type PieceRecord, setApart } from '@/core/custody/record';
import { PlainField } from '@/ui/plain-field';
import { Note } from '@/ui/trouble';
import { FLAG_NAMES, RECORD } from '@/words/screens/care';
import { PIECE_PAGE } from '@/words/screens/record';
import styles from './piece.module.css';

interface Props {
  readonly record: PieceRecord;
  readonly change: (make: (record: PieceRecord) => PieceRecord) => void;
}

export function Came({ record, change }: Props) {
  const [text, setText] = useState('');
  const add = () => {
    const what = text.trim();
    if (what === '') return;
    setText('');
    change((before) => ({ ...before, came: [...before.came, { id: crypto.randomUUID(), what }] }));
  };
  return (
    <section>
      <h2>{PIECE_PAGE.came}</h2>
      <ul className={styles.came}>
        {record.came.map(({ id, what }) => (
          <li key={id}>
            <span>{what}</span>
            <Button
              variant="text"
              aria-label={PIECE_PAGE.removeCame(what)}
              onClick={() => change((before) => ({ ...before, came: before.came.filter((one) => one.id !== id) }))}
            >
              ×
            </Button>
          </li>
        ))}
      </ul>
      <div className={styles.add}>
        <PlainField label={PIECE_PAGE.cameHint} name="came" value={text} most={120} onChange={setText} onEnter={add} />
        <Button variant="outlined" disabled={text.trim() === ''} onClick={add}>
          {PIECE_PAGE.addCame}
        </Button>
      </div>
    </section>
  );
}

export function Handling({ record, change }: Props) {
  const apart = setApart(record);
  return (
    <section>
      <h2>{PIECE_PAGE.flags}</h2>
      {apart.length > 0 && <Note tone="warn">{RECORD.apart(apart)}.</Note>}
      <div className={styles.flags} role="group" aria-label={PIECE_PAGE.flags}>
        {FLAGS.map((flag) => {
          const on = record.flags.includes(flag);
          return (
            <button
              key={flag}
              type="button"
              aria-pressed={on}
              onClick={() =>
                change((before) => ({
                  ...before,
                  flags: on ? before.flags.filter((one) => one !== flag) : [...before.flags, flag],
                }))
              }
            >
              {FLAG_NAMES[flag]}
            </button>
          );
        })}
      </div>
    </section>
  );
}

export function Place({ record, change, view }: Props & { view: PieceView }) {
  const id = useId();
  return (
    <section>
      <PlainField
        label={PIECE_PAGE.place}
        name="place"
        value={record.place}
        most={60}
        list={id}
        hint={view.lockedPlaces.includes(record.place) ? PIECE_PAGE.locked : PIECE_PAGE.placeHint}
        onChange={(place) => change((before) => ({ ...before, place }))}
      />
      <datalist id={id}>
        {[...view.places, ...view.lockedPlaces].map((place) => (
          <option key={place} value={place} />
        ))}
      </datalist>
    </section>
  );
}
