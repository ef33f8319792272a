import { parentPort, workerData } from 'node:worker_threads';
import { makeBackup } from './make-backup.js';

/* Copying a database keeps a thread busy; here it is not the one that answers the crew. */

const { dataFolder, into, at } = workerData as {
  readonly dataFolder: string;
  readonly into: string;
  readonly at: number;
};
parentPort?.postMessage(await makeBackup(dataFolder, into, new Date(at)));
