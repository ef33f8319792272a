import type { Job } from '@brisk/contracts/job';
import { usualMap } from '@brisk/core/layouts';
import type { EntryBody, LedgerEntry } from '@brisk/core/ledger';

/** The job that the web tests work on. */
export const testJob: Job = {
  id: '3f0c8a52-8f1e-4d0a-9a51-6a2b1f0e7c11',
  title: 'Minibus: slips when warm',
  machine: 'Minibus no. 7',
  reason: 'same-back',
  crew: ['Ines', 'Tobias'],
  createdAt: '2026-03-02T07:00:00.000Z',
  plan: { map: usualMap('longitudinal-automatic'), powerpack: 'engine-with-gearbox', route: 'top' },
};

let made = 0;
/** An entry somebody else wrote. */
export function theirEntry(body: EntryBody): LedgerEntry {
  made += 1;
  const id = `00000000-0000-4000-8000-${String(made).padStart(12, '0')}`;
  return { id, at: '2026-03-02T08:00:00.000Z', by: 'Tobias', ...body } as LedgerEntry;
}
