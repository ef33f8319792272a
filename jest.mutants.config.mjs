import whole from './jest.config.mjs';

/** One folder of core with its own tests, as mutation testing runs it. */
const [core] = whole.projects;
const folder = process.env.MUTATED_FOLDER ?? '*';
export default {
  ...core,
  testTimeout: whole.testTimeout,
  testMatch: [`<rootDir>/src/${folder}/**/*.spec.ts`],
};
