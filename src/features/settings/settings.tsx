'use client';
/** What the owner sets for the shop, and its back-ups. Each change is an edition that can be seen below. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { ShopSettings } from '@/contract/settings';
import type { SettingsView } from '@/contract/views';
import { type Issue, issue } from '@/core/issue';
import { Choice } from '@/ui/choice';
import { Field, Form, useCommandForm } from '@/ui/form';
import { useView } from '@/ui/query';
import { momentText } from '@/words/materials';
import { BACK_UPS, SETTINGS, SETTING_WORDS } from '@/words/screens/settings';
import { BackUps } from './back-ups';
import styles from './settings.module.css';

type Counted = keyof typeof SETTING_WORDS;
const DOOR: readonly Counted[] = ['idleMinutes', 'sessionDays', 'wrongPins', 'longestWait'];
const KEPT: readonly Counted[] = ['backUpHour', 'backUpsKept'];

type Typed = Record<Counted, string>;
const typedOf = (settings: ShopSettings): Typed =>
  Object.fromEntries([...DOOR, ...KEPT].map((key) => [key, String(settings[key])])) as Typed;

/** What is out of its bounds, beside its field. The bounds stand in the schema, which is fetched when it is saved. */
async function outOfBounds(typed: Typed, settings: unknown): Promise<readonly Issue[]> {
  const { settingsSchema } = await import('@/contract/settings');
  const checked = settingsSchema.safeParse(settings);
  if (checked.success) return [];
  return checked.error.issues.map(({ path }) => {
    const key = String(path[0]) as Counted;
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
  const [nightly, setNightly] = useState(view.settings.backUpNightly);
  const of = useCommandForm<'change-settings', Typed>('change-settings', {
    values: typedOf(view.settings),
    payload: async (typed) => {
      const whole = (text: string) => (/^\d{1,6}$/.test(text.trim()) ? Number(text) : Number.NaN);
      const counted = Object.fromEntries(Object.entries(typed).map(([key, text]) => [key, whole(text)]));
      const settings = { ...counted, backUpNightly: nightly } as unknown as ShopSettings;
      const wrong = await outOfBounds(typed, settings);
      return wrong.length > 0 ? { wrong } : { edition: view.edition, settings };
    },
    onDone: onSaved,
  });
  const changed = of.form.formState.isDirty || nightly !== view.settings.backUpNightly;
  return (
    <Form of={of} className={styles.both}>
      <section>
        <h2>{SETTINGS.door}</h2>
        {DOOR.map((name) => (
          <Figure key={name} name={name} />
        ))}
        <div className={styles.acts}>
          <Button type="submit" variant="contained" disabled={of.busy || !changed}>
            {SETTINGS.save}
          </Button>
        </div>
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
