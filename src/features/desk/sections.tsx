'use client';
/** What can be chosen in each section of the desk. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { ShopView } from '@/contract/views';
import { BUILDS, BUILD_CODES, type BuildCode } from '@/core/builds';
import type { Part } from '@/core/builds/build';
import { type Border, type Design, MOUNTS, PIECE_KINDS, SCOPES } from '@/core/design/design';
import { type Settings, defaultSettings } from '@/core/settings';
import { CORNERED, SHAPES, cornerOf } from '@/core/sizing/shapes';
import { type Length, type Unit, length, mm, times } from '@/core/units/length';
import type { WorkedOut } from '@/core/work-out';
import { Len } from '@/ui/figures';
import { buildName, mountName, scopeName, shapeName } from '@/words/builds';
import { KIND_NAMES } from '@/words/materials';
import { BuildFields } from './build-fields';
import type { DraftPiece } from './draft';
import styles from './desk.module.css';
import { Choose, FromList, Measure, TextField, Tick, Toggle } from './inputs';
import { MouldingChoice } from './moulding-choice';
import type { Desk } from './use-desk';

export interface SectionProps {
  readonly shop: ShopView;
  readonly piece: DraftPiece;
  readonly worked: WorkedOut | undefined;
  readonly unit: Unit;
  readonly desk: Pick<Desk, 'type' | 'commit' | 'put' | 'build'>;
}

const codeOf = (choice: { code: string } | { given: { code: string } }) =>
  'code' in choice ? choice.code : choice.given.code;

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
      {windows.map((one, index) => (
        <div key={index} className={styles.pair}>
          <Measure
            label={one.title || `Piece ${index + 1}, width`}
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
                  board: mats.at(-1)?.board ?? { code: shop.house.mat },
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
            options={shop.lists.mouldings.filter((one) => one.faceWidth <= mm(22))}
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

export function FrameSection({ shop, piece, unit, desk }: SectionProps) {
  const { frame, build } = piece.design;
  const rabbeted = !['floater', 'tray'].includes(build);
  return (
    <>
      {build === 'customer-frame' && (
        <p className={styles.aside}>
          The customer’s own: choose what is nearest in width and depth. It is not charged.
        </p>
      )}
      <MouldingChoice
        shop={shop}
        chosen={codeOf(frame.moulding)}
        onChoose={(code) => desk.put(['frame', 'moulding'], { code })}
      />
      {rabbeted && (
        <>
          <Measure
            label="Allowance in the rabbet"
            path={['frame', 'allowance']}
            piece={piece}
            unit={unit}
            desk={desk}
          />
          <FromList
            label="Liner inside it"
            none="No liner"
            value={frame.inner?.[0] && codeOf(frame.inner[0].moulding)}
            options={shop.lists.mouldings}
            onChange={(code) =>
              desk.put(['frame', 'inner'], code && [{ moulding: { code }, allowance: frame.allowance }])
            }
          />
          {frame.outside ? (
            <div className={styles.pair}>
              <Measure label="Outside width" path={['frame', 'outside', 'w']} piece={piece} unit={unit} desk={desk} />
              <Measure label="Outside height" path={['frame', 'outside', 'h']} piece={piece} unit={unit} desk={desk} />
            </div>
          ) : null}
          <SameOutside frame={frame} desk={desk} size={defaultSettings(shop.homeUnit).border} />
        </>
      )}
    </>
  );
}

/** To match the outside of a frame that exists. */
function SameOutside({ frame, desk, size }: { frame: Design['frame']; desk: SectionProps['desk']; size: Length }) {
  const wanted = frame.outside;
  return (
    <Button
      variant="text"
      size="small"
      onClick={() => desk.put(['frame', 'outside'], wanted ? undefined : { w: times(size, 7), h: times(size, 9) })}
    >
      {wanted ? 'Its own outside size' : 'Same outside as another frame'}
    </Button>
  );
}

export function GlassSection({ shop, piece, desk }: SectionProps) {
  if (!BUILDS[piece.design.build].uses.includes('glazing'))
    return <p className={styles.aside}>{buildName(piece.design.build)}: nothing to glaze.</p>;
  return (
    <Choose
      label="Glazing"
      name="glazing"
      value={codeOf(piece.design.glazing)}
      options={shop.lists.glazings}
      onChange={(code) => desk.put(['glazing'], { code })}
    />
  );
}

export function BackSection({ shop, piece, worked, unit, desk }: SectionProps) {
  const { hanging } = piece.design;
  const uses = (part: Part) => BUILDS[piece.design.build].uses.includes(part);
  const flat = uses('mats') || piece.design.build === 'bare';
  const mode = typeof hanging.rings === 'object' ? 'distance' : hanging.rings;
  const setRings = (to: 'third' | 'quarter' | 'none' | 'distance') =>
    desk.put(
      ['hanging', 'rings'],
      to === 'distance' ? { distance: worked?.hanging?.ringDrop ?? length(8128 * 4) } : to,
    );
  return (
    <>
      {uses('backing') && (
        <Choose
          label="Backing"
          name="backing"
          value={codeOf(piece.design.backing)}
          options={shop.lists.backings}
          onChange={(code) => desk.put(['backing'], { code })}
        />
      )}
      {uses('mountBoard') && (
        <FromList
          label="Mount board behind it"
          none="No mount board"
          value={piece.design.mountBoard && codeOf(piece.design.mountBoard)}
          options={shop.lists.mats}
          onChange={(code) => desk.put(['mountBoard'], code && { code })}
        />
      )}
      {flat && (
        <Choose
          label="Held by"
          name="mount"
          value={piece.design.mount ?? (piece.design.build === 'dry-mount' ? 'dry mount' : 'hinges')}
          options={MOUNTS.map((code) => ({ code, name: mountName(code) }))}
          onChange={(mount) => desk.put(['mount'], mount)}
        />
      )}
      <Choose
        label="Supplied as"
        name="scope"
        value={piece.design.scope ?? 'ready to hang'}
        options={SCOPES.map((code) => ({ code, name: scopeName(code) }))}
        onChange={(scope) => desk.put(['scope'], scope)}
      />
      <Toggle
        label="Hangs by"
        value={hanging.by ?? 'wire'}
        options={[
          ['wire', 'Wire'],
          ['hooks', 'Two hooks'],
          ['sawtooth', 'Sawtooth'],
        ]}
        onChange={(by) => desk.put(['hanging', 'by'], by === 'wire' ? undefined : by)}
      />
      <p className={styles.aside}>Rings below the top</p>
      <Toggle
        label="Rings below the top"
        value={mode}
        options={[
          ['third', 'A third'],
          ['quarter', 'A quarter'],
          ['distance', 'Set'],
          ['none', 'No wire'],
        ]}
        onChange={setRings}
      />{' '}
      {mode === 'distance' && (
        <Measure
          label="Rings below the top"
          path={['hanging', 'rings', 'distance']}
          piece={piece}
          unit={unit}
          desk={desk}
        />
      )}
      {mode !== 'none' && (
        <Choose
          label="Slack in the wire"
          name="slack"
          value={hanging.slack}
          options={['0.01', '0.02', '0.05', '0.1', '0.15'].map((code) => ({
            code,
            name: `${Math.round(Number(code) * 100)} %`,
          }))}
          onChange={(slack) => desk.put(['hanging', 'slack'], slack)}
        />
      )}
    </>
  );
}

export function InsistsSection({ piece, desk }: SectionProps) {
  return (
    <TextField
      label="What must not be forgotten"
      name="insists"
      value={piece.design.insists}
      most={400}
      onChange={(text) => desk.put(['insists'], text, true)}
    />
  );
}
