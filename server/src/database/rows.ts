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
