import { ensureBuilt, ensureInstalled } from './prepare.mjs';
import { say } from './say.mjs';

await ensureInstalled();
await ensureBuilt();
say('Built.');
