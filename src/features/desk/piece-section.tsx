'use client';
/** The piece: what it is, how it is built, its measures. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { ShopView } from '@/contract/views';
import { Len } from '@/ui/figures';
import { KIND_NAMES } from '@/words/materials';
import styles from './desk.module.css';
import type { WorkedOut } from '@/core/work-out';
import { BUILDS, BUILD_CODES, type BuildCode } from '@/core/builds';
import { madeOf } from '@/core/builds/layers';
import { PANEL_MATERIALS, PIECE_KINDS, type PieceKind } from '@/core/design/choices';
import { withKind } from '@/core/design/with-build';
import { defaultSettings } from '@/core/settings';
import { length } from '@/core/units/length';
import { type Money, formatMoney, parseMoney } from '@/core/units/money';
import { readWeight, weightText } from '@/core/units/weight';
import { useUnit } from '@/ui/units';
import { buildName, choiceName } from '@/words/builds';
import { Choose, Measure, TextField, Tick, Toggle } from './inputs';
import { type SectionProps } from './section-props';
import { PIECE_FIELDS } from '@/words/screens/desk';
import { patient } from '@/ui/patient';

const BuildFields = dynamic(() => patient(() => import('./later-sections')).then((file) => file.BuildFields), {
  loading: () => null,
});

const HouseDesigns = dynamic(() => patient(() => import('./house-designs')).then((file) => file.HouseDesigns), {
  loading: () => null,
});

/** As weighed, in the unit shown; what cannot be read is said and not taken. */
function Weighed({ kg, onChange }: { kg: number | undefined; onChange: (kg: number | undefined) => void }) {
  const { unit } = useUnit();
  const [text, setText] = useState(kg === undefined ? '' : weightText(kg, unit));
  const wrong = text.trim() !== '' && readWeight(text, unit) === undefined;
  return (
    <div>
      <TextField
        label={PIECE_FIELDS.weighs}
        name="piece.kg"
        value={text}
        most={20}
        onChange={(to) => {
          setText(to);
          const kilos = readWeight(to, unit);
          if (kilos !== undefined || to.trim() === '') onChange(kilos);
        }}
      />
      {wrong && <p className={styles.aside}>{PIECE_FIELDS.isNotAWeight(text)}</p>}
    </div>
  );
}

/** What the owner says it is worth; what cannot be read is said and not taken. */
function Declared({ value, onChange }: { value: number | undefined; onChange: (value: number | undefined) => void }) {
  const [text, setText] = useState(value === undefined ? '' : formatMoney(value as Money));
  const wrong = text.trim() !== '' && parseMoney(text) === undefined;
  return (
    <div>
      <TextField
        label={PIECE_FIELDS.value}
        name="value"
        value={text}
        most={16}
        onChange={(to) => {
          setText(to);
          const amount = parseMoney(to);
          if (to.trim() === '') onChange(undefined);
          else if (amount !== undefined) onChange(amount);
        }}
      />
      {wrong && <p className={styles.aside}>{PIECE_FIELDS.notAnAmount(text)}</p>}
    </div>
  );
}

/** Out of square, when the two ends of a side were measured and differ by more than a hair. */
function OutOfSquare({ worked, shop }: { worked: WorkedOut | undefined; shop: ShopView }) {
  if (!worked || worked.resolved.design.piece.carrier) return null;
  const { larger, smaller } = worked.sizes.piece;
  const difference = length(Math.max(larger.w - smaller.w, larger.h - smaller.h));
  if (difference <= defaultSettings(shop.homeUnit).squareTolerance) return null;
  return (
    <p className={styles.aside}>
      {PIECE_FIELDS.outOfSquareBy} <Len value={difference} fine />
      {PIECE_FIELDS.theLargerMeasureSizes}
    </p>
  );
}

function House({ piece: { design }, desk }: Pick<SectionProps, 'piece' | 'desk'>) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button variant="text" size="small" onClick={() => setOpen(true)}>
        {PIECE_FIELDS.house}
      </Button>
      {open && <HouseDesigns design={design} onUse={(to) => desk.put([], to)} onClose={() => setOpen(false)} />}
    </>
  );
}

export function PieceSection({ shop, piece, worked, unit, desk }: SectionProps) {
  const { piece: it } = piece.design;
  return (
    <>
      <TextField
        label={PIECE_FIELDS.name}
        name="title"
        value={it.title}
        most={120}
        onChange={(text) => desk.put(['piece', 'title'], text, true)}
      />
      <div className={styles.pair}>
        <Choose
          label={PIECE_FIELDS.kind}
          name="kind"
          value={it.kind}
          options={PIECE_KINDS.map((code) => ({ code, name: KIND_NAMES[code]! }))}
          onChange={(kind) => desk.put([], withKind(piece.design, kind as PieceKind))}
        />
        <Choose
          label={PIECE_FIELDS.builtAs}
          name="build"
          value={piece.design.build}
          options={BUILD_CODES.map((code) => ({ code, name: buildName(code) }))}
          onChange={(build) => desk.build(build as BuildCode)}
        />
      </div>
      <div className={styles.pair}>
        <Measure
          label={PIECE_FIELDS.width}
          path={['piece', 'width']}
          hint={piece.typed['piece.width'] === '' ? PIECE_FIELDS.orBoth12X : ''}
          piece={piece}
          unit={unit}
          desk={desk}
        />
        <Measure label={PIECE_FIELDS.height} path={['piece', 'height']} piece={piece} unit={unit} desk={desk} />
      </div>
      {it.width2 !== undefined && it.height2 !== undefined ? (
        <div className={styles.pair}>
          <Measure
            label={PIECE_FIELDS.widthLowerEnd}
            path={['piece', 'width2']}
            piece={piece}
            unit={unit}
            desk={desk}
          />
          <Measure
            label={PIECE_FIELDS.heightRightEnd}
            path={['piece', 'height2']}
            piece={piece}
            unit={unit}
            desk={desk}
          />
        </div>
      ) : (
        <Button
          variant="text"
          size="small"
          onClick={() => desk.put(['piece'], { ...it, width2: it.width, height2: it.height })}
        >
          {PIECE_FIELDS.measureTheOtherEnds}
        </Button>
      )}
      <Button variant="text" size="small" aria-keyshortcuts="p" onClick={() => void desk.toRecord()}>
        {PIECE_FIELDS.record}
      </Button>
      <House piece={piece} desk={desk} />
      <OutOfSquare worked={worked} shop={shop} />
      {(piece.design.several !== undefined || Object.keys(BUILDS[piece.design.build].fields).length > 0) && (
        <BuildFields piece={piece} unit={unit} desk={desk} shop={shop} />
      )}
      <Toggle
        label={PIECE_FIELDS.originalOrReproduction}
        value={it.irreplaceable ? 'original' : 'reproduction'}
        options={[
          ['reproduction', PIECE_FIELDS.reproduction],
          ['original', PIECE_FIELDS.original],
        ]}
        onChange={(to) => desk.put(['piece', 'irreplaceable'], to === 'original')}
      />
      <Tick label={PIECE_FIELDS.signed} checked={it.signed} onChange={(on) => desk.put(['piece', 'signed'], on)} />
      {(it.kind === 'panel' || it.kind === 'metal-print') && (
        <Choose
          label={PIECE_FIELDS.madeOf}
          name="piece.made"
          value={madeOf(it)!}
          options={PANEL_MATERIALS.map((code) => ({ code, name: choiceName(code) }))}
          onChange={(made) => desk.put(['piece', 'made'], made)}
        />
      )}
      <Tick
        label={PIECE_FIELDS.damaged}
        checked={it.damaged ?? false}
        onChange={(on) => desk.put(['piece', 'damaged'], on || undefined)}
      />
      <Declared value={piece.design.value} onChange={(value) => desk.put(['value'], value)} />
      {['canvas', 'panel', 'painting'].includes(it.kind) && (
        <Tick
          label={PIECE_FIELDS.thickPaint}
          checked={it.thickPaint ?? false}
          onChange={(on) => desk.put(['piece', 'thickPaint'], on || undefined)}
        />
      )}
      {['object', 'garment'].includes(it.kind) && (
        <Weighed kg={it.kg} onChange={(kg) => desk.put(['piece', 'kg'], kg)} />
      )}
      {it.kind === 'canvas' && (
        <Tick
          label={PIECE_FIELDS.enlarged}
          checked={it.carrier !== undefined}
          onChange={(on) => desk.put(['piece', 'carrier'], on ? { w: it.width, h: it.height } : undefined)}
        />
      )}
      {it.carrier && (
        <div className={styles.pair}>
          <Measure
            label={PIECE_FIELDS.carrierWidth}
            path={['piece', 'carrier', 'w']}
            piece={piece}
            unit={unit}
            desk={desk}
          />
          <Measure
            label={PIECE_FIELDS.carrierHeight}
            path={['piece', 'carrier', 'h']}
            piece={piece}
            unit={unit}
            desk={desk}
          />
        </div>
      )}
      {(it.kind === 'canvas' || it.keyed) && (
        <Tick
          label={PIECE_FIELDS.keyedStretcher}
          checked={it.keyed ?? false}
          onChange={(on) => desk.put(['piece', 'keyed'], on || undefined)}
        />
      )}
    </>
  );
}
