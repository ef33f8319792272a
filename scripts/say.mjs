import { spawn } from 'node:child_process';

const began = Date.now();

/** One line of progress, with the seconds since the script began. */
export function say(words) {
  process.stdout.write(`[${String(Math.round((Date.now() - began) / 1000)).padStart(3)} s] ${words}\n`);
}

/** Runs a command from the project's root and shows what it prints. Rejects where it fails. */
export function run(command, args, options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { cwd: root, stdio: 'inherit', ...options });
    child.once('error', reject);
    child.once('exit', (code) =>
      code === 0 ? resolve() : reject(new Error(`${[command, ...args].join(' ')} ended with ${code}`)),
    );
  });
}

/** The project's root folder. */
export const root = new URL('..', import.meta.url).pathname;

/** What runs the command `name` of an installed package, for {@link run}: `npx` takes a second of its own to find it. */
export function packaged(name, ...words) {
  return ['node', [`${root}node_modules/.bin/${name}`, ...words]];
}

/**
 * What runs the command `name` of an installed package that ends within a minute or so, for {@link run}: code is made fast only
 * after fifteen times its usual use. A run so short does not earn back what the compiler takes beside it, up to a sixth of the whole.
 */
export function shortRun(name, ...words) {
  return ['node', ['--interrupt-budget=1000000', `${root}node_modules/.bin/${name}`, ...words]];
}
