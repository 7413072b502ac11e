'use client';
/** A warning that is accepted, and why. */
import { FractionText } from '@/ui/figures';
import { Field } from '@/ui/form';
import { ACCEPT } from '@/words/screens/desk-later';
import styles from './desk.module.css';

const LONGEST = 300;

/** `name`: the key that the reason is kept by, as a field of the form round it. */
export function ReasonField({ name, text, first }: { name: string; text: string; first: boolean }) {
  return (
    <Field
      name={name}
      most={LONGEST}
      first={first}
      label={
        <>
          <span className={styles.warning}>
            <FractionText text={text} />
          </span>
          {ACCEPT.why}
        </>
      }
    />
  );
}
