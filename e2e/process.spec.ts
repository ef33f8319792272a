import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { start } from './own-server';

/** A server that starts beside other browsers takes its time. */
const OPENS = { timeout: 30_000 };

test.describe('the server as a process', () => {
  let folder = '';
  test.beforeEach(() => {
    folder = mkdtempSync(join(tmpdir(), 'brisk-process-'));
  });
  test.afterEach(() => rmSync(folder, { recursive: true, force: true }));

  test('says in one line what is wrong with a setting, and does not start', async () => {
    const server = start({ BRISK_PORT: 'many', BRISK_DATA: folder });
    expect(await server.ended).toBe(1);
    expect(server.said()).toMatch(/^Brisk Ledger cannot start: BRISK_PORT is “many”.*\n$/);
  });

  test('the demo is served from the folder it is told, and never from one that holds something else', async () => {
    const demo = new URL('../scripts/demo.mjs', import.meta.url).pathname;
    writeFileSync(join(folder, 'brisk.db'), 'of a shop');
    const refused = start({ BRISK_PORT: '4403', BRISK_DATA: folder }, demo);
    expect(await refused.ended).toBe(1);
    expect(refused.said()).toContain(`${folder} has something else in it than the demo`);
    expect(readdirSync(folder)).toEqual(['brisk.db']);
  });

  test('refuses data that another server has open, and a port that is taken', async () => {
    const first = start({ BRISK_PORT: '4392', BRISK_DATA: folder });
    await expect.poll(first.said, OPENS).toContain('is open at http://127.0.0.1:4392');
    const second = start({ BRISK_PORT: '4393', BRISK_DATA: folder });
    expect(await second.ended).toBe(1);
    expect(second.said()).toContain('Another Brisk Ledger is running on');
    const third = start({ BRISK_PORT: '4392', BRISK_DATA: join(folder, 'other') });
    expect(await third.ended).toBe(1);
    expect(third.said()).toContain('port 4392 on 127.0.0.1 is taken');
    first.child.kill('SIGTERM');
    expect(await first.ended).toBe(0);
  });

  test('backs its data up by itself, and stops cleanly while at it', async ({ request }) => {
    const backups = `${folder}-backups`;
    const server = start({ BRISK_PORT: '4395', BRISK_DATA: folder, BRISK_BACKUP: backups });
    await expect.poll(server.said, OPENS).toContain('is open');
    const last = async () =>
      ((await (await request.get('http://127.0.0.1:4395/api/backup')).json()) as { last?: { jobs: number } }).last;
    await expect.poll(last, { timeout: 25_000 }).toMatchObject({ jobs: 0 });
    expect(readdirSync(backups)).toHaveLength(1);
    server.child.kill('SIGTERM');
    expect(await server.ended).toBe(0);
    rmSync(backups, { recursive: true, force: true });
  });

  test('is back on its data at once after it was killed, with all it had answered', async ({ request }) => {
    const first = start({ BRISK_PORT: '4394', BRISK_DATA: folder });
    await expect.poll(first.said, OPENS).toContain('is open');
    const address = 'http://127.0.0.1:4394';
    const id = '7c9e6679-7425-40de-944b-e07fc1f90ae7';
    const begun = await request.post(`${address}/api/jobs`, {
      data: {
        id,
        title: 'Killed',
        machine: 'Test',
        reason: 'same-back',
        crew: ['Ines'],
        layout: 'longitudinal-automatic',
        powerpack: 'engine-with-gearbox',
        route: 'top',
      },
    });
    expect(begun.status()).toBe(201);
    first.child.kill('SIGKILL');
    await first.ended;
    const second = start({ BRISK_PORT: '4394', BRISK_DATA: folder });
    await expect.poll(second.said, OPENS).toContain('is open');
    expect((await request.get(`${address}/api/jobs/${id}`)).status()).toBe(200);
    second.child.kill('SIGTERM');
    expect(await second.ended).toBe(0);
  });
});
