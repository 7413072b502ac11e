'use client';
/** A chart of retail prices, step by step: typed or pasted as two columns, each row saying what is wrong with it. */
import Button from '@mui/material/Button';
import Input from '@mui/material/Input';
import { type ClipboardEvent, Fragment } from 'react';
import type { Issue } from '@/core/issue';
import { sayIssue } from '@/words/issues';
import { RULES } from '@/words/screens/books';
import { FractionText } from '@/ui/figures';
import { useUnit } from '@/ui/units';
import styles from './chart.module.css';
import type { StepTexts } from './rule-values';

interface Props {
  readonly steps: readonly StepTexts[];
  readonly faults: ReadonlyMap<number, Issue>;
  readonly onChange: (steps: readonly StepTexts[]) => void;
}
const KEYS = ['size', 'price'] as const;

/** The rows of a block from a spreadsheet, or of lines as people write them. */
const blockOf = (text: string): StepTexts[] =>
  text
    .split(/\r?\n/)
    .filter((row) => row.trim() !== '')
    .map((row) => {
      const [size = '', price = ''] = row.trim().split(/[\t;]|\s+/);
      return { size, price };
    });

export function ChartSteps({ steps, faults, onChange }: Props) {
  const { unit } = useUnit();
  const shown = [...steps, { size: '', price: '' }];
  const put = (at: number, key: keyof StepTexts, text: string) =>
    onChange(
      shown
        .map((step, index) => (index === at ? { ...step, [key]: text } : step))
        .filter((step, index) => index < steps.length || step.size !== '' || step.price !== ''),
    );
  const paste = (event: ClipboardEvent, at: number) => {
    const block = blockOf(event.clipboardData.getData('text/plain'));
    if (block.length < 2 && block[0]?.price === '') return;
    event.preventDefault();
    onChange([...steps.slice(0, at), ...block, ...steps.slice(at + block.length)]);
  };
  return (
    <table className={styles.steps}>
      <thead>
        <tr>
          <th scope="col">{RULES.upTo}</th>
          <th scope="col">{RULES.price}</th>
          <th scope="col">
            <span className="sr">{RULES.faults}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {shown.map((step, index) => {
          const fault = faults.get(index);
          return (
            <Fragment key={index}>
              <tr>
                {KEYS.map((key) => (
                  <td key={key}>
                    <Input
                      value={step[key]}
                      error={fault?.path === key}
                      onPaste={(event) => paste(event, index)}
                      onChange={(event) => put(index, key, event.target.value)}
                      slotProps={{
                        input: {
                          'aria-label': RULES.step[key](index + 1),
                          'aria-invalid': fault?.path === key,
                          inputMode: 'decimal',
                          maxLength: 14,
                        },
                      }}
                    />
                  </td>
                ))}
                <td>
                  {index < steps.length && (
                    <Button
                      variant="text"
                      aria-label={RULES.removeStep(index + 1)}
                      onClick={() => onChange(steps.filter((_, place) => place !== index))}
                    >
                      {RULES.remove}
                    </Button>
                  )}
                </td>
              </tr>
              {fault && (
                <tr>
                  <td colSpan={3} className={styles.fault} role="alert">
                    <FractionText text={sayIssue(fault, unit)} />
                  </td>
                </tr>
              )}
            </Fragment>
          );
        })}
      </tbody>
    </table>
  );
}
