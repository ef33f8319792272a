/** What is linted but the templates of the views, which `eslint.config.mjs` has looked at. */

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

/** What the compiler lets pass and we do not. */
const STRICT = [
  'no-console',
  'no-case-declarations',
  'no-empty',
  'no-fallthrough',
  'no-prototype-builtins',
  'no-regex-spaces',
  'no-useless-escape',
  'no-array-constructor',
  'no-empty-function',
  'no-redeclare',
  'no-unused-expressions',
  'no-useless-constructor',
  'no-var',
  'prefer-const',
  'prefer-rest-params',
  'prefer-spread',
  ...[
    'adjacent-overload-signatures',
    'array-type',
    'ban-tslint-comment',
    'class-literal-property-style',
    'consistent-generic-constructors',
    'consistent-indexed-object-style',
    'consistent-type-assertions',
    'no-confusing-non-null-assertion',
    'no-dynamic-delete',
    'no-empty-object-type',
    'no-explicit-any',
    'no-extraneous-class',
    'no-inferrable-types',
    'no-invalid-void-type',
    'no-namespace',
    'no-non-null-asserted-nullish-coalescing',
    'no-non-null-asserted-optional-chain',
    'no-non-null-assertion',
    'no-require-imports',
    'no-unnecessary-type-constraint',
    'no-unsafe-declaration-merging',
    'no-unsafe-function-type',
    'no-wrapper-object-types',
    'prefer-for-of',
    'prefer-function-type',
    'prefer-literal-enum-member',
    'unified-signatures',
  ].map((rule) => `typescript/${rule}`),
];

/** What Angular recommends for a class. */
const OF_A_VIEW = [
  'contextual-lifecycle',
  'no-empty-lifecycle-method',
  'no-input-rename',
  'no-inputs-metadata-property',
  'no-output-native',
  'no-output-on-prefix',
  'no-output-rename',
  'no-outputs-metadata-property',
  'prefer-inject',
  'prefer-on-push-component-change-detection',
  'prefer-standalone',
  'use-lifecycle-interface',
  'use-pipe-transform-interface',
];

const errors = (rules, prefix = '') => Object.fromEntries(rules.map((rule) => [`${prefix}${rule}`, 'error']));

export default {
  plugins: ['typescript'],
  categories: { correctness: 'error' },
  ignorePatterns: [
    '**/dist/',
    '.brisk/',
    '**/.angular/',
    'test-results/',
    'web/out-tsc/',
    '**/gathered-specs/',
    '**/mutants-specs/',
  ],
  overrides: [
    {
      files: ['**/*.ts'],
      rules: {
        ...errors(STRICT),
        eqeqeq: 'error',
        'no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
        'typescript/ban-ts-comment': ['error', { minimumDescriptionLength: 10 }],
        'typescript/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      },
    },
    {
      files: ['web/src/**/*.ts'],
      jsPlugins: ['@angular-eslint/eslint-plugin'],
      rules: {
        ...errors(OF_A_VIEW, '@angular-eslint/'),
        '@angular-eslint/component-selector': ['error', { type: 'element', prefix: 'bl', style: 'kebab-case' }],
        'typescript/no-extraneous-class': 'off',
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
  ],
};
