'use client';
/** The figures that only the wood and the wire can tell. A field left empty stays as it was computed. */
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import type { JobView } from '@/contract/views';
import type { Built, Measured } from '@/core/jobs/as-built';
import type { Issue } from '@/core/issue';
import { fieldText } from '@/core/units/format-length';
import { type Length, type Unit } from '@/core/units/length';
import { parseLength } from '@/core/units/parse-length';
import { useBenchScheme } from '@/ui/dress';
import { Field, Form, useCommandForm } from '@/ui/form';
import { useUnit } from '@/ui/units';
import { MEASURED_FIELDS, MEASURE } from '@/words/screens/bench';
import styles from './bench.module.css';

/** The fields of each: `seat.top` stands for the top of the seat. */
const FIELDS: Readonly<Record<Measured, readonly string[]>> = {
  seat: ['top', 'bottom', 'left', 'right'],
  trimmed: ['w', 'h'],
  depth: [''],
  inside: ['w', 'h'],
  drop: [''],
};
const nameOf = (key: Measured, part: string) => (part ? `${key}_${part}` : key);
const isSingle = (key: Measured): key is 'depth' | 'drop' => key === 'depth' || key === 'drop';

/** What is known of a field already, as it is typed. */
function known(built: Built, key: Measured, part: string, unit: Unit): string {
  const value = built[key] as Length | Record<string, Length> | undefined;
  const length = typeof value === 'object' ? value[part] : value;
  return length === undefined ? '' : fieldText(length, unit);
}

type Read = { readonly lengths: Record<string, Length> } | { readonly wrong: readonly Issue[] };
/** The lengths of one kind of measure; a half-filled one is wrong at its first empty field. */
function read(key: Measured, typed: Record<string, string>, unit: Unit): Read | undefined {
  const parts = FIELDS[key].map((part) => [part, typed[nameOf(key, part)]?.trim() ?? ''] as const);
  if (parts.every(([, text]) => text === '')) return undefined;
  const lengths: Record<string, Length> = {};
  const wrong: Issue[] = [];
  for (const [part, text] of parts) {
    const outcome = parseLength(text, { unit });
    if (outcome.ok) lengths[part] = outcome.value;
    else wrong.push(...outcome.issues.map((one) => ({ ...one, path: nameOf(key, part) })));
  }
  return wrong.length > 0 ? { wrong } : { lengths };
}

interface Props {
  readonly job: JobView;
  readonly keys: readonly Measured[];
  readonly onClose: () => void;
}

export function MeasureDialog({ job, keys, onClose }: Props) {
  const { unit } = useUnit();
  const names = keys.flatMap((key) => FIELDS[key].map((part) => ({ key, part, name: nameOf(key, part) })));
  const of = useCommandForm<'record-built', Record<string, string>>('record-built', {
    values: Object.fromEntries(names.map(({ key, part, name }) => [name, known(job.built, key, part, unit)])),
    payload: (typed) => {
      const built: Record<string, unknown> = { ...job.built };
      const wrong: Issue[] = [];
      for (const key of keys) {
        const of = read(key, typed, unit);
        delete built[key];
        if (of && 'wrong' in of) wrong.push(...of.wrong);
        else if (of) built[key] = isSingle(key) ? of.lengths[''] : of.lengths;
      }
      // Somebody measured anew: what was said of the difference before is said of another one.
      delete built.beyond;
      return wrong.length > 0 ? { wrong } : { jobId: job.id, revision: job.revision, built };
    },
    fieldOf: { seat: 'seat_top', trimmed: 'trimmed_w', inside: 'inside_w' },
    onDone: onClose,
  });
  return (
    <Dialog open onClose={onClose} aria-labelledby="measure-head" data-scheme={useBenchScheme()}>
      <Form of={of} className={styles.dialog}>
        <h2 id="measure-head">{MEASURE.head}</h2>
        {keys.map((key) => (
          <fieldset key={key} className={styles.measures}>
            <legend>{MEASURED_FIELDS[key].head}</legend>
            {FIELDS[key].map((part) => (
              <Field
                key={part}
                name={nameOf(key, part)}
                label={MEASURED_FIELDS[key].fields[part] ?? ''}
                hidesLabel={part === ''}
                most={40}
                first={nameOf(key, part) === names[0]!.name}
                end={<span className="unit">{unit}</span>}
              />
            ))}
          </fieldset>
        ))}
        <p className="soft">{MEASURE.say}</p>
        <Button type="submit" variant="contained" size="large" disabled={of.busy}>
          {MEASURE.keep}
        </Button>
      </Form>
    </Dialog>
  );
}
