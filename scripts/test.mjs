/** Everything there is to check: lint, format, types, unit and API tests, browser tests. Stops at the first that fails. */
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureChromium } from './chromium.mjs';
import { built, ensureInstalled, isBuilt, TSC } from './prepare.mjs';
import { say, shortRun } from './say.mjs';
import { sideBySide } from './side-by-side.mjs';

await ensureInstalled();
const chromium = ensureChromium();
const reports = mkdtempSync(join(tmpdir(), 'brisk-reports-'));
const report = (name) => join(reports, `${name}.json`);
/** Specs as they are gathered: what they have in common is loaded once, not once a file. */
const jest = (name, ...words) => ({
  name,
  command: shortRun(
    'jest',
    '--config=jest.gathered.config.mjs',
    '--json',
    `--outputFile=${report(name)}`,
    '--maxWorkers=1',
    ...words,
  ).flat(),
  needs: ['Specs gathered'],
});
/** As they are shipped; `npm run test:unit` has Angular look at everything a second time. */
const views = (name, parts, needs) => ({
  ...jest(name, '--selectProjects', 'web', `--testPathPatterns=${parts}`),
  env: { VIEWS_AS_SHIPPED: '1' },
  needs,
});
const SERVED = 'The demo, served';
const units = [
  jest('Unit tests', '--selectProjects', 'core', 'contracts'),
  views('Views, first half', 'part-1\\.', ['Views gathered']),
  // By then the first has made the packages ready for Jest, which are not made ready once more.
  views('Views, second half', 'part-(?!1\\.)', ['Views gathered', SERVED]),
  jest('API tests', '--selectProjects', 'server'),
];
const gather = (name, workspaces, needs = []) => ({
  name,
  command: ['node', 'scripts/gather-specs.mjs', ...workspaces],
  needs,
});
/** What is served is run as a shop runs it. */
const AS_SHIPPED = { NODE_OPTIONS: process.env.NODE_OPTIONS ?? '' };
const web = isBuilt()
  ? []
  : [
      {
        name: 'The web application',
        command: ['node', 'scripts/build-web.mjs'],
        // Its types are looked at by “Types of the web”.
        env: { NG_BUILD_TYPE_CHECK: '0' },
        needs: ['Core, contracts and server'],
        then: built,
      },
    ];
const checks = [
  gather('Specs gathered', ['core', 'contracts', 'server']),
  { name: 'Core, contracts and server', command: [...TSC, '-b', 'core', 'contracts', 'server'] },
  {
    name: 'Types of the web',
    command: shortRun('ngc', '-p', 'web/tsconfig.spec.json').flat(),
    needs: ['Core, contracts and server'],
  },
  gather('Views gathered', ['web'], ['Types of the web']),
  ...web,
  {
    name: SERVED,
    command: ['node', 'e2e/serve.mjs', '4391'],
    env: AS_SHIPPED,
    ready: /The demo is there/,
    needs: ['Core, contracts and server', ...web.map(({ name }) => name)],
  },
  ...units,
  {
    name: 'Browser tests',
    command: [
      'node',
      'node_modules/.bin/playwright',
      'test',
      '--config',
      'e2e/playwright.config.ts',
      '--reporter=list,json',
    ],
    env: {
      ...AS_SHIPPED,
      CHROMIUM_PATH: chromium,
      PLAYWRIGHT_JSON_OUTPUT_NAME: report('browser'),
      BRISK_DEMO_SERVED: '1',
    },
    shown: true,
    needs: [SERVED, ...units.map(({ name }) => name)],
  },
  {
    name: 'Types of the tests',
    command: [...TSC, '-p', 'tsconfig.spec.json'],
    needs: ['Core, contracts and server'],
  },
  { name: 'Lint', command: ['npm', 'run', '--silent', 'lint'] },
  { name: 'Format', command: ['npm', 'run', '--silent', 'format:check'] },
];
try {
  // One more than there are cores: each of them waits for the disk, or for another process, now and then.
  await sideBySide(checks, availableParallelism() + 1);
  const unit = units.map(({ name }) => JSON.parse(readFileSync(report(name), 'utf8')));
  const { stats } = JSON.parse(readFileSync(report('browser'), 'utf8'));
  const sum = (field) => unit.reduce((total, one) => total + one[field], 0);
  say('All checks passed.');
  process.stdout.write(
    `${sum('numPassedTests') + stats.expected} passed, ${sum('numFailedTests') + stats.unexpected} failed\n`,
  );
} catch (error) {
  say(error.message);
  process.exitCode = 1;
} finally {
  rmSync(reports, { recursive: true, force: true });
}
