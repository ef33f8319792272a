/** One folder or file of core at a time, whole or a sample; see `scripts/mutants.mjs`. */
const what = process.env.MUTATED ?? '*';
const sampled = process.env.MUTANTS_SHARE !== undefined;

export default {
  testRunner: 'jest',
  jest: { projectType: 'custom', configFile: 'jest.mutants.config.mjs', enableFindRelatedTests: false },
  mutate: [`core/src/${what.endsWith('.ts') ? what : `${what}/**/*.ts`}`, '!core/src/**/*.spec.ts'],
  ignorePatterns: ['dist', '.brisk', '.angular', 'web', 'server', 'e2e', 'docs', 'demo/photos', 'test-results'],
  plugins: ['@stryker-mutator/*', './scripts/mutants-sample.mjs'],
  ignorers: sampled ? ['sample'] : [],
  // What is emptied as a whole, a body or a list, holds every sample of what is in it, and is noticed more often than not: it
  // would flatter the score.
  // Words are read by people and not held to the letter by tests; those of a union are held by the compiler.
  mutator: {
    excludedMutations: [
      'StringLiteral',
      ...(sampled ? ['BlockStatement', 'ArrowFunction', 'ArrayDeclaration', 'ObjectLiteral'] : []),
    ],
  },
  // Not per test: what many tests share is worked out once, by the first of them.
  coverageAnalysis: 'all',
  concurrency: Number(process.env.MUTANTS_AT_ONCE ?? 2),
  reporters: ['clear-text', 'json'],
  jsonReporter: { fileName: `.brisk/mutants-${what.replaceAll('/', '-')}.json` },
  clearTextReporter: { logTests: false, reportTests: false },
  tempDirName: '.brisk/mutants',
  timeoutMS: 20_000,
};
