import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { ClosedPage } from '@/features/link/closed-page';
import { OfferPage } from '@/features/link/offer-page';
import { caller } from '@/server/access';
import { appContext } from '@/server/compose';
import { offerView } from '@/server/guest-view';
import { guestOf } from '@/server/guests';
import { isSaid } from '@/words/screens/link';
import { TITLES } from '@/words/screens/titles';

export const metadata: Metadata = { title: TITLES.link, robots: { index: false, follow: false } };

/** What cannot be found is told where it needs no script: a page of ours that is missing is drawn by the browser. */
const NO_LINK = '/link/none';

type Asked = Readonly<Record<string, string | readonly string[] | undefined>>;
const one = (asked: Asked, key: string): string => (typeof asked[key] === 'string' ? asked[key] : '');

export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ token: string }>;
  searchParams: Promise<Asked>;
}) {
  const [{ token }, asked] = [await params, await searchParams];
  const app = await appContext();
  const guest = await guestOf(app, token, (await caller()).address);
  // Whoever had a link that ended is told whom to ask; whoever guesses is told nothing of the shop.
  if (guest === 'unknown' || guest === 'too-many') redirect(NO_LINK);
  if (typeof guest === 'string') return <ClosedPage why={guest} contact={(await app.shopSettings()).contact} />;
  const unit = one(asked, 'unit');
  const view = await offerView(guest, unit === 'in' || unit === 'mm' ? unit : undefined);
  if (!view) redirect(NO_LINK);
  const said = one(asked, 'said');
  return (
    <OfferPage
      view={view}
      token={token}
      said={isSaid(said) ? said : undefined}
      name={one(asked, 'name')}
      question={one(asked, 'question')}
    />
  );
}
