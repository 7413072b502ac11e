'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { OrderView } from '@/contract/views';
import { CANCEL } from '@/words/screens/collect';
import { patient } from '@/ui/patient';

const ReasonForm = dynamic(
  () => patient(() => import('./reason-form')).then((file) => file.ReasonForm<'cancel-order'>),
  {
    loading: () => null,
  },
);
const CancelPaid = dynamic(() => patient(() => import('./cancel-paid')).then((file) => file.CancelPaid), {
  loading: () => null,
});

/** An order that is not handed over can be cancelled, with its reason; where money came, with what of it is kept. */
export function Cancel({ order }: { order: OrderView }) {
  const [asking, setAsking] = useState(false);
  if (order.state !== 'accepted' && order.state !== 'quoted') return null;
  if (!asking)
    return (
      <Button variant="text" onClick={() => setAsking(true)}>
        {CANCEL.cancel}
      </Button>
    );
  return order.paid > 0 ? (
    <CancelPaid order={order} onClose={() => setAsking(false)} />
  ) : (
    <ReasonForm
      command="cancel-order"
      payload={(reason) => ({ orderId: order.id, revision: order.revision, reason })}
      why={CANCEL.why}
      act={CANCEL.cancelIt}
      onDone={() => setAsking(false)}
    />
  );
}
