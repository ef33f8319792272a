/** One folder of core at a time; see `scripts/mutants.mjs`. */
const folder = process.env.MUTATED_FOLDER ?? '*';

export default {
  testRunner: 'jest',
  jest: { projectType: 'custom', configFile: 'jest.mutants.config.mjs', enableFindRelatedTests: false },
  mutate: [`core/src/${folder}/**/*.ts`, '!core/src/**/*.spec.ts'],
  ignorePatterns: ['dist', '.brisk', '.angular', 'web', 'server', 'e2e', 'docs', 'demo/photos', 'test-results'],
  coverageAnalysis: 'perTest',
  // What is made as a file is loaded, words and tables for the most part: every test would have to run for each of them.
  ignoreStatic: true,
  concurrency: Number(process.env.MUTANTS_AT_ONCE ?? 2),
  reporters: ['clear-text', 'json'],
  jsonReporter: { fileName: `.brisk/mutants-${folder}.json` },
  clearTextReporter: { logTests: false, reportTests: false },
  tempDirName: '.brisk/mutants',
  timeoutMS: 20_000,
};
