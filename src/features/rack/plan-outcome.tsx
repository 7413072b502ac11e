'use client';
/** What a plan comes to: in material, and in money for those who see costs; what has to be bought for it. */
import type { RackView } from '@/contract/views';
import { buyingOf } from '@/core/cutting/buying';
import type { PlanFigures } from '@/core/cutting/plan-figures';
import { Cell, Row, SheetTable } from '@/ui/sheet-table';
import { PLAN } from '@/words/screens/rack';
import type { PlanState } from './plan-state';
import { nameOf } from './rack-places';
import styles from './rack.module.css';
import type { Plans } from './use-plan';
import { WAY_NAMES, cents, gapWords, percent } from './words';

const LEAST_SAVED = 0.5;

export function Outcome({ figures, money, compared }: { figures: PlanFigures; money: boolean; compared: boolean }) {
  const share = figures.opened > 0 ? figures.lost / figures.opened : 0;
  const saved = figures.apart - figures.cost;
  return (
    <dl className={styles.outcome}>
      <div>
        <dt>{PLAN.lost}</dt>
        <dd>
          <b>{percent(share)}</b> {money && <span className="soft">{cents(figures.lostCents)}</span>}
        </dd>
      </div>
      {money && (
        <>
          <div>
            <dt>{PLAN.material}</dt>
            <dd>
              <b>{cents(figures.cost)}</b>
            </dd>
          </div>
          <div>
            <dt>{PLAN.apart}</dt>
            <dd>
              <b>{compared ? cents(figures.apart) : '…'}</b>{' '}
              {compared && saved > LEAST_SAVED && <span className={styles.saved}>{PLAN.saved(cents(saved))}</span>}
            </dd>
          </div>
        </>
      )}
      <div className={styles.gap}>
        <dt>{PLAN.howGood}</dt>
        <dd>{gapWords(figures, money)}</dd>
      </div>
    </dl>
  );
}

export function BuyingTable({ rack, plans, state }: { rack: RackView; plans: Plans; state: PlanState }) {
  const buying = buyingOf(state.requests.sticks, plans.sticks, state.wanted.frames, rack.lists.mouldings);
  const stock = new Map(rack.stock.map((level) => [level.material, level.onHand]));
  if (buying.length === 0) return null;
  return (
    <section className={styles.buying}>
      <h2>{PLAN.buying}</h2>
      <SheetTable label={PLAN.buying} columns={PLAN.buyingColumns}>
        {buying.flatMap(({ moulding, choices }) => {
          const least = Math.min(...choices.map((choice) => choice.cents));
          return choices.map((choice, index) => (
            <Row key={`${moulding} ${choice.way}`} data-least={choice.cents === least}>
              <Cell>{index === 0 && nameOf(rack, moulding)}</Cell>
              <Cell num>{index === 0 && choice.count}</Cell>
              <Cell num>{index === 0 && (stock.get(moulding) ?? 0)}</Cell>
              <Cell>
                {WAY_NAMES[choice.way]}{' '}
                {choice.cents === least && <span className={styles.saved}>{PLAN.cheapest}</span>}
              </Cell>
              <Cell num>{cents(choice.cents)}</Cell>
              <Cell num>{choice.days}</Cell>
            </Row>
          ));
        })}
      </SheetTable>
    </section>
  );
}
