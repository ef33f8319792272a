import { spawn } from 'node:child_process';
import { root, say } from './say.mjs';

/** Compilers make much that is soon rubbish; with more room for it Node clears up less often. */
const ROOM_FOR_WHAT_IS_NEW = '--max-semi-space-size=128';

/**
 * Works off `tasks`, `slots` at a time, each as soon as those it `needs` are done, in their order where there is a choice.
 * One that serves the others is done when it prints what it is `ready` with, and is ended with the last of them.
 * What a task prints is shown when it fails, or at once where it is `shown`; the others are stopped when one fails.
 * `then` is called when it is done.
 */
export async function sideBySide(tasks, slots) {
  const done = new Set();
  const serving = [];
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
    const { task, code, output } = await Promise.race([...running.values()].map(({ over }) => over));
    const begun = running.get(task.name);
    running.delete(task.name);
    if (code !== 0) {
      for (const { child } of [...running.values(), ...serving]) child.kill('SIGTERM');
      process.stdout.write(output);
      throw new Error(`${task.name} failed.`);
    }
    if (task.ready) serving.push(begun);
    task.then?.();
    say(`${task.name}: good.`);
    done.add(task.name);
  }
  for (const { child } of serving) child.kill('SIGTERM');
  await Promise.all(serving.map(({ ended }) => ended));
}

function started(task) {
  const [command, ...words] = task.command;
  const child = spawn(command, words, {
    cwd: task.cwd ?? root,
    env: { ...process.env, NODE_OPTIONS: ROOM_FOR_WHAT_IS_NEW, ...task.env, FORCE_COLOR: '0' },
    stdio: task.shown ? 'inherit' : ['ignore', 'pipe', 'pipe'],
  });
  const chunks = [];
  const output = () => Buffer.concat(chunks).toString();
  const ended = new Promise((resolve) => {
    child.on('error', (error) => resolve({ task, code: 1, output: error.message }));
    child.on('close', (code) => resolve({ task, code, output: output() }));
  });
  const ready = new Promise((resolve) => {
    for (const stream of [child.stdout, child.stderr])
      stream?.on('data', (chunk) => {
        chunks.push(chunk);
        if (task.ready?.test(output())) resolve({ task, code: 0, output: output() });
      });
  });
  return { child, ended, over: Promise.race([ended, ready]) };
}
