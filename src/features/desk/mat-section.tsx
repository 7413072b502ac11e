'use client';
/** Mats, borders, windows, spacer, fillet. */
import Button from '@mui/material/Button';
import { Len } from '@/ui/figures';
import styles from './desk.module.css';
import type { WorkedOut } from '@/core/work-out';
import { BUILDS } from '@/core/builds';
import type { Border } from '@/core/design/common';
import { type Settings, defaultSettings } from '@/core/settings';
import { CORNERED, SHAPES, cornerOf } from '@/core/sizing/shapes';
import { length, mm } from '@/core/units/length';
import { buildName, shapeName } from '@/words/builds';
import { Choose, FromList, Measure, Tick, Toggle } from './inputs';
import { type SectionProps, codeOf } from './section-props';

const STYLES = [
  ['bevel', 'Bevelled'],
  ['reverse', 'Bevel reversed'],
  ['turned', 'Turned over'],
] as const;
const EDGES = [
  ['covered', 'Covered'],
  ['floated', 'Floated'],
  ['part', 'A part'],
] as const;
const MODES = [
  ['equal', 'Equal'],
  ['weighted', 'Heavier below'],
  ['sides', 'Narrower sides'],
  ['four', 'Each'],
  ['fit', 'To a size'],
] as const;

/** The same border said another way: what is wide now stays as wide. */
function borderAs(mode: Border['mode'], worked: WorkedOut | undefined, border: Border, settings: Settings): Border {
  const all = 'all' in border ? border.all : border.mode === 'four' ? border.top : settings.border;
  const now = worked?.sizes.border ?? { left: all, right: all, top: all, bottom: all };
  switch (mode) {
    case 'equal':
      return { mode, all };
    case 'weighted':
      return { mode, all, extra: settings.bottomExtra };
    case 'sides':
      return { mode, all, less: settings.sidesLess };
    case 'four':
      return { mode, ...now };
    case 'fit':
      return { mode, package: worked?.sizes.package ?? { w: all, h: all }, how: 'centred' };
  }
}

function Borders({ shop, piece, worked, unit, desk }: SectionProps) {
  const { border } = piece.design;
  const settings = defaultSettings(shop.homeUnit);
  const field = (label: string, ...path: string[]) => (
    <Measure key={label} label={label} path={['border', ...path]} piece={piece} unit={unit} desk={desk} />
  );
  return (
    <>
      <Choose
        label="Borders"
        name="border.mode"
        value={border.mode}
        options={MODES.map(([code, name]) => ({ code, name }))}
        onChange={(mode) => desk.put(['border'], borderAs(mode as Border['mode'], worked, border, settings))}
      />
      <div className={styles.pair}>
        {border.mode === 'equal' && field('Border', 'all')}
        {border.mode === 'weighted' && [field('Sides and top', 'all'), field('More below', 'extra')]}
        {border.mode === 'sides' && [field('Top and bottom', 'all'), field('Sides less', 'less')]}
        {border.mode === 'four' && [
          field('Left', 'left'),
          field('Right', 'right'),
          field('Top', 'top'),
          field('Bottom', 'bottom'),
        ]}
        {border.mode === 'fit' && [field('Outside width', 'package', 'w'), field('Outside height', 'package', 'h')]}
      </div>
      {border.mode === 'fit' && (
        <Toggle
          label="Window in it"
          value={border.how}
          options={[
            ['centred', 'Centred'],
            ['optical', 'A little high'],
            ['bottom-heavy', 'Heavy below'],
          ]}
          onChange={(how) => desk.put(['border', 'how'], how)}
        />
      )}
    </>
  );
}

/** How the edge of the piece is shown, and the shape of its window. */
function WindowFields({ shop, piece, unit, desk, worked }: SectionProps) {
  const { design } = piece;
  const { window, several } = design;
  const settings = defaultSettings(shop.homeUnit);
  const edge = window.opening ? 'part' : window.floatGap === undefined ? 'covered' : 'floated';
  const setEdge = (to: 'covered' | 'floated' | 'part') => {
    const { floatGap: _gap, opening: _opening, ...plain } = window;
    const now = worked?.sizes.opening;
    const inset = settings.overlap;
    desk.put(
      ['window'],
      to === 'floated'
        ? { ...plain, floatGap: settings.floatGap }
        : to === 'part' && now
          ? { ...plain, opening: { ...now, left: inset, top: inset } }
          : plain,
    );
  };
  const field = (label: string, ...path: string[]) => (
    <Measure label={label} path={['window', ...path]} piece={piece} unit={unit} desk={desk} />
  );
  return (
    <>
      {!several && <Toggle label="Edge of the piece" value={edge} options={EDGES} onChange={setEdge} />}
      {edge === 'covered' && field('Overlap on the piece', 'overlap')}
      {edge === 'floated' && field('Gap round the piece', 'floatGap')}
      {edge === 'part' && (
        <div className={styles.pair}>
          {field('Window width', 'opening', 'w')}
          {field('Window height', 'opening', 'h')}
          {field('From the left edge', 'opening', 'left')}
          {field('From the top edge', 'opening', 'top')}
        </div>
      )}
      {!several && (
        <div className={styles.pair}>
          <Choose
            label="Shape"
            name="window.shape"
            value={window.shape ?? 'rectangle'}
            options={SHAPES.map((code) => ({ code, name: shapeName(code) }))}
            onChange={(shape) => {
              const { shape: _shape, corner: _corner, ...plain } = window;
              desk.put(['window'], shape === 'rectangle' ? plain : { ...plain, shape });
            }}
          />
          {CORNERED.includes(window.shape ?? 'rectangle') && (
            <Measure
              label={window.shape === 'arch' ? 'Rise' : 'Corner'}
              path={['window', 'corner']}
              usual={worked?.sizes.opening && cornerOf({ shape: window.shape! }, worked.sizes.opening)}
              piece={piece}
              unit={unit}
              desk={desk}
            />
          )}
        </div>
      )}
    </>
  );
}

/** Several windows in one mat: how they lie, and each with its piece. */
function SeveralFields({ shop, piece, unit, desk }: SectionProps) {
  const { several, piece: it } = piece.design;
  const settings = defaultSettings(shop.homeUnit);
  if (!several) {
    const one = { width: it.width, height: it.height };
    const bridge = { across: settings.patch, down: settings.patch };
    return (
      <Button
        variant="text"
        size="small"
        onClick={() => desk.put(['several'], { windows: [one, one], layout: 'row', bridge })}
      >
        Several windows
      </Button>
    );
  }
  const { windows } = several;
  const add = (more: Partial<(typeof windows)[number]>) =>
    desk.put(['several', 'windows'], [...windows, { ...windows.at(-1)!, title: '', ...more }]);
  return (
    <>
      <Toggle
        label="Windows laid out"
        value={several.layout}
        options={[
          ['row', 'Row'],
          ['column', 'Column'],
          ['grid', 'Grid'],
        ]}
        onChange={(layout) => desk.put(['several', 'layout'], layout)}
      />
      <div className={styles.pair}>
        <Measure label="Bridge across" path={['several', 'bridge', 'across']} piece={piece} unit={unit} desk={desk} />
        <Measure label="Bridge down" path={['several', 'bridge', 'down']} piece={piece} unit={unit} desk={desk} />
      </div>
      {windows.map((window, index) => (
        <div key={index} className={styles.pair}>
          <Measure
            label={window.title || `Piece ${index + 1}, width`}
            path={['several', 'windows', index, 'width']}
            piece={piece}
            unit={unit}
            desk={desk}
          />
          <Measure
            label="Height"
            path={['several', 'windows', index, 'height']}
            piece={piece}
            unit={unit}
            desk={desk}
          />
        </div>
      ))}
      <Button variant="text" size="small" onClick={() => add({})}>
        One more window
      </Button>
      <Button
        variant="text"
        size="small"
        onClick={() => add({ title: 'Title', height: settings.bridgeLeast, width: windows[0]!.width })}
      >
        A title plate
      </Button>
      {windows.length > 2 && (
        <Button variant="text" size="small" onClick={() => desk.put(['several', 'windows'], windows.slice(0, -1))}>
          Take the last out
        </Button>
      )}
      <Button variant="text" size="small" onClick={() => desk.put(['several'], undefined)}>
        One window only
      </Button>
    </>
  );
}

export function MatSection(props: SectionProps) {
  const { shop, piece, worked, unit, desk } = props;
  const { design } = piece;
  const settings = defaultSettings(shop.homeUnit);
  const { mats } = design;
  const build = BUILDS[design.build];
  if (!build.uses.includes('mats')) return <p className={styles.aside}>{buildName(design.build)}: no mat in it.</p>;
  const seen = worked?.sizes.visibleBorder;
  const mayGo = mats.length > 1 || !build.needsMat;
  return (
    <>
      {mats.map((mat, index) => (
        <div key={index} className={styles.layer}>
          <Choose
            label={index === 0 ? 'Top mat' : index === 1 ? 'Second mat' : 'Third mat'}
            name={`mats.${index}.board`}
            value={codeOf(mat.board)}
            options={shop.lists.mats}
            onChange={(code) => desk.put(['mats', index, 'board'], { code })}
          />
          <Choose
            label="Window edge"
            name={`mats.${index}.style`}
            value={mat.style ?? 'bevel'}
            options={STYLES.map(([code, name]) => ({ code, name }))}
            onChange={(style) => desk.put(['mats', index, 'style'], style === 'bevel' ? undefined : style)}
          />
          {(index > 0 || (mayGo && mats.length === 1)) && (
            <div className={styles.reveal}>
              {index > 0 && (
                <Measure label="Shows" path={['mats', index, 'reveal']} piece={piece} unit={unit} desk={desk} />
              )}
              {index === mats.length - 1 && mayGo && (
                <Button
                  variant="text"
                  size="small"
                  aria-label="Take this mat out"
                  onClick={() => desk.put(['mats'], mats.slice(0, -1))}
                >
                  Take out
                </Button>
              )}
            </div>
          )}
        </div>
      ))}
      {mats.length < 3 && (
        <Button
          variant="text"
          size="small"
          onClick={() =>
            desk.put(
              ['mats'],
              [
                ...mats,
                {
                  board: mats.at(-1)?.board ?? { code: shop.defaults.mat },
                  reveal: mats.length === 0 ? length(0) : settings.reveal,
                },
              ],
            )
          }
        >
          {mats.length === 0 ? 'Add a mat' : 'Add a mat under it'}
        </Button>
      )}
      {mats.length > 0 && (
        <>
          <Borders {...props} />
          {build.uses.includes('window') && <WindowFields {...props} />}
          <SeveralFields {...props} />
          <Tick
            label="Hidden spacer behind it, for a piece that sheds"
            checked={design.spacer !== undefined}
            onChange={(on) => desk.put(['spacer'], on ? { setBack: settings.setBack } : undefined)}
          />
          <FromList
            label="Fillet in the window"
            none="No fillet"
            value={design.fillet && codeOf(design.fillet.moulding)}
            options={shop.lists.mouldings.filter((moulding) => moulding.faceWidth <= mm(22))}
            onChange={(code) => desk.put(['fillet'], code && { moulding: { code }, lip: length(1016) })}
          />
        </>
      )}
      {seen && (
        <p className={styles.aside}>
          Seen in the frame: <Len value={seen.left} /> at the sides, <Len value={seen.bottom} /> below
        </p>
      )}
    </>
  );
}
