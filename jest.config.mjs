import { FAST_GLOBALS } from './jest.fast-globals.mjs';

const swc = [
  '@swc/jest',
  { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'commonjs' } },
];

/** One of ours read from its source, so that tests never see a stale build. */
const ours = {
  '^(\\.{1,2}/.*)\\.js$': '$1',
  '^@brisk/core/(.*)$': '<rootDir>/../core/src/$1/index.ts',
  '^@brisk/contracts/(.*)$': '<rootDir>/../contracts/src/$1.ts',
};

const node = (name, globals = FAST_GLOBALS) => ({
  displayName: name,
  rootDir: name,
  testEnvironment: 'node',
  testMatch: ['<rootDir>/src/**/*.spec.ts'],
  // The reader of PDFs comes as modules only.
  transform: { '^.+\\.ts$': swc, '/pdfjs-dist/.+\\.mjs$': swc },
  transformIgnorePatterns: ['/node_modules/(?!pdfjs-dist/)'],
  moduleNameMapper: ours,
  sandboxInjectedGlobals: globals,
});

/** What makes certificates has a `Set` of its own. */
const forServer = FAST_GLOBALS.filter((name) => name !== 'Set');

export default {
  testTimeout: 60_000,
  projects: [node('core'), node('contracts'), node('server', forServer), '<rootDir>/web/jest.config.mjs'],
};
