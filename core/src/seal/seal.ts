import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, concatBytes, hexToBytes, utf8ToBytes } from '@noble/hashes/utils.js';
import { stringify } from 'safe-stable-stringify';
import type { LedgerEntry } from '../ledger/index.js';

/** The seal of the first `entries` entries of a job. */
export interface Seal {
  readonly entries: number;
  /** SHA-256 as 64 hexadecimal signs. */
  readonly hash: string;
}

/** Stands before the id of the job, so that a seal is never the figure of anything else. */
const BEGINS = 'brisk-ledger-seal-1';
/** So many signs read off paper tell one seal from every other. */
const LEAST_READ = 16;

/**
 * The seal of `entries` of `job`: hash₀ = SHA-256(BEGINS ‖ newline ‖ job), hashₙ = SHA-256(hashₙ₋₁ ‖ entryₙ), an entry as the
 * UTF-8 bytes of its JSON without spaces, the keys of every record in order (RFC 8785).
 */
export function sealOf(job: string, entries: readonly LedgerEntry[]): Seal {
  return sealOn({ entries: 0, hash: bytesToHex(beginningOf(job)) }, entries);
}

/** The seal of a ledger whose beginning has the seal `before`, after `entries` more. */
export function sealOn(before: Seal, entries: readonly LedgerEntry[]): Seal {
  const hash = entries.reduce(linked, hexToBytes(before.hash));
  return { entries: before.entries + entries.length, hash: bytesToHex(hash) };
}

/**
 * The position at which the ledger of `job` has the seal that was `read` (as {@link readSeal} gives it, whole or its first
 * signs); undefined where it has it nowhere: something before was changed, or it is the seal of another job.
 */
export function sealedAt(job: string, entries: readonly LedgerEntry[], read: string): number | undefined {
  const found = chainOf(job, entries).findLastIndex((hash) => bytesToHex(hash).startsWith(read));
  return found < 0 ? undefined : found;
}

/** A seal as somebody types it off paper, in groups or not; undefined where it is none or too short to tell. */
export function readSeal(typed: string): string | undefined {
  const signs = typed.replace(/[\s-]/g, '').toLowerCase();
  return /^[0-9a-f]+$/.test(signs) && signs.length >= LEAST_READ && signs.length <= 64 ? signs : undefined;
}

function chainOf(job: string, entries: readonly LedgerEntry[]): readonly Uint8Array[] {
  const chain = [beginningOf(job)];
  for (const entry of entries) chain.push(linked(chain.at(-1) ?? new Uint8Array(), entry));
  return chain;
}

function beginningOf(job: string): Uint8Array {
  return sha256(utf8ToBytes(`${BEGINS}\n${job}`));
}

function linked(before: Uint8Array, entry: LedgerEntry): Uint8Array {
  return sha256(concatBytes(before, utf8ToBytes(stringify(entry))));
}
