'use client';
/** Joining, fitting, hanging: what holds the frame and what is put into it. */
import { toMm } from '@/core/units/length';
import type { WorkedOut } from '@/core/work-out';
import { Len } from '@/ui/figures';
import { hangingText, HARDWARE_NAMES } from '@/words/materials';
import styles from './bench.module.css';
import { Big, BigSize } from './big-figures';
import { FITTING } from '@/words/screens/bench';

export function Hang({ worked }: { worked: WorkedOut }) {
  const { hanging, hardware } = worked;
  const wire = hanging?.by === 'wire' && !hanging.noWire;
  return (
    <>
      <p className={styles.lead}>{wire ? FITTING.ringsBelowTheOutside : `${hangingText(hanging)}.`}</p>
      {wire && (
        <>
          <div className={styles.figure}>
            <span className={styles.count}>{FITTING.rings}</span>
            <Big value={hanging.ringDrop} />
            <span className={styles.beside}>
              <span>{FITTING.belowTheTop}</span>
              <span>
                {FITTING.pullKg(
                  hanging.choose ? FITTING.ratedKg(hanging.choose) : FITTING.noneInStockIs,
                  hanging.pullKg.toFixed(1),
                )}
              </span>
            </span>
          </div>
          <div className={styles.figure}>
            <span className={styles.count}>{FITTING.wire}</span>
            <Big value={hanging.wireCut} />
            <span className={styles.beside}>
              <span>{FITTING.cutLength}</span>
              <span>
                {FITTING.peak} <Len value={hanging.wireDrop} bare /> {FITTING.belowTheTop}
              </span>
            </span>
          </div>
        </>
      )}
      <ul className={styles.list}>
        {hardware.map((item, index) => (
          <li key={`${item.item} ${index}`}>
            {HARDWARE_NAMES[item.item]} <b>{item.count ?? (item.length && <Len value={item.length} />)}</b>
          </li>
        ))}
      </ul>
    </>
  );
}

export function Join({ worked }: { worked: WorkedOut }) {
  const { rabbet, inside, outside } = worked.sizes;
  const seat = rabbet ?? inside;
  const held = worked.hardware.filter((item) => item.item === 'wedge' || item.item === 'corner brace');
  return (
    <>
      <p className={styles.lead}>
        {FITTING.glueBothFacesShould(rabbet ? FITTING.theSeatMeasuredInside : FITTING.theInsideAfterJoining)}
      </p>
      {seat && (
        <div className={styles.figure}>
          <span className={styles.count}>{rabbet ? 'rabbet' : 'inside'}</span>
          <BigSize of={seat} />
        </div>
      )}
      {outside && (
        <div className={styles.figure}>
          <span className={styles.count}>{FITTING.outside}</span>
          <BigSize of={outside} />
        </div>
      )}
      <ul className={styles.list}>
        {held.map((item) => (
          <li key={item.item}>
            {HARDWARE_NAMES[item.item]}
            {item.size ? `, ${toMm(item.size)} mm` : ''} <b>{item.count}</b>
          </li>
        ))}
      </ul>
    </>
  );
}

const HOLDS = [
  'flexible point',
  'rigid point',
  'staple',
  'clip',
  'offset clip',
  'spring clip',
  'screw',
  'washer',
  'riser block',
  'shim',
  'corner set',
];
export function Fit({ worked }: { worked: WorkedOut }) {
  const { stack } = worked;
  const held = worked.hardware.filter((item) => HOLDS.includes(item.item));
  return (
    <>
      <p className={styles.lead}>
        {held.some((item) => item.item === 'flexible point')
          ? FITTING.onePointInThe
          : held.some((item) => item.item === 'spring clip')
            ? FITTING.threeSidesFirstHangers
            : FITTING.centreItByEye}
      </p>
      {held.map((item) => (
        <div key={item.item} className={styles.figure}>
          <span className={styles.count}>{HARDWARE_NAMES[item.item]?.toLowerCase()}</span>
          <span className={styles.big}>{item.count}</span>
          <span className={styles.beside}>
            {item.length && (
              <span>
                <Len value={item.length} fine /> {FITTING.long}
              </span>
            )}
            {item.item === 'flexible point' && stack.room !== undefined && (
              <span>{FITTING.roomBehindThePackage(toMm(stack.room).toFixed(1))}</span>
            )}
            {item.item === 'flexible point' && stack.fillerUpTo > 0 && (
              <span>{FITTING.fillUpToMm(toMm(stack.fillerUpTo).toFixed(1))}</span>
            )}
          </span>
        </div>
      ))}
    </>
  );
}
