import { createHash, randomUUID } from 'node:crypto';
import {
  cpSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  utimesSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Backup, BackupStatus } from '@brisk/contracts/backup';
import { pino } from 'pino';
import { keptOf } from './backup/ages.js';
import { backupsIn, readBackup } from './backup/backup-folder.js';
import { photoFile } from './photos/photo-file.js';
import { pathOn } from './shelf/shelf-files.js';
import { makeBackup } from './backup/make-backup.js';
import { restore } from './backup/restore.js';
import { BackupSchedule } from './backup/schedule.js';
import { DataInUseError } from './database/instance-lock.js';
import { DATABASE_FILE } from './database/open.js';
import { settingsFrom } from './settings.js';
import { entry, TestServer } from './testing/test-server.js';

const NOON = new Date('2026-11-27T12:00:00.000Z');
let server: TestServer;
let into: string;
beforeEach(async () => {
  server = await TestServer.start();
  into = mkdtempSync(join(tmpdir(), 'brisk-backup-'));
});
afterEach(async () => {
  await server.stop();
  rmSync(into, { recursive: true, force: true });
});

/** Puts a picture where the server keeps its own. */
function keepPicture(words: string): string {
  const photo = createHash('sha256').update(words).digest('hex');
  const path = pathOn(join(server.folder, 'photos'), photoFile(photo));
  mkdirSync(join(path, '..'), { recursive: true });
  writeFileSync(path, words);
  return photo;
}

describe('a backup', () => {
  it('is made while the server writes, and brings everything back as it was', async () => {
    const job = await server.begin();
    await server.append(job, 0, [entry({ kind: 'noted', text: 'Before' })]);
    const photos = [keepPicture('one'), keepPicture('two')].sort();
    const writing = server.append(job, 1, [entry({ kind: 'noted', text: 'Meanwhile' })]);
    const backup = await makeBackup(server.folder, into, NOON);
    await writing;
    expect(backup).toMatchObject({ jobs: 1, madeAt: NOON.toISOString(), photos });
    const whole = (await server.get<{ entries: unknown[] }>(`/api/jobs/${job}`)).body;
    await server.append(job, 2, [entry({ kind: 'noted', text: 'After' })]);

    const [found] = await backupsIn(into);
    const target = join(into, 'restored');
    const restored = await restore(found?.folder ?? '', target, NOON);
    expect(restored).toEqual({ backup });
    const again = await TestServer.start(target);
    const { entries } = (await again.get<{ entries: unknown[] }>(`/api/jobs/${job}`)).body;
    expect(entries).toEqual(whole.entries.slice(0, backup.entries));
    expect(backup.entries).toBeGreaterThanOrEqual(1);
    for (const photo of photos) expect(existsSync(pathOn(join(target, 'photos'), photoFile(photo)))).toBe(true);
    await again.stop();
  });

  it('takes the place of what stands there only when it is whole, and keeps that under another name', async () => {
    await server.begin();
    keepPicture('one');
    await makeBackup(server.folder, into, NOON);
    const folder = (await backupsIn(into))[0]?.folder ?? '';
    await expect(restore(folder, server.folder, NOON)).rejects.toThrow(DataInUseError);
    const data = join(into, 'data');
    cpSync(join(folder, DATABASE_FILE), join(data, DATABASE_FILE));
    const { before } = await restore(folder, data, NOON);
    expect(existsSync(join(before ?? '', DATABASE_FILE))).toBe(true);

    const damaged = readFileSync(join(folder, DATABASE_FILE));
    damaged.fill(0xff, 5_000, 5_100);
    writeFileSync(join(folder, DATABASE_FILE), damaged);
    await expect(restore(folder, data, NOON)).rejects.toThrow(/not what it was/);
    expect(readdirSync(into).filter((name) => name.includes('restoring'))).toEqual([]);
    expect(existsSync(join(data, DATABASE_FILE))).toBe(true);
    await expect(restore(into, data, NOON)).rejects.toThrow(/no backup of ours/);
  });

  it('leaves out a picture that is damaged where it stands, names it, and keeps all the rest', async () => {
    await server.begin();
    const whole = keepPicture('whole');
    const damaged = keepPicture('one');
    writeFileSync(pathOn(join(server.folder, 'photos'), photoFile(damaged)), 'other');
    expect(await makeBackup(server.folder, into, NOON)).toMatchObject({ jobs: 1, photos: [whole], damaged: [damaged] });
    expect(existsSync(pathOn(join(into, 'photos'), photoFile(damaged)))).toBe(false);
  });

  it('whose account of itself somebody tampered with is none', async () => {
    await server.begin();
    await makeBackup(server.folder, into, NOON);
    const [{ folder } = { folder: '' }] = await backupsIn(into);
    const account = join(folder, 'backup.json');
    const honest = readFileSync(account, 'utf8');
    for (const [from, to] of [
      ['"photos":[]', '"photos":["../../../etc/passwd"]'],
      ['"version":1', '"version":2'],
      ['"jobs":1', '"jobs":"one"'],
      ['{', '['],
    ] as const) {
      writeFileSync(account, honest.replace(from, to));
      await expect(readBackup(folder)).rejects.toThrow(/cannot be read/);
      expect(await backupsIn(into)).toEqual([]);
    }
  });

  it('that was begun long ago and never finished is cleared away, one that is being made is not', async () => {
    await server.begin();
    for (const name of ['2026-01-01T00-00-00-000Z.unfinished', '2026-11-27T11-59-00-000Z.unfinished'])
      mkdirSync(join(into, name));
    utimesSync(join(into, '2026-01-01T00-00-00-000Z.unfinished'), new Date(0), new Date(0));
    await makeBackup(server.folder, into, NOON);
    expect(readdirSync(into).filter((name) => name.endsWith('.unfinished'))).toEqual([
      '2026-11-27T11-59-00-000Z.unfinished',
    ]);
  });

  it('that nobody can write says so', async () => {
    const file = join(into, 'a-file');
    writeFileSync(file, '');
    await expect(makeBackup(server.folder, file, NOON)).rejects.toThrow(/cannot be written to/);
  });

  it('goes when its age is not kept, with the pictures only it had', async () => {
    await server.begin();
    const photo = keepPicture('gone later');
    const day = (number: number) => new Date(Date.UTC(2026, 9, number, 12));
    await makeBackup(server.folder, into, day(1));
    rmSync(pathOn(join(server.folder, 'photos'), photoFile(photo)));
    for (let number = 2; number <= 10; number += 1) await makeBackup(server.folder, into, day(number));
    await makeBackup(server.folder, into, new Date(Date.UTC(2026, 9, 10, 18)));
    const kept = (await backupsIn(into)).map(({ backup }) => backup.madeAt.slice(0, 13));
    expect(kept).toEqual(
      ['10T18', '09T12', '08T12', '07T12', '06T12', '05T12', '04T12'].map((one) => `2026-10-${one}`),
    );
    expect(existsSync(pathOn(join(into, 'photos'), photoFile(photo)))).toBe(false);
  });
});

describe('the ages kept', () => {
  it('are seven days, five weeks and twelve months, the newest of each', () => {
    const all = Array.from({ length: 800 }, (_, index) => new Date(NOON.getTime() - index * 43_200_000).toISOString());
    const kept = [...keptOf(all)].sort().reverse();
    expect(kept.slice(0, 7)).toEqual(all.filter((_, index) => index % 2 === 0).slice(0, 7));
    expect(new Set(kept.map((time) => time.slice(0, 7))).size).toBe(12);
    expect(kept.length).toBeLessThanOrEqual(24);
    expect(keptOf([])).toEqual(new Set());
  });
});

describe('the schedule', () => {
  const plan = () => ({ into, everyHours: 24 });
  const made = (madeAt: string): Backup => ({
    format: 'brisk-ledger-backup',
    version: 1,
    madeAt,
    jobs: 1,
    entries: 2,
    database: 'a'.repeat(64),
    photos: [],
    damaged: [],
  });

  it('makes one when the last is too old, and not before', async () => {
    let now = NOON;
    const calls: string[] = [];
    const make = (_data: string, _into: string, at: Date) => {
      calls.push(at.toISOString());
      const backup = made(at.toISOString());
      const folder = join(into, at.toISOString().replace(/[:.]/g, '-'));
      mkdirSync(folder);
      writeFileSync(join(folder, 'backup.json'), JSON.stringify(backup));
      return Promise.resolve(backup);
    };
    const schedule = new BackupSchedule('/data', plan(), () => now, pino({ level: 'silent' }), make);
    await Promise.all([schedule.look(), schedule.look()]);
    now = new Date(NOON.getTime() + 23 * 3_600_000);
    await schedule.look();
    expect(calls).toHaveLength(1);
    expect(schedule.status()).toEqual({
      into,
      everyHours: 24,
      last: { madeAt: NOON.toISOString(), jobs: 1, photos: 0 },
    });
    now = new Date(NOON.getTime() + 24 * 3_600_000);
    await schedule.look();
    expect(calls).toHaveLength(2);
    await schedule.stop();
  });

  it('says what went wrong, and tries again', async () => {
    let fails = true;
    const make = (_data: string, _into: string, at: Date) =>
      fails ? Promise.reject(new Error('Is the drive there?')) : Promise.resolve(made(at.toISOString()));
    const schedule = new BackupSchedule('/data', plan(), () => NOON, pino({ level: 'silent' }), make);
    await schedule.look();
    expect(schedule.status()).toMatchObject({ trouble: 'Is the drive there?' });
    fails = false;
    await schedule.look();
    expect(schedule.status()).not.toHaveProperty('trouble');
  });

  it('says what is missing from the last one', async () => {
    const make = (_data: string, _into: string, at: Date) =>
      Promise.resolve({ ...made(at.toISOString()), damaged: ['a'.repeat(64)] });
    const schedule = new BackupSchedule('/data', plan(), () => NOON, pino({ level: 'silent' }), make);
    await schedule.look();
    expect(schedule.status().trouble).toMatch(/^1 file could not be backed up/);
  });

  it('gives one up that is being made when the server stops, and calls that no trouble', async () => {
    const make = (_data: string, _into: string, _at: Date, stop: AbortSignal) =>
      new Promise<Backup>((_made, failed) => stop.addEventListener('abort', () => failed(new Error('given up'))));
    const schedule = new BackupSchedule('/data', plan(), () => NOON, pino({ level: 'silent' }), make);
    void schedule.look();
    await schedule.stop();
    expect(schedule.status()).toEqual({ into, everyHours: 24 });
  });

  it('is told by the shop’s settings, and by nobody that there is none', async () => {
    expect((await server.get<BackupStatus>('/api/backup')).body).toEqual({});
    expect(settingsFrom({ BRISK_BACKUP: '/mnt/drive', BRISK_BACKUP_HOURS: '6' }).backup).toEqual({
      into: '/mnt/drive',
      everyHours: 6,
    });
    expect(() => settingsFrom({ BRISK_DATA: '/srv/x', BRISK_BACKUP: '/srv/x/copies' })).toThrow(/lies within/);
    for (const hours of ['0', 'often', '10000'])
      expect(() => settingsFrom({ BRISK_BACKUP: `/mnt/${randomUUID()}`, BRISK_BACKUP_HOURS: hours })).toThrow(
        /BRISK_BACKUP_HOURS/,
      );
  });
});
