'use client';
/** Plans that were confirmed: what each lost, over time; their papers; a spoiled cut; the way back. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { type ReactNode, useEffect, useState } from 'react';
import type { MadePlanView, RackView } from '@/contract/views';
import type { PlanFigures } from '@/core/cutting/plan-figures';
import { Cell, Row, SheetTable } from '@/ui/sheet-table';
import { Trouble } from '@/ui/trouble';
import { useCommand } from '@/ui/use-command';
import { dayName } from '@/words/materials';
import { MADE } from '@/words/screens/rack';
import { RackPlaces, useRack } from './rack-places';
import styles from './rack.module.css';
import { together } from './together';
import { cents, gapWords, percent, shareLost } from './words';
import { patient } from '@/ui/patient';

const SpoilDialog = dynamic(() => patient(() => import('./spoil')).then((file) => file.SpoilDialog), {
  loading: () => null,
});

const TICKETS_SHOWN = 3;

/** What was saved against cutting job by job, in minor units. */
const savedBy = (plans: readonly MadePlanView[]) =>
  plans
    .filter((plan) => plan.state === 'confirmed')
    .flatMap(({ figures }) => [figures.sticks, figures.sheets])
    .reduce((sum, figures) => sum + figures.apart - figures.cost, 0);

const lostText = (figures: PlanFigures) => (figures.opened > 0 ? percent(shareLost(figures)) : MADE.nothing);

interface RowProps {
  readonly plan: MadePlanView;
  readonly money: boolean;
  readonly onSpoil: () => void;
  readonly onUndo: () => void;
  readonly onCut: (kind: 'sticks' | 'sheets') => void;
}

function PlanRow({ plan, money, onSpoil, onUndo, onCut }: RowProps) {
  const { sticks, sheets } = plan.figures;
  return (
    <Row data-undone={plan.state === 'undone'}>
      <Cell num>
        <b>{plan.number}</b>
      </Cell>
      <Cell>
        {dayName(plan.at.slice(0, 10))} <span className="soft">{plan.by}</span>
      </Cell>
      <Cell>
        {MADE.tickets(plan.tickets, TICKETS_SHOWN)}
        {plan.parts.map(
          (cut) =>
            cut.spoiled && (
              <span key={cut.part} className={styles.spoiled}>
                {MADE.spoiled(cut.part, cut.spoiled.why)}
              </span>
            ),
        )}
      </Cell>
      <Cell num>{lostText(sticks)}</Cell>
      <Cell num>{lostText(sheets)}</Cell>
      {money && (
        <>
          <Cell num>{cents(sticks.cost + sheets.cost)}</Cell>
          <Cell className="soft">{plan.state === 'undone' ? MADE.undone : gapWords(together(sticks, sheets))}</Cell>
        </>
      )}
      <Cell className={styles.acts}>
        {plan.state === 'confirmed' && (
          <>
            <Button variant="text" href={`/papers/cut-sheet/${plan.number}`} target="_blank" rel="noreferrer">
              {MADE.cutSheet}
            </Button>
            <Button variant="text" href={`/api/v1/export/plan-${plan.number}.csv`}>
              {MADE.csv}
            </Button>
            {sticks.opened > 0 && (
              <Button variant="text" onClick={() => onCut('sticks')}>
                {MADE.allCut.sticks}
              </Button>
            )}
            {sheets.opened > 0 && (
              <Button variant="text" onClick={() => onCut('sheets')}>
                {MADE.allCut.sheets}
              </Button>
            )}
            <Button variant="text" onClick={onSpoil}>
              {MADE.spoil}
            </Button>
            {plan.undoable && (
              <Button variant="text" onClick={onUndo}>
                {MADE.undo}
              </Button>
            )}
          </>
        )}
      </Cell>
    </Row>
  );
}

/** `chart`: the losses of the plans, drawn on the server. */
export function PlansMade({ first, chart }: { first: RackView; chart: ReactNode }) {
  const { rack } = useRack(first);
  const router = useRouter();
  useEffect(() => {
    if (rack.plans !== first.plans) router.refresh();
  }, [rack.plans, first.plans, router]);
  const undo = useCommand('undo-plan');
  const cut = useCommand<'cut-plan-done', { done: number; left: string }>('cut-plan-done');
  const [told, setTold] = useState('');
  const allCut = async (planId: string, kind: 'sticks' | 'sheets') => {
    const answer = await cut.run({ planId, kind });
    setTold(answer.ok ? MADE.cutDone(answer.value.done, answer.value.left) : '');
  };
  const [spoiling, setSpoiling] = useState<MadePlanView>();
  const close = () => setSpoiling(undefined);
  const columns = [...MADE.columns, ...(rack.money ? MADE.moneyColumns : []), MADE.actsColumn];
  return (
    <main className={styles.rack}>
      <h1 className="sr">{MADE.head}</h1>
      <RackPlaces />
      <div className={styles.scroll} tabIndex={0} role="group" aria-label={MADE.head}>
        {rack.plans.length === 0 ? (
          <p className={styles.empty}>{MADE.none}</p>
        ) : (
          <>
            <section className={styles.kind}>
              <h2>
                {MADE.lostHead}{' '}
                {rack.money && <span className="soft">{MADE.savedSoFar(cents(Math.max(0, savedBy(rack.plans))))}</span>}
              </h2>
              {chart}
            </section>
            <Trouble issues={[...undo.issues, ...cut.issues]} />
            <p role="status">{told}</p>
            <section className={styles.kind}>
              <h2>{MADE.plans}</h2>
              <SheetTable label={MADE.plans} columns={columns} className={styles.made}>
                {rack.plans.map((plan) => (
                  <PlanRow
                    key={plan.id}
                    plan={plan}
                    money={rack.money}
                    onSpoil={() => setSpoiling(plan)}
                    onUndo={() => void undo.run({ id: plan.id })}
                    onCut={(kind) => void allCut(plan.id, kind)}
                  />
                ))}
              </SheetTable>
            </section>
          </>
        )}
      </div>
      {spoiling && <SpoilDialog plan={spoiling} onDone={close} />}
    </main>
  );
}
