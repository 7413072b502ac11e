/** Drafts of the desk, each seen and kept only by the person who types it. */
import type { z } from 'zod';
import { draftSchema, type keptDraftSchema } from '@/contract/drafts';
import type { KeptDraftView } from '@/contract/views';
import { draftOf, dropDraft, dropDraftsBefore, keepDraft } from '@/db/queries/drafts';
import type { CounterViewer } from './access';
import type { AppContext } from './app-context';
import { tellScreens } from './screens';

const DAYS_KEPT = 60;
const DAY = 86_400_000;

export const keptDraft = ({ app, person }: CounterViewer, order: string): Promise<KeptDraftView | null> =>
  keptBy(app, person.id, order);

/** What somebody typed of an order and has not saved. */
export async function keptBy(app: AppContext, staffId: string, order: string): Promise<KeptDraftView | null> {
  const row = await draftOf(app.db, staffId, order);
  // What an older program kept and this one cannot read is not shown; the browser may still have it.
  const read = row && draftSchema.safeParse(row.draft);
  return row && read?.success ? { version: row.version, base: row.base, draft: read.data as never } : null;
}

export async function keepDraftOf(
  { app, person }: CounterViewer,
  order: string,
  { version, base, draft }: z.output<typeof keptDraftSchema>,
): Promise<void> {
  const now = app.clock.now();
  await app.db.transaction(async (tx) => {
    if (draft === null) await dropDraft(tx, person.id, order);
    else await keepDraft(tx, person.id, order, { version, base, draft }, now);
    await dropDraftsBefore(tx, person.id, new Date(now.getTime() - DAYS_KEPT * DAY));
  });
  tellScreens(app, (shown) => shown.by === person.id && shown.order === order);
}
