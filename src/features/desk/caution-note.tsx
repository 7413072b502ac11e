'use client';
/** A caution in words, with its ways out where they can be taken. */
import Button from '@mui/material/Button';
import type { Caution } from '@/core/cautions/caution';
import type { Edit } from '@/core/design/edit';
import { FractionText } from '@/ui/figures';
import { Note } from '@/ui/trouble';
import { useUnit } from '@/ui/units';
import { sayCaution, sayWayOut } from '@/words/issues/say-caution';
import styles from './tape.module.css';

export function CautionNote({ caution, onApply }: { caution: Caution; onApply?: ((edit: Edit) => void) | undefined }) {
  const { unit } = useUnit();
  return (
    <Note tone={caution.level}>
      <p>
        <FractionText text={sayCaution(caution.code, caution.figures, unit)} />
      </p>
      {onApply &&
        caution.waysOut.map((way) => (
          <Button key={way.code} variant="text" className={styles.way ?? ''} onClick={() => onApply(way.edit)}>
            <span>
              <FractionText text={sayWayOut(way.code, way.figures, unit)} />
            </span>
          </Button>
        ))}
    </Note>
  );
}
