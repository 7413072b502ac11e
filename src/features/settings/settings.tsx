'use client';
/** What the owner sets for the shop, and its back-ups. Each change is an edition that can be seen below. */
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Input from '@mui/material/Input';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { type ShopSettings, settingsSchema } from '@/contract/settings';
import type { BackUpView, SettingsView } from '@/contract/views';
import { type Issue, issue } from '@/core/issue';
import { ask, post, send } from '@/ui/send';
import { Trouble } from '@/ui/trouble';
import styles from './settings.module.css';
import { DOOR, KEPT, SETTING_WORDS, bytesText, momentText } from './words';

type Typed = Readonly<Record<keyof typeof SETTING_WORDS, string>>;
const typedOf = (settings: ShopSettings): Typed => {
  const text = (key: keyof Typed) => [key, String(settings[key])] as const;
  return Object.fromEntries([...DOOR, ...KEPT].map(text)) as Typed;
};

function Figure({
  name,
  typed,
  wrong,
  onType,
}: {
  name: keyof Typed;
  typed: string;
  wrong: readonly Issue[];
  onType: (text: string) => void;
}) {
  const { name: label, unit, does } = SETTING_WORDS[name];
  const id = `setting-${name}`;
  return (
    <div className={styles.row}>
      <label htmlFor={id}>{label}</label>
      <Input
        id={id}
        value={typed}
        error={wrong.length > 0}
        onChange={(event) => onType(event.target.value)}
        endAdornment={unit && <span className="soft">{unit}</span>}
        slotProps={{ input: { inputMode: 'numeric', 'aria-describedby': `${id}-does`, maxLength: 6 } }}
      />
      <small id={`${id}-does`}>{does}</small>
      <Trouble issues={wrong} />
    </div>
  );
}

/** How often is asked whether a back-up that takes long is there, in ms. */
const LOOK_AGAIN_MS = 2000;

function BackUps({ backUps }: { backUps: readonly BackUpView[] }) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const make = async () => {
    setBusy(true);
    const answer = await post<{ making?: boolean }>('/api/back-up', {});
    setIssues(answer.ok ? [] : answer.issues);
    let making = answer.ok && answer.value.making;
    while (making) {
      await new Promise((resolve) => setTimeout(resolve, LOOK_AGAIN_MS));
      const now = await ask<{ making: boolean }>('/api/back-up');
      making = now.ok && now.value.making;
    }
    setBusy(false);
    router.refresh();
  };
  return (
    <>
      <div className={styles.acts}>
        <Button variant="outlined" disabled={busy} onClick={() => void make()}>
          {busy ? 'Making a back-up …' : 'Back up now'}
        </Button>
        <span className="soft">The shop goes on meanwhile.</span>
      </div>
      <Trouble issues={issues} />
      <table className={styles.list} style={{ marginTop: 18 }}>
        <thead>
          <tr>
            <th>Made</th>
            <th>File, in the folder back-ups</th>
            <th className="num">Size</th>
          </tr>
        </thead>
        <tbody>
          {backUps.map((backUp) => (
            <tr key={backUp.name}>
              <td>
                <time dateTime={backUp.at}>{momentText(backUp.at)}</time>
              </td>
              <td>{backUp.name}</td>
              <td className="num">{bytesText(backUp.bytes)}</td>
            </tr>
          ))}
          {backUps.length === 0 && (
            <tr>
              <td colSpan={3} className="soft">
                None yet. Copy them to another disk now and then: this one can break.
              </td>
            </tr>
          )}
        </tbody>
      </table>
    </>
  );
}

export function SettingsPage({ view }: { view: SettingsView }) {
  const router = useRouter();
  const [typed, setTyped] = useState(() => typedOf(view.settings));
  const [nightly, setNightly] = useState(view.settings.backUpNightly);
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [saved, setSaved] = useState(false);
  const put = (key: keyof Typed) => (text: string) => {
    setSaved(false);
    setTyped((before) => ({ ...before, [key]: text }));
  };
  const save = async () => {
    const whole = (text: string) => (/^\d{1,6}$/.test(text.trim()) ? Number(text) : Number.NaN);
    const settings = {
      ...Object.fromEntries(Object.entries(typed).map(([key, text]) => [key, whole(text)])),
      backUpNightly: nightly,
    };
    const checked = settingsSchema.safeParse(settings);
    if (!checked.success) {
      setIssues(
        checked.error.issues.map(({ path }) => {
          const key = String(path[0]) as keyof Typed;
          const { minValue, maxValue } = settingsSchema.shape[key];
          return issue('setting-out', { read: typed[key], least: minValue ?? 0, most: maxValue ?? 0 }, key);
        }),
      );
      return;
    }
    const answer = await send('change-settings', { edition: view.edition, settings: checked.data });
    setIssues(answer.ok ? [] : answer.issues);
    setSaved(answer.ok);
    if (answer.ok) router.refresh();
  };
  const figure = (key: keyof Typed) => (
    <Figure
      key={key}
      name={key}
      typed={typed[key]}
      wrong={issues.filter(({ path }) => path === key)}
      onType={put(key)}
    />
  );
  const changed =
    nightly !== view.settings.backUpNightly || JSON.stringify(typed) !== JSON.stringify(typedOf(view.settings));
  return (
    <main className={styles.page}>
      <header>
        <h1>Settings</h1>
        <p className="soft">
          {view.editions[0]
            ? `Edition ${view.edition}, by ${view.editions[0].by} on ${momentText(view.editions[0].at)}.`
            : 'As they are at first; nobody has changed them.'}{' '}
          A change alters nothing that was agreed.
        </p>
      </header>
      <section>
        <h2>At the door</h2>
        {DOOR.map(figure)}
        <div className={styles.acts}>
          <Button variant="contained" disabled={!changed} onClick={() => void save()}>
            Save settings
          </Button>
          {saved && !changed && <span role="status">Saved.</span>}
        </div>
        <Trouble issues={issues.filter(({ path }) => !path || !(path in typed))} />
      </section>
      <section>
        <h2>Back-ups</h2>
        <div className={styles.row}>
          <label htmlFor="setting-nightly">Each night by itself</label>
          <Checkbox
            id="setting-nightly"
            checked={nightly}
            onChange={(event) => {
              setSaved(false);
              setNightly(event.target.checked);
            }}
          />
          <small>While the shop is open or closed; nobody waits for it.</small>
        </div>
        {KEPT.map(figure)}
        <BackUps backUps={view.backUps} />
      </section>
    </main>
  );
}
