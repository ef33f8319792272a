import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { isDiskFull } from '../http/disk-full.js';
import { openDatabase, type OpenDatabase } from './open.js';

let folder: string;
let database: OpenDatabase;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'brisk-commits-'));
  database = await openDatabase(folder);
});
afterEach(async () => {
  await database.close();
  rmSync(folder, { recursive: true, force: true });
});

const put = (id: string, document = '{}') =>
  database.commit((run) => run('insert into job (id, created_at, document) values (?, ?, ?)', [id, '2026', document]));
const ids = async () =>
  (await database.fork().execute<{ readonly id: string }[]>('select id from job order by id')).map(({ id }) => id);

describe('writing together', () => {
  it('leaves out the one that fails, all of it, and writes the others', async () => {
    const settled = await Promise.allSettled([
      put('a'),
      database.commit((run) => {
        run('insert into job (id, created_at, document) values (?, ?, ?)', ['b', '2026', '{}']);
        throw new Error('changed its mind');
      }),
      put('a'),
      put('c'),
    ]);
    expect(settled.map(({ status }) => status)).toEqual(['fulfilled', 'rejected', 'rejected', 'fulfilled']);
    expect(await ids()).toEqual(['a', 'c']);
  });

  it('writes nothing of one alone that fails half-way, and the next as if nothing had been', async () => {
    const failing = database.commit((run) => {
      run('insert into job (id, created_at, document) values (?, ?, ?)', ['b', '2026', '{}']);
      throw new Error('changed its mind');
    });
    await expect(failing).rejects.toThrow('changed its mind');
    await put('d');
    expect(await ids()).toEqual(['d']);
  });

  it('says that the disk is full, keeps what was written, and writes again when there is room', async () => {
    await put('a');
    const pages = await database.fork().execute<[{ readonly page_count: number }]>('pragma page_count');
    await database.fork().execute(`pragma max_page_count = ${pages[0].page_count}`);
    const full = await put('b', 'x'.repeat(200_000)).catch((error: unknown) => error);
    expect(isDiskFull(full)).toBe(true);
    const several = await Promise.allSettled([put('d'), put('e', 'x'.repeat(200_000)), put('f')]);
    for (const one of several) expect(one.status === 'rejected' && isDiskFull(one.reason)).toBe(true);
    expect(await ids()).toEqual(['a']);
    await database.fork().execute('pragma max_page_count = 1000000');
    await put('c');
    expect(await ids()).toEqual(['a', 'c']);
  });

  it('goes on with the next connection of the pool as strictly as with the first', async () => {
    const asked = async (pragma: string) =>
      Object.values((await database.fork().execute<[object]>(`pragma ${pragma}`))[0])[0] as unknown;
    const before = [await asked('foreign_keys'), await asked('synchronous'), await asked('journal_mode')];
    const later = jest.spyOn(Date, 'now').mockReturnValue(Date.now() + 60_000);
    const after = [await asked('foreign_keys'), await asked('synchronous'), await asked('journal_mode')];
    await put('e');
    later.mockRestore();
    expect(before).toEqual([1, 2, 'wal']);
    expect(after).toEqual(before);
    expect(await ids()).toEqual(['e']);
  });
});
