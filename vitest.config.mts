import path from 'node:path';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': path.resolve('src'), '@demo': path.resolve('demo') } },
  test: {
    include: ['src/**/*.test.{ts,tsx}', 'tests/unit/**/*.test.ts', 'demo/**/*.test.ts'],
    testTimeout: 60_000,
    hookTimeout: 60_000,
  },
});
