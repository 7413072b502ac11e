'use client';
/** What lies on the rack, drawn to one scale; added by typing or scanning, labelled, taken off, counted. */
import Button from '@mui/material/Button';
import Input from '@mui/material/Input';
import dynamic from 'next/dynamic';
import { useMemo, useState } from 'react';
import type { RackPieceView, RackView } from '@/contract/views';
import { fieldText } from '@/core/units/format-length';
import { type Length, type Unit, toMm } from '@/core/units/length';
import { FileButton } from '@/ui/file-button';
import { Trouble } from '@/ui/trouble';
import { useUnit } from '@/ui/units';
import { useCommand } from '@/ui/use-command';
import { RACK } from '@/words/screens/rack';
import { Count } from './count';
import { type Piece, blank } from './piece';
import { RackPlaces, nameOf, useRack } from './rack-places';
import { type Longest, RackTable } from './rack-table';
import styles from './rack.module.css';
import { useHydrated } from '@/ui/use-hydrated';
import { patient } from '@/ui/patient';

const PieceForm = dynamic(() => patient(() => import('./piece-form')).then((file) => file.PieceForm), {
  loading: () => null,
});

const LISTS = ['mouldings', 'mats', 'glazings', 'backings'] as const;

function longestOf(pieces: readonly RackPieceView[]): Longest {
  const of = (kind: 'stick' | 'sheet') =>
    Math.max(
      1,
      ...pieces
        .filter((piece) => piece.kind === kind)
        .flatMap((piece) => [toMm(piece.length), piece.height === null ? 0 : toMm(piece.height)]),
    );
  return { stick: of('stick'), sheet: of('sheet') };
}

/** A piece as its form shows it, in the unit in force. */
function typedOf(piece: RackPieceView, unit: Unit): Piece {
  const text = (of: Length) => `${fieldText(of, unit)} ${unit}`;
  return {
    id: piece.id,
    code: piece.code,
    kind: piece.kind,
    material: piece.material,
    values: {
      length: text(piece.length),
      height: piece.height === null ? '' : text(piece.height),
      batch: piece.batch,
      noGo: piece.noGo.map(({ from, to }) => RACK.dent(from === 0 ? '0' : text(from), text(to))).join('; '),
      place: piece.place,
      note: piece.note,
    },
    revision: piece.revision,
  };
}

/** Materials with what lies of each; those that are counted are there without any. */
function groupsOf(rack: RackView, shown: readonly RackPieceView[], all: boolean) {
  return LISTS.map((list) => ({
    list,
    materials: rack.lists[list].flatMap(({ code, name }) => {
      const pieces = shown.filter((piece) => piece.material === code);
      const counted = all && rack.stock.some((stock) => stock.material === code);
      return pieces.length > 0 || counted ? [{ code, name, pieces }] : [];
    }),
  })).filter(({ materials }) => materials.length > 0);
}

export function Rack({ first }: { first: RackView }) {
  const { rack } = useRack(first);
  const { unit } = useUnit();
  const { run, issues } = useCommand<'import-rack', { added: number }>('import-rack');
  const [find, setFind] = useState('');
  const [form, setForm] = useState<Piece>();
  const [said, setSaid] = useState('');
  const longest = useMemo(() => longestOf(rack.pieces), [rack.pieces]);
  const needle = find.trim().toLowerCase();
  const edit = (piece: RackPieceView) => setForm(typedOf(piece, unit));
  const scan = () => {
    const piece = rack.pieces.find(({ code }) => code.toLowerCase() === needle);
    if (piece) edit(piece);
  };
  const take = async (file: File) => {
    setSaid('');
    const answer = await run({ text: await file.text(), file: file.name.slice(0, 200) });
    if (answer.ok) setSaid(RACK.added(answer.value.added, file.name));
  };
  const shown = rack.pieces.filter((piece) =>
    [piece.code, piece.material, nameOf(rack, piece.material), piece.place, piece.batch].some((text) =>
      text.toLowerCase().includes(needle),
    ),
  );
  return (
    <main className={styles.rack}>
      <h1 className="sr">{RACK.head}</h1>
      <RackPlaces>
        <Input
          className={styles.find ?? ''}
          value={find}
          readOnly={!useHydrated()}
          placeholder={RACK.find}
          onChange={(event) => setFind(event.target.value)}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            // The form that opens takes the focus at once; the rest of this very key must not send it off.
            event.preventDefault();
            scan();
          }}
          slotProps={{ input: { 'aria-label': RACK.findLong, maxLength: 80 } }}
        />
        <FileButton label={RACK.listLabel} accept=".csv,text/csv" variant="text" onFile={(file) => void take(file)}>
          {RACK.takeList}
        </FileButton>
        <Button variant="text" href="/api/v1/export/rack.csv">
          {RACK.asCsv}
        </Button>
        <Button variant="contained" onClick={() => setForm(blank('stick', rack.lists.mouldings[0]?.code ?? ''))}>
          {RACK.addPiece}
        </Button>
      </RackPlaces>
      <div className={form ? styles.withForm : styles.alone}>
        <div className={styles.scroll} tabIndex={0} role="group" aria-label={RACK.head}>
          <Trouble issues={issues} />
          {said && <p role="status">{said}</p>}
          {rack.pieces.length === 0 && <p className={styles.empty}>{RACK.empty}</p>}
          {groupsOf(rack, shown, needle === '').map(({ list, materials }) => (
            <section key={list} className={styles.kind}>
              <h2>{RACK.kinds[list]}</h2>
              {materials.map(({ code, name, pieces }) => (
                <div key={code} className={styles.material}>
                  <h3>
                    {name} <span className="soft">{code}</span>
                  </h3>
                  <Count
                    key={JSON.stringify(rack.stock.find((stock) => stock.material === code))}
                    rack={rack}
                    material={code}
                  />
                  {pieces.length > 0 && <RackTable name={name} pieces={pieces} longest={longest} onEdit={edit} />}
                </div>
              ))}
            </section>
          ))}
          {needle !== '' && shown.length === 0 && <p className={styles.empty}>{RACK.noneFound}</p>}
        </div>
        {form && (
          <aside className={styles.aside}>
            <PieceForm
              key={`${form.id} ${form.code ?? ''}`}
              rack={rack}
              first={form}
              // A label scanned meanwhile has opened another form; that one stays.
              onDone={() => setForm((now) => (now === form ? undefined : now))}
            />
          </aside>
        )}
      </div>
    </main>
  );
}
