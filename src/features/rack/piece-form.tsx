'use client';
/** A piece of the rack, typed: added, changed or taken off. What is wrong stands beside its field; what was typed stays. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { RackView } from '@/contract/views';
import { Choice } from '@/ui/choice';
import { Choose } from '@/ui/choose';
import { Field, Form, useCommandForm } from '@/ui/form';
import { useUnit } from '@/ui/units';
import { PIECE } from '@/words/screens/rack';
import { type Piece, readPiece } from './piece';
import styles from './rack.module.css';

function TakeOff({ piece, onDone }: { piece: Piece; onDone: () => void }) {
  const of = useCommandForm('remove-rack-piece', {
    values: { reason: '' },
    payload: ({ reason }) => ({ id: piece.id, revision: piece.revision ?? 0, reason: reason || PIECE.usedUp }),
    onDone,
  });
  return (
    <Form of={of} className={styles.remove}>
      <Field name="reason" label={PIECE.because} most={200} />
      <Button type="submit" variant="outlined" disabled={of.busy}>
        {PIECE.takeOff}
      </Button>
    </Form>
  );
}

export function PieceForm({ rack, first, onDone }: { rack: RackView; first: Piece; onDone: () => void }) {
  const { unit } = useUnit();
  const [{ kind, material }, setWhat] = useState<Pick<Piece, 'kind' | 'material'>>(first);
  const { id, code, revision } = first;
  const options =
    kind === 'stick' ? rack.lists.mouldings : [...rack.lists.mats, ...rack.lists.glazings, ...rack.lists.backings];
  const of = useCommandForm('put-rack-piece', {
    values: first.values,
    payload: (values) => {
      const read = readPiece(kind, values, unit);
      const { batch, place, note } = values;
      return 'wrong' in read
        ? { wrong: read.wrong ?? [] }
        : { id, kind, material, batch, place, note, revision, ...read };
    },
    onDone,
  });
  return (
    <div className={styles.form}>
      <Form of={of} className={styles.fields}>
        <h2>{code ? PIECE.change(code) : PIECE.add}</h2>
        {!code && (
          <Choice
            label={PIECE.kind}
            value={kind}
            options={[
              ['stick', PIECE.kinds.stick],
              ['sheet', PIECE.kinds.sheet],
            ]}
            onChange={(to) =>
              setWhat({ kind: to, material: (to === 'stick' ? rack.lists.mouldings : rack.lists.mats)[0]?.code ?? '' })
            }
          />
        )}
        <Choose
          label={kind === 'stick' ? PIECE.moulding : PIECE.material}
          name="material"
          value={material}
          disabled={code !== undefined}
          options={options.map((option) => ({ code: option.code, name: PIECE.option(option.code, option.name) }))}
          onChange={(to) => setWhat({ kind, material: to })}
        />
        <Field
          name="length"
          label={kind === 'stick' ? PIECE.length : PIECE.width}
          first
          most={60}
          hint={PIECE.unitHint[unit]}
        />
        {kind === 'sheet' ? (
          <Field name="height" label={PIECE.height} most={60} />
        ) : (
          <>
            <Field name="batch" label={PIECE.batch} most={60} />
            <Field name="noGo" label={PIECE.dents} most={400} hint={PIECE.dentsHint} />
          </>
        )}
        <Field name="place" label={PIECE.place} most={60} />
        <Field name="note" label={PIECE.note} most={200} />
        <div className={styles.buttons}>
          <Button type="submit" variant="contained" disabled={of.busy}>
            {code ? PIECE.keep : PIECE.addIt}
          </Button>
          <Button variant="outlined" onClick={onDone}>
            {PIECE.close}
          </Button>
        </div>
      </Form>
      {code && <TakeOff piece={first} onDone={onDone} />}
    </div>
  );
}
