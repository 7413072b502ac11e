/** What the shop does by itself, each minute: ends what is over, and backs up at night. */
import { isUnavailable } from '@/db/client';
import type { House } from './house';
import { logSecurity } from './security-log';
import { endWhatIsOver } from './sessions';
import { sayIssue } from '@/words/issues';

const MINUTE = 60_000;

export async function everyMinute(of: House): Promise<void> {
  await endWhatIsOver(of);
  // The demo's data is made up, and made anew when it is gone.
  const made = of.demo ? undefined : await of.backUps?.nightly(await of.shopSettings());
  if (made?.ok) await logSecurity(of, { what: 'back-up made', address: 'local', detail: { file: made.value.name } });
  else if (made) {
    const why = made.issues.map((one) => sayIssue(one, 'in')).join(' ');
    console.error(`The nightly back-up was not made. ${why}`);
    await logSecurity(of, { what: 'back-up failed', address: 'local', detail: { why } });
  }
}

export function runEachMinute(of: House): void {
  const timer = setInterval(() => {
    everyMinute(of).catch((error: unknown) => {
      if (!isUnavailable(error)) console.error('what is done each minute failed', error);
    });
  }, MINUTE);
  timer.unref();
}
