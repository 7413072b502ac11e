'use client';
/** Agreeing: the total, the deposit, and a reason for every warning that is accepted. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { useRouter } from 'next/navigation';
import { issue } from '@/core/issue';
import { Cash } from '@/ui/figures';
import { Form, useCommandForm } from '@/ui/form';
import { useUnit } from '@/ui/units';
import { sayCaution } from '@/words/issues/say-caution';
import { DESK } from '@/words/screens/desk';
import { ACCEPT } from '@/words/screens/desk-later';
import styles from './desk.module.css';
import { ReasonField } from './reason-field';
import type { Desk } from './use-desk';

/** Every warning of the order, under the key that its reason is kept by; a field's name holds no dots. */
const warningsOf = ({ shown, draft }: Desk) =>
  shown.flatMap(({ worked }, index) =>
    (worked?.cautions ?? [])
      .filter((caution) => caution.level === 'warn')
      .map((caution) => ({ key: `${draft.pieces[index]!.id}:${caution.code}`, index, caution })),
  );

export function AcceptDialog({ desk, onClose }: { desk: Desk; onClose: () => void }) {
  const { unit } = useUnit();
  const router = useRouter();
  const warnings = warningsOf(desk);
  const total = desk.price?.total ?? 0;
  const of = useCommandForm<'accept-order', Record<string, string>, { number: number }>('accept-order', {
    values: Object.fromEntries(warnings.map(({ key }) => [key, ''])),
    payload: async (reasons) => {
      const saved = desk.dirty || desk.base === null ? await desk.save() : { number: 0, revision: desk.base };
      if (!saved) return { wrong: [issue('not-saved')] };
      return { orderId: desk.draft.orderId, revision: saved.revision, total, reasons };
    },
    onDone: ({ number }) => {
      desk.forget();
      router.push(`/collect/${number}`);
    },
  });
  const reasons = of.form.watch();
  return (
    <Dialog open onClose={onClose} aria-labelledby="accept-head">
      <Form of={of} className={styles.dialogFields}>
        <h2 id="accept-head" className={styles.dialogHead}>
          {ACCEPT.agrees(desk.draft.customer?.name ?? '')}
        </h2>
        <dl className={styles.agree}>
          <div>
            <dt>{ACCEPT.total}</dt>
            <dd>
              <Cash value={total} />
            </dd>
          </div>
          <div>
            <dt>{ACCEPT.deposit}</dt>
            <dd>
              <Cash value={desk.price?.deposit ?? 0} />
            </dd>
          </div>
        </dl>
        {warnings.map(({ key, index, caution }, place) => (
          <ReasonField
            key={key}
            name={key}
            first={place === 0}
            text={`${desk.draft.pieces.length > 1 ? `${DESK.piece(index + 1)}. ` : ''}${sayCaution(caution.code, caution.figures, unit)}`}
          />
        ))}
        <div className={styles.dialogEnd}>
          <Button variant="outlined" onClick={onClose}>
            {ACCEPT.notYet}
          </Button>
          <Button
            type="submit"
            variant="contained"
            autoFocus={warnings.length === 0}
            disabled={of.busy || desk.busy || warnings.some(({ key }) => !reasons[key]?.trim())}
          >
            {ACCEPT.accept}
          </Button>
        </div>
      </Form>
    </Dialog>
  );
}
