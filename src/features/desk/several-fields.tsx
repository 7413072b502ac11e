'use client';
/** The windows of a mat that has several: how they lie, and each with its piece. Loaded when there are some. */
import Button from '@mui/material/Button';
import { MOST_WINDOWS, WINDOW_HOLDS } from '@/core/design/choices';
import type { Design } from '@/core/design/design';
import { laidOut, plateFor } from '@/core/design/several';
import { defaultSettings } from '@/core/settings';
import { plus } from '@/core/units/length';
import { MAT } from '@/words/screens/desk-sections';
import styles from './desk.module.css';
import { Choose, Measure, TextField, Toggle } from './inputs';
import type { SectionProps } from './section-props';

type Several = NonNullable<Design['several']>;
type OneProps = Pick<SectionProps, 'piece' | 'unit' | 'desk'> & {
  readonly index: number;
  readonly window: Several['windows'][number];
  readonly free: boolean;
};
/** A window: what lies in it, how large that is, and its place where they are laid freely. */
function OneWindow({ index, window, free, piece, unit, desk }: OneProps) {
  const path = ['several', 'windows', index] as const;
  const holds = window.holds ?? 'piece';
  const measure = (label: string, ...more: (string | number)[]) => (
    <Measure label={label} path={[...path, ...more]} piece={piece} unit={unit} desk={desk} />
  );
  return (
    <div className={styles.layer}>
      <div className={styles.pair}>
        <Choose
          label={MAT.windowHolds(index + 1)}
          name={`window ${index + 1}`}
          value={holds}
          options={WINDOW_HOLDS.map((code) => ({ code, name: MAT.holds[code] }))}
          onChange={(to) => desk.put([...path, 'holds'], to === 'piece' ? undefined : to)}
        />
        <TextField
          label={holds === 'plate' ? MAT.plateText : MAT.windowTitle}
          name={`window ${index + 1} text`}
          most={holds === 'plate' ? 200 : 120}
          value={(holds === 'plate' ? window.text : window.title) ?? ''}
          onChange={(text) => desk.put([...path, holds === 'plate' ? 'text' : 'title'], text)}
        />
        {measure(MAT.pieceWidth(index + 1), 'width')}
        {measure(MAT.height, 'height')}
        {free && measure(MAT.left, 'at', 'left')}
        {free && measure(MAT.top, 'at', 'top')}
      </div>
    </div>
  );
}

/** Several windows in one mat: how they lie, and each with its piece. */
export function SeveralFields({ shop, piece, worked, unit, desk }: SectionProps) {
  const { several } = piece.design;
  const settings = defaultSettings(shop.homeUnit);
  if (!several) return null;
  const { windows } = several;
  const free = several.layout === 'free';
  const full = windows.length >= MOST_WINDOWS;
  const add = (more: Partial<(typeof windows)[number]>) => {
    const last = windows.at(-1)!;
    // One that is laid freely begins below the last, not on it.
    const at = last.at && { left: last.at.left, top: plus(last.at.top, last.height, several.bridge.down) };
    desk.put(['several', 'windows'], [...windows, { ...last, title: '', ...(at ? { at } : {}), ...more }]);
  };
  return (
    <>
      <Toggle
        label={MAT.windowsLaidOut}
        value={several.layout}
        options={[
          ['row', MAT.row],
          ['column', MAT.column],
          ['grid', MAT.grid],
          ['free', MAT.free],
        ]}
        onChange={(layout) =>
          desk.put(['several'], laidOut(piece.design, layout, settings, worked?.sizes.matted?.windows))
        }
      />
      <div className={styles.pair}>
        <Measure
          label={MAT.bridgeAcross}
          path={['several', 'bridge', 'across']}
          piece={piece}
          unit={unit}
          desk={desk}
        />
        <Measure label={MAT.bridgeDown} path={['several', 'bridge', 'down']} piece={piece} unit={unit} desk={desk} />
      </div>
      {windows.map((window, index) => (
        <OneWindow key={index} index={index} window={window} free={free} piece={piece} unit={unit} desk={desk} />
      ))}
      {full && <p className={styles.aside}>{MAT.mostWindows(MOST_WINDOWS)}</p>}
      <Button variant="text" size="small" disabled={full} onClick={() => add({})}>
        {MAT.oneMoreWindow}
      </Button>
      <Button
        variant="text"
        size="small"
        disabled={full}
        onClick={() => add({ title: MAT.title, ...plateFor(windows[0]!, settings) })}
      >
        {MAT.aTitlePlate}
      </Button>
      {windows.length > 2 && (
        <Button variant="text" size="small" onClick={() => desk.put(['several', 'windows'], windows.slice(0, -1))}>
          {MAT.takeTheLastOut}
        </Button>
      )}
      <Button variant="text" size="small" onClick={() => desk.put(['several'], undefined)}>
        {MAT.oneWindowOnly}
      </Button>
    </>
  );
}
