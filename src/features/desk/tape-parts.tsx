'use client';
/** What a piece is cut from, and what holds it: loaded when it is asked for. */
import type { Part } from '@/core/parts/parts';
import type { WorkedOut } from '@/core/work-out';
import { Len, SizeText } from '@/ui/figures';
import { useUnit } from '@/ui/units';
import { legName, partName } from '@/words/build-parts';
import { hardwareText } from '@/words/hardware';
import { TAPE } from '@/words/screens/desk';
import styles from './tape.module.css';

function PartLine({ part }: { part: Part }) {
  if (part.kind === 'leg')
    return (
      <>
        <span>
          {part.count} {legName(part.of)}, {part.side}
        </span>
        <span className="num">
          <Len value={part.cut.longPoint} bare fine /> {TAPE.longPoint}
        </span>
      </>
    );
  if (part.kind === 'strip')
    return (
      <>
        <span>
          {part.count} × {partName(part.part)}
        </span>
        <span className="num">
          <Len value={part.cutLength ?? part.height!} fine />
        </span>
      </>
    );
  return (
    <>
      <span>{part.sheet ? part.name : partName(part.part)}</span>
      <span className="num">
        <SizeText of={part.cut} fine />
      </span>
    </>
  );
}

export function Parts({ worked }: { worked: WorkedOut }) {
  const { unit } = useUnit();
  return (
    <ul className={styles.parts}>
      {worked.parts.map((part, index) => (
        <li key={index}>
          <PartLine part={part} />
        </li>
      ))}
      {worked.hardware.map((item, index) => {
        const { name, amount } = hardwareText(item, worked, unit);
        return (
          <li key={`${item.item} ${index}`}>
            <span>{name}</span>
            <span className="num">{amount}</span>
          </li>
        );
      })}
    </ul>
  );
}
