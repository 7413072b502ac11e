'use client';
/** Agreeing: the total, the deposit, and a reason for every warning that is accepted. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import Input from '@mui/material/Input';
import { useRouter } from 'next/navigation';
import { type FormEvent, useState } from 'react';
import { type Issue, issue } from '@/core/issue';
import { Cash, FractionText } from '@/ui/figures';
import { send } from '@/ui/send';
import { Trouble } from '@/ui/trouble';
import { useUnit } from '@/ui/units';
import { sayCaution } from '@/words/issues';
import styles from './desk.module.css';
import type { Desk } from './use-desk';

export function AcceptDialog({ desk, onClose }: { desk: Desk; onClose: () => void }) {
  const { unit } = useUnit();
  const router = useRouter();
  const [id] = useState(() => crypto.randomUUID());
  const [reasons, setReasons] = useState<Record<string, string>>({});
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [busy, setBusy] = useState(false);
  const warnings = desk.shown.flatMap((shown, index) =>
    (shown.worked?.cautions ?? [])
      .filter((caution) => caution.level === 'warn')
      .map((caution) => ({ key: `${desk.draft.pieces[index]!.id}:${caution.code}`, index, caution })),
  );
  const total = desk.price?.total ?? 0;
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    if (busy) return;
    setBusy(true);
    const saved = desk.dirty || desk.base === null ? await desk.save() : { number: 0, revision: desk.base };
    if (!saved) {
      setBusy(false);
      return setIssues([issue('not-saved')]);
    }
    const answer = await send<{ number: number }>(
      'accept-order',
      { orderId: desk.draft.orderId, revision: saved.revision, total, reasons },
      id,
    );
    if (answer.ok) {
      desk.forget();
      router.push(`/collect/${answer.value.number}`);
      return;
    }
    setBusy(false);
    setIssues(answer.issues);
  };
  return (
    <Dialog open onClose={onClose} aria-label="Accept the order">
      <form onSubmit={(event) => void submit(event)} className={styles.dialogFields}>
        <h2 className={styles.dialogHead}>{desk.draft.customer?.name} agrees</h2>
        <dl className={styles.agree}>
          <div>
            <dt>Order with tax</dt>
            <dd>
              <Cash value={total} />
            </dd>
          </div>
          <div>
            <dt>Deposit to take next</dt>
            <dd>
              <Cash value={desk.price?.deposit ?? 0} />
            </dd>
          </div>
        </dl>
        {warnings.map(({ key, index, caution }) => (
          <label key={key}>
            <span className={styles.warning}>
              {desk.draft.pieces.length > 1 && `Piece ${index + 1}. `}
              <FractionText text={sayCaution(caution.code, caution.figures, unit)} />
            </span>
            Why is it accepted?
            <Input
              value={reasons[key] ?? ''}
              fullWidth
              onChange={(event) => setReasons({ ...reasons, [key]: event.target.value })}
              slotProps={{ input: { maxLength: 300 } }}
            />
          </label>
        ))}
        <Trouble issues={issues} />
        <div className={styles.dialogEnd}>
          <Button variant="outlined" onClick={onClose}>
            Not yet
          </Button>
          <Button
            type="submit"
            variant="contained"
            autoFocus={warnings.length === 0}
            disabled={busy || warnings.some(({ key }) => !reasons[key]?.trim())}
          >
            Accept
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
