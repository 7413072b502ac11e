'use client';
/** One thing of a design varied: what is ticked becomes a design of its own, the rest as it is. */
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import Input from '@mui/material/Input';
import { useMemo, useState } from 'react';
import type { ShopView } from '@/contract/views';
import { BUILDS } from '@/core/builds';
import { letterOf, roomFor } from '@/core/design/candidates';
import type { Design } from '@/core/design/design';
import { borderVariants, withBorder, withGlazing, withMoulding, withTopMat } from '@/core/design/variants';
import { defaultSettings } from '@/core/settings';
import { Choice } from '@/ui/choice';
import { VARY } from '@/words/screens/compare';
import styles from './compare.module.css';
import type { DraftPiece } from './draft';
import { codeOf } from './section-props';

type Kind = keyof typeof VARY.kinds;
interface Option {
  readonly key: string;
  readonly name: string;
  readonly colour?: string;
  readonly make: (design: Design) => Design;
}
const SHOWN = 60;

/** What can be put in the place of what is there now. */
function optionsOf(kind: Kind, design: Design, shop: ShopView): Option[] {
  const { mouldings, mats, glazings } = shop.lists;
  const other = (now: string | undefined) => (one: { code: string }) => one.code !== now;
  switch (kind) {
    case 'moulding':
      return mouldings
        .filter(other(codeOf(design.frame.moulding)))
        .map(({ code, name, colour }) => ({ key: code, name, colour, make: (one) => withMoulding(one, code) }));
    case 'mat':
      return design.mats.length === 0
        ? []
        : mats
            .filter(other(codeOf(design.mats[0]!.board)))
            .map(({ code, name, colour }) => ({ key: code, name, colour, make: (one) => withTopMat(one, code) }));
    case 'glass':
      return BUILDS[design.build].uses.includes('glazing')
        ? glazings
            .filter(other(codeOf(design.glazing)))
            .map(({ code, name }) => ({ key: code, name, make: (one) => withGlazing(one, code) }))
        : [];
    case 'border':
      return borderVariants(design, defaultSettings(shop.homeUnit)).map(({ code, border }) => ({
        key: code,
        name: VARY.borders[code],
        make: (one) => withBorder(one, border),
      }));
  }
}

interface Props {
  readonly shop: ShopView;
  readonly piece: DraftPiece;
  readonly onMake: (designs: readonly Design[]) => void;
  readonly onClose: () => void;
}

export function Vary({ shop, piece, onMake, onClose }: Props) {
  const [kind, setKind] = useState<Kind>('moulding');
  const [text, setText] = useState('');
  const [ticked, setTicked] = useState<readonly string[]>([]);
  const options = useMemo(() => optionsOf(kind, piece.design, shop), [kind, piece.design, shop]);
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const found = options.filter(({ key, name }) => words.every((word) => `${key} ${name}`.toLowerCase().includes(word)));
  const room = roomFor(piece);
  const make = () =>
    onMake(options.filter(({ key }) => ticked.includes(key)).map((option) => option.make(piece.design)));
  return (
    <Dialog open onClose={onClose} aria-labelledby="vary-head">
      <form
        className={styles.vary}
        onSubmit={(event) => {
          event.preventDefault();
          if (ticked.length > 0) make();
        }}
      >
        <h2 id="vary-head">{VARY.head(letterOf(piece))}</h2>
        <Choice
          label={VARY.what}
          value={kind}
          options={(Object.keys(VARY.kinds) as Kind[]).map((one) => [one, VARY.kinds[one]] as const)}
          onChange={(to) => {
            setKind(to);
            setTicked([]);
            setText('');
          }}
        />
        {kind !== 'border' && (
          <Input
            value={text}
            autoFocus
            fullWidth
            placeholder={VARY.find}
            onChange={(event) => setText(event.target.value)}
            slotProps={{ input: { 'aria-label': VARY.find, maxLength: 60 } }}
          />
        )}
        <ul className={styles.options}>
          {found.slice(0, SHOWN).map(({ key, name, colour }) => {
            const on = ticked.includes(key);
            return (
              <li key={key}>
                <label>
                  <Checkbox
                    size="small"
                    checked={on}
                    disabled={!on && ticked.length >= room}
                    onChange={() => setTicked(on ? ticked.filter((one) => one !== key) : [...ticked, key])}
                  />
                  {colour && <i style={{ background: colour }} aria-hidden="true" />}
                  <span>{name}</span>
                </label>
              </li>
            );
          })}
          {found.length === 0 && <li className="soft">{VARY.none}</li>}
        </ul>
        <div className={styles.end}>
          <span className="soft">{VARY.room(room - ticked.length)}</span>
          <Button variant="outlined" onClick={onClose}>
            {VARY.leave}
          </Button>
          <Button type="submit" variant="contained" disabled={ticked.length === 0}>
            {VARY.make(ticked.length)}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
