'use client';
/** A link for the customer: made, copied or read by their phone, withdrawn; what they did by it, and their questions. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { useEffect, useState } from 'react';
import type { LinksView } from '@/contract/link-views';
import { LONGEST_QUESTION, newToken } from '@/core/links/link';
import { Field, Form, useCommandForm } from '@/ui/form';
import { useLateView } from '@/ui/query';
import { Trouble } from '@/ui/trouble';
import { useCommand } from '@/ui/use-command';
import { momentText } from '@/words/moments';
import { LINKS, LINK_EVENTS } from '@/words/screens/desk-link';
import styles from './link.module.css';
import { ReasonField } from './reason-field';

/** A warning that somebody answers for before the customer can agree by themselves. */
export interface LinkWarning {
  readonly key: string;
  readonly text: string;
}
export interface LinkedOrder {
  readonly id: string;
  readonly number: number;
  readonly revision: number;
  readonly customer: string;
}

/** The code that a phone reads; what draws it comes when it is first needed. */
function PhoneCode({ text }: { text: string }) {
  const [svg, setSvg] = useState('');
  useEffect(() => {
    let here = true;
    void import('bwip-js/browser').then(({ default: bwip }) => {
      if (here) setSvg(bwip.toSVG({ bcid: 'qrcode', text, scale: 2 }));
    });
    return () => void (here = false);
  }, [text]);
  return <div className={styles.code} role="img" aria-label={LINKS.code} dangerouslySetInnerHTML={{ __html: svg }} />;
}

function Made({ token }: { token: string }) {
  const [copied, setCopied] = useState(false);
  const address = `${window.location.origin}/link/${token}`;
  return (
    <div className={styles.made}>
      <p>{LINKS.made}</p>
      <div>
        <input
          readOnly
          autoFocus
          value={address}
          aria-label={LINKS.address}
          onFocus={(event) => event.target.select()}
        />
        <Button
          variant="contained"
          onClick={() => void navigator.clipboard.writeText(address).then(() => setCopied(true))}
        >
          {copied ? LINKS.copied : LINKS.copy}
        </Button>
      </div>
      <PhoneCode text={address} />
    </div>
  );
}

interface MakeProps {
  readonly order: LinkedOrder;
  readonly warnings: readonly LinkWarning[];
  readonly another: boolean;
  readonly onMade: (token: string) => void;
}
function Make({ order, warnings, another, onMade }: MakeProps) {
  const [asked] = useState(() => ({ linkId: crypto.randomUUID(), token: newToken() }));
  const of = useCommandForm<'make-link', Record<string, string>>('make-link', {
    values: Object.fromEntries(warnings.map(({ key }) => [key, ''])),
    payload: (reasons) => ({ ...asked, orderId: order.id, revision: order.revision, reasons }),
    onDone: () => onMade(asked.token),
  });
  const reasons = of.form.watch();
  return (
    <Form of={of} className={styles.dialog}>
      {warnings.map(({ key, text }, place) => (
        <ReasonField key={key} name={key} first={place === 0} text={text} />
      ))}
      <span>
        <Button
          type="submit"
          variant={another ? 'outlined' : 'contained'}
          autoFocus={warnings.length === 0}
          disabled={of.busy || warnings.some(({ key }) => !reasons[key]?.trim())}
        >
          {another ? LINKS.another : LINKS.make}
        </Button>
      </span>
    </Form>
  );
}

function Answer({ linkId }: { linkId: string }) {
  const of = useCommandForm<'answer-question', { text: string }>('answer-question', {
    values: { text: '' },
    payload: ({ text }) => ({ linkId, text }),
    onDone: () => of.form.reset(),
  });
  return (
    <Form of={of} className={styles.answer}>
      <Field name="text" label={LINKS.answer} most={LONGEST_QUESTION} />
      <Button type="submit" variant="contained" disabled={of.busy}>
        {LINKS.send}
      </Button>
    </Form>
  );
}

/** The link whose question waits for an answer; undefined where none does. */
function waitingOf({ links, events }: LinksView): string | undefined {
  const last = events.findLast(({ what }) => what === 'asked' || what === 'answered');
  const open = links.find(({ id, state }) => id === last?.linkId && state === 'open');
  return last?.what === 'asked' ? open?.id : undefined;
}

interface Props {
  readonly order: LinkedOrder;
  readonly warnings: readonly LinkWarning[];
  readonly onClose: () => void;
}
export function LinkDialog({ order, warnings, onClose }: Props) {
  const view = useLateView<LinksView>(`/api/orders/${order.number}/links`, [`order:${order.id}`]);
  const [token, setToken] = useState<string>();
  const { run, busy, issues } = useCommand('withdraw-link');
  const waiting = view && waitingOf(view);
  return (
    <Dialog open onClose={onClose} maxWidth={false} aria-labelledby="link-head">
      <div className={styles.dialog}>
        <h2 id="link-head">{LINKS.head(order.customer)}</h2>
        <p>{LINKS.say}</p>
        {token === undefined ? (
          view && (
            <Make
              key={`${order.revision}`}
              order={order}
              warnings={warnings}
              another={view.links.some(({ state }) => state === 'open')}
              onMade={setToken}
            />
          )
        ) : (
          <Made token={token} />
        )}
        {view && view.links.length > 0 && (
          <ul className={styles.links}>
            {view.links.map(({ id, by, at, expires, state }) => (
              <li key={id}>
                <span>
                  {LINKS.link(by, momentText(at), momentText(expires))} · {LINKS.state[state]}
                </span>
                {state === 'open' && (
                  <Button variant="text" disabled={busy} onClick={() => void run({ linkId: id })}>
                    {LINKS.withdraw}
                  </Button>
                )}
              </li>
            ))}
          </ul>
        )}
        <Trouble issues={issues} />
        {view && view.events.length > 0 && (
          <section aria-label={LINKS.happened}>
            <ul className={styles.events} tabIndex={0}>
              {view.events.toReversed().map(({ id, at, by, what, detail }) => (
                <li key={id}>
                  <time dateTime={at}>{momentText(at)}</time>
                  <span>{LINK_EVENTS[what](detail, by)}</span>
                </li>
              ))}
            </ul>
          </section>
        )}
        {waiting !== undefined && <Answer linkId={waiting} />}
        <span>
          <Button variant="outlined" onClick={onClose}>
            {LINKS.close}
          </Button>
        </span>
      </div>
    </Dialog>
  );
}
