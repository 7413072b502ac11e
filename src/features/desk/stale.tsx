'use client';
/** An order that somebody else changed while it is typed here: brought together field by field, what both changed decided by hand. */
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import type { OrderView, ShopView } from '@/contract/views';
import { type Parted, decided, mergedWith } from '@/core/design/merge';
import type { Path } from '@/core/design/edit';
import { formatLength } from '@/core/units/format-length';
import type { Length, Unit } from '@/core/units/length';
import { Choice } from '@/ui/choice';
import { useLateView } from '@/ui/query';
import { Note } from '@/ui/trouble';
import { useUnit } from '@/ui/units';
import { KIND_NAMES, dayName } from '@/words/materials';
import { buildName } from '@/words/builds';
import { STANDING } from '@/words/screens/standing';
import styles from './desk.module.css';
import { type Draft, type DraftPiece, draftOf } from './draft';
import type { Desk } from './use-desk';

const LONGEST = 48;
/** Numbers that are no lengths. */
const COUNTS = new Set(['count', 'fillerCount', 'sides', 'columns']);

const keyOf = ({ path }: Parted): string => path.join('.');

/** What is said in a field, in a few words. */
function saidIn(value: unknown, key: string, unit: Unit, names: ReadonlyMap<string, string>): string {
  if (value === undefined || value === null || value === '' || value === false) return STANDING.nothing;
  if (value === true) return STANDING.yes;
  if (typeof value === 'number') return COUNTS.has(key) ? String(value) : formatLength(value as Length, unit);
  if (typeof value === 'string') {
    if (/^\d{4}-\d\d-\d\d$/.test(value)) return dayName(value);
    if (key === 'mode') return STANDING.modes[value] ?? value;
    return key === 'build' ? buildName(value as never) : (KIND_NAMES[value as never] ?? names.get(value) ?? value);
  }
  const inside = Object.entries(value).filter(([, one]) => one !== undefined && one !== false);
  // Of somebody or something that has a name, that is enough.
  const own = inside.find(([inner]) => inner === 'name');
  const text = own ? String(own[1]) : inside.map(([inner, one]) => saidIn(one, inner, unit, names)).join(', ');
  return text === '' ? STANDING.nothing : text.length > LONGEST ? `${text.slice(0, LONGEST)} …` : text;
}

/** Which field of which piece. */
function fieldOf(path: Path, { pieces }: Draft): string {
  const last = String(path.at(-1));
  if (path[0] !== 'pieces') return STANDING.fields[last] ?? last;
  const index = pieces.findIndex(({ id }) => id === path[1]);
  const piece = pieces[index]?.design.piece.title || STANDING.unnamed(index + 1);
  return `${piece}: ${path.length < 3 ? STANDING.wholePiece : (STANDING.fields[last] ?? last)}`;
}

function namesIn({ lists }: ShopView): ReadonlyMap<string, string> {
  const all = [...lists.mouldings, ...lists.mats, ...lists.glazings, ...lists.backings];
  return new Map(all.map(({ code, name }) => [code, name]));
}

function Together({ desk, shop, order }: { desk: Desk; shop: ShopView; order: OrderView }) {
  const { unit } = useUnit();
  const { draft, began, settle } = desk;
  const [forThem, setForThem] = useState<readonly string[]>([]);
  const theirs = useMemo(() => draftOf(order), [order]);
  const { value, conflicts, taken } = useMemo(() => mergedWith(began, draft, theirs), [began, draft, theirs]);
  const names = useMemo(() => namesIn(shop), [shop]);
  // Of a piece as a whole: which of its designs is chosen.
  const said = (one: unknown, path: Path) =>
    path.length === 2
      ? STANDING.letter((one as DraftPiece | undefined)?.letter ?? 'A')
      : path.at(-1) === 'others'
        ? STANDING.designs((one as readonly unknown[]).length)
        : saidIn(one, String(path.at(-1)), unit, names);
  const both = { ...draft, pieces: [...draft.pieces, ...theirs.pieces] };
  const goOn = () =>
    settle({
      order,
      draft: decided(
        value,
        conflicts.filter((one) => forThem.includes(keyOf(one))),
      ),
    });
  return (
    <>
      {taken.length > 0 && <p>{STANDING.takenToo(taken.map(({ path }) => fieldOf(path, both)).join('; '))}</p>}
      {conflicts.length > 0 && (
        <>
          <p>{STANDING.bothChanged}</p>
          <ul className={styles.parted}>
            {conflicts.map((one) => {
              const key = keyOf(one);
              return (
                <li key={key}>
                  <b>{fieldOf(one.path, both)}</b>
                  <Choice
                    label={fieldOf(one.path, both)}
                    value={forThem.includes(key) ? 'theirs' : 'mine'}
                    options={[
                      ['mine', `${STANDING.mine}: ${said(one.mine, one.path)}`],
                      ['theirs', `${STANDING.theirs}: ${said(one.theirs, one.path)}`],
                    ]}
                    onChange={(to) =>
                      setForThem((before) =>
                        to === 'theirs' ? [...before, key] : before.filter((other) => other !== key),
                      )
                    }
                  />
                </li>
              );
            })}
          </ul>
        </>
      )}
      <p className={styles.ways}>
        <Button variant="text" onClick={goOn}>
          {STANDING.goOn}
        </Button>
        <Button variant="text" onClick={() => settle({ order, draft: theirs })}>
          {STANDING.takeTheirs}
        </Button>
      </p>
    </>
  );
}

export function Stale({ desk, shop, number }: { desk: Desk; shop: ShopView; number: number }) {
  const order = useLateView<OrderView>(`/api/orders/${number}`, ['order']);
  return (
    <Note tone="warn">
      <p>{STANDING.stale}</p>
      {order && <Together key={order.revision} desk={desk} shop={shop} order={order} />}
    </Note>
  );
}
