'use client';
/** Sheets as they are cut: to scale, with the order of the cuts and what is left. */
import Button from '@mui/material/Button';
import type { PlannedSheet, SheetsPlan, SheetsRequest } from '@/core/cutting/request';
import { lengthOf } from '@/core/cutting/plan-figures';
import { sheetScene } from '@/core/drawing/cuts';
import { formatLength } from '@/core/units/format-length';
import { Len } from '@/ui/figures';
import { SceneSvg } from '@/ui/scene-svg';
import { useUnit } from '@/ui/units';
import { PLAN } from '@/words/screens/rack';
import styles from './rack.module.css';

interface Props {
  readonly request: SheetsRequest;
  readonly plan: SheetsPlan;
  readonly name: (code: string) => string;
  readonly locked: ReadonlySet<number>;
  readonly onLock: (sheet: number) => void;
}

function OneSheet({ sheet, index, props }: { sheet: PlannedSheet; index: number; props: Props }) {
  const { request, locked, onLock } = props;
  const { unit } = useUnit();
  const material = request.materials.find((material) => material.id === sheet.material)!;
  const rack = material.rack.find((one) => one.id === sheet.source);
  const size = rack ?? material.stock[0]!;
  const parts = new Map(request.parts.map((part) => [part.id, part]));
  const text = (mm: number) => formatLength(lengthOf(mm), unit);
  const scene = sheetScene(sheet, {
    w: size.w,
    h: size.h,
    sizeOf: (part) => parts.get(part)!,
    labelOf: (part) => part.split(' ')[0]!,
    keptLabel: (w, h) => [text(w), text(h)],
  });
  return (
    <li className={styles.sheet} data-locked={locked.has(index)}>
      <div className={styles.stickHead}>
        <b>{rack ? rack.id : PLAN.newSheet}</b>
        <span>
          <Len value={lengthOf(size.w)} bare /> × <Len value={lengthOf(size.h)} />
        </span>
        <span className={styles.grow} />
        <Button
          variant="text"
          aria-pressed={locked.has(index)}
          className={styles.lock ?? ''}
          onClick={() => onLock(index)}
        >
          {locked.has(index) ? PLAN.stays : PLAN.keepAsIs}
        </Button>
      </div>
      <SceneSvg
        scene={scene}
        width={290}
        height={290}
        letters={12}
        label={PLAN.sheetLabel(rack?.id, sheet.parts.length)}
      />
      <ol className={styles.cuts}>
        {sheet.cuts.map((cut, index) => (
          <li key={index}>
            {cut.axis === 'x' ? PLAN.fromLeft : PLAN.fromTop} <Len value={lengthOf(cut.at)} fine />
          </li>
        ))}
      </ol>
      <ul className={styles.sheetParts}>
        {sheet.parts.map(({ part }) => (
          <li key={part}>
            {part}{' '}
            <span className="soft">
              <Len value={lengthOf(parts.get(part)!.w)} bare /> × <Len value={lengthOf(parts.get(part)!.h)} />
            </span>
          </li>
        ))}
      </ul>
    </li>
  );
}

export function SheetPlan(props: Props) {
  const { request, plan, name } = props;
  return (
    <div className={styles.planBody}>
      {request.materials.map((material) => {
        const sheets = plan.sheets.flatMap((sheet, index) =>
          sheet.material === material.id ? [{ sheet, index }] : [],
        );
        if (sheets.length === 0) return null;
        return (
          <section key={material.id}>
            <h2>
              {name(material.id)} <span className="soft">{PLAN.materialLine(material.id, sheets.length)}</span>
            </h2>
            <ul className={styles.sheets}>
              {sheets.map(({ sheet, index }) => (
                <OneSheet key={`${sheet.source} ${index}`} sheet={sheet} index={index} props={props} />
              ))}
            </ul>
          </section>
        );
      })}
    </div>
  );
}
