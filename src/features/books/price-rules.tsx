'use client';
/** How each group of materials is priced: cost up, or by a chart. The owner sets it; every change is a new edition. */
import Button from '@mui/material/Button';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { ShopView } from '@/contract/views';
import { GROUPS, type Group, type GroupRule } from '@/core/pricing/book';
import { Cash } from '@/ui/figures';
import { RULES } from '@/words/screens/books';
import { MATERIALS } from '@/words/screens/materials';
import { PRICES } from '@/words/screens/prices';
import { TABLE } from '@/words/screens/table';
import { patient } from '@/ui/patient';

const RuleForm = dynamic(() => patient(() => import('./rule-form')).then((file) => file.RuleForm), {
  loading: () => null,
});

const says = (rule: GroupRule) =>
  rule.school === 'chart' && rule.chart ? RULES.chart(rule.chart.steps.length) : RULES.costTimes(rule.markup);

export function PriceRules({ shop, owner }: { shop: ShopView; owner: boolean }) {
  const { prices } = shop;
  const [group, setGroup] = useState<Group | undefined>();
  return (
    <section>
      <h2>{RULES.head}</h2>
      {group && <RuleForm key={group} group={group} shop={shop} onClose={() => setGroup(undefined)} />}
      <dl>
        {GROUPS.map((each) => (
          <div key={each}>
            <dt>{RULES.groups[each]}</dt>
            <dd>
              {owner ? (
                <Button
                  variant="text"
                  onClick={() => setGroup(each)}
                  aria-label={RULES.change(RULES.groups[each], says(prices.groups[each]))}
                >
                  {says(prices.groups[each])}
                </Button>
              ) : (
                says(prices.groups[each])
              )}
            </dd>
          </div>
        ))}
        <div>
          <dt>{RULES.work}</dt>
          <dd>{RULES.anHour(prices.labourPerHour)}</dd>
        </div>
        <div>
          <dt>{RULES.kit}</dt>
          <dd>
            <Cash value={prices.kit} />
          </dd>
        </div>
        <div>
          <dt>{RULES.ending}</dt>
          <dd>{prices.ending}</dd>
        </div>
        <div>
          <dt>{RULES.tax}</dt>
          <dd>{RULES.taxIs(prices.tax.percent.goods, prices.tax.mode === 'exclusive')}</dd>
        </div>
        <div>
          <dt>{RULES.deposit}</dt>
          <dd>{RULES.percent(prices.depositPercent)}</dd>
        </div>
      </dl>
      <p>
        <a href="/books/materials">{MATERIALS.link}</a>
      </p>
      {owner && (
        <>
          <p>
            <a href="/books/table">{TABLE.link}</a>
          </p>
          <a href="/books/prices">{PRICES.link}</a>
        </>
      )}
    </section>
  );
}
