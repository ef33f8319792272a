import { execFileSync, spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { say } from './say.mjs';

/** Chromium without a window, which does the same in three quarters of the time; then any other. */
const WITHOUT_WINDOW = '/usr/bin/chromium-headless-shell';
const OTHERS = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];
const there = (paths) => paths.find((path) => path && existsSync(path));

/** Path of a Chromium to test with; installs Debian’s where it may, and says what to do where it may not. */
export function ensureChromium() {
  const found = there([process.env.CHROMIUM_PATH, WITHOUT_WINDOW]);
  if (found) return found;
  if (process.platform === 'linux' && process.getuid?.() === 0 && spawnSync('apt-get', ['--version']).status === 0) {
    say('Installing Debian’s headless Chromium for the browser tests…');
    execFileSync('apt-get', ['update', '-qq'], { stdio: 'inherit' });
    for (const name of ['chromium-headless-shell', 'chromium']) {
      spawnSync('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name], { stdio: 'inherit' });
      const installed = there([WITHOUT_WINDOW, ...OTHERS]);
      if (installed) return installed;
    }
  }
  const other = there(OTHERS);
  if (other) return other;
  throw new Error(
    'The browser tests need Chromium. Install it (on Debian: sudo apt-get install chromium-headless-shell), or set CHROMIUM_PATH to one you have, and run npm test again.',
  );
}
