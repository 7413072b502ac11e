'use client';
/** One board, glass or back: added, changed, or no longer sold. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { ShopView } from '@/contract/views';
import { BACKINGS } from '@/core/materials';
import { Choice } from '@/ui/choice';
import { Choose } from '@/ui/choose';
import { Field, Form, useCommandForm } from '@/ui/form';
import { Trouble } from '@/ui/trouble';
import { useUnit } from '@/ui/units';
import { useCommand } from '@/ui/use-command';
import { MATERIALS } from '@/words/screens/materials';
import { type AnySheet, type SheetKind, type SheetTexts, choicesOf, sheetOf, textsOf } from './sheet-values';
import styles from './materials.module.css';

interface Props {
  readonly kind: SheetKind;
  readonly sheet: AnySheet | undefined;
  readonly shop: ShopView;
  readonly onDone: () => void;
}
const YES_NO = [
  ['yes', MATERIALS.yes],
  ['no', MATERIALS.no],
] as const;

function Flag({ label, on, onChange }: { label: string; on: boolean; onChange: (on: boolean) => void }) {
  return (
    <div className={styles.flag}>
      <span>{label}</span>
      <Choice label={label} value={on ? 'yes' : 'no'} options={YES_NO} onChange={(to) => onChange(to === 'yes')} />
    </div>
  );
}

export function SheetForm({ kind, sheet, shop, onDone }: Props) {
  const { unit } = useUnit();
  const [choices, setChoices] = useState(() => choicesOf(sheet, shop.homeUnit));
  const choose = (to: Partial<typeof choices>) => setChoices({ ...choices, ...to });
  const { edition } = shop.prices;
  const of = useCommandForm<'change-sheets', SheetTexts>('change-sheets', {
    values: textsOf(sheet, unit),
    payload: (texts) => {
      const read = sheetOf(kind, texts, choices, unit, sheet);
      return 'wrong' in read ? read : { edition, put: [read.put], gone: [] };
    },
    onDone,
    fieldOf: {
      'put.0.spec.code': 'code',
      'put.0.spec.name': 'name',
      'put.0.spec.thickness': 'thickness',
      'put.0.spec.cost': 'cost',
      'put.0.spec.largest.h': 'height',
      'put.0.spec.largest': 'width',
    },
  });
  const retire = useCommand('change-sheets');
  const gone = async () => {
    if (sheet && (await retire.run({ edition, put: [], gone: [sheet.code] })).ok) onDone();
  };
  return (
    <Form
      of={of}
      className={styles.form}
      label={sheet ? MATERIALS.change(sheet.name) : MATERIALS.add(MATERIALS.one[kind])}
    >
      <h2>{sheet ? MATERIALS.change(sheet.name) : MATERIALS.add(MATERIALS.one[kind])}</h2>
      <Field name="name" label={MATERIALS.name} most={120} first />
      <Field
        name="code"
        label={MATERIALS.code}
        most={40}
        hint={MATERIALS.codeSay}
        input={{ readOnly: sheet !== undefined }}
      />
      <div className={styles.two}>
        <Field name="thickness" label={MATERIALS.thickness} most={12} />
        <Field name="colour" label={MATERIALS.colour} most={7} input={{ type: 'color' }} />
        <Field name="cost" label={MATERIALS.cost} most={12} input={{ inputMode: 'decimal' }} />
        <Choice
          label={MATERIALS.perLong}
          value={choices.per}
          options={(['sqft', 'sqm'] as const).map((code) => [code, MATERIALS.per[code]])}
          onChange={(per) => choose({ per })}
        />
        <Field name="width" label={MATERIALS.width} most={20} />
        <Field name="height" label={MATERIALS.height} most={20} />
      </div>
      <Flag label={MATERIALS.archival} on={choices.archival} onChange={(archival) => choose({ archival })} />
      {kind === 'glazing' && (
        <>
          <Choice
            label={MATERIALS.glass}
            value={choices.glass}
            options={(['glass', 'acrylic', 'none'] as const).map((code) => [code, MATERIALS.glasses[code]])}
            onChange={(glass) => choose({ glass })}
          />
          <Flag label={MATERIALS.uv} on={choices.uv} onChange={(uv) => choose({ uv })} />
          <Flag label={MATERIALS.coated} on={choices.coated} onChange={(coated) => choose({ coated })} />
        </>
      )}
      {kind === 'backing' && (
        <Choose
          label={MATERIALS.board}
          name="board"
          value={choices.board}
          options={BACKINGS.map((code) => ({ code, name: MATERIALS.boards[code] }))}
          onChange={(board) => choose({ board: board as typeof choices.board })}
        />
      )}
      <Trouble issues={retire.issues} />
      <div className={styles.ends}>
        <Button type="submit" variant="contained" disabled={of.busy || retire.busy}>
          {MATERIALS.save}
        </Button>
        <Button variant="text" onClick={onDone}>
          {MATERIALS.leave}
        </Button>
        {sheet && (
          <Button variant="outlined" disabled={of.busy || retire.busy} onClick={() => void gone()}>
            {MATERIALS.retire}
          </Button>
        )}
      </div>
    </Form>
  );
}
