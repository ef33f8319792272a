import { execFileSync, spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { say } from './say.mjs';

const PLACES = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

/** Path of a Chromium to test with; installs Debian's where it may, and says what to do where it may not. */
export function ensureChromium() {
  const wanted = process.env.CHROMIUM_PATH;
  const found = [wanted, ...PLACES].find((path) => path && existsSync(path));
  if (found) return found;
  if (process.platform === 'linux' && process.getuid?.() === 0 && spawnSync('apt-get', ['--version']).status === 0) {
    say('Installing Debian’s Chromium for the browser tests…');
    execFileSync('apt-get', ['update', '-qq'], { stdio: 'inherit' });
    execFileSync('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], { stdio: 'inherit' });
    return ensureChromium();
  }
  throw new Error(
    'The browser tests need Chromium. Install it (on Debian: sudo apt-get install chromium), or set CHROMIUM_PATH to one you have, and run npm test again.',
  );
}
