/** The rack and its plans, as the screens see them. */
import type { MadePlanView, RackPieceView, RackView } from '@/contract/views';
import { latestPlan, madePlans, partsOfPlans, rackThere, stockLevels } from '@/db/queries/rack';
import { dayOf } from './clock';
import { cutJobs, matJobs } from './cutting/needs';
import { bare } from '@/core/agreed';
import type { BothFigures } from '@/db/queries/rack';
import type { Viewer } from './access';

const MOST_PLANS = 60;

const withoutCosts = ({ sticks, sheets }: BothFigures): BothFigures => {
  const none = { lostCents: 0, cost: 0, bound: 0, apart: 0 };
  return { sticks: { ...sticks, ...none }, sheets: { ...sheets, ...none } };
};

export async function rackPieces({ app }: Viewer): Promise<RackPieceView[]> {
  return (await rackThere(app.db)).map(({ no_go, added_at, state: _state, ...one }) => ({
    ...one,
    noGo: no_go,
    addedAt: added_at.toISOString(),
  }));
}

async function plansMade({ app, person }: Viewer): Promise<MadePlanView[]> {
  const plans = await madePlans(app.db, MOST_PLANS);
  const latest = await latestPlan(app.db);
  const parts = await partsOfPlans(
    app.db,
    plans.map((plan) => plan.id),
  );
  return plans.map(({ at, ...plan }) => {
    const mine = parts.filter((part) => part.plan_id === plan.id);
    return {
      ...plan,
      figures: person.role === 'bench' ? withoutCosts(plan.figures) : plan.figures,
      at: at.toISOString(),
      tickets: [...new Set(mine.map((part) => part.ticket))],
      parts: mine.map(({ part, spoiled }) => ({ part, spoiled: spoiled && { why: spoiled.why } })),
      undoable: plan.id === latest && !mine.some((part) => part.spoiled),
    };
  });
}

/** The rack with its plans. The bench sees no costs: its plans count material. */
export async function rackView(viewer: Viewer): Promise<RackView | undefined> {
  const { app, person } = viewer;
  const money = person.role !== 'bench';
  const books = await app.books();
  if (!books) return undefined;
  const stock = await stockLevels(app.db);
  return {
    today: dayOf(app.clock.now()),
    pieces: await rackPieces(viewer),
    stock: stock.map(({ material, on_hand, minimum, revision }) => ({ material, onHand: on_hand, minimum, revision })),
    jobs: await cutJobs(app.db, books.settings),
    mats: await matJobs(app.db, books.settings),
    plans: await plansMade(viewer),
    lists: money ? books.lists : bare(books.lists),
    homeUnit: books.shop.home_unit,
    money,
  };
}
