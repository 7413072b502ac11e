'use client';
/** The piece in the middle, drawn to scale, with the cut through its rabbet and its back. */
import { memo, useMemo } from 'react';
import { backScene } from '@/core/drawing/back';
import { frontScene } from '@/core/drawing/front';
import { sectionScene } from '@/core/drawing/section';
import { length } from '@/core/units/length';
import type { WorkedOut } from '@/core/work-out';
import { hangingText } from '@/words/materials';
import { Len } from '@/ui/figures';
import { SceneSvg, useBox } from '@/ui/scene-svg';
import styles from './desk.module.css';

const ASIDE = 214;

export const Drawings = memo(function Drawings({ worked, faded }: { worked: WorkedOut; faded?: boolean }) {
  const [ref, box] = useBox<HTMLDivElement>();
  const front = useMemo(() => frontScene(worked), [worked]);
  const section = useMemo(() => sectionScene(worked), [worked]);
  const back = useMemo(() => backScene(worked), [worked]);
  const { hanging, stack } = worked;
  const room = { fits: 'left', tight: 'left, points want more', loose: 'left: fill it', proud: 'proud of the frame' }[
    stack.verdict
  ];
  return (
    <div className={styles.wall} ref={ref} data-faded={faded}>
      {box.width > 0 && (
        <>
          <figure className={styles.front}>
            <SceneSvg
              scene={front}
              width={box.width - ASIDE - 56}
              height={box.height - 32}
              label="The framed piece from the front"
              letters={17}
              ground="var(--wall)"
            />
          </figure>
          <div className={styles.aside2}>
            <figure>
              <figcaption>{worked.sizes.inside ? 'Through the frame' : 'Through the rabbet'}</figcaption>
              <SceneSvg
                scene={section}
                width={ASIDE}
                height={box.height * 0.34}
                label="Section through the rabbet, front above"
                letters={13}
              />
              {stack.room !== undefined && (
                <p className={stack.verdict === 'fits' ? styles.room : styles.roomTight}>
                  <Len value={length(Math.abs(stack.room))} unit="mm" fine /> {room}
                </p>
              )}
            </figure>
            <figure>
              <figcaption>From behind</figcaption>
              <SceneSvg
                scene={back}
                width={ASIDE - 84}
                height={box.height * 0.27}
                label="The back with rings and wire"
                letters={13}
              />
              {hanging?.by === 'wire' && !hanging.noWire ? (
                <p className={styles.drop}>
                  <b>
                    <Len value={hanging.wireDrop} />
                  </b>{' '}
                  hook below top
                </p>
              ) : (
                <p className={styles.room}>{hangingText(hanging)}</p>
              )}
            </figure>
          </div>
        </>
      )}
    </div>
  );
});
