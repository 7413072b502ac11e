import path from 'node:path';
import { defineConfig } from 'vitest/config';

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
    include: ['src/**/*.test.{ts,tsx}', 'tests/unit/**/*.test.{ts,tsx}', 'demo/**/*.test.ts'],
    setupFiles: ['tests/setup.ts'],
    // All cores: most tests compute. The usual number leaves one out.
    maxWorkers: '100%',
    // What failed is said; the whole page is not printed with it.
    env: { DEBUG_PRINT_LIMIT: '0' },
    testTimeout: 60_000,
    hookTimeout: 60_000,
  },
});
