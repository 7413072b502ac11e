import path from 'node:path';
import { defineConfig } from 'vitest/config';

/** They start programs, threads or databases of their own, or end with what they began. */
const APART = ['keeper', 'back-up', 'disk', 'front', 'released'].map((name) => `tests/unit/${name}.test.ts`);

export default defineConfig({
  resolve: {
    alias: {
      '@': path.resolve('src'),
      '@demo': path.resolve('demo'),
      // Without Next: what it tells of a request, and where screens go.
      'next/headers': path.resolve('tests/next/headers.ts'),
      'next/navigation': path.resolve('tests/next/navigation.ts'),
    },
  },
  test: {
    setupFiles: ['tests/setup.ts'],
    // All cores: most tests compute. The usual number leaves one out.
    maxWorkers: '100%',
    // What failed is said; the whole page is not printed with it.
    env: { DEBUG_PRINT_LIMIT: '0' },
    testTimeout: 60_000,
    hookTimeout: 60_000,
    // Files of one project share their worker's modules and databases: loading them took most of the time.
    projects: [
      {
        extends: true,
        test: { name: 'apart', include: APART, isolate: true },
      },
      {
        extends: true,
        test: {
          name: 'plain',
          include: ['src/**/*.test.ts', 'demo/**/*.test.ts', 'tests/unit/**/*.test.ts'],
          exclude: APART,
          isolate: false,
        },
      },
      {
        extends: true,
        test: {
          name: 'screens',
          include: ['src/**/*.test.tsx', 'tests/unit/**/*.test.tsx'],
          environment: 'happy-dom',
          isolate: false,
        },
      },
    ],
  },
});
