import { X509Certificate } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer, request, type Server } from 'node:https';
import type { AddressInfo } from 'node:net';
import { connect } from 'node:tls';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import { serve } from './serve.js';
import { settingsFrom } from './settings.js';
import { CertificateError, certificateFor } from './tls/certificate.js';
import { renewed } from './tls/renewal.js';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'brisk-tls-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const TODAY = new Date('2026-03-02T07:00:00.000Z');
const inDays = (days: number) => new Date(TODAY.getTime() + days * 86_400_000);

describe('a certificate of our own', () => {
  it('stands for every name, is kept, and is made anew before it runs out or for a new name', async () => {
    const first = await certificateFor('self', folder, ['shed.local'], TODAY);
    const read = new X509Certificate(first.cert);
    expect(read.checkHost('shed.local')).toBe('shed.local');
    expect(read.checkHost('localhost')).toBe('localhost');
    expect(read.checkIP('127.0.0.1')).toBe('127.0.0.1');
    expect(read.checkHost('elsewhere.test')).toBeUndefined();
    expect(read.ca).toBe(false);
    expect(statSync(join(folder, 'key.pem')).mode & 0o077).toBe(0);
    expect((await certificateFor('self', folder, ['shed.local'], inDays(300))).cert).toBe(first.cert);
    expect((await certificateFor('self', folder, ['shed.local', 'barn.local'], TODAY)).cert).not.toBe(first.cert);
    const late = await certificateFor('self', folder, ['shed.local'], inDays(380));
    expect(late.cert).not.toBe(first.cert);
    expect(late.until.getTime()).toBeGreaterThan(inDays(700).getTime());
  });

  it('is made anew where what is kept is none', async () => {
    await certificateFor('self', folder, [], TODAY);
    writeFileSync(join(folder, 'certificate.pem'), 'rubbish');
    expect(new X509Certificate((await certificateFor('self', folder, [], TODAY)).cert).checkHost('localhost')).toBe(
      'localhost',
    );
  });
});

describe('a certificate of the shop’s', () => {
  it('is told where it ran out, is none, or is not there', async () => {
    const { cert } = await certificateFor('self', folder, [], TODAY);
    const own = { certificate: join(folder, 'certificate.pem'), key: join(folder, 'key.pem') };
    expect((await certificateFor(own, 'unused', [], TODAY)).cert).toBe(cert);
    const refused = (plan: typeof own, now: Date, words: RegExp) =>
      expect(certificateFor(plan, 'unused', [], now)).rejects.toThrow(words);
    await refused(own, inDays(400), /ran out on 2027-04-03/);
    await refused({ ...own, certificate: own.key }, TODAY, /is no certificate/);
    await refused({ ...own, key: join(folder, 'none.pem') }, TODAY, /BRISK_TLS_KEY has to name a file/);
    await expect(certificateFor(own, 'unused', [], inDays(400))).rejects.toThrow(CertificateError);
  });

  it.each([
    [{ BRISK_TLS: 'maybe' }, /BRISK_TLS is “maybe”/],
    [{ BRISK_TLS_CERT: 'a.pem' }, /go together/],
  ])('%j is refused in words', (environment, words) => {
    expect(() => settingsFrom(environment)).toThrow(words);
  });
});

describe('a certificate that runs out while the server runs', () => {
  /** The certificate a new line is opened with. */
  const servedBy = (server: Server) =>
    new Promise<string>((resolve, reject) => {
      const { port } = server.address() as AddressInfo;
      const line = connect({ port, host: '127.0.0.1', rejectUnauthorized: false }, () => {
        resolve((line.getPeerX509Certificate()?.toString() ?? '').trim());
        line.destroy();
      });
      line.on('error', reject);
    });

  it('is taken over from what is there by then, and kept where there is none', async () => {
    const first = await certificateFor('self', folder, ['old.local'], TODAY);
    const server = createServer(first);
    await new Promise<void>((up) => server.listen(0, '127.0.0.1', up));
    const lines: string[] = [];
    const logger = pino({ level: 'warn' }, { write: (line: string) => void lines.push(line) });
    try {
      expect(await servedBy(server)).toBe(first.cert.trim());
      const next = await certificateFor('self', folder, ['old.local'], inDays(380));
      await renewed(server, () => Promise.resolve(next), inDays(380), logger);
      expect(await servedBy(server)).toBe(next.cert.trim());
      expect(lines).toEqual([]);
      await renewed(server, () => Promise.reject(new CertificateError('it ran out')), inDays(380), logger);
      expect(await servedBy(server)).toBe(next.cert.trim());
      expect(lines.join('')).toContain('it ran out');
      await renewed(server, () => Promise.resolve({ ...next, until: inDays(390) }), inDays(380), logger);
      expect(lines.at(-1)).toContain('runs out on');
    } finally {
      server.close();
    }
  });
});

describe('a server with it', () => {
  it('answers encrypted, and gives a cookie that goes over no other line', async () => {
    const running = await serve(
      { host: '127.0.0.1', port: 0, dataFolder: folder, logLevel: 'silent', tls: 'self' },
      'nowhere',
      pino({ level: 'silent' }),
    );
    try {
      expect(running.address).toMatch(/^https:/);
      const ca = readFileSync(join(folder, 'tls/certificate.pem'), 'utf8');
      const body = JSON.stringify({ name: 'Ruth', passphrase: 'three greasy gloves', pin: '2468' });
      const cookies = await new Promise<readonly string[]>((resolve, reject) => {
        const headers = { 'content-type': 'application/json', 'content-length': Buffer.byteLength(body) };
        const asked = request(`${running.address}/api/session/first`, { method: 'POST', ca, headers }, (answer) => {
          answer.resume();
          resolve(answer.headers['set-cookie'] ?? []);
        });
        asked.on('error', reject);
        asked.end(body);
      });
      expect(cookies[0]).toMatch(/; Secure/);
    } finally {
      await running.stop();
    }
  });
});
