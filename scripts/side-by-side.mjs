import { spawn } from 'node:child_process';
import { root, say } from './say.mjs';

/** Compilers make much that is soon rubbish; with more room for it Node clears up less often. */
const ROOM_FOR_WHAT_IS_NEW = '--max-semi-space-size=128';

/**
 * Works off `tasks`, `slots` at a time, each as soon as those it `needs` are done, in their order where there is a choice.
 * What a task prints is shown when it fails; the others are stopped then.
 */
export async function sideBySide(tasks, slots) {
  const done = new Set();
  const running = new Map();
  const waiting = [...tasks];
  while (waiting.length > 0 || running.size > 0) {
    for (const task of [...waiting]) {
      if (running.size >= slots) break;
      if (!(task.needs ?? []).every((name) => done.has(name))) continue;
      waiting.splice(waiting.indexOf(task), 1);
      say(`${task.name}…`);
      running.set(task.name, started(task));
    }
    const { task, code, output } = await Promise.race([...running.values()].map(({ ended }) => ended));
    running.delete(task.name);
    if (code !== 0) {
      for (const { child } of running.values()) child.kill('SIGTERM');
      process.stdout.write(output);
      throw new Error(`${task.name} failed.`);
    }
    say(`${task.name}: good.`);
    done.add(task.name);
  }
}

function started(task) {
  const [command, ...words] = task.command;
  const child = spawn(command, words, {
    cwd: task.cwd ?? root,
    env: { ...process.env, NODE_OPTIONS: ROOM_FOR_WHAT_IS_NEW, ...task.env, FORCE_COLOR: '0' },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  const chunks = [];
  child.stdout.on('data', (chunk) => chunks.push(chunk));
  child.stderr.on('data', (chunk) => chunks.push(chunk));
  const ended = new Promise((resolve) => {
    child.on('error', (error) => resolve({ task, code: 1, output: error.message }));
    child.on('close', (code) => resolve({ task, code, output: Buffer.concat(chunks).toString() }));
  });
  return { child, ended };
}
