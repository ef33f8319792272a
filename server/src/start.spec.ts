import { once } from 'node:events';
import { cpSync, existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'libsql';
import { checkFile, DataDamagedError } from './database/check-file.js';
import { DataInUseError, lockFolder } from './database/instance-lock.js';
import { DATABASE_FILE, openDatabase } from './database/open.js';
import { oneAtATime } from './jobs/one-at-a-time.js';
import { settingsFrom, SettingsError } from './settings.js';
import { entry, TestServer } from './testing/test-server.js';

describe('settings', () => {
  it('stand when nothing is set', () => {
    expect(settingsFrom({})).toMatchObject({ host: '127.0.0.1', port: 4310, logLevel: 'warn' });
    expect(settingsFrom({}).address).toBeUndefined();
    expect(settingsFrom({ BRISK_ADDRESS: 'http://192.168.1.20:4310/x' }).address).toBe('http://192.168.1.20:4310');
  });

  it.each([
    [{ BRISK_ADDRESS: 'the shed' }, /BRISK_ADDRESS is “the shed”/],
    [{ BRISK_ADDRESS: 'ftp://shed.test' }, /BRISK_ADDRESS/],
    [{ BRISK_PORT: 'many' }, /BRISK_PORT is “many”/],
    [{ BRISK_PORT: '' }, /BRISK_PORT is “”/],
    [{ BRISK_PORT: '70000' }, /BRISK_PORT/],
    [{ BRISK_PORT: '-1' }, /BRISK_PORT/],
    [{ BRISK_HOST: 'a b' }, /BRISK_HOST/],
    [{ BRISK_DATA: ' ' }, /BRISK_DATA is empty/],
    [{ BRISK_LOG: 'loud' }, /BRISK_LOG/],
    [{ BRISK_NAMES: 'shed.local, a b' }, /BRISK_NAMES has “a b” in it/],
  ])('%j is refused in words', (environment, words) => {
    expect(() => settingsFrom(environment)).toThrow(SettingsError);
    expect(() => settingsFrom(environment)).toThrow(words);
  });
});

describe('the data folder', () => {
  it('belongs to one server at a time', async () => {
    const server = await TestServer.start();
    try {
      await expect(TestServer.start(server.folder)).rejects.toThrow(DataInUseError);
      expect((await server.get('/api/health')).status).toBe(200);
    } finally {
      await server.stop();
    }
  });

  it('can be taken again once it is let go', () => {
    const folder = mkdtempSync(join(tmpdir(), 'brisk-lock-'));
    try {
      const unlock = lockFolder(folder);
      expect(() => lockFolder(folder)).toThrow(/Another Brisk Ledger is running/);
      unlock();
      lockFolder(folder)();
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  });

  it('is brought to the present schema once and keeps what is in it', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'brisk-schema-'));
    try {
      const first = await openDatabase(folder);
      const job = '0b9d1bd6-7c0e-4a1b-9a52-0f5f6f2c1a10';
      await first.orm.em
        .getConnection()
        .execute(`insert into job (id, created_at, document) values ('${job}', '2026-03-02', '{}')`);
      await first.close();
      const second = await openDatabase(folder);
      const rows: unknown = await second.orm.em.getConnection().execute('select id from job');
      const sync: unknown = await second.orm.em.getConnection().execute('pragma synchronous');
      await second.close();
      expect(rows).toEqual([{ id: job }]);
      expect(sync).toEqual([{ synchronous: 2 }]);
    } finally {
      rmSync(folder, { recursive: true, force: true });
    }
  });

  it('keeps its ledger from being changed even by other programs', async () => {
    const server = await TestServer.start();
    const job = await server.begin();
    await server.append(job, 0, [entry({ kind: 'noted', text: 'Stays' })]);
    const other = new Database(join(server.folder, DATABASE_FILE));
    expect(() => other.exec(`update ledger_entry set document = '{}'`)).toThrow(/only ever appended/);
    expect(() => other.exec('delete from ledger_entry')).toThrow(/only ever appended/);
    other.close();
    await server.stop();
  });
});

describe('an upgrade', () => {
  it('copies the data first; the older version, put back, says which copy to take', async () => {
    const server = await TestServer.start();
    const file = join(server.folder, DATABASE_FILE);
    try {
      const job = await server.begin();
      await server.pause();
      const older = new Database(file);
      older.exec('alter table "job" drop column "aside_at"');
      older.exec('drop table "put_right"');
      older.exec('drop index "ledger_entry_torque"');
      for (const table of ['device_person', 'device', 'person']) older.exec(`drop table "${table}"`);
      older.exec(`delete from mikro_orm_migrations where name >= '2026-11-27'`);
      older.exec('pragma wal_checkpoint(truncate)');
      older.close();
      const upgraded = await TestServer.start(server.folder);
      expect((await upgraded.get(`/api/jobs/${job}`)).status).toBe(200);
      await upgraded.pause();
      const copy = join(server.folder, 'brisk-ledger.before-2026-11-27-set-aside.db');
      const before = ['2026-11-23-jobs-and-ledger', '2026-11-23-shop-documents', '2026-11-26-job-cards'];
      expect(() => checkFile(file, before)).toThrow(DataDamagedError);
      expect(() => checkFile(file, before)).toThrow(copy);
      cpSync(copy, file);
      expect(() => checkFile(file, before)).not.toThrow();
      const again = await TestServer.start(server.folder);
      expect((await again.get(`/api/jobs/${job}`)).status).toBe(200);
      await again.pause();
    } finally {
      rmSync(server.folder, { recursive: true, force: true });
    }
  });
});

describe('data that is not to be written to', () => {
  /** A folder with a job in it, whose file something is done to; what the start then says. */
  async function startAfter(meddle: (file: string) => void): Promise<{ words: string; kept: Buffer | undefined }> {
    const server = await TestServer.start();
    const file = join(server.folder, DATABASE_FILE);
    try {
      await server.begin();
      mkdirSync(join(server.folder, 'photos', 'ab'), { recursive: true });
      await server.pause();
      meddle(file);
      const before = existsSync(file) ? readFileSync(file) : undefined;
      const words = await TestServer.start(server.folder).then(
        (started) => started.pause().then(() => 'started'),
        (error: unknown) => (error instanceof DataDamagedError ? error.message : String(error)),
      );
      const after = existsSync(file) ? readFileSync(file) : undefined;
      expect(after).toEqual(before);
      return { words, kept: after };
    } finally {
      rmSync(server.folder, { recursive: true, force: true });
    }
  }

  it.each<readonly [string, (file: string) => void, RegExp]>([
    ['is missing beside its photos', (file) => rmSync(file), /is missing, and what stands under photos is there/],
    ['was emptied', (file) => writeFileSync(file, ''), /is empty/],
    ['is something else', (file) => writeFileSync(file, 'x'.repeat(5_000)), /cannot be read as a database/],
    [
      'was written over in the middle',
      (file) => {
        const bytes = readFileSync(file);
        bytes.fill(0xff, 4_096, 12_288);
        writeFileSync(file, bytes);
      },
      /is damaged|cannot be read/,
    ],
    [
      'was written by a newer version',
      (file) => {
        const other = new Database(file);
        other.exec(`insert into mikro_orm_migrations (name) values ('2031-01-01-from-the-future')`);
        other.exec('pragma wal_checkpoint(truncate)');
        other.close();
      },
      /newer Brisk Ledger \(2031-01-01-from-the-future\)/,
    ],
  ])('stops the start with a plain line where it %s', async (_what, meddle, words) => {
    expect((await startAfter(meddle)).words).toMatch(words);
  });
});

describe('stopping', () => {
  it('does not wait for ever for a connection that has asked nothing, and leaves the whole data in one file', async () => {
    const server = await TestServer.start();
    const job = await server.begin();
    const silent = connect(Number(new URL(server.address).port), '127.0.0.1');
    await once(silent, 'connect');
    silent.on('error', () => undefined);
    const began = performance.now();
    await server.pause();
    expect(performance.now() - began).toBeLessThan(4_000);
    const copy = mkdtempSync(join(tmpdir(), 'brisk-copy-'));
    cpSync(join(server.folder, DATABASE_FILE), join(copy, DATABASE_FILE));
    const again = await TestServer.start(copy);
    expect((await again.get(`/api/jobs/${job}`)).status).toBe(200);
    await again.stop();
    rmSync(server.folder, { recursive: true, force: true });
  });
});

describe('one at a time', () => {
  it('keeps the order under one key, and a failure does not stop the next', async () => {
    const inTurn = oneAtATime();
    const seen: number[] = [];
    const slow = (value: number, ms: number) => () =>
      new Promise<void>((resolve) => setTimeout(() => resolve(void seen.push(value)), ms));
    const failing = inTurn('a', () => Promise.reject(new Error('no')));
    await expect(failing).rejects.toThrow('no');
    await Promise.all([inTurn('a', slow(1, 20)), inTurn('a', slow(2, 1)), inTurn('b', slow(3, 5))]);
    expect(seen).toEqual([3, 1, 2]);
  });
});
