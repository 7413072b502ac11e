import { defineConfig, mergeConfig } from 'vitest/config';
import usual from './vitest.config.mts';

/** The tests that look at prices and commands; a mutant is tried by those that ran through it. */
export default mergeConfig(
  { ...usual, test: { ...usual.test, include: [] } },
  defineConfig({
    test: {
      include: [
        'src/core/pricing/*.test.ts',
        'src/core/units/money.test.ts',
        'src/core/oracles.test.ts',
        'src/core/work-out.test.ts',
        'tests/unit/{commands-*,traces,rack}.test.ts',
      ],
      maxWorkers: 1,
    },
  }),
);
