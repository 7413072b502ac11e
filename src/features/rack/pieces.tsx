'use client';
/** What lies on the rack, drawn to one scale; added by typing or scanning, labelled, taken off, counted. */
import Button from '@mui/material/Button';
import { type ReactNode, useMemo, useRef, useState } from 'react';
import type { RackPieceView, RackView } from '@/contract/views';
import type { Issue } from '@/core/issue';
import { fieldText } from '@/core/units/format-length';
import { type Length, toMm } from '@/core/units/length';
import { Len } from '@/ui/figures';
import { send } from '@/ui/send';
import { Trouble } from '@/ui/trouble';
import { useUnit } from '@/ui/units';
import { PieceForm, type Typed, blank } from './piece-form';
import { RackPlaces, nameOf, useRack } from './rack-places';
import styles from './rack.module.css';
import { ORIGIN_NAMES } from './words';

const KINDS = [
  ['mouldings', 'Sticks'],
  ['mats', 'Boards'],
  ['glazings', 'Glass'],
  ['backings', 'Backing'],
] as const;

/** A piece to scale: a stick as a thin bar with its dents, a sheet as it stands. */
function Drawn({ piece, longest }: { piece: RackPieceView; longest: number }) {
  const WIDE = 420;
  if (piece.kind === 'stick') {
    const scale = WIDE / longest;
    return (
      <svg width={WIDE} height={14} role="img" aria-label={`${piece.code}, to scale`}>
        <rect x={0.5} y={0.5} width={toMm(piece.length) * scale} height={13} fill="#efe6d2" stroke="var(--ink)" />
        {piece.noGo.map(({ from, to }) => (
          <rect
            key={from}
            x={toMm(from) * scale}
            y={0.5}
            width={Math.max(2, toMm(length(to, from)) * scale)}
            height={13}
            fill="var(--refuse)"
          />
        ))}
      </svg>
    );
  }
  const scale = 44 / longest;
  return (
    <svg
      width={WIDE}
      height={Math.max(10, toMm(piece.height!) * scale + 1)}
      role="img"
      aria-label={`${piece.code}, to scale`}
    >
      <rect
        x={0.5}
        y={0.5}
        width={toMm(piece.length) * scale}
        height={toMm(piece.height!) * scale}
        fill="#efe6d2"
        stroke="var(--ink)"
      />
    </svg>
  );
}
const length = (to: Length, from: Length) => (to - from) as Length;

function Row({ piece, longest, onEdit }: { piece: RackPieceView; longest: number; onEdit: () => void }) {
  return (
    <tr>
      <td>
        <b>{piece.code}</b>
      </td>
      <td className={styles.drawn}>
        <Drawn piece={piece} longest={longest} />
      </td>
      <td className="num">
        {piece.height === null ? (
          <Len value={piece.length} fine />
        ) : (
          <>
            <Len value={piece.length} bare fine /> × <Len value={piece.height} fine />
          </>
        )}
      </td>
      <td>{piece.batch && <span className="soft">batch {piece.batch}</span>}</td>
      <td>{piece.place || <span className="soft">no place yet</span>}</td>
      <td className="soft">{[ORIGIN_NAMES[piece.origin], piece.note].filter(Boolean).join(', ')}</td>
      <td className={styles.acts}>
        <button type="button" onClick={onEdit} aria-label={`Change ${piece.code}`}>
          Change
        </button>
        <a
          href={`/papers/rack-label/${piece.code}`}
          target="_blank"
          rel="noreferrer"
          aria-label={`Label of ${piece.code}`}
        >
          Label
        </a>
      </td>
    </tr>
  );
}

function Count({ rack, material }: { rack: RackView; material: string }) {
  const level = rack.stock.find((stock) => stock.material === material);
  const [onHand, setOnHand] = useState(String(level?.onHand ?? 0));
  const [minimum, setMinimum] = useState(String(level?.minimum ?? 0));
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const changed = onHand !== String(level?.onHand ?? 0) || minimum !== String(level?.minimum ?? 0);
  const save = async () => {
    if (!changed) return;
    const [one, other] = [onHand, minimum].map((text) => (/^\d{1,5}$/.test(text.trim()) ? Number(text) : undefined));
    if (one === undefined || other === undefined)
      return setIssues([
        { code: 'input-wrong', figures: { reason: `“${one === undefined ? onHand : minimum}” is not a whole number` } },
      ]);
    const answer = await send('set-stock', {
      material,
      onHand: one,
      minimum: other,
      revision: level?.revision ?? null,
    });
    setIssues(answer.ok ? [] : answer.issues);
  };
  const short = (level?.onHand ?? 0) < (level?.minimum ?? 0);
  return (
    <>
      <span className={styles.count} data-short={short}>
        <label>
          whole ones on hand
          <input
            value={onHand}
            inputMode="numeric"
            onChange={(event) => setOnHand(event.target.value)}
            onBlur={() => void save()}
          />
        </label>
        <label>
          at least
          <input
            value={minimum}
            inputMode="numeric"
            onChange={(event) => setMinimum(event.target.value)}
            onBlur={() => void save()}
          />
        </label>
        {short && <b>below the minimum</b>}
      </span>
      <Trouble issues={issues} />
    </>
  );
}

export function Rack({ first }: { first: RackView }) {
  const { rack, refresh } = useRack(first);
  const { unit } = useUnit();
  const [find, setFind] = useState('');
  const [form, setForm] = useState<Typed>();
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [said, setSaid] = useState('');
  const file = useRef<HTMLInputElement>(null);
  const longest = useMemo(() => {
    const of = (kind: 'stick' | 'sheet') =>
      Math.max(
        1,
        ...rack.pieces
          .filter((piece) => piece.kind === kind)
          .flatMap((piece) => [toMm(piece.length), piece.height === null ? 0 : toMm(piece.height)]),
      );
    return { stick: of('stick'), sheet: of('sheet') };
  }, [rack.pieces]);
  const edit = (piece: RackPieceView) =>
    setForm({
      ...blank(piece.kind, piece.material),
      id: piece.id,
      code: piece.code,
      length: `${fieldText(piece.length, unit)} ${unit}`,
      height: piece.height === null ? '' : `${fieldText(piece.height, unit)} ${unit}`,
      batch: piece.batch,
      dents: piece.noGo
        .map(
          ({ from, to }) => `${from === 0 ? 0 : `${fieldText(from, unit)} ${unit}`} to ${fieldText(to, unit)} ${unit}`,
        )
        .join('; '),
      place: piece.place,
      note: piece.note,
      revision: piece.revision,
    });
  const scan = () => {
    const piece = rack.pieces.find((piece) => piece.code.toLowerCase() === find.trim().toLowerCase());
    if (piece) edit(piece);
  };
  const take = async (chosen: File | undefined) => {
    if (!chosen) return;
    setSaid('');
    const answer = await send<{ added: number }>('import-rack', {
      text: await chosen.text(),
      file: chosen.name.slice(0, 200),
    });
    setIssues(answer.ok ? [] : answer.issues);
    if (answer.ok) setSaid(`${answer.value.added} pieces added from ${chosen.name}.`);
    if (file.current) file.current.value = '';
  };
  const needle = find.trim().toLowerCase();
  const shown = rack.pieces.filter((piece) =>
    [piece.code, piece.material, nameOf(rack, piece.material), piece.place, piece.batch].some((text) =>
      text.toLowerCase().includes(needle),
    ),
  );
  const groups: { title: string; materials: { code: string; name: string; pieces: RackPieceView[] }[] }[] = KINDS.map(
    ([list, title]) => ({
      title,
      materials: rack.lists[list].flatMap(({ code, name }) => {
        const pieces = shown.filter((rackPiece) => rackPiece.material === code);
        const kept = rack.stock.some((stock) => stock.material === code);
        return pieces.length > 0 || (kept && needle === '') ? [{ code, name, pieces }] : [];
      }),
    }),
  );
  const aside: ReactNode = form && (
    <aside className={styles.aside}>
      <PieceForm
        key={`${form.id} ${form.code ?? ''}`}
        rack={rack}
        first={form}
        onDone={() => {
          // A label scanned meanwhile has opened another form; that one stays.
          setForm((now) => (now === form ? undefined : now));
          void refresh();
        }}
      />
    </aside>
  );
  return (
    <main className={styles.rack}>
      <RackPlaces>
        <input
          className={styles.find}
          value={find}
          placeholder="Scan a label, or find"
          aria-label="Scan a label, or find a piece"
          onChange={(event) => setFind(event.target.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            // The form that opens takes the focus at once; the rest of this very key must not send it off.
            event.preventDefault();
            scan();
          }}
        />
        <input
          ref={file}
          type="file"
          accept=".csv,text/csv"
          hidden
          aria-label="The rack as CSV"
          onChange={(event) => void take(event.target.files?.[0])}
        />
        <button type="button" className={styles.plain} onClick={() => file.current?.click()}>
          Take a list
        </button>
        <a className={styles.plain} href="/api/v1/export/rack.csv">
          As CSV
        </a>
        <Button variant="contained" onClick={() => setForm(blank('stick', rack.lists.mouldings[0]?.code ?? ''))}>
          Add a piece
        </Button>
      </RackPlaces>
      <div className={form ? styles.withForm : styles.alone}>
        <div className={styles.scroll}>
          <Trouble issues={issues} />
          {said && <p role="status">{said}</p>}
          {rack.pieces.length === 0 && (
            <p className={styles.empty}>
              Nothing lies here yet. Add what is on the rack, or take a list; offcuts of confirmed plans come by
              themselves.
            </p>
          )}
          {groups.map(
            ({ title, materials }) =>
              materials.length > 0 && (
                <section key={title} className={styles.kind}>
                  <h2>{title}</h2>
                  {materials.map(({ code, name, pieces }) => (
                    <div key={code} className={styles.material}>
                      <h3>
                        {name} <span className="soft">{code}</span>
                        <Count
                          key={JSON.stringify(rack.stock.find((stock) => stock.material === code))}
                          rack={rack}
                          material={code}
                        />
                      </h3>
                      {pieces.length > 0 && (
                        <table>
                          <tbody>
                            {pieces.map((piece) => (
                              <Row
                                key={piece.id}
                                piece={piece}
                                longest={longest[piece.kind]}
                                onEdit={() => edit(piece)}
                              />
                            ))}
                          </tbody>
                        </table>
                      )}
                    </div>
                  ))}
                </section>
              ),
          )}
          {needle !== '' && shown.length === 0 && <p className={styles.empty}>Nothing on the rack is called that.</p>}
        </div>
        {aside}
      </div>
    </main>
  );
}
