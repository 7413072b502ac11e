/** The rack and its plans, as the screens see them. */
import type { MadePlanView, RackPieceView, RackView } from '@/contract/views';
import { latestPlan, madePlans, partsOfPlans, rackThere, stockLevels } from '@/db/queries/rack';
import { dayOf } from './clock';
import { cutJobs } from './cutting/needs';
import type { House } from './house';

const MOST_PLANS = 60;

export async function rackPieces(house: House): Promise<RackPieceView[]> {
  return (await rackThere(house.db)).map(({ no_go, added_at, state: _state, added_by: _by, ...one }) => ({
    ...one,
    noGo: no_go,
    addedAt: added_at.toISOString(),
  }));
}

async function plansMade(house: House): Promise<MadePlanView[]> {
  const plans = await madePlans(house.db, MOST_PLANS);
  const latest = await latestPlan(house.db);
  const parts = await partsOfPlans(
    house.db,
    plans.map((plan) => plan.id),
  );
  return plans.map(({ at, ...plan }) => {
    const mine = parts.filter((part) => part.plan_id === plan.id);
    return {
      ...plan,
      at: at.toISOString(),
      tickets: [...new Set(mine.map((part) => part.ticket))],
      parts: mine.map(({ part, spoiled }) => ({ part, spoiled: spoiled && { why: spoiled.why } })),
      undoable: plan.id === latest && !mine.some((part) => part.spoiled),
    };
  });
}

export async function rackView(house: House): Promise<RackView | undefined> {
  const books = await house.books();
  if (!books) return undefined;
  const stock = await stockLevels(house.db);
  return {
    today: dayOf(house.clock.now()),
    pieces: await rackPieces(house),
    stock: stock.map(({ material, on_hand, minimum }) => ({ material, onHand: on_hand, minimum })),
    jobs: await cutJobs(house.db),
    plans: await plansMade(house),
    lists: books.lists,
    homeUnit: books.shop.home_unit,
  };
}
