import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'libsql';
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
    [{ BRISK_PORT: '70000' }, /BRISK_PORT/],
    [{ BRISK_PORT: '-1' }, /BRISK_PORT/],
    [{ BRISK_HOST: 'a b' }, /BRISK_HOST/],
    [{ BRISK_DATA: ' ' }, /BRISK_DATA is empty/],
    [{ BRISK_LOG: 'loud' }, /BRISK_LOG/],
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
      await first.orm.em.getConnection().execute(`insert into job values ('${job}', '2026-03-02', '{}')`);
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
