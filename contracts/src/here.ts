import { name, optionalId, uuid } from './fields.js';
import { record } from './record.js';

/** That somebody is at a job, and at which step; said again every half minute while the page is seen. */
export interface HereNow {
  /** One open page; it says its own. */
  readonly page: string;
  readonly by: string;
  readonly step?: string;
}

/** Somebody at a job, as others are told. */
export type SomebodyHere = HereNow;

/** What the bell of the shop says: where ledger and planning of a job stand on the server, and who is at it. */
export interface JobRing {
  readonly job: string;
  readonly position: number;
  readonly revision: number;
  readonly here: readonly SomebodyHere[];
}

/** So often the bell says that its line is there, in milliseconds; who hears nothing for three of them has lost it. */
export const BEAT_EVERY_MS = 10_000;

/** So often a page says it, in milliseconds; who was silent for two of them is not there any more. */
export const SAID_EVERY_MS = 30_000;

export const hereSchema = record<HereNow>({ page: uuid(), by: name(), step: optionalId() });
