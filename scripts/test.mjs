/** Everything there is to check: lint, format, types, unit and API tests, browser tests. Stops at the first that fails. */
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureChromium } from './chromium.mjs';
import { ensureBuilt, ensureInstalled } from './prepare.mjs';
import { run, say } from './say.mjs';

await ensureInstalled();
const reports = mkdtempSync(join(tmpdir(), 'brisk-reports-'));
const unitReport = join(reports, 'unit.json');
const browserReport = join(reports, 'browser.json');
try {
  say('Lint…');
  await run('npx', ['eslint', '.', '--max-warnings', '0']);
  say('Format…');
  await run('npx', ['prettier', '--check', '.', '--log-level', 'warn']);
  say('Types…');
  await run('npm', ['run', '--silent', 'typecheck']);
  say('Unit and API tests…');
  await run('npx', ['jest', '--json', `--outputFile=${unitReport}`]);
  await ensureBuilt();
  const chromium = ensureChromium();
  say('Browser tests…');
  await run('npx', ['playwright', 'test', '--config', 'e2e/playwright.config.ts', '--reporter=list,json'], {
    env: { ...process.env, CHROMIUM_PATH: chromium, PLAYWRIGHT_JSON_OUTPUT_NAME: browserReport },
  });
  const unit = JSON.parse(readFileSync(unitReport, 'utf8'));
  const { stats } = JSON.parse(readFileSync(browserReport, 'utf8'));
  say('All checks passed.');
  process.stdout.write(
    `${unit.numPassedTests + stats.expected} passed, ${unit.numFailedTests + stats.unexpected} failed\n`,
  );
} catch (error) {
  say(error.message);
  process.exitCode = 1;
} finally {
  rmSync(reports, { recursive: true, force: true });
}
