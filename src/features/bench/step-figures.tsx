'use client';
/** What the hands need at this step: the cut sizes, huge, and a drawing where it helps. */
import type { ReactNode } from 'react';
import type { JobView } from '@/contract/views';
import type { StepKey } from '@/core/route/route';
import { type Length, type Sides, type Size, toMm } from '@/core/units/length';
import type { WorkedOut } from '@/core/work-out';
import { Len } from '@/ui/figures';
import { HARDWARE_NAMES } from '@/words/materials';
import styles from './bench.module.css';

const Big = ({ value }: { value: Length }) => (
  <span className={styles.big}>
    <Len value={value} bare fine />
  </span>
);
const BigSize = ({ of }: { of: Size }) => (
  <span className={styles.bigSize}>
    <Len value={of.w} bare fine /> <i>×</i> <Len value={of.h} bare fine />
  </span>
);

/** The four legs as they come off the stick, equal ones behind one another, drawn to scale. */
function Stick({ worked }: { worked: WorkedOut }) {
  const legs = [...worked.sizes.legs].reverse().flatMap((leg) => [leg, leg]);
  const face = toMm(worked.resolved.moulding.faceWidth);
  const gap = 12;
  const total = legs.reduce((sum, leg) => sum + toMm(leg.longPoint) + gap, 0);
  const scale = 780 / total;
  const names = ['left', 'right', 'top', 'bottom'];
  const tall = Math.max(22, face * scale);
  const starts = legs.map(
    (_, index) => legs.slice(0, index).reduce((sum, leg) => sum + toMm(leg.longPoint) + gap, 0) * scale,
  );
  return (
    <svg
      className={styles.stick}
      viewBox={`0 0 780 ${tall + 30}`}
      role="img"
      aria-label="The legs along the stick: left, right, top, bottom"
    >
      {legs.map((leg, index) => {
        const [x, w] = [starts[index]!, toMm(leg.longPoint) * scale];
        return (
          <g key={index}>
            <text x={x + w / 2} y={14} textAnchor="middle" fontSize="15" fill="var(--soft)">
              {names[index]}
            </text>
            <polygon
              points={`${x},22 ${x + w},22 ${x + w - tall},${22 + tall} ${x + tall},${22 + tall}`}
              fill={worked.resolved.moulding.colour}
              stroke="var(--soft)"
            />
          </g>
        );
      })}
    </svg>
  );
}

function Legs({ worked }: { worked: WorkedOut }) {
  const { moulding } = worked.resolved;
  return (
    <>
      <p className={styles.lead}>{moulding.name}. Stop on the long point, mitre 45°. Long legs first.</p>
      <Stick worked={worked} />
      {[...worked.sizes.legs].reverse().map((leg) => (
        <div key={leg.side} className={styles.figure}>
          <span className={styles.count}>2 of</span>
          <Big value={leg.cut.longPoint} />
          <span className={styles.beside}>
            <span>{leg.side}</span>
            <span>
              rabbet <Len value={leg.cut.rabbetLength} bare fine />
            </span>
            <span>
              inside <Len value={leg.shortPoint} bare fine />
            </span>
          </span>
        </div>
      ))}
    </>
  );
}

const Borders = ({ of }: { of: Sides }) => (
  <span className={styles.beside}>
    <span>
      left <Len value={of.left} bare fine />, right <Len value={of.right} bare fine />
    </span>
    <span>
      top <Len value={of.top} bare fine />, bottom <Len value={of.bottom} bare fine />
    </span>
  </span>
);

function Mats({ worked }: { worked: WorkedOut }) {
  return (
    <>
      <p className={styles.lead}>
        Every layer to one outside size, then the windows from the back: set the guide to each border.
      </p>
      <div className={styles.figure}>
        <span className={styles.count}>outside</span>
        <BigSize of={worked.sizes.cutPackage} />
      </div>
      {worked.sizes.layers.map((layer, index) => (
        <div key={index} className={styles.figure}>
          <span className={styles.count}>{worked.resolved.mats[index]!.name.split(',')[0]}</span>
          <BigSize of={layer.cut.window} />
          <Borders of={layer.cut.border} />
        </div>
      ))}
    </>
  );
}

function Sheet({ worked, name, lead }: { worked: WorkedOut; name: string; lead: string }) {
  return (
    <>
      <p className={styles.lead}>
        {name}. {lead}
      </p>
      <div className={styles.figure}>
        <span className={styles.count}>1 of</span>
        <BigSize of={worked.sizes.cutPackage} />
      </div>
    </>
  );
}

function Hang({ worked }: { worked: WorkedOut }) {
  const { hanging, hardware } = worked;
  const wire = hanging && !hanging.noWire;
  return (
    <>
      <p className={styles.lead}>
        {wire ? 'Rings below the outside top; write the drop on the back and on the card.' : 'No wire on this piece.'}
      </p>
      {wire && (
        <>
          <div className={styles.figure}>
            <span className={styles.count}>rings</span>
            <Big value={hanging.ringDrop} />
            <span className={styles.beside}>
              <span>below the top</span>
              <span>
                {hanging.choose ? `rated ${hanging.choose} kg` : 'none in stock is strong enough'}, pull{' '}
                {hanging.pullKg.toFixed(1)} kg
              </span>
            </span>
          </div>
          <div className={styles.figure}>
            <span className={styles.count}>wire</span>
            <Big value={hanging.wireCut} />
            <span className={styles.beside}>
              <span>cut length</span>
              <span>
                peak <Len value={hanging.wireDrop} bare /> below the top
              </span>
            </span>
          </div>
        </>
      )}
      <ul className={styles.list}>
        {hardware.map((item) => (
          <li key={item.item}>
            {HARDWARE_NAMES[item.item]} <b>{item.length ? <Len value={item.length} /> : item.count}</b>
          </li>
        ))}
      </ul>
    </>
  );
}

function Join({ worked }: { worked: WorkedOut }) {
  return (
    <>
      <p className={styles.lead}>Glue both faces. The seat, measured inside after joining, should be</p>
      <div className={styles.figure}>
        <span className={styles.count}>rabbet</span>
        <BigSize of={worked.sizes.rabbet} />
      </div>
      <div className={styles.figure}>
        <span className={styles.count}>outside</span>
        <BigSize of={worked.sizes.outside} />
      </div>
    </>
  );
}

function Fit({ worked }: { worked: WorkedOut }) {
  const points = worked.hardware.find((item) => item.item === 'flexible point');
  return (
    <>
      <p className={styles.lead}>One point in the middle of each side, turn over and look; then all round.</p>
      <div className={styles.figure}>
        <span className={styles.count}>points</span>
        <span className={styles.big}>{points?.count}</span>
        <span className={styles.beside}>
          <span>room behind the package {toMm(worked.stack.room).toFixed(1)} mm</span>
          {worked.stack.fillerUpTo > 0 && <span>fill up to {toMm(worked.stack.fillerUpTo).toFixed(1)} mm</span>}
        </span>
      </div>
    </>
  );
}

function Materials({ worked }: { worked: WorkedOut }) {
  const { moulding, mats, glazing, backing } = worked.resolved;
  const rows: [string, ReactNode][] = [
    [moulding.name, <Len key="m" value={worked.sizes.lengthCharged} />],
    ...mats.map((mat): [string, ReactNode] => [mat.name, 'one sheet part']),
    ...(glazing.type === 'none' ? [] : [[glazing.name, 'one sheet part'] as [string, ReactNode]]),
    [backing.name, 'one sheet part'],
  ];
  return (
    <ul className={styles.list}>
      {rows.map(([name, amount], index) => (
        <li key={index}>
          {name} <b>{amount}</b>
        </li>
      ))}
    </ul>
  );
}

export function StepFigures({ job, step }: { job: JobView; step: StepKey }) {
  const { worked } = job;
  switch (step) {
    case 'materials-here':
      return <Materials worked={worked} />;
    case 'cut-legs':
      return <Legs worked={worked} />;
    case 'join':
      return <Join worked={worked} />;
    case 'cut-mats':
      return <Mats worked={worked} />;
    case 'cut-glazing':
      return (
        <Sheet
          worked={worked}
          name={worked.resolved.glazing.name}
          lead="Try it in the frame before the edges are dressed."
        />
      );
    case 'cut-backing':
      return <Sheet worked={worked} name={worked.resolved.backing.name} lead="" />;
    case 'mount':
      return (
        <>
          <p className={styles.lead}>
            Hinges at the top only, as few as hold it: {worked.hardware.find((item) => item.item === 'hinge')?.count}.
            Window in front, to check that it lies straight.
          </p>
          <div className={styles.figure}>
            <span className={styles.count}>window</span>
            <BigSize of={worked.sizes.opening} />
          </div>
        </>
      );
    case 'fit':
      return <Fit worked={worked} />;
    case 'back-and-hang':
      return <Hang worked={worked} />;
    case 'touch-up':
      return <p className={styles.lead}>Corners last: no wax or colour near the glass.</p>;
    case 'final-check':
    case 'hand-over':
      return null;
  }
}
