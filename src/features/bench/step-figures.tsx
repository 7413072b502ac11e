'use client';
/** What the hands need at this step: the cut sizes, huge, and a drawing where it helps. */
import { shownFigures } from '@/core/builds/figures';
import type { ReactNode } from 'react';
import type { JobView } from '@/contract/views';
import type { StepKey } from '@/core/route/steps';
import type { WorkedOut } from '@/core/work-out';
import { Len } from '@/ui/figures';
import { buildName, figureName } from '@/words/builds';
import styles from './bench.module.css';
import { Big, BigSize } from './big-figures';
import { Fit, Hang, Join } from './fitting-figures';
import { Legs, Mats, Sheets, Strips } from './cut-figures';
import { STEP_SAYS } from '@/words/screens/bench';

function Mount({ worked }: { worked: WorkedOut }) {
  const { sizes, hardware, resolved } = worked;
  const hinge = hardware.find((item) => item.item === 'hinge');
  const pins = hardware.find((item) => item.item === 'pin');
  return (
    <>
      <p className={styles.lead}>
        {hinge
          ? STEP_SAYS.hinges(hinge.count ?? 0)
          : pins
            ? STEP_SAYS.pins(pins.count ?? 0)
            : STEP_SAYS.onlyWhatWasAgreed(buildName(resolved.design.build))}
      </p>
      {sizes.opening && (
        <div className={styles.figure}>
          <span className={styles.count}>{STEP_SAYS.window}</span>
          <BigSize of={sizes.opening} />
        </div>
      )}
      {shownFigures(sizes.figures).map((figure) => (
        <div key={figure.key} className={styles.figure}>
          <span className={styles.count}>{figureName(figure.key)}</span>
          {figure.unit === 'length' ? <Big value={figure.value} /> : <BigSize of={figure.value} />}
        </div>
      ))}
    </>
  );
}

function Materials({ worked }: { worked: WorkedOut }) {
  const rows: [string, ReactNode][] = [
    ...[...worked.sizes.frames]
      .reverse()
      .map((frame): [string, ReactNode] => [frame.moulding.name, <Len key="m" value={frame.lengthCharged} />]),
    ...worked.stack.layers
      .filter((layer) => layer.size && layer.name)
      .map((layer): [string, ReactNode] => [layer.name, STEP_SAYS.oneSheetPart]),
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
      return <Sheets worked={worked} parts={['glazing', 'pane', 'mirror']} lead={STEP_SAYS.tryItInThe} />;
    case 'cut-backing':
      return <Sheets worked={worked} parts={['backing', 'mount board']} lead="" />;
    case 'cut-strips':
      return <Strips worked={worked} />;
    case 'prepare':
    case 'mount':
      return <Mount worked={worked} />;
    case 'finish':
      return <p className={styles.lead}>{STEP_SAYS.coatsAndGritsAs}</p>;
    case 'pack':
      return <p className={styles.lead}>{STEP_SAYS.everythingOnTheTicket}</p>;
    case 'install':
      return <p className={styles.lead}>{STEP_SAYS.fixIntoStructureBy}</p>;
    case 'fit':
      return <Fit worked={worked} />;
    case 'back-and-hang':
      return <Hang worked={worked} />;
    case 'touch-up':
      return <p className={styles.lead}>{STEP_SAYS.cornersLastNoWax}</p>;
    case 'final-check':
    case 'hand-over':
      return null;
  }
}
