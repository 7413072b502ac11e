'use client';
/** A piece of the rack, typed: added, changed or taken off. What is wrong stands beside its field; what was typed stays. */
import Button from '@mui/material/Button';
import Input from '@mui/material/Input';
import MenuItem from '@mui/material/MenuItem';
import Select from '@mui/material/Select';
import { useId, useState } from 'react';
import type { RackView } from '@/contract/views';
import type { Issue } from '@/core/issue';
import type { Length } from '@/core/units/length';
import { parseLength } from '@/core/units/parse-length';
import { send } from '@/ui/send';
import { Trouble } from '@/ui/trouble';
import { useUnit } from '@/ui/units';
import styles from './rack.module.css';

export interface Typed {
  readonly id: string;
  readonly code: string | undefined;
  readonly kind: 'stick' | 'sheet';
  readonly material: string;
  readonly length: string;
  readonly height: string;
  readonly batch: string;
  readonly dents: string;
  readonly place: string;
  readonly note: string;
  /** What was seen of it; null for a new one. */
  readonly revision: number | null;
}
export const blank = (kind: 'stick' | 'sheet', material: string): Typed => ({
  id: crypto.randomUUID(),
  code: undefined,
  kind,
  material,
  length: '',
  height: '',
  batch: '',
  dents: '',
  place: '',
  note: '',
  revision: null,
});

function Field({
  label,
  value,
  onChange,
  hint,
  wrong,
  auto,
}: {
  label: string;
  value: string;
  onChange: (text: string) => void;
  hint?: string;
  wrong?: readonly Issue[];
  auto?: boolean;
}) {
  const id = useId();
  return (
    <div className={styles.field}>
      <label htmlFor={id}>{label}</label>
      <Input
        id={id}
        value={value}
        fullWidth
        autoComplete="off"
        autoFocus={auto ?? false}
        error={Boolean(wrong?.length)}
        onChange={(event) => onChange(event.target.value)}
      />
      {wrong && wrong.length > 0 ? <Trouble issues={wrong} /> : hint && <p className="soft">{hint}</p>}
    </div>
  );
}

/** Adds a piece or changes one. Lengths are read as people write them; dents as `20 1/4 to 21 1/2; 60 to 61`. */
export function PieceForm({ rack, first, onDone }: { rack: RackView; first: Typed; onDone: () => void }) {
  const { unit } = useUnit();
  const [typed, setTyped] = useState(first);
  const [issues, setIssues] = useState<Readonly<Record<string, readonly Issue[]>>>({});
  const [reason, setReason] = useState('');
  const put = (part: Partial<Typed>) => setTyped((before) => ({ ...before, ...part }));
  const options =
    typed.kind === 'stick'
      ? rack.lists.mouldings
      : [...rack.lists.mats, ...rack.lists.glazings, ...rack.lists.backings];
  const save = async () => {
    const wrong: Record<string, readonly Issue[]> = {};
    const read = (text: string, path: string): Length => {
      const outcome = parseLength(text, { unit });
      if (outcome.ok) return outcome.value;
      wrong[path] = outcome.issues;
      return 1 as Length;
    };
    const long = read(typed.length, 'length');
    const height = typed.kind === 'sheet' ? read(typed.height, 'height') : null;
    const noGo = typed.dents
      .split(';')
      .filter((text) => text.trim() !== '')
      .map((text) => {
        const [from = '', to = ''] = text.split(/\s+to\s+/);
        return { from: from.trim() === '0' ? 0 : read(from, 'noGo'), to: read(to, 'noGo') };
      });
    setIssues(wrong);
    if (Object.keys(wrong).length > 0) return;
    const { id, kind, material, batch, place, note, revision } = typed;
    const piece = { id, kind, material, length: long, height, batch, noGo, place, note, revision };
    const answer = await send('put-rack-piece', piece);
    if (answer.ok) return onDone();
    const beside: Record<string, Issue[]> = {};
    for (const issue of answer.issues) {
      const field = issue.path?.split('.')[0] ?? '';
      const key = ['length', 'height', 'noGo'].includes(field) ? field : 'all';
      beside[key] = [...(beside[key] ?? []), issue];
    }
    setIssues(beside);
  };
  const remove = async () => {
    const answer = await send('remove-rack-piece', {
      id: typed.id,
      revision: typed.revision ?? 0,
      reason: reason || 'used up',
    });
    if (answer.ok) onDone();
    else setIssues({ all: answer.issues });
  };
  return (
    <form
      className={styles.form}
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
    >
      <h2>{typed.code ? `Change ${typed.code}` : 'Add a piece'}</h2>
      {!typed.code && (
        <div className={styles.kinds} role="group" aria-label="Kind">
          {(['stick', 'sheet'] as const).map((kind) => (
            <button
              key={kind}
              type="button"
              aria-pressed={typed.kind === kind}
              onClick={() =>
                put({ kind, material: (kind === 'stick' ? rack.lists.mouldings : rack.lists.mats)[0]?.code ?? '' })
              }
            >
              {kind === 'stick' ? 'Stick' : 'Board or glass'}
            </button>
          ))}
        </div>
      )}
      <div className={styles.field}>
        <label id="rack-material">{typed.kind === 'stick' ? 'Moulding' : 'Material'}</label>
        <Select
          value={typed.material}
          disabled={typed.code !== undefined}
          fullWidth
          labelId="rack-material"
          onChange={(event) => put({ material: event.target.value })}
        >
          {options.map((option) => (
            <MenuItem key={option.code} value={option.code}>
              {option.code}, {option.name}
            </MenuItem>
          ))}
        </Select>
      </div>
      <Field
        label={typed.kind === 'stick' ? 'Length' : 'Width'}
        value={typed.length}
        auto
        onChange={(text) => put({ length: text })}
        wrong={issues.length ?? []}
        hint={`in ${unit === 'in' ? 'inches' : 'millimetres'} unless you say otherwise`}
      />
      {typed.kind === 'sheet' ? (
        <Field
          label="Height"
          value={typed.height}
          onChange={(text) => put({ height: text })}
          wrong={issues.height ?? []}
        />
      ) : (
        <>
          <Field label="Finish batch" value={typed.batch} onChange={(text) => put({ batch: text })} />
          <Field
            label="Dents and scratches"
            value={typed.dents}
            onChange={(text) => put({ dents: text })}
            wrong={issues.noGo ?? []}
            hint="from the left end, as 20 1/4 to 21 1/2; no leg will cover them"
          />
        </>
      )}
      <Field label="Place" value={typed.place} onChange={(text) => put({ place: text })} />
      <Field label="Note" value={typed.note} onChange={(text) => put({ note: text })} />
      <Trouble issues={issues.all ?? []} />
      <div className={styles.buttons}>
        <Button type="submit" variant="contained">
          {typed.code ? 'Keep' : 'Add to the rack'}
        </Button>
        <Button variant="outlined" onClick={onDone}>
          Close
        </Button>
      </div>
      {typed.code && (
        <div className={styles.remove}>
          <Field label="Take it off the rack, because" value={reason} onChange={setReason} />
          <Button variant="outlined" onClick={() => void remove()}>
            Take off
          </Button>
        </div>
      )}
    </form>
  );
}
