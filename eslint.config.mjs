import angular from 'angular-eslint';
import tseslint from 'typescript-eslint';

/** Looks at the templates of the views, in files of their own and within a class; `oxlint.config.mjs` has all the rest. */
export default tseslint.config(
  { ignores: ['**/dist/', '**/node_modules/', 'web/out-tsc/', '**/*.spec.ts'] },
  {
    files: ['web/src/app/**/*.ts'],
    languageOptions: { parser: tseslint.parser },
    plugins: { '@angular-eslint': angular.tsPlugin },
    linterOptions: { reportUnusedDisableDirectives: 'off' },
    processor: angular.processInlineTemplates,
  },
  {
    files: ['web/src/app/**/*.html'],
    extends: [...angular.configs.templateRecommended, ...angular.configs.templateAccessibility],
  },
);
