import js from '@eslint/js';
import angular from 'angular-eslint';
import tseslint from 'typescript-eslint';

/** Imports point one way: web and server to contracts and core, contracts to core, core to nothing of ours. */
const mayNotImport = (files, patterns, message) => ({
  files,
  rules: { 'no-restricted-imports': ['error', { patterns: [{ group: patterns, message }] }] },
});

const NOT_FOR_THE_WEB = ['express', '@mikro-orm/*', '@brisk/server*', 'node:*'];

/** The rooms of the web application: each knows those before it, and none that comes after. */
const WEB_ROOMS = [
  'words',
  'api',
  'ui',
  'session',
  'photos',
  'literature',
  'labels',
  'map',
  'planning',
  'working-step',
  'shell',
  'pages',
];
const webRooms = WEB_ROOMS.map((room, index) =>
  mayNotImport(
    [`web/src/app/${room}/**/*.ts`],
    [...NOT_FOR_THE_WEB, ...WEB_ROOMS.slice(index + 1).map((later) => `**/${later}/**`)],
    `“${room}” knows only the rooms before it: ${WEB_ROOMS.slice(0, index).join(', ') || 'none'}.`,
  ),
);

const FRAMEWORKS = ['@angular/*', 'express', '@mikro-orm/*', 'yup', 'rxjs', 'rxjs/*', 'node:*'];

export default tseslint.config(
  {
    ignores: [
      '**/dist/',
      '**/node_modules/',
      '.brisk/',
      '**/.angular/',
      'test-results/',
      'playwright-report/',
      'web/out-tsc/',
      '**/gathered-specs/',
    ],
  },
  js.configs.recommended,
  {
    files: ['**/*.ts'],
    extends: [...tseslint.configs.strict, ...tseslint.configs.stylistic],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-definitions': 'off',
      eqeqeq: 'error',
      'no-console': 'error',
    },
  },
  {
    files: ['web/src/**/*.ts'],
    extends: [...angular.configs.tsRecommended],
    processor: angular.processInlineTemplates,
    rules: {
      '@angular-eslint/component-selector': ['error', { type: 'element', prefix: 'bl', style: 'kebab-case' }],
      '@angular-eslint/prefer-on-push-component-change-detection': 'error',
      '@angular-eslint/component-class-suffix': 'off',
      '@typescript-eslint/no-extraneous-class': 'off',
    },
  },
  {
    files: ['web/src/**/*.html'],
    extends: [...angular.configs.templateRecommended, ...angular.configs.templateAccessibility],
  },
  {
    files: ['server/src/database/migrations/*.ts'],
    rules: { '@typescript-eslint/class-methods-use-this': 'off' },
  },
  {
    files: ['**/*.cjs'],
    languageOptions: {
      sourceType: 'commonjs',
      globals: {
        require: 'readonly',
        module: 'writable',
        __filename: 'readonly',
        window: 'readonly',
        Element: 'readonly',
        URL: 'readonly',
        localStorage: 'readonly',
        beforeEach: 'readonly',
      },
    },
  },
  {
    files: ['**/*.mjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        URL: 'readonly',
        fetch: 'readonly',
        setTimeout: 'readonly',
        clearTimeout: 'readonly',
        document: 'readonly',
        performance: 'readonly',
        window: 'readonly',
        requestAnimationFrame: 'readonly',
        cancelAnimationFrame: 'readonly',
        Buffer: 'readonly',
      },
    },
  },
  mayNotImport(
    ['core/src/**/*.ts'],
    [...FRAMEWORKS, '@brisk/*'],
    'Core reasons on plain data and imports nothing of ours and no framework.',
  ),
  mayNotImport(
    ['contracts/src/**/*.ts'],
    ['@angular/*', 'express', '@mikro-orm/*', 'rxjs', 'node:*', '@brisk/server*', '@brisk/web*'],
    'Contracts know core’s types and Yup, and nothing of either side.',
  ),
  mayNotImport(['server/src/**/*.ts'], ['@angular/*', '@brisk/web*', 'rxjs'], 'The server knows nothing of the web.'),
  mayNotImport(['web/src/**/*.ts'], NOT_FOR_THE_WEB, 'The web knows nothing of the server but its contracts.'),
  ...webRooms,
);
