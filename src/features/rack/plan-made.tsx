'use client';
/** The plan as it is so far: its sticks, its sheets, what it comes to. */
import Button from '@mui/material/Button';
import type { WantedBeside } from '@/core/cutting/demand';
import { FractionText } from '@/ui/figures';
import { panelOf } from '@/ui/panel';
import { Tabs } from '@/ui/tabs';
import { Note } from '@/ui/trouble';
import { useUnit } from '@/ui/units';
import { besideText } from '@/words/beside';
import { PLAN } from '@/words/screens/rack';
import { BuyingTable, Outcome } from './plan-outcome';
import type { PlanState } from './plan-state';
import { nameOf } from './rack-places';
import styles from './rack.module.css';
import { SheetPlan } from './sheet-plan';
import { StickPlan } from './stick-plan';
import type { Plans } from './use-plan';
import type { PlanPage } from './use-plan-page';

const KINDS = 'kinds';

/** Strips, strainers, pairs and boards that lie on no stick and no sheet of the plan. */
function Beside({ list }: { list: readonly WantedBeside[] }) {
  const { unit } = useUnit();
  if (list.length === 0) return null;
  return (
    <section className={styles.kind}>
      <h2>{PLAN.beside}</h2>
      <ul>
        {list.map((part) => (
          <li key={part.id}>
            <FractionText text={besideText(part, unit)} />
          </li>
        ))}
      </ul>
    </section>
  );
}

export function Made({ page, planned, plans }: { page: PlanPage; planned: PlanState; plans: Plans }) {
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
        <Beside list={planned.wanted.beside} />
      </div>
    </>
  );
}
