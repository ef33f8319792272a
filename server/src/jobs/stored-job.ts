import { check } from '@brisk/contracts/check';
import { entrySchema } from '@brisk/contracts/entry';
import { jobSchema, type Job } from '@brisk/contracts/job';
import { MapError, problemsOf } from '@brisk/core/connection-map';
import type { LedgerEntry } from '@brisk/core/ledger';
import { workOf } from '@brisk/core/work';

/** An entry as the file has it: its document as text, and what stands beside it. */
export interface StoredEntry {
  readonly position: number;
  readonly id: string;
  readonly kind: string;
  readonly at: string;
  readonly by: string;
  readonly recordedAt: string;
  readonly document: string;
}

/** A job as the file has it, its documents as text. */
export interface StoredJob {
  readonly format: 'brisk-ledger-as-stored';
  readonly job: { readonly id: string; readonly createdAt: string; readonly document: string };
  readonly entries: readonly StoredEntry[];
}

/** The job in a stored document; undefined where it cannot be read or worked. */
export function jobIn({ id, document }: StoredJob['job']): Job | undefined {
  const read = check(jobSchema, parsed(document));
  if ('errors' in read || read.value.id !== id || problemsOf(read.value.plan.map).length > 0) return undefined;
  try {
    workOf(read.value.plan);
    return read.value;
  } catch (error) {
    if (error instanceof MapError) return undefined;
    throw error;
  }
}

/** The entry in a stored row; undefined where it cannot be read. */
export function entryIn({ id, document }: StoredEntry): LedgerEntry | undefined {
  const read = check(entrySchema, parsed(document));
  return 'value' in read && read.value.id === id ? read.value : undefined;
}

function parsed(document: string): unknown {
  try {
    return JSON.parse(document);
  } catch {
    return undefined;
  }
}
