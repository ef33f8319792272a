import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root, run, say } from './say.mjs';

/** The compiler of everything but the web application, which Angular compiles with its own. */
export const TSC = ['node', 'node_modules/typescript-native/bin/tsc'];

const BUILT_FROM = ['core', 'contracts', 'server', 'web', 'tsconfig.base.json', 'package-lock.json'];
const NOT_SOURCE = new Set(['node_modules', 'dist', '.angular', 'out-tsc', 'gathered-specs']);
const marks = join(root, '.brisk');

/** Installs the packages of the lock file, unless exactly those are there. */
export async function ensureInstalled() {
  const wanted = hashOf([join(root, 'package-lock.json')]);
  if (readMark('installed') === wanted && existsSync(join(root, 'node_modules'))) return;
  say('Installing packages (a minute or two the first time)…');
  await run('npm', ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error']);
  writeMark('installed', wanted);
}

/** Builds core, contracts, server and web, unless what is built came from exactly these sources. */
export async function ensureBuilt() {
  if (isBuilt()) return;
  say('Building core, contracts and server…');
  const [command, ...words] = [...TSC, '-b', 'core', 'contracts', 'server'];
  await run(command, words);
  say('Building the web application…');
  await run('node', ['scripts/build-web.mjs']);
  built();
}

/** Whether what is built came from exactly these sources. */
export function isBuilt() {
  const there = existsSync(join(root, 'server/dist/main.js')) && existsSync(join(root, 'web/dist/browser/index.html'));
  return there && readMark('built') === sources();
}

/** Says that what is built came from the sources as they are. */
export function built() {
  writeMark('built', sources());
}

const sources = () => hashOf(BUILT_FROM.flatMap((name) => filesIn(join(root, name))));

function filesIn(path) {
  if (!existsSync(path)) return [];
  if (/\.\w+$/.test(path) && !path.endsWith('.angular')) return [path];
  return readdirSync(path, { withFileTypes: true })
    .filter(({ name }) => !NOT_SOURCE.has(name))
    .flatMap((entry) => (entry.isDirectory() ? filesIn(join(path, entry.name)) : [join(path, entry.name)]))
    .filter((file) => !/\.(spec\.ts|tsbuildinfo)$/.test(file))
    .sort();
}

function hashOf(files) {
  const hash = createHash('sha256');
  for (const file of files) hash.update(file.slice(root.length)).update('\0').update(readFileSync(file));
  return hash.digest('hex');
}

function readMark(name) {
  const file = join(marks, name);
  return existsSync(file) ? readFileSync(file, 'utf8') : undefined;
}

function writeMark(name, value) {
  mkdirSync(marks, { recursive: true });
  writeFileSync(join(marks, name), value);
}
