'use client';
/** Draws a scene on the screen. One scale for everything; lines and letters keep their size whatever the piece's. */
import { memo, useEffect, useMemo, useRef, useState } from 'react';
import { showLength } from '@/core/units/format-length';
import type { Length, Unit } from '@/core/units/length';
import type { Point, Scene, Shape } from '@/core/drawing/scene';
import { useUnit } from './units';

const TONES = { ink: 'var(--ink)', soft: 'var(--soft)', caution: 'var(--caution)', next: 'var(--next)' } as const;

/** Drawn larger than this, in pixels, a photo is fetched as it is kept. */
const SMALL = 500;
const LEAD = 1.15;
/** How wide a text is in letters' heights, about; a fraction takes less than it has signs. */
const widthOf = (text: string): number => 0.5 * text.replace(/ ?\d+\/\d+/g, '12').length;
/** Fractions are set as such. */
const withFractions = (text: string) =>
  text.split(/(?<=\d) (?=\d+\/\d)|(\d+\/\d+)/).map((part, index) =>
    part && /^\d+\/\d+$/.test(part) ? (
      <tspan key={index} className="frac" dx={1}>
        {part}
      </tspan>
    ) : (
      part
    ),
  );

/** Room round a text on its ground, in pixels. */
const GROUND_MORE = 6;

interface Paint {
  readonly at: (point: Point) => string;
  readonly unit: Unit;
  readonly scale: number;
  readonly letters: number;
  readonly ground: string | undefined;
  /** What figures are shown to; the usual step where nothing is said. */
  readonly step: Length | undefined;
}

/** The fraction is set as one, the whole number stays outside it. */
function LengthLabel({
  x,
  y,
  value,
  anchor,
  tone,
  paint,
}: {
  x: number;
  y: number;
  value: Length;
  anchor: 'start' | 'middle' | 'end';
  tone: string;
  paint: Paint;
}) {
  const shown = showLength(value, paint.unit, paint.step);
  const width = (shown.whole.length * 0.56 + (shown.fraction ? 1 : 0) + 0.7) * paint.letters;
  return (
    <g>
      {paint.ground && (
        <rect
          x={x - width / 2}
          y={y - paint.letters * 0.75}
          width={width}
          height={paint.letters * 1.5}
          fill={paint.ground}
        />
      )}
      <text x={x} y={y} dy="0.34em" fontSize={paint.letters} fontWeight={700} textAnchor={anchor} fill={tone}>
        {shown.whole}
        {shown.fraction && <tspan className="frac" dx={1}>{`${shown.fraction.top}/${shown.fraction.bottom}`}</tspan>}
        {shown.exactIs === 'more' ? ' +' : shown.exactIs === 'less' ? ' −' : ''}
      </text>
    </g>
  );
}

function draw(shape: Shape, key: number, paint: Paint) {
  switch (shape.kind) {
    case 'area':
      return (
        <polygon
          key={key}
          points={shape.points.map(paint.at).join(' ')}
          fill={shape.fill}
          stroke={shape.line ?? 'none'}
          strokeWidth={shape.line ? 0.8 : 0}
          strokeDasharray={shape.dashed ? '4 3' : undefined}
        />
      );
    case 'line':
      return (
        <polyline
          key={key}
          points={shape.points.map(paint.at).join(' ')}
          fill="none"
          stroke={shape.line}
          strokeWidth={Math.max(0.7, (shape.width ?? 0.5) * 1.8)}
          strokeDasharray={shape.dashed ? '4 3' : undefined}
        />
      );
    case 'dot': {
      const [x = 0, y = 0] = paint.at(shape.at).split(',').map(Number);
      return <circle key={key} cx={x} cy={y} r={Math.max(2, shape.radius * paint.scale)} fill={shape.fill} />;
    }
    case 'picture': {
      const [x = 0, y = 0] = paint.at(shape.at).split(',').map(Number);
      const { clip } = shape;
      const [cx = 0, cy = 0] = paint.at([clip.x, clip.y]).split(',').map(Number);
      const id = `clip-${shape.hash.slice(0, 8)}-${key}-${Math.round(cx)}-${Math.round(cy)}-${Math.round(clip.w * paint.scale)}`;
      return (
        <g key={key}>
          <clipPath id={id}>
            <rect x={cx} y={cy} width={clip.w * paint.scale} height={clip.h * paint.scale} />
          </clipPath>
          <image
            href={`/api/photos/${shape.hash}?size=${Math.max(shape.w, shape.h) * paint.scale > SMALL ? 'full' : 'small'}`}
            x={x}
            y={y}
            width={shape.w * paint.scale}
            height={shape.h * paint.scale}
            preserveAspectRatio="xMidYMid slice"
            clipPath={`url(#${id})`}
          />
        </g>
      );
    }
    case 'text': {
      const [x = 0, y = 0] = paint.at(shape.at).split(',').map(Number);
      const { narrow } = shape;
      const fits = !narrow || widthOf(shape.text) * paint.letters <= narrow.within * paint.scale;
      const lines = fits ? [shape.text] : narrow.lines;
      const wide = Math.max(...lines.map(widthOf)) * paint.letters + GROUND_MORE;
      const tall = (lines.length - 1 + 1.3) * LEAD * paint.letters;
      const left =
        shape.anchor === 'middle' ? wide / 2 : shape.anchor === 'end' ? wide - GROUND_MORE / 2 : GROUND_MORE / 2;
      return (
        <g key={key}>
          {paint.ground && <rect x={x - left} y={y - tall / 2} width={wide} height={tall} fill={paint.ground} />}
          {lines.map((line, index) => (
            <text
              key={index}
              x={x}
              y={y + (index - (lines.length - 1) / 2) * LEAD * paint.letters}
              dy="0.34em"
              fontSize={paint.letters}
              textAnchor={shape.anchor}
              fill={TONES[shape.tone ?? 'ink']}
            >
              {withFractions(line)}
            </text>
          ))}
        </g>
      );
    }
    case 'engraved': {
      const [x = 0, y = 0] = paint.at(shape.at).split(',').map(Number);
      return (
        <text
          key={key}
          x={x}
          y={y}
          dy="0.34em"
          fontSize={shape.tall * paint.scale}
          textAnchor="middle"
          fill={shape.colour}
        >
          {shape.text}
        </text>
      );
    }
    case 'length': {
      const [x = 0, y = 0] = paint.at(shape.at).split(',').map(Number);
      return (
        <LengthLabel
          key={key}
          x={x}
          y={y}
          value={shape.value}
          anchor={shape.anchor}
          tone={TONES[shape.tone ?? 'ink']}
          paint={paint}
        />
      );
    }
  }
}

interface Props {
  readonly scene: Scene;
  /** Pixels to draw in; the scene keeps its shape. */
  readonly width: number;
  readonly height: number;
  readonly label: string;
  readonly letters?: number;
  /** The colour behind the drawing, under the figures of dimension lines. */
  readonly ground?: string;
  /** What figures are shown to, where it is not the usual step. */
  readonly step?: Length;
}

export const SceneSvg = memo(function SceneSvg({ scene, width, height, label, letters = 16, ground, step }: Props) {
  const { unit } = useUnit();
  const scale = Math.max(0, Math.min(width / scene.width, height / scene.height));
  const shapes = useMemo(() => {
    const at = ([x, y]: Point) => `${(x * scale).toFixed(2)},${(y * scale).toFixed(2)}`;
    const paint: Paint = { at, unit, scale, letters, ground, step };
    return scene.shapes.map((shape, index) => draw(shape, index, paint));
  }, [scene, scale, unit, letters, ground, step]);
  return (
    <svg width={scene.width * scale} height={scene.height * scale} role="img" aria-label={label} overflow="visible">
      {shapes}
    </svg>
  );
});

/** The size of a box on the screen, followed as it changes; `usual` until it was measured, as when the server draws. */
export function useBox<T extends HTMLElement>(usual = { width: 0, height: 0 }) {
  const ref = useRef<T>(null);
  const [box, setBox] = useState(usual);
  useEffect(() => {
    const element = ref.current;
    if (!element) return undefined;
    const measure = () =>
      setBox(({ width, height }) =>
        width === element.clientWidth && height === element.clientHeight
          ? { width, height }
          : { width: element.clientWidth, height: element.clientHeight },
      );
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, box] as const;
}
