'use client';
/** One plan over the jobs that wait for the saw, the mat cutter and the glass: chosen, made, changed by hand, confirmed. */
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import type { RackView } from '@/contract/views';
import { Choice } from '@/ui/choice';
import { Tabs, panelOf } from '@/ui/tabs';
import { Note, Trouble } from '@/ui/trouble';
import { PLAN } from '@/words/screens/rack';
import { PlanJobs } from './plan-jobs';
import { BuyingTable, Outcome } from './plan-outcome';
import type { PlanState } from './plan-state';
import { RackPlaces, nameOf } from './rack-places';
import styles from './rack.module.css';
import { SheetPlan } from './sheet-plan';
import { StickPlan } from './stick-plan';
import type { Plans } from './use-plan';
import { BUDGETS_MS, type PlanPage, usePlanPage } from './use-plan-page';

const KINDS = 'kinds';

function Go({ page }: { page: PlanPage }) {
  const { running, progress, plans, chosen } = page;
  return (
    <div className={styles.go}>
      <p className="soft">{PLAN.timeForIt}</p>
      <Choice
        label={PLAN.timeForIt}
        value={page.budget}
        options={BUDGETS_MS.map((ms) => [ms, PLAN.budgets[ms]] as const)}
        onChange={page.setBudget}
      />
      {running ? (
        <Button variant="outlined" fullWidth onClick={page.stop}>
          {PLAN.stop}
        </Button>
      ) : (
        <Button variant={plans ? 'outlined' : 'contained'} fullWidth disabled={chosen.size === 0} onClick={page.run}>
          {PLAN.planJobs(chosen.size)}
        </Button>
      )}
      <LinearProgress
        variant="determinate"
        value={running ? progress * 100 : plans ? 100 : 0}
        aria-label={PLAN.progress}
      />
    </div>
  );
}

function Made({ page, planned, plans }: { page: PlanPage; planned: PlanState; plans: Plans }) {
  const { rack, tab, locked, figures, running } = page;
  const name = (code: string) => nameOf(rack, code);
  const unmade = [...plans.sticks.unmade, ...plans.sheets.unmade];
  return (
    <>
      <div className={styles.tabs}>
        <Tabs
          id={KINDS}
          label={PLAN.kinds}
          value={tab}
          options={[
            ['sticks', PLAN.sticks(plans.sticks.bars.length)],
            ['sheets', PLAN.sheets(plans.sheets.sheets.length)],
          ]}
          onChange={page.setTab}
        />
        <span className={styles.grow} />
        {locked.sticks.size + locked.sheets.size > 0 && !running && (
          <Button variant="outlined" onClick={page.planRest}>
            {PLAN.planRest}
          </Button>
        )}
        <Button variant="contained" disabled={running || page.busy} onClick={() => void page.confirm()}>
          {PLAN.confirm}
        </Button>
      </div>
      <div className={styles.scroll} tabIndex={0} {...panelOf(KINDS, tab)}>
        {unmade.length > 0 && (
          <Note tone="warn">
            <p>{PLAN.unmade(unmade)}</p>
          </Note>
        )}
        {figures && <Outcome figures={figures[tab]} money={rack.money} compared={page.compared} />}
        {tab === 'sticks' ? (
          <>
            <StickPlan
              request={planned.requests.sticks}
              plan={plans.sticks}
              name={name}
              locked={locked.sticks}
              onLock={(index) => page.flip('sticks', index)}
              onMove={page.move}
            />
            {rack.money && <BuyingTable rack={rack} plans={plans} state={planned} />}
          </>
        ) : (
          <SheetPlan
            request={planned.requests.sheets}
            plan={plans.sheets}
            name={name}
            locked={locked.sheets}
            onLock={(index) => page.flip('sheets', index)}
          />
        )}
      </div>
    </>
  );
}

export function Plan({ first }: { first: RackView }) {
  const page = usePlanPage(first);
  const { rack, planned, plans } = page;
  return (
    <main className={styles.rack}>
      <h1 className="sr">{PLAN.head}</h1>
      <RackPlaces />
      <div className={styles.planColumns}>
        <aside>
          <div className={styles.scroll} tabIndex={0} role="group" aria-label={PLAN.jobs}>
            <PlanJobs jobs={rack.jobs} chosen={page.chosen} onChoose={page.choose} />
          </div>
          <Go page={page} />
        </aside>
        <div className={styles.result}>
          {!plans && !page.running && <p className={styles.empty}>{PLAN.empty}</p>}
          <Trouble issues={page.issues} />
          {plans && planned && <Made page={page} planned={planned} plans={plans} />}
        </div>
      </div>
    </main>
  );
}
