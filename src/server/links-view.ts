/** The links to an order, and what happened by them, for the shop. */
import type { LinksView } from '@/contract/link-views';
import { linkState } from '@/core/links/link';
import { linkEvents, linksOf } from '@/db/queries/links';
import { orderByNumber } from '@/db/queries/orders';
import type { CounterViewer } from './access';

export async function linksView({ app }: CounterViewer, number: number): Promise<LinksView | undefined> {
  const now = app.clock.now();
  return app.db.read(async (db) => {
    const order = await orderByNumber(db, number);
    if (!order) return undefined;
    return {
      links: (await linksOf(db, order.id)).map(
        ({ id, by, made_at: at, expires_at: expires, withdrawn_at: withdrawn, over }) => ({
          id,
          by,
          at: at.toISOString(),
          expires: expires.toISOString(),
          state: linkState({ expires, withdrawn, over }, now),
        }),
      ),
      events: (await linkEvents(db, order.id)).map(({ link_id: linkId, at, ...event }) => ({
        ...event,
        linkId,
        at: at.toISOString(),
      })),
    };
  });
}
