import { number, string } from 'yup';
import { count, list, oneOf, optionalList, time } from './fields.js';
import { literatureFile } from './literature-file.js';
import { photoName } from './photo-name.js';
import { record } from './record.js';

export const BACKUP_FORMAT = 'brisk-ledger-backup';

/** What a backup says of itself. */
export interface Backup {
  readonly format: typeof BACKUP_FORMAT;
  readonly version: number;
  readonly madeAt: string;
  readonly jobs: number;
  readonly entries: number;
  /** SHA-256 of the database file. */
  readonly database: string;
  /** Pictures by the SHA-256 of their contents; they stand in `photos` beside the backups, once for all of them. */
  readonly photos: readonly string[];
  /** Files of the literature, which stand in `literature` likewise; absent in backups from before there were any. */
  readonly literature?: readonly string[];
  /** The hashes of what is damaged where it stands, and could not be backed up. */
  readonly damaged: readonly string[];
}

const MOST_PHOTOS = 1_000_000;
const MOST = 1_000_000_000;

export const backupSchema = record<Backup>({
  format: oneOf([BACKUP_FORMAT]),
  version: number().integer().min(1).max(1).required(),
  madeAt: time(),
  jobs: count(MOST),
  entries: count(MOST),
  database: string()
    .matches(/^[0-9a-f]{64}$/)
    .required(),
  photos: list(photoName(), MOST_PHOTOS),
  literature: optionalList(literatureFile(), MOST_PHOTOS),
  damaged: list(photoName(), MOST_PHOTOS),
});

/** How the backups of the shop’s data go. */
export interface BackupStatus {
  /** The folder they go to, and how often; absent where the shop has set none. */
  readonly into?: string;
  readonly everyHours?: number;
  /** The newest there is. */
  readonly last?: { readonly madeAt: string; readonly jobs: number; readonly photos: number };
  /** Why the last try failed, or what is missing from it. */
  readonly trouble?: string;
}
