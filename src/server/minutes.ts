/** What the shop does by itself, each minute: ends what is over, and backs up at night. */
import { isUnavailable } from '@/db/client';
import { allPhotos } from '@/db/queries/records';
import type { AppContext } from './app-context';
import { settleOpenAtPage } from './card';
import { dayOf, daysAfter } from './clock';
import { logSecurity } from './security-log';
import { endWhatIsOver } from './sessions';
import { sayIssue } from '@/words/issues';

const MINUTE = 60_000;

/** A photo that was sent and never used is kept so many days: somebody may still be at it. */
const UNUSED_DAYS = 7;
async function sweepPhotos({ db, clock, photos, mind }: AppContext): Promise<void> {
  const today = dayOf(clock.now());
  if (mind.swept === today) return;
  mind.swept = today;
  await photos.sweep(await allPhotos(db), daysAfter(clock.now(), -UNUSED_DAYS));
}

export async function everyMinute(app: AppContext): Promise<void> {
  await endWhatIsOver(app);
  await settleOpenAtPage(app);
  await sweepPhotos(app);
  // The demo's data is made up, and made anew when it is gone.
  const made = app.demo ? undefined : await app.backUps?.nightly(await app.shopSettings());
  if (made?.ok) {
    await logSecurity(app, { what: 'back-up made', address: 'local', detail: { file: made.value.name } });
    // Nothing else tells the database how its tables have grown.
    await app.db.transaction((tx) => tx.query('ANALYZE'));
  } else if (made) {
    const why = made.issues.map((one) => sayIssue(one, 'in')).join(' ');
    console.error(`The nightly back-up was not made. ${why}`);
    await logSecurity(app, { what: 'back-up failed', address: 'local', detail: { why } });
  }
}

export function runEachMinute(app: AppContext): void {
  const timer = setInterval(() => {
    everyMinute(app).catch((error: unknown) => {
      if (!isUnavailable(error)) console.error('what is done each minute failed', error);
    });
  }, MINUTE);
  timer.unref();
}
