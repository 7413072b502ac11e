/** Where the plans have the parts of a job, and what of it was spoiled. */
import type { JobView, PlannedPartView } from '@/contract/views';
import type { StepKey } from '@/core/route/steps';
import type { Queries } from '@/db/client';
import { type WholePlanRow, partsOfTickets, planById } from '@/db/queries/rack';

const PANES = /^(glazing|pane|mirror)\b/;
const MATS = /^(mat|hidden spacer)\b/;
const LEGS = /\b(top|bottom|left|right)$/;
/** A part is called by its ticket and what it is; a leg ends with its side. */
export function stepOf(part: string, ticket: string): StepKey {
  const what = part.slice(ticket.length + 1);
  if (LEGS.test(what)) return 'cut-legs';
  return MATS.test(what) ? 'cut-mats' : PANES.test(what) ? 'cut-glazing' : 'cut-backing';
}

function placesIn({ number, plan }: WholePlanRow, ticket: string): PlannedPartView[] {
  const legs = plan.sticks.bars.flatMap((bar) =>
    bar.pieces.map(({ leg }, index) => ({
      part: leg,
      step: 'cut-legs' as const,
      plan: number,
      source: bar.source,
      material: bar.profile,
      piece: index + 1,
      of: bar.pieces.length,
    })),
  );
  const parts = plan.sheets.sheets.flatMap((sheet) =>
    sheet.parts.map(({ part }, index) => ({
      part,
      step: stepOf(part, ticket),
      plan: number,
      source: sheet.source,
      material: sheet.material,
      piece: index + 1,
      of: sheet.parts.length,
    })),
  );
  return [...legs, ...parts];
}

export async function plannedOf(db: Queries, ticket: string): Promise<Pick<JobView, 'planned' | 'spoiled'>> {
  const parts = await partsOfTickets(db, [ticket]);
  const active = parts.filter((part) => part.active);
  const planned: PlannedPartView[] = [];
  for (const id of new Set(active.map((part) => part.plan_id))) {
    const mine = new Set(active.filter((part) => part.plan_id === id).map((part) => part.part));
    const plan = await planById(db, id);
    if (plan) planned.push(...placesIn(plan, ticket).filter((place) => mine.has(place.part)));
  }
  const spoiled = parts.flatMap((part) =>
    part.spoiled && !active.some((again) => again.part === part.part)
      ? [{ part: part.part, why: part.spoiled.why }]
      : [],
  );
  return { planned, spoiled };
}
