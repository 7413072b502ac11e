'use client';
/** What an edition changed against the one before it. */
import type { EditionChanges as Changes } from '@/contract/views';
import { type Money, formatMoney } from '@/core/units/money';
import { useLateView } from '@/ui/query';
import { PRICES } from '@/words/screens/prices';
import { PRICES_ASKED } from '@/words/screens/prices-asked';
import styles from './prices.module.css';

/** `depositPercent` as “deposit percent”. */
const words = (path: readonly string[]) =>
  path
    .map((key) => key.replace(/([A-Z])/g, ' $1').toLowerCase())
    .join(' ')
    .replaceAll('-', ' ');

const MONEY: readonly string[] = [
  'kit',
  'cornerSets',
  'plate',
  'extraWindow',
  'shapedWindow',
  'minimum',
  'perExtraUnit',
];
/** Amounts are kept in hundredths: of what is charged, and the second of each step of a chart. */
const shown = (path: readonly string[], text: string) =>
  text !== '' &&
  (MONEY.includes(path.at(-1)!) ||
    (path.at(-3) === 'steps' && path.at(-1) === '1') ||
    (path.at(-3) === 'extras' && path.at(-1) === 'price'))
    ? formatMoney(Number(text) as Money)
    : text;

export function EditionChanges({ number }: { number: number }) {
  const found = useLateView<Changes>(`/api/prices/edition?number=${number}`, ['books']);
  if (!found) return null;
  const { before, rules, materials, more } = found;
  const none = rules.length + materials.length === 0;
  return (
    <div className={styles.changes} role="region" aria-label={PRICES.changedIn(number)}>
      {before === null ? (
        <p className="soft">{PRICES_ASKED.firstEdition}</p>
      ) : (
        <p className="soft">{none ? PRICES_ASKED.nothingChanged : PRICES_ASKED.against(before)}</p>
      )}
      {before !== null && (
        <ul>
          {rules.map(({ path, from, to }) => (
            <li key={path.join('.')}>
              <b>{words(path)}</b> {PRICES_ASKED.fromTo(shown(path, from), shown(path, to))}
            </li>
          ))}
          {materials.map(({ list, code, name, does, changes }) => (
            <li key={`${list} ${code}`}>
              <b>{name}</b> <span className="soft">{code}</span> {PRICES_ASKED.does[does]}
              {changes.map(({ field, from, to }) => (
                <span key={field}>
                  {' '}
                  {field} {PRICES_ASKED.fromTo(from, to)}
                </span>
              ))}
            </li>
          ))}
        </ul>
      )}
      {more > 0 && <p className="soft">{PRICES_ASKED.moreChanged(more)}</p>}
    </div>
  );
}
