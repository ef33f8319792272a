/** Serves the demo scenario from its own data folder. `npm run demo -- --fresh` begins it anew. */
import { existsSync, mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensureBuilt, ensureInstalled } from './prepare.mjs';
import { randomUUID } from 'node:crypto';
import { DEMO_PEOPLE, demoCookie, leaveDemo, letDemoPeopleIn } from './demo-people.mjs';
import { loadDemo } from './load-demo.mjs';
import { root, say } from './say.mjs';
import { startServer, stopServer, untilHealthy } from './server-process.mjs';

const dataFolder = process.env.BRISK_DATA ?? join(root, '.brisk/demo-data');
/** Says that what lies in a folder is the demo, so that no shop’s own data is ever begun anew. */
const mark = join(dataFolder, 'this-is-the-demo');
const isOthers = existsSync(dataFolder) && readdirSync(dataFolder).length > 0 && !existsSync(mark);
if (process.env.BRISK_DATA && isOthers) {
  say(`${dataFolder} has something else in it than the demo. Set BRISK_DATA to an empty folder, or leave it out.`);
  process.exit(1);
}
const backups = process.env.BRISK_BACKUP ?? join(root, '.brisk/demo-backups');
const host = process.env.BRISK_HOST ?? '127.0.0.1';
const port = process.env.BRISK_PORT ?? '4310';
const address = `http://${host}:${port}`;

await ensureInstalled();
await ensureBuilt();
if (process.argv.includes('--fresh')) rmSync(dataFolder, { recursive: true, force: true });
mkdirSync(dataFolder, { recursive: true });
writeFileSync(mark, 'Made up: npm run demo -- --fresh begins it anew.\n');
say('Starting the server…');
const code = randomUUID().slice(0, 8);
const server = startServer({
  BRISK_HOST: host,
  BRISK_PORT: port,
  BRISK_DATA: dataFolder,
  BRISK_BACKUP: backups,
  BRISK_FIRST_CODE: code,
  BRISK_DEMO: join(root, 'demo/people.json'),
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.child.kill(signal));
try {
  await untilHealthy(address, server.ended);
  say('Loading the demo: the ground-support shed of Larkmoor (all made up)…');
  await letDemoPeopleIn(address, code);
  const cookie = await demoCookie(address);
  for (const line of await loadDemo(address, cookie)) say(`  ${line}`);
  await leaveDemo(address, cookie);
} catch (error) {
  say(error.message);
  await stopServer(server);
  process.exit(1);
}
say(`Ready. Open ${address} and sign in as ${DEMO_PEOPLE.first}, passphrase “${DEMO_PEOPLE.passphrase}”`);
say(`  or as ${DEMO_PEOPLE.people.map(({ name }) => name).join(', ')}: the same for all; PIN ${DEMO_PEOPLE.pin}`);
process.exitCode = await server.ended;
