/**
 * Writes the demo scenario: the ground-support shed of Larkmoor, a small regional airfield. Every job is worked by a
 * made-up crew through the same rules as a real one, so nothing in it could not have been recorded. Run it with
 * `npm run demo:data` after a build; the bundles it writes are checked in.
 */
import { writeFileSync } from 'node:fs';
import { stopOf } from '@brisk/core/ledger';
import { LIFT } from '@brisk/core/planning';
import { deicer } from './stories/de-icer.mjs';
import { loader } from './stories/loader.mjs';
import { minibus } from './stories/minibus.mjs';
import { pickup } from './stories/pickup.mjs';
import { stair } from './stories/stair.mjs';
import { sweeper } from './stories/sweeper.mjs';
import { tender } from './stories/tender.mjs';
import { tractor } from './stories/tractor.mjs';
import { tug } from './stories/tug.mjs';
import { van } from './stories/van.mjs';

for (const crew of [minibus(), deicer(), sweeper(), tug(), loader(), tractor(), van(), pickup(), tender(), stair()]) {
  const bundle = {
    format: 'brisk-ledger-job',
    version: 3,
    exportedAt: '2026-11-21T08:00:00.000Z',
    job: crew.job,
    ledgerLength: crew.entries.length,
    ledger: crew.entries,
  };
  writeFileSync(new URL(`larkmoor/${crew.name}.brisk.json`, import.meta.url), `${JSON.stringify(bundle, null, 1)}\n`);
  process.stdout.write(`${crew.name}: ${crew.entries.length} entries, at ${stopOf(crew.state)}\n`);
}

const tools = [
  { tool: LIFT, here: true },
  { tool: 'engine hoist', here: true },
  { tool: 'load leveller', here: true },
  { tool: 'transmission jack', here: true },
  { tool: 'rated slings', here: true },
  { tool: 'lift or two jacks', here: true },
  { tool: 'quick-connector tool', here: true },
  { tool: 'battery charger, 4 A', here: true },
  { tool: 'battery charger, 25 A', here: true },
  { tool: 'powerpack dolly', here: false, hire: 'Fire station workshop lends theirs, a day’s notice' },
  { tool: '32 mm socket', here: true },
  { tool: 'ball joint puller', here: false },
];
writeFileSync(new URL('tools.json', import.meta.url), `${JSON.stringify({ tools }, null, 2)}\n`);
