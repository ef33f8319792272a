import { spawn, type ChildProcess } from 'node:child_process';

const main = new URL('../server/dist/main.js', import.meta.url).pathname;

/** The server, or another program of ours, as a process of its own, with what it says and how it ends. */
export function start(settings: Record<string, string>, program = main) {
  const child: ChildProcess = spawn(process.execPath, [program], { env: { ...process.env, ...settings } });
  let said = '';
  child.stdout?.on('data', (part: Buffer) => (said += part.toString()));
  child.stderr?.on('data', (part: Buffer) => (said += part.toString()));
  const ended = new Promise<number | null>((resolve) => child.once('exit', resolve));
  return { child, ended, said: () => said };
}
