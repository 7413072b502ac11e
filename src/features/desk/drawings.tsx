'use client';
/** The piece in the middle, drawn to scale, with the cut through its rabbet and its back. */
import { BUILDS } from '@/core/builds';
import Button from '@mui/material/Button';
import { memo, useMemo } from 'react';
import { backScene } from '@/core/drawing/back';
import { frontScene } from '@/core/drawing/front';
import { sectionScene } from '@/core/drawing/section';
import { depthText } from '@/core/units/format-length';
import { length } from '@/core/units/length';
import type { WorkedOut } from '@/core/work-out';
import { hangingText } from '@/words/materials';
import { Len } from '@/ui/figures';
import { useUnit } from '@/ui/units';
import { SceneSvg, useBox } from '@/ui/scene-svg';
import styles from './desk.module.css';
import { DRAWINGS } from '@/words/screens/desk';

const ASIDE = 214;

interface Props {
  readonly worked: WorkedOut;
  readonly faded?: boolean;
  /** The photos that stand for the piece. */
  readonly photos?: readonly string[] | undefined;
  /** To move the mat by hand, where there is one. */
  readonly onByHand?: (() => void) | undefined;
}

export const Drawings = memo(function Drawings({ worked, faded, photos, onByHand }: Props) {
  const [ref, box] = useBox<HTMLDivElement>();
  const front = useMemo(() => frontScene(worked, true, photos), [worked, photos]);
  const section = useMemo(() => sectionScene(worked), [worked]);
  const back = useMemo(() => backScene(worked), [worked]);
  const { unit } = useUnit();
  const { hanging, stack } = worked;
  const { frameless } = BUILDS[worked.resolved.design.build];
  const room = {
    fits: 'left',
    tight: DRAWINGS.leftPointsWantMore,
    loose: DRAWINGS.leftFillIt,
    proud: DRAWINGS.proudOfTheFrame,
  }[stack.verdict];
  return (
    <div className={styles.wall} ref={ref} data-faded={faded}>
      {box.width > 0 && (
        <>
          <figure className={styles.front}>
            {onByHand && (
              <Button variant="text" className={styles.byHand ?? ''} onClick={onByHand}>
                {DRAWINGS.byHand} <kbd>h</kbd>
              </Button>
            )}
            <SceneSvg
              scene={front}
              width={box.width - ASIDE - 56}
              height={box.height - 32}
              label={DRAWINGS.theFramedPieceFrom}
              letters={17}
              ground="var(--wall)"
            />
          </figure>
          <div className={styles.aside2}>
            {!frameless && (
              <figure>
                <figcaption>
                  {worked.sizes.inside
                    ? DRAWINGS.throughTheFrame
                    : worked.sizes.rabbet
                      ? DRAWINGS.throughTheRabbet
                      : DRAWINGS.layers}
                </figcaption>
                <SceneSvg
                  scene={section}
                  width={ASIDE}
                  height={box.height * 0.34}
                  label={DRAWINGS.sectionThroughTheRabbet}
                  letters={13}
                />
                {stack.room !== undefined && (
                  <p className={stack.verdict === 'fits' ? styles.room : styles.roomTight}>
                    {depthText(length(Math.abs(stack.room)), unit)} {room}
                  </p>
                )}
              </figure>
            )}
            <figure>
              <figcaption>{DRAWINGS.fromBehind}</figcaption>
              <SceneSvg
                scene={back}
                width={ASIDE - 84}
                height={box.height * 0.27}
                label={DRAWINGS.theBackWithRings}
                letters={13}
              />
              {hanging ? (
                <p className={styles.drop}>
                  <b>
                    <Len value={hanging.hookDrop} />
                  </b>{' '}
                  {DRAWINGS.hookBelowTop}
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
