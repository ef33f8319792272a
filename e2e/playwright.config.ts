import { defineConfig } from '@playwright/test';

const port = 4391;
const OWN_SERVER = /(process|people|offline|lines)\.spec\.ts$/;

export default defineConfig({
  testDir: '.',
  fullyParallel: true,
  // One more than the cores of a small machine: each of them waits for a page or the server now and then.
  workers: 3,
  // What is waited for comes in seconds; where other work fills the machine it comes all the same, only later.
  timeout: 180_000,
  expect: { timeout: 20_000 },
  forbidOnly: true,
  outputDir: '../test-results',
  // What is built is taken as it is.
  build: { external: ['**/dist/**'] },
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    // What is looked at is where things come to, not the way there.
    contextOptions: { reducedMotion: 'reduce' },
    // Each page is a new device here, and would fetch the whole application to keep it.
    serviceWorkers: 'block',
    screenshot: 'only-on-failure',
    actionTimeout: 30_000,
    launchOptions: {
      executablePath: process.env['CHROMIUM_PATH'] ?? '/usr/bin/chromium-headless-shell',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
  // What mostly waits for a server of its own comes first, so that no core is left over at the end.
  projects: [
    { name: 'a server of its own', testMatch: OWN_SERVER },
    { name: 'the demo', testIgnore: OWN_SERVER },
  ],
  // `npm test` serves it while other checks still run.
  ...(process.env['BRISK_DEMO_SERVED']
    ? {}
    : {
        webServer: {
          command: `node serve.mjs ${port}`,
          wait: { stdout: /The demo is there/ },
          timeout: 120_000,
          gracefulShutdown: { signal: 'SIGTERM', timeout: 10_000 },
        },
      }),
});
