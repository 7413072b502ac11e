'use client';
/** What stands at the desk for an order that has a number: whoever opens one of the two is not sent the other. */
import dynamic from 'next/dynamic';
import { patient } from '@/ui/patient';

export const AgreedOrder = dynamic(() => patient(() => import('./agreed')).then((file) => file.AgreedOrder), {
  loading: () => null,
});
export const DeskScreen = dynamic(() => patient(() => import('./desk')).then((file) => file.DeskScreen), {
  loading: () => null,
});
