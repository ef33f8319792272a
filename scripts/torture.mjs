/**
 * Treats a server as badly as a shed and an enemy would: `npm run torture -- [MINUTES] [SEED] [kills|fuzz]`. Half of the time it is
 * killed while it writes, half of the time it is asked for what makes no sense. Ends with 1 where anything was lost.
 */
import { ensureBuilt, ensureInstalled } from './prepare.mjs';
import { say } from './say.mjs';

await ensureInstalled();
await ensureBuilt();
const { kills } = await import('./torture/kills.mjs');
const { fuzz } = await import('./torture/fuzz.mjs');

const minutes = Number(process.argv[2] ?? 4);
const seed = Number(process.argv[3] ?? Date.now() % 1_000_000);
const share = process.argv[4];
say(`Seed ${seed}, ${minutes} minutes`);
const until = (part) => {
  const end = Date.now() + minutes * part * 60_000;
  return () => Date.now() > end;
};
const told = ({ kills: killed, lost, doubled, halves }) =>
  say(`${killed} kills: ${lost} lost, ${doubled} doubled, ${halves} by halves`);
let bad = 0;
if (share !== 'fuzz') {
  const count = await kills(until(share === 'kills' ? 1 : 0.5), seed, told);
  process.stdout.write(`${JSON.stringify({ figure: 'killed under load', ...count })}\n`);
  bad += count.lost + count.doubled + count.halves;
}
if (share !== 'kills') {
  const count = await fuzz(until(share === 'fuzz' ? 1 : 0.5), seed, say);
  process.stdout.write(`${JSON.stringify({ figure: 'fuzzed', ...count })}\n`);
  bad += count.serverErrors + count.deaths;
}
if (bad > 0) process.exitCode = 1;
