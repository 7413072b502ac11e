'use client';
/** One design over many pieces: their sizes typed or pasted, one a line; each becomes a piece of the order, with its own ticket. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Input from '@mui/material/Input';
import { useMemo, useState } from 'react';
import { type Equal, EQUALS, MOST_PIECES, batchDesign, canStay, readRows } from '@/core/design/batch';
import type { Design } from '@/core/design/design';
import type { WorkedOut } from '@/core/work-out';
import { Choice } from '@/ui/choice';
import { Note, Trouble } from '@/ui/trouble';
import { useUnit } from '@/ui/units';
import { MANY } from '@/words/screens/many';
import styles from './compare.module.css';

const SHOWN = 5;

interface Props {
  readonly design: Design;
  readonly worked: WorkedOut | undefined;
  /** Pieces that are in the order already. */
  readonly there: number;
  readonly onAdd: (designs: readonly Design[]) => void;
  readonly onClose: () => void;
}

export function Many({ design, worked, there, onAdd, onClose }: Props) {
  const { unit } = useUnit();
  const [text, setText] = useState('');
  const [equal, setEqual] = useState<Equal>('border');
  const { rows, issues } = useMemo(() => readRows(text, unit), [text, unit]);
  const full = there + rows.length > MOST_PIECES;
  const add = () => {
    if (worked) onAdd(rows.map((row) => batchDesign(design, row, equal, worked)));
  };
  return (
    <Dialog open onClose={onClose} aria-labelledby="many-head">
      <div className={styles.vary}>
        <h2 id="many-head">{MANY.head}</h2>
        {!worked && <Note tone="warn">{MANY.measureFirst}</Note>}
        <Choice
          label={MANY.equal}
          value={equal}
          options={EQUALS.filter((one) => canStay(one, design)).map((one) => [one, MANY.equals[one]] as const)}
          onChange={setEqual}
        />
        <Input
          value={text}
          autoFocus
          fullWidth
          multiline
          rows={9}
          placeholder={MANY.example}
          onChange={(event) => setText(event.target.value)}
          slotProps={{ input: { 'aria-label': MANY.rows, maxLength: 40_000 } }}
        />
        <p className="soft">{MANY.rows}</p>
        <Trouble issues={issues.slice(0, SHOWN)} />
        {full && <Note tone="refuse">{MANY.most(MOST_PIECES, there)}</Note>}
        <div className={styles.end}>
          <span />
          <Button variant="outlined" onClick={onClose}>
            {MANY.leave}
          </Button>
          <Button
            variant="contained"
            disabled={rows.length === 0 || issues.length > 0 || full || !worked}
            onClick={add}
          >
            {MANY.add(rows.length)}
          </Button>
        </div>
      </div>
    </Dialog>
  );
}
