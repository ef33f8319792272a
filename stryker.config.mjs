/** Which changes to core no test notices: `npm run mutants`, or `npm run mutants -- --mutate "core/src/torque/*.ts"`. */
export default {
  testRunner: 'jest',
  jest: { projectType: 'custom', configFile: 'jest.mutants.config.mjs', enableFindRelatedTests: true },
  mutate: [
    'core/src/{teardown,refit,ledger,schedule,fasteners,torque}/**/*.ts',
    '!core/src/**/*.spec.ts',
    '!core/src/**/index.ts',
  ],
  ignorePatterns: ['dist', '.brisk', '.angular', 'web', 'server', 'e2e', 'docs', 'demo/photos', 'test-results'],
  coverageAnalysis: 'perTest',
  concurrency: 2,
  incremental: true,
  incrementalFile: '.brisk/mutants.json',
  reporters: ['clear-text', 'progress-append-only', 'json'],
  jsonReporter: { fileName: '.brisk/mutants-report.json' },
  clearTextReporter: { logTests: false, reportTests: false },
  tempDirName: '.brisk/mutants',
  timeoutMS: 20_000,
};
