'use client';
/** Where pieces lie, from which value on they are signed for and locked away, and what the papers for customers say. */
import { Field } from '@/ui/form';
import { CUSTODY } from '@/words/screens/settings-custody';
import styles from './settings.module.css';

export function Custody() {
  return (
    <>
      <div className={styles.row}>
        <Field
          name="valueLimit"
          label={CUSTODY.valueLimit}
          hint={CUSTODY.valueLimitSay}
          most={10}
          input={{ inputMode: 'numeric' }}
        />
      </div>
      <Field name="places" label={CUSTODY.places} rows={4} most={12_000} />
      <Field name="lockedPlaces" label={CUSTODY.lockedPlaces} rows={2} most={3000} />
      <Field name="contact" label={CUSTODY.contact} hint={CUSTODY.contactSay} rows={3} most={300} />
      <Field name="quoteTerms" label={CUSTODY.quoteTerms} hint={CUSTODY.quoteTermsSay} rows={4} most={3000} />
      <Field name="pieceTerms" label={CUSTODY.terms} hint={CUSTODY.termsSay} rows={4} most={3000} />
    </>
  );
}
