'use client';
/** The rule of price of one group, as the owner sets it. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Asked } from '@/contract/commands';
import type { Chart, Group, GroupRule, School } from '@/core/pricing/book';
import { Choose } from '@/ui/choose';
import { Field, Form, useCommandForm } from '@/ui/form';
import { RULES } from '@/words/screens/books';
import styles from './books.module.css';
import { type RuleValues, choiceOf, ruleOf, valuesOf } from './rule-values';

const SCHOOLS: readonly School[] = ['cost-up', 'chart'];
const MEASURES: Readonly<Record<'moulding' | 'other', readonly Chart['by'][]>> = {
  moulding: ['ft', 'm', 'in', 'cm'],
  other: ['in', 'cm'],
};

interface RuleFormProps {
  readonly group: Group;
  readonly rule: GroupRule;
  readonly edition: number;
  readonly onClose: () => void;
}

export function RuleForm({ group, rule, edition, onClose }: RuleFormProps) {
  const [choice, setChoice] = useState(() => choiceOf(group, rule));
  const of = useCommandForm<'set-group-rule', RuleValues & Record<string, string>>('set-group-rule', {
    values: { ...valuesOf(rule) },
    payload: (values) => {
      const read = ruleOf(choice, values);
      return 'wrong' in read ? read : ({ edition, group, rule: read.rule } as Asked<'set-group-rule'>);
    },
    onDone: onClose,
    fieldOf: { 'rule.chart': 'steps', 'rule.markup': 'markup', 'rule.minimum': 'minimum' },
  });
  return (
    <Form of={of} className={styles.rule}>
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
          <Field name="steps" label={RULES.steps} rows={6} placeholder={'20 31.00\n30 44.00'} />
          <Field name="perExtra" label={RULES.perExtra} most={20} />
        </>
      )}
      <div className={styles.ends}>
        <Button variant="text" onClick={onClose}>
          {RULES.leave}
        </Button>
        <Button type="submit" variant="outlined" disabled={of.busy}>
          {RULES.set}
        </Button>
      </div>
    </Form>
  );
}
