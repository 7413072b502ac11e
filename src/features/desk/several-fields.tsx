'use client';
/** The windows of a mat that has several: how they lie, and each with its piece. Loaded when there are some. */
import Button from '@mui/material/Button';
import { defaultSettings } from '@/core/settings';
import { MAT } from '@/words/screens/desk';
import styles from './desk.module.css';
import { Measure, Toggle } from './inputs';
import type { SectionProps } from './section-props';

/** Several windows in one mat: how they lie, and each with its piece. */
export function SeveralFields({ shop, piece, unit, desk }: SectionProps) {
  const { several } = piece.design;
  const settings = defaultSettings(shop.homeUnit);
  if (!several) return null;
  const { windows } = several;
  const add = (more: Partial<(typeof windows)[number]>) =>
    desk.put(['several', 'windows'], [...windows, { ...windows.at(-1)!, title: '', ...more }]);
  return (
    <>
      <Toggle
        label={MAT.windowsLaidOut}
        value={several.layout}
        options={[
          ['row', MAT.row],
          ['column', MAT.column],
          ['grid', MAT.grid],
        ]}
        onChange={(layout) => desk.put(['several', 'layout'], layout)}
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
        <div key={index} className={styles.pair}>
          <Measure
            label={window.title || MAT.pieceWidth(index + 1)}
            path={['several', 'windows', index, 'width']}
            piece={piece}
            unit={unit}
            desk={desk}
          />
          <Measure
            label={MAT.height}
            path={['several', 'windows', index, 'height']}
            piece={piece}
            unit={unit}
            desk={desk}
          />
        </div>
      ))}
      <Button variant="text" size="small" onClick={() => add({})}>
        {MAT.oneMoreWindow}
      </Button>
      <Button
        variant="text"
        size="small"
        onClick={() => add({ title: MAT.title, height: settings.bridgeLeast, width: windows[0]!.width })}
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
