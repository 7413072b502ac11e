/** Screens that face the customer: what was put on each, and telling them that it changed. Kept in mind only. */
import type { PutOn, ScreenView } from '@/contract/shown-view';
import { type Issue, issue } from '@/core/issue';
import { listStaff } from '@/db/queries/staff';
import type { CounterViewer, ScreenViewer } from './access';
import type { AppContext, Shown } from './app-context';
import type { ChangeEvent } from './live';

/** Longer than this without a change at the desk, an order is not left for whoever comes next to read. */
export const SHOWN_FOR = 20 * 60_000;
const touchOf = (screen: string) => `shown:${screen}`;

/** What is on a screen now. */
export function shownOn(app: AppContext, screen: string): Shown | undefined {
  const shown = app.mind.shown.get(screen);
  if (!shown || app.clock.now().getTime() - shown.at <= SHOWN_FOR) return shown;
  app.mind.shown.delete(screen);
  return undefined;
}

/** Tells the screens that what they show was changed, and that somebody is there. */
export function tellScreens(app: AppContext, which: (shown: Shown) => boolean): void {
  for (const [screen, shown] of app.mind.shown) {
    if (!which(shown)) continue;
    app.mind.shown.set(screen, { ...shown, at: app.clock.now().getTime() });
    app.bus.publish({ what: 'shown', touched: [touchOf(screen)] });
  }
}

/** The screen that somebody names; `mine` is their own. Undefined where it is none, or not for them. */
export async function screenOf({ app, person }: ScreenViewer, named: string) {
  if (named === 'mine' || named === person.id) return person.id;
  if (person.role === 'view') return undefined;
  return (await listStaff(app.db)).find(({ id, role, active }) => id === named && role === 'view' && active)?.id;
}

/** Puts the order of this person's desk on a screen, or takes it off. */
export async function putOn(viewer: CounterViewer, named: string, what: PutOn): Promise<readonly Issue[]> {
  const { app, person } = viewer;
  const { order, piece } = what;
  const screen = await screenOf(viewer, named);
  if (screen === undefined) return [issue('screen-unknown')];
  const now = app.mind.shown.get(screen);
  if (piece !== null) app.mind.shown.set(screen, { order, piece, by: person.id, at: app.clock.now().getTime() });
  // What was put on meanwhile, by somebody else or from another desk, stays.
  else if (now?.by === person.id && now.order === order) app.mind.shown.delete(screen);
  app.bus.publish({ what: 'shown', touched: [touchOf(screen)] });
  return [];
}

export async function screensView({ app }: CounterViewer): Promise<ScreenView[]> {
  const people = await listStaff(app.db);
  const nameOf = (id: string | undefined) => people.find((one) => one.id === id)?.name ?? null;
  return people
    .filter(({ role, active }) => role === 'view' && active)
    .map(({ id, name }) => ({ id, name, by: nameOf(shownOn(app, id)?.by) }));
}

/** Of what happened, what a screen hears: that its own order was changed. Nothing else of the shop is told to it. */
export function heardBy(app: AppContext, screen: string, { touched }: ChangeEvent): ChangeEvent | undefined {
  const shown = app.mind.shown.get(screen);
  const own = touched.includes(touchOf(screen)) || (shown !== undefined && touched.includes(`order:${shown.order}`));
  return own ? { what: 'shown', touched: [touchOf(screen)] } : undefined;
}
