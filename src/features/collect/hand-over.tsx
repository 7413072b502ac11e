'use client';
/** Handing over: the right pieces to the right person, signed for by name; all of them, or those that are ready. */
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useState } from 'react';
import type { OrderView } from '@/contract/views';
import { type Money, formatMoney } from '@/core/units/money';
import { Field, Form, useCommandForm } from '@/ui/form';
import { HAND_OVER } from '@/words/screens/collect';
import styles from './collect.module.css';

interface Here {
  readonly id: string;
  readonly ticket: string;
  readonly state: string;
}

function HandOverForm({ order, here }: { order: OrderView; here: readonly Here[] }) {
  const [identified, setIdentified] = useState(false);
  const ready = here.filter(({ state }) => state === 'ready');
  const [left, setLeft] = useState<readonly string[]>([]);
  const going = ready.filter(({ id }) => !left.includes(id));
  const all = going.length === here.length;
  const of = useCommandForm('hand-over', {
    values: { signedBy: order.customer.name },
    payload: ({ signedBy }) => ({
      orderId: order.id,
      revision: order.revision,
      signedBy,
      identified: true,
      ...(all ? {} : { jobIds: going.map(({ id }) => id) }),
    }),
    onDone: () => setIdentified(false),
  });
  return (
    <Form of={of} className={styles.pay}>
      {here.length > 1 &&
        here.map(({ id, ticket, state }) => (
          <FormControlLabel
            key={id}
            label={state === 'ready' ? HAND_OVER.goes(ticket) : HAND_OVER.stays(ticket)}
            control={
              <Checkbox
                checked={going.some((one) => one.id === id)}
                disabled={state !== 'ready'}
                onChange={(event) => setLeft(event.target.checked ? left.filter((one) => one !== id) : [...left, id])}
              />
            }
          />
        ))}
      <FormControlLabel
        label={HAND_OVER.identified(going.length)}
        control={<Checkbox checked={identified} onChange={(event) => setIdentified(event.target.checked)} />}
      />
      {all && order.balance > 0 && (
        <p>{HAND_OVER.onAccount(formatMoney(order.balance as Money), order.terms.days ?? 0)}</p>
      )}
      <Field name="signedBy" label={HAND_OVER.signedBy} most={120} />
      <Button
        type="submit"
        variant="contained"
        disabled={of.busy || !identified || going.length === 0 || !of.form.watch('signedBy').trim()}
      >
        {all ? HAND_OVER.handOver : HAND_OVER.part(going.length)}
      </Button>
    </Form>
  );
}

export function HandOver({ order }: { order: OrderView }) {
  const here = order.jobs.flatMap(({ ticket, state }, index) =>
    state === 'handed-over' ? [] : [{ id: order.pieces[index]!.id, ticket, state }],
  );
  const waiting = here.filter((job) => job.state !== 'ready').map((job) => job.ticket);
  if (waiting.length === here.length)
    return (
      <p className="soft">{order.balance > 0 ? HAND_OVER.notPaidNotReady(waiting) : HAND_OVER.notReady(waiting)}</p>
    );
  return <HandOverForm key={here.length} order={order} here={here} />;
}
