/** Serves the demo from a folder of its own for the browser tests, and takes the folder away when it ends. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { loadDemo } from '../scripts/load-demo.mjs';
import { startServer, stopServer, untilHealthy } from '../scripts/server-process.mjs';

const port = process.argv[2];
const folder = mkdtempSync(join(tmpdir(), 'brisk-browser-'));
const server = startServer({ BRISK_PORT: port, BRISK_HOST: '127.0.0.1', BRISK_DATA: folder });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => void stopServer(server));
await untilHealthy(`http://127.0.0.1:${port}`, server.ended);
await loadDemo(`http://127.0.0.1:${port}`);
process.stdout.write('The demo is there.\n');
process.exitCode = await server.ended;
rmSync(folder, { recursive: true, force: true });
