'use client';
/** Joining, fitting, hanging: what holds the frame and what is put into it. */
import { toMm } from '@/core/units/length';
import type { WorkedOut } from '@/core/work-out';
import { Len } from '@/ui/figures';
import { hangingText, HARDWARE_NAMES } from '@/words/materials';
import styles from './bench.module.css';
import { Big, BigSize } from './big-figures';

export function Hang({ worked }: { worked: WorkedOut }) {
  const { hanging, hardware } = worked;
  const wire = hanging?.by === 'wire' && !hanging.noWire;
  return (
    <>
      <p className={styles.lead}>
        {wire ? 'Rings below the outside top; write the drop on the back and on the card.' : `${hangingText(hanging)}.`}
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
        Glue both faces. {rabbet ? 'The seat, measured inside after joining,' : 'The inside, after joining,'} should be
      </p>
      {seat && (
        <div className={styles.figure}>
          <span className={styles.count}>{rabbet ? 'rabbet' : 'inside'}</span>
          <BigSize of={seat} />
        </div>
      )}
      {outside && (
        <div className={styles.figure}>
          <span className={styles.count}>outside</span>
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
          ? 'One point in the middle of each side, turn over and look; then all round.'
          : held.some((item) => item.item === 'spring clip')
            ? 'Three sides first, hangers into the channel, then the last side and the clips.'
            : 'Centre it by eye, then fasten.'}
      </p>
      {held.map((item) => (
        <div key={item.item} className={styles.figure}>
          <span className={styles.count}>{HARDWARE_NAMES[item.item]?.toLowerCase()}</span>
          <span className={styles.big}>{item.count}</span>
          <span className={styles.beside}>
            {item.length && (
              <span>
                <Len value={item.length} fine /> long
              </span>
            )}
            {item.item === 'flexible point' && stack.room !== undefined && (
              <span>room behind the package {toMm(stack.room).toFixed(1)} mm</span>
            )}
            {item.item === 'flexible point' && stack.fillerUpTo > 0 && (
              <span>fill up to {toMm(stack.fillerUpTo).toFixed(1)} mm</span>
            )}
          </span>
        </div>
      ))}
    </>
  );
}
