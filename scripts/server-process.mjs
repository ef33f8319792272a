import { spawn } from 'node:child_process';
import { setTimeout as sleep } from 'node:timers/promises';
import { root } from './say.mjs';

/** Starts the built server as a process of its own, with `settings` laid over the environment. */
export function startServer(settings, stdio = 'inherit') {
  const child = spawn(process.execPath, ['server/dist/main.js'], {
    cwd: root,
    env: { ...process.env, ...settings },
    stdio,
  });
  const ended = new Promise((resolve) => child.once('exit', (code) => resolve(code ?? 0)));
  return { child, ended };
}

/** Waits until the server at `address` answers. Throws where it ends first or takes longer than `seconds`. */
export async function untilHealthy(address, ended, seconds = 30) {
  let over = false;
  void ended.then(() => (over = true));
  for (const until = Date.now() + seconds * 1000; Date.now() < until && !over; await sleep(100)) {
    try {
      const { ok } = await fetch(`${address}/api/health`);
      if (ok && !over) return;
    } catch {
      // Not listening yet.
    }
  }
  throw new Error(over ? 'The server ended before it answered.' : `The server did not answer within ${seconds} s.`);
}

/** Lets a server end, and ends it hard where it does not. */
export async function stopServer({ child, ended }) {
  child.kill('SIGTERM');
  const hard = setTimeout(() => child.kill('SIGKILL'), 5_000);
  await ended;
  clearTimeout(hard);
}
