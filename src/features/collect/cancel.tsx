'use client';
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { OrderView } from '@/contract/views';
import { CANCEL } from '@/words/screens/collect';

const CancelForm = dynamic(() => import('./cancel-form').then((file) => file.CancelForm));

/** An order that is not handed over can be cancelled, with its reason. */
export function Cancel({ order }: { order: OrderView }) {
  const [asking, setAsking] = useState(false);
  if (order.state !== 'accepted' && order.state !== 'quoted') return null;
  return asking ? (
    <CancelForm order={order} onDone={() => setAsking(false)} />
  ) : (
    <Button variant="text" onClick={() => setAsking(true)}>
      {CANCEL.cancel}
    </Button>
  );
}
