import { fork } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { root } from '../say.mjs';
import { untilHealthy } from '../server-process.mjs';

const watch = fileURLToPath(new URL('./watch-loop.mjs', import.meta.url));

/** A server on `folder` that may be killed; `seen` keeps the worst of what it says of itself. */
export async function startVictim(folder, port) {
  const child = fork(join(root, 'server/dist/main.js'), {
    execArgv: ['--import', watch],
    env: { ...process.env, BRISK_PORT: String(port), BRISK_HOST: '127.0.0.1', BRISK_DATA: folder, BRISK_LOG: 'error' },
    stdio: ['ignore', 'ignore', 'pipe', 'ipc'],
  });
  const seen = { blockedMs: 0, rssMb: 0, log: '' };
  child.on('message', ({ blockedMs, rssMb }) => {
    seen.blockedMs = Math.max(seen.blockedMs, blockedMs);
    seen.rssMb = Math.max(seen.rssMb, rssMb);
  });
  child.stderr.on('data', (words) => (seen.log = (seen.log + words).slice(-20_000)));
  const ended = once(child, 'exit');
  const address = `http://127.0.0.1:${port}`;
  await untilHealthy(address, ended, 60).catch((error) => {
    throw new Error(`${error.message} ${seen.log}`);
  });
  return {
    address,
    seen,
    kill: async () => {
      child.kill('SIGKILL');
      await ended;
    },
    stop: async () => {
      child.kill('SIGTERM');
      await ended;
    },
  };
}
