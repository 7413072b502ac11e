'use client';
/** The piece: what it is, how it is built, its measures. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { ShopView } from '@/contract/views';
import { Len } from '@/ui/figures';
import { KIND_NAMES } from '@/words/materials';
import { BuildFields } from './build-fields';
import styles from './desk.module.css';
import type { WorkedOut } from '@/core/work-out';
import { BUILD_CODES, type BuildCode } from '@/core/builds';
import { PIECE_KINDS } from '@/core/design/choices';
import { defaultSettings } from '@/core/settings';
import { length } from '@/core/units/length';
import { buildName } from '@/words/builds';
import { Choose, Measure, TextField, Tick, Toggle } from './inputs';
import { type SectionProps } from './section-props';

/** As weighed, in kilograms; what cannot be read is said and not taken. */
function Weighed({ kg, onChange }: { kg: number | undefined; onChange: (kg: number | undefined) => void }) {
  const [text, setText] = useState(kg === undefined ? '' : String(kg));
  const read = Number(text.replace(',', '.').replace(/\s*kg$/, ''));
  const wrong = text.trim() !== '' && !(read > 0 && read <= 10_000);
  return (
    <div>
      <TextField
        label="Weighs, in kg"
        name="piece.kg"
        value={text}
        most={20}
        onChange={(to) => {
          setText(to);
          const kilos = Number(to.replace(',', '.').replace(/\s*kg$/, ''));
          if (to.trim() === '') onChange(undefined);
          else if (kilos > 0 && kilos <= 10_000) onChange(kilos);
        }}
      />
      {wrong && <p className={styles.aside}>“{text}” is not a weight. Expected something like 1.5.</p>}
    </div>
  );
}

/** Out of square, when the two ends of a side were measured and differ by more than a hair. */
function OutOfSquare({ worked, shop }: { worked: WorkedOut | undefined; shop: ShopView }) {
  if (!worked) return null;
  const { larger, smaller } = worked.sizes.piece;
  const difference = length(Math.max(larger.w - smaller.w, larger.h - smaller.h));
  if (difference <= defaultSettings(shop.homeUnit).squareTolerance) return null;
  return (
    <p className={styles.aside}>
      Out of square by <Len value={difference} fine />: the larger measure sizes what is behind, the smaller the window.
    </p>
  );
}

export function PieceSection({ shop, piece, worked, unit, desk }: SectionProps) {
  const { piece: it } = piece.design;
  return (
    <>
      <TextField
        label="Name"
        name="title"
        value={it.title}
        most={120}
        onChange={(text) => desk.put(['piece', 'title'], text, true)}
      />
      <div className={styles.pair}>
        <Choose
          label="Kind"
          name="kind"
          value={it.kind}
          options={PIECE_KINDS.map((code) => ({ code, name: KIND_NAMES[code]! }))}
          onChange={(kind) => desk.put(['piece', 'kind'], kind)}
        />
        <Choose
          label="Built as"
          name="build"
          value={piece.design.build}
          options={BUILD_CODES.map((code) => ({ code, name: buildName(code) }))}
          onChange={(build) => desk.build(build as BuildCode)}
        />
      </div>
      <div className={styles.pair}>
        <Measure
          label="Width"
          path={['piece', 'width']}
          hint={piece.typed['piece.width'] === '' ? 'or both: 12 x 16' : ''}
          piece={piece}
          unit={unit}
          desk={desk}
        />
        <Measure label="Height" path={['piece', 'height']} piece={piece} unit={unit} desk={desk} />
      </div>
      {it.width2 !== undefined && it.height2 !== undefined ? (
        <div className={styles.pair}>
          <Measure label="Width, lower end" path={['piece', 'width2']} piece={piece} unit={unit} desk={desk} />
          <Measure label="Height, right end" path={['piece', 'height2']} piece={piece} unit={unit} desk={desk} />
        </div>
      ) : (
        <Button
          variant="text"
          size="small"
          onClick={() => desk.put(['piece'], { ...it, width2: it.width, height2: it.height })}
        >
          Measure the other ends too
        </Button>
      )}
      <OutOfSquare worked={worked} shop={shop} />
      <BuildFields piece={piece} unit={unit} desk={desk} shop={shop} />
      <Toggle
        label="Original or reproduction"
        value={it.irreplaceable ? 'original' : 'reproduction'}
        options={[
          ['reproduction', 'Reproduction'],
          ['original', 'Original'],
        ]}
        onChange={(to) => desk.put(['piece', 'irreplaceable'], to === 'original')}
      />
      <Tick label="Signed" checked={it.signed} onChange={(on) => desk.put(['piece', 'signed'], on)} />
      {['canvas', 'panel', 'painting'].includes(it.kind) && (
        <Tick
          label="Thick paint"
          checked={it.thickPaint ?? false}
          onChange={(on) => desk.put(['piece', 'thickPaint'], on || undefined)}
        />
      )}
      {['object', 'garment'].includes(it.kind) && (
        <Weighed kg={it.kg} onChange={(kg) => desk.put(['piece', 'kg'], kg)} />
      )}
      {(it.kind === 'canvas' || it.keyed) && (
        <Tick
          label="Keyed stretcher"
          checked={it.keyed ?? false}
          onChange={(on) => desk.put(['piece', 'keyed'], on || undefined)}
        />
      )}
    </>
  );
}
