import { openRoute } from '@/server/access';
import { settleCard } from '@/server/card';
import { readText } from '@/server/http';

/**
 * What the customer does at the page that stands in for a payment provider. What became of it is then asked of the
 * stand-in, as of a real one; nothing here is believed.
 */
export const POST = openRoute(
  'POST /api/pay/[reference]',
  async (request, app, _person, { reference = '' }) => {
    const asked = app.paymentPage.asked(reference);
    if (!asked)
      return new Response(null, { status: 303, headers: { location: `/pay/${encodeURIComponent(reference)}` } });
    const act = new URLSearchParams((await readText(request, 1000)) ?? '').get('act');
    const answer = app.paymentPage.answer(reference, act === 'pay' ? 'approved' : 'declined');
    await settleCard({ app, person: undefined, session: undefined }, reference);
    const location = answer === 'approved' ? asked.back : `${asked.back}?said=not-paid`;
    return new Response(null, { status: 303, headers: { location } });
  },
  'form',
);
