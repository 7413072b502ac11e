'use client';
/**
 * The mat under the hand: windows moved and laid out, their edges and the borders pulled. Every move is an edit, worked out
 * and priced as it is made; while the hand holds, the drawing stays where it was and only what is moved moves.
 */
import Button from '@mui/material/Button';
import { type CSSProperties, type KeyboardEvent, type ReactNode, useRef, useState } from 'react';
import type { Design } from '@/core/design/design';
import { SIDES, type Side, borderPulled, cornerMoved, windowMoved, windowPulled } from '@/core/design/pulled';
import { LAYOUTS, type Layout, laidOut, placedAt } from '@/core/design/several';
import { frontScene } from '@/core/drawing/front';
import { type Settings, defaultSettings } from '@/core/settings';
import { type Guide, bridgesOf, snapped, spread } from '@/core/sizing/lay';
import type { Place, Placed } from '@/core/sizing/windows';
import { formatLength } from '@/core/units/format-length';
import { type Length, type Unit, inches, length, mm, nearestSmaller, times, toMm } from '@/core/units/length';
import type { WorkedOut } from '@/core/work-out';
import { Len } from '@/ui/figures';
import { type Shift, arrowOf, useHold } from '@/ui/hold';
import { SceneSvg, useBox } from '@/ui/scene-svg';
import { useUnit } from '@/ui/units';
import { BY_HAND } from '@/words/screens/by-hand';
import { Choose } from './inputs';
import styles from './by-hand.module.css';
import type { Desk } from './use-desk';

type Several = NonNullable<Design['several']>;
/** What a hand moves in: whatever it lets go lies on a whole step, unless it has caught on something. */
const STEP = { in: inches(0, 1, 16), mm: mm(1) } as const;
/** With the shift key, so many at once. */
const MANY = 10;
/** So near, in pixels, a window catches. */
const REACH = 7;
const PAD = 48;
const UNITS_PER_MM = mm(1);
const NOWHERE: Place = { left: length(0), top: length(0) };

/** As it was when a hand took hold of it: its places are told from there, and the drawing stays. */
interface Held {
  readonly scale: number;
  readonly origin: Shift;
  readonly design: Design;
  readonly windows: readonly Placed[];
  /** Where the corner of all windows has come to since. */
  readonly shift: Place;
  readonly guides: readonly Guide[];
  /** Whether it was moved: all moves of one hold are one step back. */
  readonly moving: boolean;
}

interface PartProps {
  readonly label: string;
  readonly className: string | undefined;
  readonly style: CSSProperties;
  readonly onTake: () => void;
  /** Moved so far, in pixels, since it was taken. */
  readonly onMove: (by: Shift) => void;
  readonly onLeave: () => void;
  /** Moved by so many steps, at once. */
  readonly onStep: (by: Shift) => void;
  readonly onDelete?: (() => void) | undefined;
  readonly children?: ReactNode;
}
/** Something of the drawing that a hand or a key moves. */
function Part({ label, onTake, onMove, onLeave, onStep, onDelete, ...rest }: PartProps) {
  const stirred = useRef(false);
  const { onPointerDown, ...hold } = useHold(
    (by) => {
      stirred.current = true;
      onMove(by);
    },
    (by) => {
      // What was only pressed stays as it is.
      if (stirred.current || by.x !== 0 || by.y !== 0) onMove(by);
      stirred.current = false;
      onLeave();
    },
  );
  const press = (event: KeyboardEvent) => {
    const by = arrowOf(event);
    const far = event.shiftKey ? MANY : 1;
    if (by) onStep({ x: by.x * far, y: by.y * far });
    else if (event.key === 'Delete') onDelete?.();
  };
  return (
    <button
      type="button"
      aria-label={label}
      onKeyDown={press}
      onPointerDown={(event) => {
        onPointerDown(event);
        onTake();
      }}
      {...hold}
      {...rest}
    />
  );
}

/** Outwards at this side. */
const outward = (side: Side, { x, y }: Shift): number => ({ left: -x, right: x, top: -y, bottom: y })[side];
const isUpright = (side: Side): boolean => side === 'left' || side === 'right';

interface Props {
  readonly worked: WorkedOut;
  readonly design: Design;
  readonly photos: readonly string[] | undefined;
  readonly homeUnit: Unit;
  readonly former: boolean;
  readonly put: Desk['put'];
  readonly onClose: () => void;
}

function Bar({ worked, design, homeUnit, put, onClose }: Omit<Props, 'photos' | 'former'>) {
  const { several } = design;
  const windows = worked.sizes.matted?.windows ?? [];
  const settings: Settings = defaultSettings(homeUnit);
  const even = (way: 'across' | 'down') => several && put(['several'], placedAt(several, spread(windows, way)));
  return (
    <div className={styles.bar}>
      <h2>{BY_HAND.head}</h2>
      <Choose
        label={BY_HAND.layout}
        name="layout"
        value={several?.layout ?? 'one'}
        options={LAYOUTS.map((code) => ({ code, name: BY_HAND.layouts[code] }))}
        onChange={(layout) => put(['several'], laidOut(design, layout as Layout, settings, windows))}
      />
      {several && (
        <>
          <Button variant="text" disabled={windows.length < 3} onClick={() => even('across')}>
            {BY_HAND.evenAcross}
          </Button>
          <Button variant="text" disabled={windows.length < 3} onClick={() => even('down')}>
            {BY_HAND.evenDown}
          </Button>
        </>
      )}
      <Button variant="text" onClick={onClose}>
        {BY_HAND.close} <kbd>h</kbd>
      </Button>
    </div>
  );
}

export function MatByHand(props: Props) {
  const { worked, design, photos, homeUnit, former, put } = props;
  const [ref, box] = useBox<HTMLDivElement>();
  const [held, setHeld] = useState<Held>();
  const { unit } = useUnit();
  const { matted } = worked.sizes;
  const { several, window, border } = design;
  const scene = frontScene(worked, false, photos);
  if (!matted || !scene.opening || design.mats.length === 0)
    return (
      <div className={styles.hand} ref={ref}>
        <Bar {...props} />
        <p className={styles.none}>{BY_HAND.none}</p>
      </div>
    );

  const step = STEP[homeUnit];
  const settings = defaultSettings(homeUnit);
  const sheet = worked.sizes.piece.smaller;
  const { windows } = matted;
  const rest = Math.max(0, Math.min((box.width - PAD) / scene.width, (box.height - PAD) / scene.height));
  const scale = held?.scale ?? rest;
  const [openingX, openingY] = scene.opening;
  const origin = held?.origin ?? {
    x: (box.width - scene.width * scale) / 2 + openingX * scale,
    y: (box.height - scene.height * scale) / 2 + openingY * scale,
  };
  const px = (value: Length) => toMm(value) * scale;
  const corner = { x: origin.x + px(held?.shift.left ?? length(0)), y: origin.y + px(held?.shift.top ?? length(0)) };

  const now: Held = { scale, origin, design, windows, shift: NOWHERE, guides: [], moving: false };
  const take = () => setHeld(now);
  const leave = () => setHeld(undefined);
  /** Pixels on the screen as a length, in whole steps. */
  const far = (pixels: number, from: Held) =>
    nearestSmaller(length(Math.round((pixels / from.scale) * UNITS_PER_MM)), step);
  const moved = (
    from: Held,
    path: 'several' | 'window' | 'border',
    value: unknown,
    shift = NOWHERE,
    guides: readonly Guide[] = [],
  ) => {
    put([path], value, held?.moving ?? true);
    if (held) setHeld({ ...from, shift, guides, moving: true });
  };
  const moveWindow = (from: Held, all: Several, index: number, right: Length, down: Length, reach: Length) => {
    const { left, top } = from.windows[index]!;
    const to = { left: length(left + right), top: length(top + down) };
    const { place, guides } = snapped(from.windows, index, to, all.bridge, reach);
    const places = from.windows.map((one, at) => (at === index ? place : one));
    const shift = {
      left: length(Math.min(...places.map((one) => one.left))),
      top: length(Math.min(...places.map((one) => one.top))),
    };
    moved(from, 'several', placedAt(all, places), shift, guides);
  };
  const pullEdge = (from: Held, side: Side, by: Length) => {
    const after = windowPulled(from.design.window, sheet, side, by);
    moved(from, 'window', after, cornerMoved(from.design.window, after, sheet));
  };
  const movePicture = (from: Held, right: Length, down: Length) =>
    moved(from, 'window', windowMoved(from.design.window, sheet, length(-right), length(-down)));
  const pullBorder = (from: Held, side: Side, by: Length) =>
    moved(from, 'border', borderPulled(from.design.border, side, by));

  const around = { left: corner.x, top: corner.y, w: px(matted.opening.w), h: px(matted.opening.h) };
  /** The middle of a side of the box round the windows, so far outside it. */
  const beside = (side: Side, out: number): CSSProperties => ({
    left:
      side === 'left'
        ? around.left - out
        : side === 'right'
          ? around.left + around.w + out
          : around.left + around.w / 2,
    top:
      side === 'top' ? around.top - out : side === 'bottom' ? around.top + around.h + out : around.top + around.h / 2,
  });
  const { back } = matted.layers[0]!;
  const text = (value: Length) => `${formatLength(value, unit)} ${unit}`;
  return (
    <div className={styles.hand}>
      <Bar {...props} />
      <div ref={ref} className={styles.stage} data-faded={former}>
        {scale > 0 && (
          <>
            <span
              className={styles.drawn}
              style={{ left: corner.x - openingX * scale, top: corner.y - openingY * scale }}
            >
              <SceneSvg scene={scene} width={scene.width * scale} height={scene.height * scale} label={BY_HAND.head} />
            </span>
            {held?.guides.map(({ way, at }) => (
              <i
                key={`${way} ${at}`}
                aria-hidden="true"
                className={way === 'across' ? styles.upright : styles.level}
                style={way === 'across' ? { left: origin.x + px(at) } : { top: origin.y + px(at) }}
              />
            ))}
            {several &&
              windows.map((one, index) => (
                <Part
                  key={index}
                  label={BY_HAND.window(index + 1, one.title)}
                  className={styles.window}
                  style={{
                    left: corner.x + px(one.left),
                    top: corner.y + px(one.top),
                    width: px(one.w),
                    height: px(one.h),
                  }}
                  onTake={take}
                  onLeave={leave}
                  onMove={({ x, y }) => {
                    if (!held?.design.several) return;
                    const reach = length(Math.round((REACH / held.scale) * UNITS_PER_MM));
                    moveWindow(held, held.design.several, index, far(x, held), far(y, held), reach);
                  }}
                  onStep={({ x, y }) => moveWindow(now, several, index, times(step, x), times(step, y), length(0))}
                  onDelete={
                    several.windows.length > 2
                      ? () =>
                          put(['several'], {
                            ...several,
                            windows: several.windows.filter((_, at) => at !== index),
                          })
                      : undefined
                  }
                />
              ))}
            {several &&
              bridgesOf(windows).map(({ gap, at, between: [a, b], way }) => (
                <span
                  key={`${a} ${b} ${way}`}
                  className={styles.figure}
                  data-narrow={gap - 2 * back < settings.bridgeLeast}
                  style={{ left: corner.x + px(at.left), top: corner.y + px(at.top) }}
                >
                  <Len value={gap} bare />
                </span>
              ))}
            {!several && window.opening && (
              <Part
                label={BY_HAND.picture}
                className={styles.picture}
                style={{ left: around.left, top: around.top, width: around.w, height: around.h }}
                onTake={take}
                onLeave={leave}
                onMove={({ x, y }) => held && movePicture(held, far(x, held), far(y, held))}
                onStep={({ x, y }) => movePicture(now, times(step, x), times(step, y))}
              />
            )}
            {!several &&
              SIDES.map((side) => (
                <Part
                  key={side}
                  label={BY_HAND.edge(side, text(isUpright(side) ? matted.opening.w : matted.opening.h))}
                  className={isUpright(side) ? styles.edgeUpright : styles.edgeLevel}
                  style={beside(side, 0)}
                  onTake={take}
                  onLeave={leave}
                  onMove={(by) => held && pullEdge(held, side, far(outward(side, by), held))}
                  onStep={(by) => pullEdge(now, side, times(step, outward(side, by)))}
                />
              ))}
            {SIDES.map((side) => {
              const wide = matted.border[side];
              const place = beside(side, px(wide) / 2);
              const figure = <Len value={wide} bare />;
              return border.mode === 'fit' || design.frame.readyMade ? (
                <span key={side} className={styles.figure} style={place}>
                  {figure}
                </span>
              ) : (
                <Part
                  key={side}
                  label={BY_HAND.border(side, text(wide))}
                  className={isUpright(side) ? styles.borderUpright : styles.borderLevel}
                  style={place}
                  onTake={take}
                  onLeave={leave}
                  onMove={(by) => held && pullBorder(held, side, far(outward(side, by), held))}
                  onStep={(by) => pullBorder(now, side, times(step, outward(side, by)))}
                >
                  {figure}
                </Part>
              );
            })}
          </>
        )}
      </div>
      <p className={styles.say}>{former ? BY_HAND.unread : several ? BY_HAND.saySeveral : BY_HAND.say}</p>
    </div>
  );
}
