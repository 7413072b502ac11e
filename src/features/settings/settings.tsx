'use client';
/** What the owner sets for the shop, and its back-ups. Each change is an edition that can be seen below. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { ShopSettings } from '@/contract/settings';
import type { SettingsView } from '@/contract/views';
import { type Issue, issue } from '@/core/issue';
import type { Weekday } from '@/core/schedule/calendar';
import { Choice } from '@/ui/choice';
import { Field, Form, useCommandForm } from '@/ui/form';
import { useView } from '@/ui/query';
import { momentText } from '@/words/moments';
import { type Account, ACCOUNTS } from '@/core/ledger/account-list';
import { BACK_UPS, MONEY_SETTINGS, OPENING, SETTINGS, SETTING_WORDS } from '@/words/screens/settings';
import { BackUps } from './back-ups';
import { readWeek, typedWeek } from './hours';
import { Opening } from './opening';
import styles from './settings.module.css';
import { patient } from '@/ui/patient';

type Counted = keyof typeof SETTING_WORDS;
const DOOR: readonly Counted[] = ['idleMinutes', 'sessionDays', 'wrongPins', 'longestWait'];
const MONEY: readonly Counted[] = ['refundLimit', 'marginFloor'];
const WAITS: readonly Counted[] = ['glueHours', 'dryHours', 'pressMinutes'];
const KEPT: readonly Counted[] = ['backUpHour', 'backUpsKept'];

const AccountNumbers = dynamic(() => patient(() => import('./account-numbers')).then((file) => file.AccountNumbers), {
  loading: () => null,
});

const Custody = dynamic(() => patient(() => import('./custody')).then((file) => file.Custody), { loading: () => null });

type Listed = 'places' | 'lockedPlaces';
type Told = 'pieceTerms' | 'contact' | 'quoteTerms';
type Typed = Record<Counted | Weekday | Listed | Told | 'currency' | 'valueLimit' | `account-${Account}`, string>;
const linesOf = (text: string) => [
  ...new Set(
    text
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean),
  ),
];
const typedAccounts = ({ accounts }: ShopSettings) =>
  Object.fromEntries(ACCOUNTS.map((account) => [`account-${account}`, accounts[account] ?? ''])) as Record<
    `account-${Account}`,
    string
  >;
const accountsOf = (typed: Typed): ShopSettings['accounts'] =>
  Object.fromEntries(
    ACCOUNTS.flatMap((account) => {
      const number = typed[`account-${account}`].trim();
      return number === '' ? [] : [[account, number] as const];
    }),
  );
const typedOf = (settings: ShopSettings): Typed => ({
  ...(Object.fromEntries([...DOOR, ...KEPT, ...WAITS, ...MONEY].map((key) => [key, String(settings[key])])) as Record<
    Counted,
    string
  >),
  currency: settings.currency,
  valueLimit: String(settings.valueLimit),
  places: settings.places.join('\n'),
  lockedPlaces: settings.lockedPlaces.join('\n'),
  pieceTerms: settings.pieceTerms,
  contact: settings.contact,
  quoteTerms: settings.quoteTerms,
  ...typedAccounts(settings),
  ...typedWeek(settings.open),
});

/** What is out of its bounds, beside its field. The bounds stand in the schema, which is fetched when it is saved. */
async function outOfBounds(typed: Typed, settings: unknown): Promise<readonly Issue[]> {
  const { settingsSchema } = await import('@/contract/settings');
  const checked = settingsSchema.safeParse(settings);
  if (checked.success) return [];
  return checked.error.issues.map(({ path, message }) => {
    if (path[0] === 'accounts') return issue('input-wrong', { reason: message }, `account-${String(path[1])}`);
    if (path[0] === 'currency') return issue('input-wrong', { reason: message }, 'currency');
    const key = String(path[0]) as Counted | 'valueLimit';
    if (!('minValue' in settingsSchema.shape[key])) return issue('input-wrong', { reason: message }, key);
    const { minValue, maxValue } = settingsSchema.shape[key];
    return issue('setting-out', { read: typed[key], least: minValue ?? 0, most: maxValue ?? 0 }, key);
  });
}

function Figure({ name }: { name: Counted }) {
  const { name: label, unit, does } = SETTING_WORDS[name];
  return (
    <div className={styles.row}>
      <Field
        name={name}
        label={label}
        hint={does}
        most={6}
        end={unit && <span className="soft">{unit}</span>}
        input={{ inputMode: 'numeric' }}
      />
    </div>
  );
}

function SettingsForm({ view, onSaved }: { view: SettingsView; onSaved: () => void }) {
  const [atPayment, setAtPayment] = useState(view.settings.taxAtPayment);
  const [accounts, setAccounts] = useState(false);
  const [custody, setCustody] = useState(false);
  const [nightly, setNightly] = useState(view.settings.backUpNightly);
  const [closed, setClosed] = useState<readonly string[]>(view.settings.closed);
  const of = useCommandForm<'change-settings', Typed>('change-settings', {
    values: typedOf(view.settings),
    payload: async (typed) => {
      const whole = (text: string) => (/^\d{1,6}$/.test(text.trim()) ? Number(text) : Number.NaN);
      const counted = Object.fromEntries([...DOOR, ...KEPT, ...WAITS, ...MONEY].map((key) => [key, whole(typed[key])]));
      const read = readWeek(typed);
      const open = 'week' in read ? read.week : view.settings.open;
      const settings = {
        ...counted,
        backUpNightly: nightly,
        taxAtPayment: atPayment,
        currency: typed.currency.trim().toUpperCase(),
        accounts: accountsOf(typed),
        valueLimit: whole(typed.valueLimit),
        places: linesOf(typed.places),
        lockedPlaces: linesOf(typed.lockedPlaces),
        pieceTerms: typed.pieceTerms.trim(),
        contact: typed.contact.trim(),
        quoteTerms: typed.quoteTerms.trim(),
        open,
        closed,
      } as unknown as ShopSettings;
      const wrong = [...(await outOfBounds(typed, settings)), ...('wrong' in read ? read.wrong : [])];
      return wrong.length > 0 ? { wrong } : { edition: view.edition, settings };
    },
    onDone: onSaved,
  });
  const changed =
    of.form.formState.isDirty ||
    atPayment !== view.settings.taxAtPayment ||
    nightly !== view.settings.backUpNightly ||
    closed !== view.settings.closed;
  return (
    <Form of={of} className={styles.both}>
      <section>
        <h2>{OPENING.head}</h2>
        <Opening today={view.today} closed={closed} onClosed={setClosed} />
      </section>
      <section>
        <h2>{OPENING.waits}</h2>
        {WAITS.map((name) => (
          <Figure key={name} name={name} />
        ))}
        <p className="soft">{OPENING.waitsSay}</p>
      </section>
      <section>
        <h2>{SETTINGS.door}</h2>
        {DOOR.map((name) => (
          <Figure key={name} name={name} />
        ))}
      </section>
      <section>
        <h2>{MONEY_SETTINGS.head}</h2>
        <div className={styles.nightly}>
          <span>{MONEY_SETTINGS.tax}</span>
          <Choice
            label={MONEY_SETTINGS.tax}
            value={atPayment ? 'payment' : 'hand-over'}
            options={[
              ['hand-over', MONEY_SETTINGS.atHandOver],
              ['payment', MONEY_SETTINGS.atPayment],
            ]}
            onChange={(to) => setAtPayment(to === 'payment')}
          />
          <small>{MONEY_SETTINGS.taxSay}</small>
        </div>
        <div className={styles.row}>
          <Field name="currency" label={MONEY_SETTINGS.currency} hint={MONEY_SETTINGS.currencySay} most={3} />
        </div>
        {MONEY.map((name) => (
          <Figure key={name} name={name} />
        ))}
      </section>
      <section>
        <h2>{MONEY_SETTINGS.accounts}</h2>
        {accounts ? (
          <AccountNumbers />
        ) : (
          <Button variant="text" onClick={() => setAccounts(true)}>
            {MONEY_SETTINGS.showAccounts}
          </Button>
        )}
      </section>
      <section>
        <h2>{MONEY_SETTINGS.pieces}</h2>
        {custody ? (
          <Custody />
        ) : (
          <Button variant="text" onClick={() => setCustody(true)}>
            {MONEY_SETTINGS.showPieces}
          </Button>
        )}
      </section>
      <section>
        <h2>{BACK_UPS.head}</h2>
        <div className={styles.nightly}>
          <span>{BACK_UPS.nightly}</span>
          <Choice
            label={BACK_UPS.nightly}
            value={nightly ? 'yes' : 'no'}
            options={[
              ['yes', BACK_UPS.yes],
              ['no', BACK_UPS.no],
            ]}
            onChange={(to) => setNightly(to === 'yes')}
          />
          <small>{BACK_UPS.nightlySay}</small>
        </div>
        {KEPT.map((name) => (
          <Figure key={name} name={name} />
        ))}
        <BackUps backUps={view.backUps} />
      </section>
      <div className={styles.save}>
        <Button type="submit" variant="contained" disabled={of.busy || !changed}>
          {SETTINGS.save}
        </Button>
      </div>
    </Form>
  );
}

export function SettingsPage({ view: first }: { view: SettingsView }) {
  const { view } = useView('/api/settings', first, ['settings']);
  const [savedAt, setSavedAt] = useState<number>();
  const [last] = view.editions;
  return (
    <main className={styles.page}>
      <header>
        <h1>{SETTINGS.head}</h1>
        <p className="soft">
          {last ? SETTINGS.edition(view.edition, last.by, momentText(last.at)) : SETTINGS.atFirst}{' '}
          {SETTINGS.altersNothing}
        </p>
        <p role="status">{savedAt !== undefined && savedAt < view.edition ? SETTINGS.saved : ''}</p>
      </header>
      <SettingsForm key={view.edition} view={view} onSaved={() => setSavedAt(view.edition)} />
    </main>
  );
}
