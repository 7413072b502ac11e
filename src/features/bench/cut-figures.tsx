'use client';
/** What is to be cut: legs, mats, sheets, strips. */
import type { FlatPart, LegPart, StripPart } from '@/core/parts/parts';
import { type Sides, toMm } from '@/core/units/length';
import type { WorkedOut } from '@/core/work-out';
import { Len, SizeText } from '@/ui/figures';
import { legName, partName } from '@/words/builds';
import styles from './bench.module.css';
import { Big, BigSize } from './big-figures';
import { CUTTING } from '@/words/screens/bench';

const legsOf = (worked: WorkedOut): LegPart[] => worked.parts.filter((part) => part.kind === 'leg');

/** Legs as they come off the stick, equal ones behind one another, drawn to scale. */
function Stick({ pairs, colour, face }: { pairs: readonly LegPart[]; colour: string; face: number }) {
  const legs = [...pairs].reverse().flatMap((leg) => [leg, leg]);
  const gap = 12;
  const total = legs.reduce((sum, leg) => sum + toMm(leg.longPoint) + gap, 0);
  const scale = 780 / total;
  const names = ['left', 'right', 'top', 'bottom'];
  const tall = Math.max(22, face * scale);
  const starts = legs.map(
    (_, index) => legs.slice(0, index).reduce((sum, leg) => sum + toMm(leg.longPoint) + gap, 0) * scale,
  );
  return (
    <svg className={styles.stick} viewBox={`0 0 780 ${tall + 30}`} role="img" aria-label={CUTTING.theLegsAlongThe}>
      {legs.map((leg, index) => {
        const [x, w] = [starts[index]!, toMm(leg.longPoint) * scale];
        return (
          <g key={index}>
            <text x={x + w / 2} y={14} textAnchor="middle" fontSize="15" fill="var(--soft)">
              {names[index]}
            </text>
            <polygon
              points={`${x},22 ${x + w},22 ${x + w - tall},${22 + tall} ${x + tall},${22 + tall}`}
              fill={colour}
              stroke="var(--soft)"
            />
          </g>
        );
      })}
    </svg>
  );
}

export function Legs({ worked }: { worked: WorkedOut }) {
  const all = legsOf(worked);
  const longFirst = worked.resolved.design.practice?.cutFirst !== 'short legs';
  const groups = [...new Set(all.map((leg) => leg.of))].map((of) => all.filter((leg) => leg.of === of));
  return groups.reverse().map((pairs, group) => {
    const frame = worked.sizes.frames.find((frame) => frame.legs.some((leg) => leg.of === pairs[0]!.of));
    const moulding = frame?.moulding ?? worked.resolved.moulding;
    return (
      <div key={pairs[0]!.of}>
        <p className={styles.lead}>
          {group > 0 && `${legName(pairs[0]!.of)}: `}
          {moulding.name}
          {CUTTING.stopOnTheLong} {longFirst ? CUTTING.long : CUTTING.short} {CUTTING.legsFirst}
        </p>
        {group === 0 && <Stick pairs={pairs} colour={moulding.colour} face={toMm(moulding.faceWidth)} />}
        {(longFirst ? [...pairs].reverse() : pairs).map((leg) => (
          <div key={leg.side} className={styles.figure}>
            <span className={styles.count}>{CUTTING.ofText(leg.count)}</span>
            <Big value={leg.cut.longPoint} />
            <span className={styles.beside}>
              <span>{leg.side}</span>
              {leg.cut.rabbetLength && (
                <span>
                  {CUTTING.rabbet} <Len value={leg.cut.rabbetLength} bare fine />
                </span>
              )}
              <span>
                {CUTTING.inside} <Len value={leg.shortPoint} bare fine />
              </span>
            </span>
          </div>
        ))}
      </div>
    );
  });
}

const Borders = ({ of: sides }: { of: Sides }) => (
  <span className={styles.beside}>
    <span>
      {CUTTING.left} <Len value={sides.left} bare fine />
      {CUTTING.right} <Len value={sides.right} bare fine />
    </span>
    <span>
      {CUTTING.top} <Len value={sides.top} bare fine />
      {CUTTING.bottom} <Len value={sides.bottom} bare fine />
    </span>
  </span>
);

export function Mats({ worked }: { worked: WorkedOut }) {
  const mats = worked.parts.filter((part) => part.kind === 'flat' && part.layer !== undefined) as FlatPart[];
  const windows = worked.sizes.matted?.windows ?? [];
  const several = windows.length > 1 ? windows : undefined;
  return (
    <>
      <p className={styles.lead}>{CUTTING.everyLayerToOne}</p>
      <div className={styles.figure}>
        <span className={styles.count}>{CUTTING.outside}</span>
        <BigSize of={worked.sizes.cutPackage} />
      </div>
      {mats.map(({ name, layer, part }, index) => (
        <div key={index} className={styles.figure}>
          <span className={styles.count}>{part === 'hidden spacer' ? CUTTING.hiddenSpacer : name.split(',')[0]}</span>
          <BigSize of={layer!.cut.window} />
          <Borders of={layer!.cut.border} />
        </div>
      ))}
      {several &&
        several.map((window, index) => (
          <div key={index} className={styles.figure}>
            <span className={styles.count}>{window.title || CUTTING.window(index + 1)}</span>
            <BigSize of={window} />
            <span className={styles.beside}>
              <span>
                {CUTTING.fromTheLeftOf} <Len value={window.left} bare fine />
              </span>
              <span>
                {CUTTING.fromTheTop} <Len value={window.top} bare fine />
              </span>
            </span>
          </div>
        ))}
    </>
  );
}

/** Boards and panes of some kinds: one line for each. */
export function Sheets({ worked, parts, lead }: { worked: WorkedOut; parts: readonly string[]; lead: string }) {
  const flatParts = worked.parts.filter((part): part is FlatPart => part.kind === 'flat' && parts.includes(part.part));
  return (
    <>
      {lead && <p className={styles.lead}>{lead}</p>}
      {flatParts.map((part, index) => (
        <div key={index} className={styles.figure}>
          <span className={styles.count}>{CUTTING.ofText(part.count)}</span>
          <BigSize of={part.cut} />
          <span className={styles.beside}>
            <span>{part.name || partName(part.part)}</span>
            {part.first && (
              <span>
                {CUTTING.cutFirstTo} <SizeText of={part.first} fine />
              </span>
            )}
          </span>
        </div>
      ))}
    </>
  );
}

export function Strips({ worked }: { worked: WorkedOut }) {
  const strips = worked.parts.filter((part): part is StripPart => part.kind === 'strip');
  return (
    <>
      <p className={styles.lead}>{CUTTING.topAndBottomRun}</p>
      {strips.map((part, index) => (
        <div key={index} className={styles.figure}>
          <span className={styles.count}>{CUTTING.ofText(part.count)}</span>
          {part.cutLength !== undefined ? <Big value={part.cutLength} /> : <Big value={part.height!} />}
          <span className={styles.beside}>
            <span>{partName(part.part)}</span>
            {part.width !== undefined && (
              <span>
                <Len value={part.width} fine /> {CUTTING.wide}
              </span>
            )}
            {part.height !== undefined && part.cutLength !== undefined && (
              <span>
                <Len value={part.height} fine /> {CUTTING.deep}
              </span>
            )}
          </span>
        </div>
      ))}
      <Sheets worked={worked} parts={BOARDS} lead="" />
    </>
  );
}
const BOARDS = ['insert board', 'lift board', 'insert', 'backing patch', 'cloth', 'dry mount board'];
