'use client';
/** What stands at the desk for an order that has a number: whoever opens one of the two is not sent the other. */
import dynamic from 'next/dynamic';

export const AgreedOrder = dynamic(() => import('./agreed').then((file) => file.AgreedOrder), { loading: () => null });
export const DeskScreen = dynamic(() => import('./desk').then((file) => file.DeskScreen), { loading: () => null });
