import path from 'node:path';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': path.resolve('src'), '@demo': path.resolve('demo') } },
  test: {
    include: ['src/**/*.test.{ts,tsx}', 'tests/unit/**/*.test.ts', 'demo/**/*.test.ts'],
    // All cores: most tests compute. The usual number leaves one out.
    maxWorkers: '100%',
    testTimeout: 60_000,
    hookTimeout: 60_000,
  },
});
