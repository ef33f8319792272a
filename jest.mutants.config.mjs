import whole from './jest.config.mjs';

/** One folder of core with its own tests, as mutation testing runs it. */
const [core] = whole.projects;
export default {
  ...core,
  testTimeout: whole.testTimeout,
  // As `scripts/mutants.mjs` gathers them.
  testMatch: ['<rootDir>/mutants-specs/*.spec.ts'],
};
