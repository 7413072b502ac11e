/** What a job fills in of each sum that it has figures for. */
import type { JobView } from '@/contract/views';
import type { Unit } from '@/core/units/length';
import { BENCH_SUMS, type Values, firstValues } from './bench-sums';

export const valuesOfJob = (job: JobView, unit: Unit): Readonly<Record<string, Values>> =>
  Object.fromEntries(
    BENCH_SUMS.flatMap((sum) => {
      const values = sum.from(job.worked, unit);
      return values ? [[sum.key, { ...firstValues(sum, unit), ...values }]] : [];
    }),
  );
