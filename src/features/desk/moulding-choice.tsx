'use client';
/** Choosing a moulding: search by name, code, finish or width; each with its profile and colour. Arrows and Enter choose. */
import ButtonBase from '@mui/material/ButtonBase';
import Input from '@mui/material/Input';
import { memo, useMemo, useState } from 'react';
import type { ShopView } from '@/contract/views';
import type { Moulding } from '@/core/materials';
import { moneyFrom } from '@/core/units/money';
import { mul, mustDecimal } from '@/core/units/rational';
import { Cash, Len } from '@/ui/figures';
import { ProfileMark } from '@/ui/profile-mark';
import { focusNext } from '@/ui/length-field';
import styles from './desk.module.css';
import { useHydrated } from '@/ui/use-hydrated';
import { MOULDINGS } from '@/words/screens/desk-sections';

const SHOWN = 60;

const matches = (moulding: Moulding, words: readonly string[]) => {
  const text =
    `${moulding.code} ${moulding.name} ${moulding.finish} ${moulding.supplier} ${moulding.profile}`.toLowerCase();
  return words.every((word) => text.includes(word));
};

export const MouldingChoice = memo(function MouldingChoice({
  shop,
  chosen,
  onChoose,
}: {
  shop: ShopView;
  chosen: string;
  onChoose: (code: string) => void;
}) {
  const [text, setText] = useState('');
  const mouldings = useMemo(() => {
    const words = text.toLowerCase().split(/\s+/).filter(Boolean);
    return shop.lists.mouldings.filter((moulding) => matches(moulding, words));
  }, [shop.lists.mouldings, text]);
  const sold = (moulding: Moulding) =>
    moneyFrom(mul(mustDecimal(moulding.cost?.amount ?? '0'), mustDecimal(shop.prices.groups.moulding.markup)));
  const shownIndex = mouldings.slice(0, SHOWN).findIndex((moulding) => moulding.code === chosen);
  const move = (by: number) => {
    const index = mouldings.findIndex((moulding) => moulding.code === chosen);
    const next = mouldings[Math.max(0, Math.min(mouldings.length - 1, index + by))];
    if (next) onChoose(next.code);
  };
  return (
    <div className={styles.mouldings}>
      <Input
        fullWidth
        type="search"
        value={text}
        readOnly={!useHydrated()}
        placeholder={MOULDINGS.searchMouldings(shop.lists.mouldings.length)}
        slotProps={{
          input: {
            'aria-label': MOULDINGS.searchMouldings2,
            role: 'combobox',
            'aria-controls': 'mouldings',
            'aria-expanded': true,
            'aria-autocomplete': 'list',
            ...(shownIndex >= 0 ? { 'aria-activedescendant': `moulding-${chosen}` } : {}),
          },
        }}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown') move(1);
          else if (event.key === 'ArrowUp') move(-1);
          else if (event.key === 'Enter') {
            if (mouldings[0] && !mouldings.some((moulding) => moulding.code === chosen)) onChoose(mouldings[0].code);
            focusNext(event.target as HTMLElement);
          } else return;
          event.preventDefault();
        }}
      />
      <ul role="listbox" id="mouldings" aria-label={MOULDINGS.mouldings}>
        {mouldings.slice(0, SHOWN).map((one) => (
          <ButtonBase
            key={one.code}
            component="li"
            role="option"
            id={`moulding-${one.code}`}
            tabIndex={-1}
            aria-selected={one.code === chosen}
            onClick={() => onChoose(one.code)}
          >
            <ProfileMark moulding={one} />
            <span>
              {one.name}
              <span className={styles.says}>
                {one.code} · <Len value={one.faceWidth} /> {MOULDINGS.wide}
              </span>
            </span>
            <span className={styles.rate}>
              <Cash value={sold(one)} />
              <span className="unit">{one.cost?.per}</span>
            </span>
          </ButtonBase>
        ))}
      </ul>
      {mouldings.length > SHOWN && <p className={styles.aside}>{MOULDINGS.moreTypeAWord(mouldings.length - SHOWN)}</p>}
      {mouldings.length === 0 && (
        <p className={styles.aside}>
          {shop.lists.mouldings.length === 0 ? MOULDINGS.thePriceListIs : MOULDINGS.noMouldingHasThese}
        </p>
      )}
    </div>
  );
});
