'use client';
/** Mats, borders, windows, spacer, fillet. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { Len, SizeText } from '@/ui/figures';
import styles from './desk.module.css';
import type { WorkedOut } from '@/core/work-out';
import { BUILDS } from '@/core/builds';
import type { Border } from '@/core/design/common';
import { laidOut } from '@/core/design/several';
import { type Settings, defaultSettings } from '@/core/settings';
import { CORNERED, SHAPES, cornerOf } from '@/core/sizing/shapes';
import { standardSizes } from '@/core/sizing/match';
import { fieldText } from '@/core/units/format-length';
import { type Size, length, mm } from '@/core/units/length';
import { buildName } from '@/words/builds';
import { shapeName } from '@/words/build-parts';
import { Choose, FromList, Measure, Tick, Toggle } from './inputs';
import { type SectionProps, codeOf } from './section-props';
import { MAT } from '@/words/screens/desk-sections';
import { patient } from '@/ui/patient';

const SeveralFields = dynamic(() => patient(() => import('./several-fields')).then((file) => file.SeveralFields), {
  loading: () => null,
});

const STYLES = [
  ['bevel', MAT.bevelled],
  ['reverse', MAT.bevelReversed],
  ['turned', MAT.turnedOver],
] as const;
const EDGES = [
  ['covered', MAT.covered],
  ['floated', MAT.floated],
  ['part', MAT.aPart],
] as const;
const MODES = [
  ['equal', MAT.equal],
  ['weighted', MAT.heavierBelow],
  ['sides', MAT.narrowerSides],
  ['four', MAT.each],
  ['fit', MAT.toASize],
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

/** Sizes that frames and glass are sold in, of those that suit the window. */
function StandardSizes({ shop, piece, worked, unit, desk }: SectionProps) {
  const { border } = piece.design;
  const opening = worked?.sizes.opening;
  if (border.mode !== 'fit' || !opening) return null;
  const settings = defaultSettings(shop.homeUnit);
  const { border: all } = settings;
  const lists = shop.homeUnit === 'in' ? (['inches', 'centimetres'] as const) : (['centimetres', 'inches'] as const);
  const wished = { left: all, right: all, top: all, bottom: all };
  const offers = standardSizes(opening, wished, border.how, lists, settings.standardLeast).slice(0, MOST_STANDARD);
  const key = ({ w, h }: Size) => `${w} ${h}`;
  const now = offers.find((offer) => key(offer.package) === key(border.package));
  const text = ({ w, h }: Size) => `${fieldText(w, unit)} × ${fieldText(h, unit)} ${unit}`;
  return (
    <FromList
      label={MAT.standardSize}
      none={MAT.noStandard}
      value={now && key(now.package)}
      options={offers.map((offer) => ({ code: key(offer.package), name: text(offer.package) }))}
      onChange={(code) => {
        const offer = offers.find((one) => key(one.package) === code);
        if (offer) desk.put(['border', 'package'], offer.package);
      }}
    />
  );
}
const MOST_STANDARD = 12;

function Borders({ shop, piece, worked, unit, desk }: SectionProps) {
  const { border, frame } = piece.design;
  const settings = defaultSettings(shop.homeUnit);
  const field = (label: string, ...path: string[]) => (
    <Measure key={label} label={label} path={['border', ...path]} piece={piece} unit={unit} desk={desk} />
  );
  if (frame.readyMade)
    return (
      <p className={styles.aside}>
        {MAT.cutToFrame} {worked && <SizeText of={worked.sizes.package} />}
      </p>
    );
  return (
    <>
      <Choose
        label={MAT.borders}
        name="border.mode"
        value={border.mode}
        options={MODES.map(([code, name]) => ({ code, name }))}
        onChange={(mode) => desk.put(['border'], borderAs(mode as Border['mode'], worked, border, settings))}
      />
      <div className={styles.pair}>
        {border.mode === 'equal' && field(MAT.border, 'all')}
        {border.mode === 'weighted' && [field(MAT.sidesAndTop, 'all'), field(MAT.moreBelow, 'extra')]}
        {border.mode === 'sides' && [field(MAT.topAndBottom, 'all'), field(MAT.sidesLess, 'less')]}
        {border.mode === 'four' && [
          field(MAT.left, 'left'),
          field(MAT.right, 'right'),
          field(MAT.top, 'top'),
          field(MAT.bottom, 'bottom'),
        ]}
        {border.mode === 'fit' && [field(MAT.outsideWidth, 'package', 'w'), field(MAT.outsideHeight, 'package', 'h')]}
      </div>
      {border.mode === 'fit' && <StandardSizes shop={shop} piece={piece} worked={worked} unit={unit} desk={desk} />}
      {border.mode === 'fit' && (
        <Toggle
          label={MAT.windowInIt}
          value={border.how}
          options={[
            ['centred', MAT.centred],
            ['optical', MAT.aLittleHigh],
            ['bottom-heavy', MAT.heavyBelow],
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
  // What floats by its build has a gap and no covered edge; a box asks for its margin with its own fields.
  if (BUILDS[design.build].floatsInWindow && !several)
    return design.build === 'float' ? (
      <Measure
        label={MAT.gapRoundThePiece}
        path={['window', 'floatGap']}
        usual={settings.floatGap}
        piece={piece}
        unit={unit}
        desk={desk}
      />
    ) : null;
  return (
    <>
      {!several && <Toggle label={MAT.edgeOfThePiece} value={edge} options={EDGES} onChange={setEdge} />}
      {edge === 'covered' && field(MAT.overlapOnThePiece, 'overlap')}
      {edge === 'floated' && field(MAT.gapRoundThePiece, 'floatGap')}
      {edge === 'part' && (
        <div className={styles.pair}>
          {field(MAT.windowWidth, 'opening', 'w')}
          {field(MAT.windowHeight, 'opening', 'h')}
          {field(MAT.fromTheLeftEdge, 'opening', 'left')}
          {field(MAT.fromTheTopEdge, 'opening', 'top')}
        </div>
      )}
      {!several && (
        <div className={styles.pair}>
          <Choose
            label={MAT.shape}
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
              label={window.shape === 'arch' ? MAT.rise : MAT.corner}
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

function StartSeveral({ shop, piece, desk }: SectionProps) {
  const start = () => desk.put(['several'], laidOut(piece.design, 'row', defaultSettings(shop.homeUnit)));
  return (
    <Button variant="text" size="small" onClick={start}>
      {MAT.severalWindows}
    </Button>
  );
}

export function MatSection(props: SectionProps) {
  const { shop, piece, worked, unit, desk } = props;
  const { design } = piece;
  const settings = defaultSettings(shop.homeUnit);
  const { mats } = design;
  const build = BUILDS[design.build];
  if (!build.uses.includes('mats')) return <p className={styles.aside}>{MAT.noMatInIt(buildName(design.build))}</p>;
  const seen = worked?.sizes.visibleBorder;
  const mayGo = mats.length > 1 || !build.needsMat;
  return (
    <>
      {mats.map((mat, index) => (
        <div key={index} className={styles.layer}>
          <Choose
            label={index === 0 ? MAT.topMat : index === 1 ? MAT.secondMat : MAT.thirdMat}
            name={`mats.${index}.board`}
            value={codeOf(mat.board)}
            options={shop.lists.mats}
            onChange={(code) => desk.put(['mats', index, 'board'], { code })}
          />
          <Choose
            label={MAT.windowEdge}
            name={`mats.${index}.style`}
            value={mat.style ?? 'bevel'}
            options={STYLES.map(([code, name]) => ({ code, name }))}
            onChange={(style) => desk.put(['mats', index, 'style'], style === 'bevel' ? undefined : style)}
          />
          {(index > 0 || (mayGo && mats.length === 1)) && (
            <div className={styles.reveal}>
              {index > 0 && (
                <Measure label={MAT.shows} path={['mats', index, 'reveal']} piece={piece} unit={unit} desk={desk} />
              )}
              {index === mats.length - 1 && mayGo && (
                <Button
                  variant="text"
                  size="small"
                  aria-label={MAT.takeThisMatOut}
                  onClick={() => desk.put(['mats'], mats.slice(0, -1))}
                >
                  {MAT.takeOut}
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
          {mats.length === 0 ? MAT.addAMat : MAT.addAMatUnder}
        </Button>
      )}
      {mats.length > 0 && (
        <>
          <Borders {...props} />
          {build.uses.includes('window') && <WindowFields {...props} />}
          {props.piece.design.several ? <SeveralFields {...props} /> : <StartSeveral {...props} />}
          <Tick
            label={MAT.hiddenSpacerBehindIt}
            checked={design.spacer !== undefined}
            onChange={(on) => desk.put(['spacer'], on ? { setBack: settings.setBack } : undefined)}
          />
          <FromList
            label={MAT.filletInTheWindow}
            none={MAT.noFillet}
            value={design.fillet && codeOf(design.fillet.moulding)}
            options={shop.lists.mouldings.filter((moulding) => moulding.faceWidth <= mm(22))}
            onChange={(code) => desk.put(['fillet'], code && { moulding: { code }, lip: length(1016) })}
          />
        </>
      )}
      {seen && (
        <p className={styles.aside}>
          {MAT.seenInTheFrame} <Len value={seen.left} /> {MAT.atTheSides} <Len value={seen.bottom} /> {MAT.below}
        </p>
      )}
    </>
  );
}
