'use client';
/** One plan over the jobs that wait for the saw, the mat cutter and the glass: chosen, made, changed by hand, confirmed. */
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import dynamic from 'next/dynamic';
import type { RackView } from '@/contract/views';
import { Choice } from '@/ui/choice';
import { Trouble } from '@/ui/trouble';
import { PLAN } from '@/words/screens/rack';
import { PlanJobs } from './plan-jobs';
import { RackPlaces } from './rack-places';
import styles from './rack.module.css';
import { BUDGETS_MS, type PlanPage, usePlanPage } from './use-plan-page';
import { patient } from '@/ui/patient';

const Made = dynamic(() => patient(() => import('./plan-made')).then((file) => file.Made), { loading: () => null });

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
