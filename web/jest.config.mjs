import presets from 'jest-preset-angular/presets/index.js';

export default {
  displayName: 'web',
  ...presets.createCjsPreset({ tsconfig: '<rootDir>/tsconfig.spec.json' }),
  testMatch: ['<rootDir>/src/**/*.spec.ts'],
  setupFilesAfterEnv: ['<rootDir>/src/testing/setup.ts'],
  moduleNameMapper: {
    '^(\\.{1,2}/.*)\\.js$': '$1',
    '^@brisk/core/(.*)$': '<rootDir>/../core/src/$1/index.ts',
    '^@brisk/contracts/(.*)$': '<rootDir>/../contracts/src/$1.ts',
  },
  transformIgnorePatterns: ['node_modules/(?!(@angular|@fontsource|.*\\.mjs$))'],
};
