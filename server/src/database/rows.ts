import { EntitySchema } from '@mikro-orm/core';

/** A job as stored: its planning data as one JSON document. */
export interface JobRow {
  id: string;
  createdAt: string;
  /** The job without its ledger, as JSON text. */
  document: string;
  /** Since when it is set aside. */
  asideAt?: string | null;
}

/** A ledger entry as stored. Rows are only ever inserted. */
export interface EntryRow {
  id: string;
  jobId: string;
  position: number;
  kind: string;
  at: string;
  by: string;
  recordedAt: string;
  /** The whole entry as JSON text. */
  document: string;
}

export const JobRows = new EntitySchema<JobRow>({
  name: 'JobRow',
  tableName: 'job',
  properties: {
    id: { type: 'string', primary: true },
    createdAt: { type: 'string' },
    document: { type: 'text' },
    asideAt: { type: 'string', nullable: true },
  },
});

export const EntryRows = new EntitySchema<EntryRow>({
  name: 'EntryRow',
  tableName: 'ledger_entry',
  properties: {
    id: { type: 'string', primary: true },
    jobId: { type: 'string' },
    position: { type: 'integer' },
    kind: { type: 'string' },
    at: { type: 'string' },
    by: { type: 'string' },
    recordedAt: { type: 'string' },
    document: { type: 'text' },
  },
});

/** Something the shop keeps, as stored. */
export interface ShopDocumentRow {
  id: string;
  kind: string;
  revision: number;
  updatedAt: string;
  document: string;
}

export const ShopDocumentRows = new EntitySchema<ShopDocumentRow>({
  name: 'ShopDocumentRow',
  tableName: 'shop_document',
  properties: {
    id: { type: 'string', primary: true },
    kind: { type: 'string' },
    revision: { type: 'integer' },
    updatedAt: { type: 'string' },
    document: { type: 'text' },
  },
});

/** Somebody of the shop, as stored. */
export interface PersonRow {
  id: string;
  name: string;
  role: string;
  since: string;
  passphraseHash: string;
  pinHash: string;
  /** Since when they are put out. */
  outAt?: string | null;
}

export const PersonRows = new EntitySchema<PersonRow>({
  name: 'PersonRow',
  tableName: 'person',
  properties: {
    id: { type: 'string', primary: true },
    name: { type: 'string' },
    role: { type: 'string' },
    since: { type: 'string' },
    passphraseHash: { type: 'string' },
    pinHash: { type: 'string' },
    outAt: { type: 'string', nullable: true },
  },
});

/** A device that was let in, as stored. */
export interface DeviceRow {
  id: string;
  name: string;
  /** What its cookie hashes to. */
  tokenHash: string;
  since: string;
  lastSeen: string;
  /** Who is at it. */
  personId?: string | null;
  /** Let in by a code: whoever is of the shop may take it with their PIN. */
  byCode: boolean;
}

export const DeviceRows = new EntitySchema<DeviceRow>({
  name: 'DeviceRow',
  tableName: 'device',
  properties: {
    id: { type: 'string', primary: true },
    name: { type: 'string' },
    tokenHash: { type: 'string' },
    since: { type: 'string' },
    lastSeen: { type: 'string' },
    personId: { type: 'string', nullable: true },
    byCode: { type: 'boolean' },
  },
});

/** That somebody has signed in on a device, and when they last gave their PIN or passphrase there. */
export interface DevicePersonRow {
  deviceId: string;
  personId: string;
  pinAt: string;
}

export const DevicePersonRows = new EntitySchema<DevicePersonRow>({
  name: 'DevicePersonRow',
  tableName: 'device_person',
  properties: {
    deviceId: { type: 'string', primary: true },
    personId: { type: 'string', primary: true },
    pinAt: { type: 'string' },
  },
});
