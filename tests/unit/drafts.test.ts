/** What a person types at the desk is kept for them alone, the newer before the older. */
import { beforeEach, describe, expect, it } from 'vitest';
import { draftSchema } from '@/contract/drafts';
import { newDraft } from '@/features/desk/draft';
import { keepDraftOf, keptDraft } from '@/server/drafts';
import type { CounterViewer } from '@/server/access';
import { type TestApp, openApp } from '../app';
import { shopView } from '../shop';

let app: TestApp;
let viewer: CounterViewer;
const draft = (title: string) => {
  const fresh = newDraft(shopView, '2031-05-05');
  const [piece] = fresh.pieces;
  const design = { ...piece!.design, piece: { ...piece!.design.piece, title } };
  return { ...fresh, pieces: [{ ...piece!, design }] } as never;
};
const keep = (version: number, title: string, order = 'new') =>
  keepDraftOf(viewer, order, { version, base: null, draft: draft(title) });
const titleOf = async (of = viewer, order = 'new') => (await keptDraft(of, order))?.draft.pieces[0]?.design.piece.title;

beforeEach(async () => {
  app = await openApp();
  await app.setUp();
  viewer = app.viewer() as CounterViewer;
});

describe('a draft', () => {
  it('is what was typed last; an older version that comes late changes nothing', async () => {
    expect(await keptDraft(viewer, 'new')).toBeNull();
    await keep(3, 'three');
    await keep(2, 'two');
    expect([await titleOf(), (await keptDraft(viewer, 'new'))?.version]).toEqual(['three', 3]);
    await keep(4, 'four');
    expect(await titleOf()).toBe('four');
  });

  it('is kept order by order, and seen by nobody else', async () => {
    await keep(1, 'mine');
    const order = 'b3f0a1de-3c53-4f0e-9d7d-3a4c0f6f2b11';
    await keep(1, 'of an order', order);
    expect([await titleOf(), await titleOf(viewer, order)]).toEqual(['mine', 'of an order']);
    await app.command('add-staff', {
      id: 'a3f0a1de-3c53-4f0e-9d7d-3a4c0f6f2b22',
      name: 'Bo',
      pin: '8642',
      role: 'counter',
    });
    const other = app.as({ ...app.owner, id: 'a3f0a1de-3c53-4f0e-9d7d-3a4c0f6f2b22', name: 'Bo', role: 'counter' });
    expect(await titleOf(other.viewer('counter') as CounterViewer)).toBeUndefined();
  });

  it('is gone when it is dropped, and when nobody went on with it for sixty days', async () => {
    await keep(1, 'first');
    await keepDraftOf(viewer, 'new', { version: 2, base: null, draft: null });
    expect(await keptDraft(viewer, 'new')).toBeNull();
    await keep(1, 'old');
    app.clock.at = new Date(app.clock.at.getTime() + 61 * 86_400_000);
    await keep(1, 'another', 'b3f0a1de-3c53-4f0e-9d7d-3a4c0f6f2b11');
    expect(await keptDraft(viewer, 'new')).toBeNull();
  });

  it('of a shape this program does not know is not shown', async () => {
    await app.db.transaction((tx) =>
      tx.query(
        "INSERT INTO desk_draft (staff_id, order_key, version, at, base, draft) VALUES ($1, 'new', 1, now(), NULL, $2)",
        [app.owner.id, JSON.stringify({ pieces: 'none' })],
      ),
    );
    expect(await keptDraft(viewer, 'new')).toBeNull();
    const wrong = draftSchema.safeParse({ ...(draft('x') as object), pieces: [] });
    expect(wrong.success).toBe(false);
  });
});
