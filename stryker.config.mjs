/** Mutants of what must not be wrong unseen: prices and commands. `npm run mutants`; an hour at the most, not part of `npm test`. */
const config = {
  testRunner: 'vitest',
  plugins: ['@stryker-mutator/vitest-runner'],
  vitest: { configFile: 'vitest.mutants.mts', related: false },
  mutate: ['src/core/pricing/**/*.ts', 'src/server/commands/**/*.ts', '!src/**/*.test.ts'],
  // Texts of the log and names in workings: a changed one is seen by nobody but a copy of itself.
  mutator: { excludedMutations: ['StringLiteral'] },
  coverageAnalysis: 'perTest',
  ignoreStatic: true,
  concurrency: 2,
  timeoutMS: 30_000,
  tempDirName: '.build/mutants',
  ignorePatterns: ['.next', '/data*', 'docs/screenshots', 'test-results', '.build/*', '!.build/empty-database.tar'],
  reporters: ['clear-text', 'json'],
  clearTextReporter: { allowColor: false, logTests: false, reportTests: false },
  jsonReporter: { fileName: '.build/mutants.json' },
  allowEmpty: false,
  thresholds: { high: 90, low: 80, break: 80 },
};

export default config;
