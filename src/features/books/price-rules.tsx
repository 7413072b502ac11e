'use client';
/** How each group of materials is priced: cost up, or by a chart. The owner sets it; every change is a new edition. */
import Button from '@mui/material/Button';
import Input from '@mui/material/Input';
import { useRouter } from 'next/navigation';
import { type FormEvent, useState } from 'react';
import type { ShopView } from '@/contract/views';
import { type Issue, issue } from '@/core/issue';
import { type Chart, GROUPS, type Group, type GroupRule, type School } from '@/core/pricing/book';
import { formatMoney, parseMoney } from '@/core/units/money';
import { DECIMAL } from '@/core/units/rational';
import { Cash } from '@/ui/figures';
import { send } from '@/ui/send';
import { Trouble } from '@/ui/trouble';
import styles from './books.module.css';

const NAMES: Readonly<Record<Group, string>> = {
  moulding: 'Moulding',
  mat: 'Mats',
  glazing: 'Glazing',
  backing: 'Backing',
};
const BY: Readonly<Record<Chart['by'], string>> = {
  in: 'united inches',
  cm: 'united centimetres',
  ft: 'feet of moulding',
  m: 'metres of moulding',
};

const says = (rule: GroupRule) =>
  rule.school === 'chart' && rule.chart
    ? `chart, ${rule.chart.steps.length} ${rule.chart.steps.length === 1 ? 'step' : 'steps'}`
    : `cost × ${rule.markup}`;

interface Form {
  readonly group: Group;
  readonly school: School;
  readonly markup: string;
  readonly minimum: string;
  readonly by: Chart['by'];
  readonly steps: string;
  readonly perExtra: string;
}
const formOf = (group: Group, rule: GroupRule): Form => ({
  group,
  school: rule.school ?? 'cost-up',
  markup: rule.markup,
  minimum: rule.minimum === undefined ? '' : formatMoney(rule.minimum),
  by: rule.chart?.by ?? (group === 'moulding' ? 'ft' : 'in'),
  steps: (rule.chart?.steps ?? []).map(([size, price]) => `${size} ${formatMoney(price)}`).join('\n'),
  perExtra: rule.chart?.perExtraUnit === undefined ? '' : formatMoney(rule.chart.perExtraUnit),
});

/** The rule that a form says, or what cannot be read in it. */
function ruleOf(form: Form): { rule: object } | { issues: Issue[] } {
  const issues: Issue[] = [];
  const cash = (text: string) => {
    const money = parseMoney(text);
    if (money === undefined) issues.push(issue('amount-wrong', { typed: text }));
    return money;
  };
  if (!DECIMAL.test(form.markup)) issues.push(issue('number-wrong', { typed: form.markup }));
  const rows = form.steps.split('\n').filter((row) => row.trim());
  const steps = rows.map((row) => {
    const [size = '', price = '', ...more] = row.trim().split(/[\s;,]+/);
    if (!DECIMAL.test(size) || more.length > 0) issues.push(issue('chart-row', { read: row }));
    return [size, cash(price)];
  });
  if (form.school === 'chart' && steps.length === 0) issues.push(issue('chart-empty'));
  const rule = {
    school: form.school,
    markup: form.markup,
    ...(form.minimum.trim() ? { minimum: cash(form.minimum) } : {}),
    ...(steps.length > 0
      ? { chart: { by: form.by, steps, ...(form.perExtra.trim() ? { perExtraUnit: cash(form.perExtra) } : {}) } }
      : {}),
  };
  return issues.length > 0 ? { issues } : { rule };
}

function RuleForm({ first, edition, onClose }: { first: Form; edition: number; onClose: () => void }) {
  const router = useRouter();
  const [form, setForm] = useState(first);
  const [issues, setIssues] = useState<readonly Issue[]>([]);
  const [busy, setBusy] = useState(false);
  const set = (over: Partial<Form>) => setForm({ ...form, ...over });
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const read = ruleOf(form);
    if ('issues' in read) return setIssues(read.issues);
    setBusy(true);
    const answer = await send('set-group-rule', { edition, group: form.group, rule: read.rule });
    setBusy(false);
    if (!answer.ok) return setIssues(answer.issues);
    onClose();
    router.refresh();
  };
  const field = (label: string, key: 'markup' | 'minimum' | 'perExtra') => (
    <label>
      {label}
      <Input
        value={form[key]}
        fullWidth
        onChange={(event) => set({ [key]: event.target.value })}
        slotProps={{ input: { maxLength: 20 } }}
      />
    </label>
  );
  return (
    <form className={styles.rule} onSubmit={(event) => void submit(event)}>
      <label>
        {NAMES[form.group]} is priced by
        <select value={form.school} onChange={(event) => set({ school: event.target.value as School })}>
          <option value="cost-up">cost and markup</option>
          <option value="chart">a chart of retail prices</option>
        </select>
      </label>
      {form.school === 'cost-up' ? (
        <>
          {field('Markup', 'markup')}
          {field('At least', 'minimum')}
        </>
      ) : (
        <>
          <label>
            Steps by
            <select value={form.by} onChange={(event) => set({ by: event.target.value as Chart['by'] })}>
              {(form.group === 'moulding' ? (['ft', 'm', 'in', 'cm'] as const) : (['in', 'cm'] as const)).map((by) => (
                <option key={by} value={by}>
                  {BY[by]}
                </option>
              ))}
            </select>
          </label>
          <label>
            Up to this size, this price: one step a line
            <textarea
              rows={6}
              value={form.steps}
              placeholder={'20 31.00\n30 44.00'}
              onChange={(event) => set({ steps: event.target.value })}
            />
          </label>
          {field('Beyond the last, each unit begun', 'perExtra')}
        </>
      )}
      <Trouble issues={issues} />
      <div>
        <Button variant="text" onClick={onClose}>
          Leave it
        </Button>
        <Button type="submit" variant="outlined" disabled={busy}>
          Set
        </Button>
      </div>
    </form>
  );
}

export function PriceRules({ prices, owner }: { prices: ShopView['prices']; owner: boolean }) {
  const [form, setForm] = useState<Form | undefined>();
  return (
    <section>
      <h2>Rules of price</h2>
      {form && <RuleForm key={form.group} first={form} edition={prices.edition} onClose={() => setForm(undefined)} />}
      <dl>
        {GROUPS.map((group) => (
          <div key={group}>
            <dt>{NAMES[group]}</dt>
            <dd>
              {owner ? (
                <button
                  type="button"
                  className={styles.change}
                  onClick={() => setForm(formOf(group, prices.groups[group]))}
                >
                  {says(prices.groups[group])}
                </button>
              ) : (
                says(prices.groups[group])
              )}
            </dd>
          </div>
        ))}
        <div>
          <dt>Work</dt>
          <dd>{prices.labourPerHour} an hour</dd>
        </div>
        <div>
          <dt>Hanging kit</dt>
          <dd>
            <Cash value={prices.kit} />
          </dd>
        </div>
        <div>
          <dt>Ending</dt>
          <dd>{prices.ending}</dd>
        </div>
        <div>
          <dt>Tax</dt>
          <dd>
            {prices.tax.percent.goods} %, {prices.tax.mode === 'exclusive' ? 'added' : 'contained'}
          </dd>
        </div>
        <div>
          <dt>Deposit</dt>
          <dd>{prices.depositPercent} %</dd>
        </div>
      </dl>
    </section>
  );
}
