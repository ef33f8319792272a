/** Serves a shop's own data. Settings: BRISK_HOST, BRISK_PORT, BRISK_DATA (./data). */
import { ensureBuilt, ensureInstalled } from './prepare.mjs';
import { startServer } from './server-process.mjs';

await ensureInstalled();
await ensureBuilt();
const server = startServer({});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.child.kill(signal));
process.exitCode = await server.ended;
