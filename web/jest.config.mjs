import { FAST_GLOBALS } from '../jest.fast-globals.mjs';

/** The web application as `ngc` compiles it (`npm run typecheck`), with the libraries linked: nothing is compiled in a test. */
export default {
  displayName: 'web',
  testEnvironment: 'jest-preset-angular/environments/jest-jsdom-env',
  testMatch: ['<rootDir>/out-tsc/spec/web/**/*.spec.js'],
  setupFilesAfterEnv: ['<rootDir>/jest-setup.cjs'],
  transform: { '^.+\\.(cjs|js|mjs|ts)$': '<rootDir>/jest-linked.cjs', '\\.svg$': '<rootDir>/jest-svg.cjs' },
  transformIgnorePatterns: ['node_modules/(?!(@angular|@fontsource|@tabler|.*\\.mjs$))'],
  sandboxInjectedGlobals: FAST_GLOBALS,
  moduleFileExtensions: ['js', 'mjs', 'ts', 'json', 'svg'],
  moduleNameMapper: {
    '^(\\.{1,2}/.*)\\.js$': '$1',
    '^@brisk/core/testing/(.*)$': '<rootDir>/../core/src/testing/$1.ts',
    '^@brisk/core/(.*)$': '<rootDir>/../core/src/$1/index.ts',
    '^@brisk/contracts/(.*)$': '<rootDir>/../contracts/src/$1.ts',
  },
};
