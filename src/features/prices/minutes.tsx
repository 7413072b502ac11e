'use client';
/** Planned minutes of each step: at least, for larger pieces, for each mat more. What is priced and scheduled by. */
import { STEP_RULES } from '@/core/route/steps';
import { Field } from '@/ui/form';
import { stepName } from '@/words/bench';
import { PRICES } from '@/words/screens/prices';
import { PRICES_ASKED } from '@/words/screens/prices-asked';
import { MINUTE_KINDS, TIMED_STEPS, minutesField } from './minutes-values';
import styles from './prices.module.css';

export function Minutes() {
  return (
    <section className={styles.minutes} aria-label={PRICES.minutes}>
      <h2>{PRICES.minutes}</h2>
      <p className="soft">{PRICES_ASKED.minutesSay}</p>
      <div role="table" aria-label={PRICES.minutes}>
        <div role="row">
          <span role="columnheader">{PRICES_ASKED.step}</span>
          {MINUTE_KINDS.map((kind) => (
            <span key={kind} role="columnheader">
              {PRICES_ASKED.minuteKinds[kind]}
            </span>
          ))}
        </div>
        {TIMED_STEPS.map((step) => (
          <div key={step} role="row">
            <span role="rowheader">
              {stepName(step)} <small>{PRICES_ASKED.usually(STEP_RULES[step].minutes.base)}</small>
            </span>
            {MINUTE_KINDS.map((kind) => (
              <div key={kind} role="cell">
                <Field
                  name={minutesField(step, kind)}
                  label={PRICES_ASKED.minutesOf(stepName(step), PRICES_ASKED.minuteKinds[kind])}
                  hidesLabel
                  most={3}
                  input={{ inputMode: 'numeric' }}
                />
              </div>
            ))}
          </div>
        ))}
      </div>
    </section>
  );
}
