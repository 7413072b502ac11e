'use client';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Unit } from '@/core/units/length';
import { Brand } from '@/ui/brand';
import { Choice } from '@/ui/choice';
import { Field, Form, useCommandForm } from '@/ui/form';
import { post } from '@/ui/send';
import { SET_UP } from '@/words/screens/door';
import styles from './sign-in.module.css';

const EMPTY = { shop: '', owner: '', pin: '', code: '', percent: '' };
const MODES = ['exclusive', 'inclusive'] as const;
const UNITS: readonly Unit[] = ['in', 'mm'];

/** The first visit: the shop's name, its owner, and the unit it thinks in. */
export function SetUp() {
  const [homeUnit, setHomeUnit] = useState<Unit>('in');
  const [mode, setMode] = useState<(typeof MODES)[number]>('exclusive');
  const of = useCommandForm('set-up-shop', {
    values: EMPTY,
    payload: ({ percent, ...values }) => ({
      ...values,
      homeUnit,
      tax: { mode, percent: percent.trim().replace(',', '.') },
    }),
    fieldOf: { 'tax.percent': 'percent' },
    onDone: (_result, { owner, pin }) =>
      void post('/api/session', { name: owner, pin }).then(() => window.location.assign('/books')),
  });
  const { shop, owner, pin, code, percent } = of.form.watch();
  const complete = shop.trim() && owner.trim() && code.trim() && percent.trim() && /^\d{4,8}$/.test(pin);
  return (
    <main className={styles.page}>
      <Form of={of} className={styles.form}>
        <div className={styles.brand}>
          <Brand size={36} />
          <h1>{SET_UP.head}</h1>
        </div>
        <Field name="shop" label={SET_UP.shop} most={80} first />
        <Field name="owner" label={SET_UP.owner} most={60} />
        <Field
          name="pin"
          label={SET_UP.pin}
          type="password"
          most={8}
          input={{ inputMode: 'numeric', autoComplete: 'new-password' }}
        />
        <Field name="code" label={SET_UP.code} most={40} />
        <div>
          <p className="soft">{SET_UP.unit}</p>
          <Choice
            label={SET_UP.unit}
            value={homeUnit}
            options={UNITS.map((unit) => [unit, SET_UP.units[unit]] as const)}
            onChange={setHomeUnit}
          />
        </div>
        <div>
          <p className="soft">{SET_UP.tax}</p>
          <Choice
            label={SET_UP.tax}
            value={mode}
            options={MODES.map((code) => [code, SET_UP.modes[code]] as const)}
            onChange={setMode}
          />
        </div>
        <Field
          name="percent"
          label={SET_UP.percent}
          hint={SET_UP.percentSay}
          most={10}
          input={{ inputMode: 'decimal' }}
        />
        <Button type="submit" variant="contained" fullWidth disabled={of.busy || !complete}>
          {SET_UP.setUp}
        </Button>
      </Form>
    </main>
  );
}
