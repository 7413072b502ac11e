'use client';
/**
 * The frames of an order on their wall, at the height they will hang: its colour, something beside them for size, and
 * each moved by hand or by keys. What the hand holds is moved on the screen alone; where it lets go becomes an edit.
 */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { type KeyboardEvent, useMemo, useState } from 'react';
import type { Pictures, ShopView } from '@/contract/views';
import { goesOnWall } from '@/core/design/choices';
import { frontScene } from '@/core/drawing/front';
import type { Scene } from '@/core/drawing/scene';
import { defaultSettings } from '@/core/settings';
import { formatLength } from '@/core/units/format-length';
import { type Length, inches, length, mm, toMm } from '@/core/units/length';
import { type Hung, evened, hooksOf, inRow, placed } from '@/core/wall/hung';
import { SET_GAP, TALL, THINGS, WALL_COLOURS, thingShapes, widthOfThing } from '@/core/wall/wall';
import { Choice } from '@/ui/choice';
import { Len } from '@/ui/figures';
import { FlatScene } from '@/ui/flat-scene';
import { arrowOf, useHold } from '@/ui/hold';
import { useBox } from '@/ui/scene-svg';
import { useUnit } from '@/ui/units';
import { DESK } from '@/words/screens/desk';
import { WALL } from '@/words/screens/wall';
import { piecePanel } from './piece-tabs';
import type { Desk } from './use-desk';
import styles from './wall.module.css';
import { patient } from '@/ui/patient';

const PhotoColour = dynamic(() => patient(() => import('./photo-colour')).then((file) => file.PhotoColour), {
  loading: () => null,
});

/** What is seen of the wall, in millimetres: from below the floor up. */
const ROOM = { above: 2500, below: 130, side: 300 } as const;
const BETWEEN = 260;
/** One press of an arrow key. */
const NUDGE = { in: inches(0, 1, 2), mm: mm(10) } as const;
const UNITS_PER_MM = mm(1);

interface Frame {
  readonly id: string;
  readonly title: string;
  readonly outside: { readonly w: Length; readonly h: Length };
  readonly hanging: { readonly hookDrop: Length; readonly apart?: Length } | undefined;
  readonly scene: Scene;
}
function framesOf({ draft, shown }: Desk, pictures: Pictures | undefined): Frame[] {
  return draft.pieces.flatMap(({ id, design }, index) => {
    const worked = shown[index]?.worked;
    if (!worked || !goesOnWall(design.scope)) return [];
    const { title } = design.piece;
    return [
      {
        id,
        title: title || DESK.piece(index + 1),
        outside: worked.sizes.outside ?? worked.sizes.package,
        hanging: worked.hanging,
        scene: frontScene(worked, false, pictures?.[id]),
      },
    ];
  });
}

interface HeldProps {
  readonly frame: Frame;
  readonly at: Hung;
  readonly hook: Length | undefined;
  readonly scale: number;
  readonly origin: { readonly x: number; readonly floor: number };
  readonly step: Length;
  readonly onMove: (dx: Length, dy: Length) => void;
}
/** One frame, which a hand or a key moves. */
function Held({ frame, at, hook, scale, origin, step, onMove }: HeldProps) {
  const { unit } = useUnit();
  const height = hook === undefined ? '—' : `${formatLength(hook, unit)} ${unit}`;
  const { scene } = frame;
  const left = origin.x + toMm(at.x) * scale - (scene.width * scale) / 2;
  const top = origin.floor - toMm(at.y) * scale - scene.middle! * scale;
  const of = (pixels: number) => length(Math.round((pixels / scale) * UNITS_PER_MM));
  const hold = useHold(
    ({ x, y }, target) => {
      target.style.transform = `translate(${x}px, ${y}px)`;
    },
    ({ x, y }, target) => {
      target.style.transform = '';
      if (x !== 0 || y !== 0) onMove(of(x), of(-y));
    },
  );
  const press = (event: KeyboardEvent) => {
    const by = arrowOf(event);
    if (by) onMove(length(by.x * step), length(-by.y * step));
  };
  return (
    <button
      type="button"
      className={styles.held}
      style={{ left, top }}
      aria-label={WALL.frame(frame.title, height)}
      {...hold}
      onKeyDown={press}
    >
      <FlatScene scene={scene} scale={scale} label={frame.title} name={`wall-${frame.id}`} />
      <span>
        {WALL.hook} {hook === undefined ? height : <Len value={hook} />}
      </span>
    </button>
  );
}

interface Props {
  readonly desk: Desk;
  readonly shop: ShopView;
  readonly pictures: Pictures | undefined;
  readonly number: number | undefined;
  readonly onClose: () => void;
}

export function OnTheWall({ desk, shop, pictures, number, onClose }: Props) {
  const [ref, box] = useBox<HTMLDivElement>();
  const [fromPhoto, setFromPhoto] = useState(false);
  const { draft, putWall } = desk;
  const { wall = {} } = draft;
  const settings = defaultSettings(shop.homeUnit);
  const gap = SET_GAP[shop.homeUnit];
  const frames = framesOf(desk, pictures);
  const hung = placed(frames, wall.hung ?? [], gap, settings.eyeLine);
  const hooks = frames.length > 0 ? hooksOf(frames, hung) : [];
  const colour = wall.colour ?? WALL_COLOURS[0];
  const put = (more: Partial<typeof wall>) => putWall({ ...wall, ...more });
  const hang = (to: readonly Hung[]) => put({ hung: to });
  const move = (id: string, dx: Length, dy: Length) =>
    hang(
      hung.map((one) => (one.id === id ? { ...one, x: length(one.x + dx), y: length(Math.max(0, one.y + dy)) } : one)),
    );

  // The middle of the set stays where it is on the screen, so that what is let go stays under the hand.
  const reach = Math.max(0, ...hung.map((one, index) => Math.abs(toMm(one.x)) + toMm(frames[index]!.outside.w) / 2));
  const { thing } = wall;
  // A sofa stands below the set; a door or a person beside it.
  const under = thing === 'sofa';
  const beside = thing && !under ? BETWEEN + widthOfThing(thing) : 0;
  const wide = Math.max(2 * reach, under ? widthOfThing('sofa') : 0) + 2 * ROOM.side + beside;
  const scale = Math.max(0, Math.min(box.height / (ROOM.above + ROOM.below), box.width / wide));
  const middle = (box.width - beside * scale) / 2;
  const floor = box.height - ROOM.below * scale;
  const scene = useMemo((): Scene | undefined => {
    if (!thing) return undefined;
    return {
      width: widthOfThing(thing),
      height: TALL[thing],
      shapes: thingShapes(thing, 0, TALL[thing], colour),
      about: thing,
    };
  }, [thing, colour]);
  const thingLeft = middle + (under ? -widthOfThing('sofa') / 2 : reach + BETWEEN) * scale;
  return (
    <section className={styles.wall} {...piecePanel(draft.pieces.length, desk.active)} aria-label={WALL.head}>
      <div className={styles.bar}>
        <h2>{WALL.head}</h2>
        <span className={styles.colours} role="group" aria-label={WALL.colour}>
          {WALL_COLOURS.map((one) => (
            <button
              key={one}
              type="button"
              style={{ background: one }}
              aria-label={WALL.colourOf(one)}
              aria-pressed={one === colour}
              onClick={() => put({ colour: one })}
            />
          ))}
          <input
            type="color"
            value={colour}
            aria-label={WALL.other}
            onChange={(event) => put({ colour: event.target.value.toLowerCase() })}
          />
        </span>
        <Button variant="text" onClick={() => setFromPhoto(true)}>
          {WALL.fromPhoto}
        </Button>
        <Choice
          label={WALL.beside}
          value={thing ?? 'nothing'}
          options={[['nothing', WALL.nothing] as const, ...THINGS.map((one) => [one, WALL.things[one]] as const)]}
          onChange={(to) => put({ thing: to === 'nothing' ? undefined : to })}
        />
        {frames.length > 1 && (
          <>
            <Button variant="text" onClick={() => hang(inRow(frames, gap, settings.eyeLine))}>
              {WALL.row}
            </Button>
            <Button variant="text" disabled={frames.length < 3} onClick={() => hang(evened(frames, hung))}>
              {WALL.even}
            </Button>
          </>
        )}
        {number !== undefined && !desk.dirty && (
          <Button variant="text" href={`/papers/set-card/${number}`} target="_blank">
            {WALL.card}
          </Button>
        )}
        <Button variant="text" onClick={onClose}>
          {WALL.close} <kbd>w</kbd>
        </Button>
      </div>
      <div ref={ref} className={styles.room} style={{ background: colour }}>
        {frames.length === 0 && <p className={styles.none}>{desk.complete ? WALL.none : WALL.notMeasured}</p>}
        <i className={styles.floor} style={{ top: floor }} aria-hidden="true" />
        {scene && scale > 0 && (
          <span className={styles.thing} style={{ left: thingLeft, top: floor - scene.height * scale }}>
            <FlatScene scene={scene} scale={scale} label={WALL.things[thing!]} name="thing" />
          </span>
        )}
        {scale > 0 &&
          frames.map((frame, index) => (
            <Held
              key={frame.id}
              frame={frame}
              at={hung[index]!}
              hook={hooks.find(({ id }) => id === frame.id)?.height}
              scale={scale}
              origin={{ x: middle, floor }}
              step={NUDGE[shop.homeUnit]}
              onMove={(dx, dy) => move(frame.id, dx, dy)}
            />
          ))}
      </div>
      {fromPhoto && (
        <PhotoColour
          onClose={() => setFromPhoto(false)}
          onPick={(picked) => {
            put({ colour: picked });
            setFromPhoto(false);
          }}
        />
      )}
    </section>
  );
}
