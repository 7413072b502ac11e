'use client';
/** The thing that is cut, joined or fitted now, with every fixing where it goes. */
import type { Scene } from '@/core/drawing/scene';
import type { StepKey } from '@/core/route/steps';
import { SceneSvg, useBox } from '@/ui/scene-svg';
import { useUnit } from '@/ui/units';
import { stepName } from '@/words/bench';
import { CUT_STEP } from '@/words/rule';
import { BENCH } from '@/words/screens/bench';
import styles from './bench.module.css';

const LETTERS = 17;
/** No side is drawn smaller, in pixels. */
const LEAST = 120;

export function StepDrawing({ scene, step }: { scene: Scene; step: StepKey }) {
  const { unit } = useUnit();
  const [box, { width, height }] = useBox<HTMLDivElement>();
  return (
    <div ref={box} className={styles.drawing}>
      {/* Not before its room is known: drawn small, its figures would lie over one another. */}
      {width > 0 && (
        <SceneSvg
          scene={scene}
          width={Math.max(LEAST, width)}
          height={Math.max(LEAST, height)}
          letters={LETTERS}
          ground="var(--paper)"
          // As the sentences beside it have them.
          step={CUT_STEP[unit]}
          label={BENCH.drawing(stepName(step))}
        />
      )}
    </div>
  );
}
