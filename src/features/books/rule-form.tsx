'use client';
/** The rule of price of one group, as the owner sets it, with what the usual piece would cost by it. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import { useState } from 'react';
import type { Asked } from '@/contract/commands';
import type { ShopView } from '@/contract/views';
import { formatLength } from '@/core/units/format-length';
import type { Chart, Group, School } from '@/core/pricing/book';
import { usualCost } from '@/core/pricing/usual-piece';
import { usualSize } from '@/core/pricing/usual-size';
import { Choose } from '@/ui/choose';
import { Cash } from '@/ui/figures';
import { Field, Form, useCommandForm } from '@/ui/form';
import { RULES } from '@/words/screens/books';
import { ChartCurve } from './chart-curve';
import { ChartSteps } from './chart-steps';
import styles from './chart.module.css';
import { type RuleValues, chartFaults, choiceOf, readStep, ruleOf, valuesOf } from './rule-values';

const SCHOOLS: readonly School[] = ['cost-up', 'chart'];
const MEASURES: Readonly<Record<'moulding' | 'other', readonly Chart['by'][]>> = {
  moulding: ['ft', 'm', 'in', 'cm'],
  other: ['in', 'cm'],
};

interface RuleFormProps {
  readonly group: Group;
  readonly shop: ShopView;
  readonly onClose: () => void;
}

export function RuleForm({ group, shop, onClose }: RuleFormProps) {
  const { prices } = shop;
  const rule = prices.groups[group];
  const [choice, setChoice] = useState(() => choiceOf(group, rule));
  const of = useCommandForm<'set-group-rule', RuleValues & Record<string, string>>('set-group-rule', {
    values: { ...valuesOf(rule) },
    payload: (values) => {
      const read = ruleOf(choice, values);
      return 'wrong' in read ? read : ({ edition: prices.edition, group, rule: read.rule } as Asked<'set-group-rule'>);
    },
    onDone: onClose,
    fieldOf: { 'rule.markup': 'markup', 'rule.minimum': 'minimum' },
  });
  const faults = chartFaults(choice.steps);
  const unfinished = choice.school === 'chart' && (faults.size > 0 || choice.steps.length === 0);
  const read = ruleOf(choice, of.form.watch());
  const { chart: _chart, minimum: _minimum, ...kept } = rule;
  const would =
    'rule' in read
      ? usualCost(shop, { ...prices, groups: { ...prices.groups, [group]: { ...kept, ...read.rule } } })
      : undefined;
  const { w, h } = usualSize(shop.homeUnit);
  const size = `${formatLength(w, shop.homeUnit)} × ${formatLength(h, shop.homeUnit)}`;
  return (
    <Dialog
      open
      onClose={onClose}
      aria-labelledby="rule-head"
      fullWidth
      slotProps={{ paper: { className: styles.wide ?? '' } }}
    >
      <Form of={of} className={styles.form}>
        <h2 id="rule-head">{RULES.pricedBy(RULES.groups[group])}</h2>
        <div>
          <Choose
            label={RULES.pricedBy(RULES.groups[group])}
            name="school"
            value={choice.school}
            options={SCHOOLS.map((code) => ({ code, name: RULES.schools[code] }))}
            onChange={(school) => setChoice({ ...choice, school: school as School })}
          />
          {choice.school === 'cost-up' ? (
            <>
              <Field name="markup" label={RULES.markup} most={20} />
              <Field name="minimum" label={RULES.atLeast} most={20} />
            </>
          ) : (
            <>
              <Choose
                label={RULES.stepsBy}
                name="by"
                value={choice.by}
                options={MEASURES[group === 'moulding' ? 'moulding' : 'other'].map((code) => ({
                  code,
                  name: RULES.measures[code],
                }))}
                onChange={(by) => setChoice({ ...choice, by: by as Chart['by'] })}
              />
              <div className={styles.scroll}>
                <ChartSteps
                  steps={choice.steps}
                  faults={faults}
                  onChange={(steps) => setChoice({ ...choice, steps })}
                />
              </div>
              <Field name="perExtra" label={RULES.perExtra} most={20} />
            </>
          )}
        </div>
        <div>
          {choice.school === 'chart' && (
            <ChartCurve
              by={RULES.measures[choice.by]}
              steps={choice.steps.flatMap((step, index) => {
                const { size: far, price } = readStep(step);
                return far === undefined || price === undefined
                  ? []
                  : [{ size: Number(far), price, wrong: faults.has(index) }];
              })}
            />
          )}
          <p>
            {RULES.would(size)} <b>{would === undefined ? '–' : <Cash value={would} />}</b>
          </p>
        </div>
        <div className={styles.ends}>
          <Button variant="outlined" onClick={onClose}>
            {RULES.leave}
          </Button>
          <Button type="submit" variant="contained" disabled={of.busy || unfinished}>
            {RULES.set}
          </Button>
        </div>
      </Form>
    </Dialog>
  );
}
