import type { Metadata } from 'next';
import { PaymentPage } from '@/features/link/payment-page';
import { appContext } from '@/server/compose';
import { PAY_PAGE } from '@/words/screens/link';

export const metadata: Metadata = { title: PAY_PAGE.title, robots: { index: false, follow: false } };

export default async function Page({ params }: { params: Promise<{ reference: string }> }) {
  const { reference } = await params;
  const { paymentPage } = await appContext();
  const settled = (await paymentPage.found(reference)) !== undefined;
  return <PaymentPage reference={reference} asked={paymentPage.asked(reference)} settled={settled} />;
}
