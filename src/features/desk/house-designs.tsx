'use client';
/** The designs that the house begins with, those for this kind of piece first; this piece made like one, or kept as one. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Input from '@mui/material/Input';
import { useState } from 'react';
import type { HouseDesignView } from '@/contract/views';
import type { Design } from '@/core/design/design';
import { inHouseDesign } from '@/core/design/house';
import { useLateView } from '@/ui/query';
import { Trouble } from '@/ui/trouble';
import { useCommand } from '@/ui/use-command';
import { buildName } from '@/words/builds';
import { KIND_NAMES } from '@/words/materials';
import { HOUSE } from '@/words/screens/house';
import styles from './compare.module.css';

interface Props {
  readonly design: Design;
  readonly onUse: (design: Design) => void;
  readonly onClose: () => void;
}

export function HouseDesigns({ design, onUse, onClose }: Props) {
  const found = useLateView<readonly HouseDesignView[]>('/api/house-designs', ['house']);
  const keep = useCommand('keep-house-design');
  const drop = useCommand('drop-house-design');
  const [name, setName] = useState('');
  const { kind } = design.piece;
  const same = (one: HouseDesignView) => (one.design.piece.kind === kind ? 0 : 1);
  const sorted = [...(found ?? [])].sort((a, b) => same(a) - same(b));
  const named = found?.some((one) => one.name.toLowerCase() === name.trim().toLowerCase());
  return (
    <Dialog open onClose={onClose} aria-labelledby="house-head">
      <div className={styles.vary}>
        <h2 id="house-head">{HOUSE.head}</h2>
        {found?.length === 0 && <p>{HOUSE.none}</p>}
        <Trouble issues={[...keep.issues, ...drop.issues]} />
        <ul className={styles.advice}>
          {sorted.map((one) => (
            <li key={one.id}>
              <div>
                <b>{one.name}</b>
                <p className="soft">
                  {[KIND_NAMES[one.design.piece.kind], buildName(one.design.build).toLowerCase()].join(', ')}
                </p>
              </div>
              <span className={styles.pair}>
                <Button
                  variant="text"
                  disabled={drop.busy}
                  aria-label={HOUSE.drop(one.name)}
                  onClick={() => void drop.run({ id: one.id })}
                >
                  ×
                </Button>
                <Button
                  variant="outlined"
                  aria-label={HOUSE.take(one.name)}
                  onClick={() => {
                    onUse(inHouseDesign(design, one.design));
                    onClose();
                  }}
                >
                  {HOUSE.use}
                </Button>
              </span>
            </li>
          ))}
        </ul>
        <form
          className={styles.end}
          onSubmit={(event) => {
            event.preventDefault();
            void keep
              .run({ id: crypto.randomUUID(), name: name.trim(), design })
              .then((answer) => answer.ok && setName(''));
          }}
        >
          <Input
            value={name}
            placeholder={HOUSE.called}
            onChange={(event) => setName(event.target.value)}
            slotProps={{ input: { 'aria-label': HOUSE.called, maxLength: 80 } }}
          />
          <Button type="submit" variant="outlined" disabled={keep.busy || name.trim() === ''}>
            {named ? HOUSE.replace : HOUSE.keep}
          </Button>
          <Button variant="outlined" onClick={onClose}>
            {HOUSE.close}
          </Button>
        </form>
      </div>
    </Dialog>
  );
}
