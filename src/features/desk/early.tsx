'use client';
/** A day that is promised and cannot be kept, with the first that can; chosen by a click. */
import Button from '@mui/material/Button';
import type { ShopView } from '@/contract/views';
import { earliest } from '@/core/schedule/earliest';
import type { WorkedOut } from '@/core/work-out';
import { Note } from '@/ui/trouble';
import { dayName } from '@/words/materials';
import { EARLY } from '@/words/screens/early';

interface Props {
  readonly promised: string;
  readonly worked: readonly (WorkedOut | undefined)[];
  readonly shop: Pick<ShopView, 'calendar' | 'waits' | 'now'>;
  readonly onPromise: (day: string) => void;
}
export function Early({ promised, worked, shop: { calendar, waits, now }, onPromise }: Props) {
  const pieces = worked.flatMap((one) => {
    if (!one) return [];
    const steps = one.route
      .filter(({ step }) => step !== 'hand-over')
      .map((step) => ({ minutes: step.minutes, wait: step.waits ? waits[step.waits] : 0 }));
    const away = Math.max(0, ...(one.resolved.design.extras ?? []).map(({ outside }) => outside?.days ?? 0));
    return [{ steps, away }];
  });
  const first = earliest(calendar, now, pieces);
  if (!first || promised >= first.day) return null;
  const days = Math.max(0, ...pieces.map(({ away }) => away));
  return (
    <Note tone="warn">
      {first.binds === 'away' ? EARLY.away(days, dayName(first.day)) : EARLY.work(dayName(first.day))}{' '}
      <Button variant="text" size="small" onClick={() => onPromise(first.day)}>
        {EARLY.promise(dayName(first.day))}
      </Button>
    </Note>
  );
}
