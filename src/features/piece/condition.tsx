'use client';
/** The faults of a piece, each by its number on the photo. */
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useEffect, useRef } from 'react';
import {
  FAULT_KINDS,
  type Fault,
  type FaultKind,
  NOTICED_BY,
  type PieceRecord,
  nextNumber,
} from '@/core/custody/record';
import { Choice } from '@/ui/choice';
import { Choose } from '@/ui/choose';
import { PlainField } from '@/ui/plain-field';
import { FAULT_NAMES } from '@/words/screens/care';
import { NOTICED, PIECE_PAGE } from '@/words/screens/record';
import styles from './piece.module.css';

/** A fault as it is when a place was pressed, or none. */
export const newFault = (record: PieceRecord, at?: Fault['at']): Fault => ({
  number: nextNumber(record.faults),
  kind: 'crease',
  size: '',
  says: '',
  noticedBy: 'shop',
  agreed: false,
  ...(at ? { at } : {}),
});

interface OneProps {
  readonly fault: Fault;
  readonly open: boolean;
  readonly onOpen: () => void;
  readonly onChange: (fault: Fault) => void;
  readonly onRemove: () => void;
}

function One({ fault, open, onOpen, onChange, onRemove }: OneProps) {
  const { number, kind, size, says, noticedBy, agreed } = fault;
  const ref = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (open) ref.current?.scrollIntoView({ block: 'nearest' });
  }, [open]);
  if (!open)
    return (
      <li ref={ref}>
        <button type="button" className={styles.fault} onClick={onOpen}>
          <b>{number}</b>
          <span>
            {[FAULT_NAMES[kind], size].filter(Boolean).join(', ')}
            {says && <span className="soft"> {says}</span>}
          </span>
          <span className="soft">{agreed ? PIECE_PAGE.isAgreed : NOTICED[noticedBy]}</span>
        </button>
      </li>
    );
  return (
    <li ref={ref} className={styles.open}>
      <div className={styles.two}>
        <Choose
          label={`${number}  ${PIECE_PAGE.kind}`}
          name={`fault-${number}`}
          value={kind}
          options={FAULT_KINDS.map((code) => ({ code, name: FAULT_NAMES[code] }))}
          onChange={(code) => onChange({ ...fault, kind: code as FaultKind })}
        />
        <PlainField
          label={PIECE_PAGE.size}
          name={`size-${number}`}
          value={size}
          most={40}
          onChange={(text) => onChange({ ...fault, size: text })}
        />
      </div>
      <PlainField
        label={PIECE_PAGE.says}
        name={`says-${number}`}
        value={says}
        most={300}
        onChange={(text) => onChange({ ...fault, says: text })}
      />
      <div className={styles.line}>
        <span>{PIECE_PAGE.noticed}</span>
        <Choice
          label={PIECE_PAGE.noticed}
          value={noticedBy}
          options={NOTICED_BY.map((who) => [who, NOTICED[who]] as const)}
          onChange={(who) => onChange({ ...fault, noticedBy: who })}
        />
      </div>
      <div className={styles.line}>
        <FormControlLabel
          label={PIECE_PAGE.agreed}
          control={
            <Checkbox
              size="small"
              checked={agreed}
              onChange={(event) => onChange({ ...fault, agreed: event.target.checked })}
            />
          }
        />
        <Button variant="text" onClick={onRemove}>
          {PIECE_PAGE.removeFault(number)}
        </Button>
      </div>
    </li>
  );
}

interface Props {
  readonly record: PieceRecord;
  readonly change: (make: (record: PieceRecord) => PieceRecord) => void;
  readonly chosen: number | undefined;
  readonly onChoose: (number: number | undefined) => void;
}

export function Condition({ record, change, chosen, onChoose }: Props) {
  const put = (fault: Fault) =>
    change((before) => ({
      ...before,
      faults: before.faults.map((one) => (one.number === fault.number ? fault : one)),
    }));
  return (
    <section>
      <h2>{PIECE_PAGE.condition}</h2>
      {record.faults.length === 0 && <p className="soft">{PIECE_PAGE.noFault}</p>}
      <ol className={styles.faults}>
        {record.faults.map((fault) => (
          <One
            key={fault.number}
            fault={fault}
            open={fault.number === chosen}
            onOpen={() => onChoose(fault.number)}
            onChange={put}
            onRemove={() => {
              onChoose(undefined);
              change((before) => ({
                ...before,
                faults: before.faults.filter(({ number }) => number !== fault.number),
              }));
            }}
          />
        ))}
      </ol>
      <Button
        variant="text"
        onClick={() => {
          const fault = newFault(record);
          change((before) => ({ ...before, faults: [...before.faults, fault] }));
          onChoose(fault.number);
        }}
      >
        {PIECE_PAGE.addFault}
      </Button>
    </section>
  );
}
