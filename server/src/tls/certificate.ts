import { X509Certificate } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import { hostname, networkInterfaces } from 'node:os';
import { join } from 'node:path';

/** How the line is encrypted: by a certificate of the server’s own making, or by one the shop has. */
export type TlsPlan = 'self' | { readonly certificate: string; readonly key: string };

/** A certificate and its key, as PEM. */
export interface Certificate {
  readonly cert: string;
  readonly key: string;
  /** When it runs out. */
  readonly until: Date;
}

/** A certificate that cannot be used; `message` says why and what would help. */
export class CertificateError extends Error {
  override readonly name = 'CertificateError';
}

const DAY_MS = 86_400_000;
/** Browsers take none that is good for longer. */
const GOOD_FOR_DAYS = 397;
/** Made anew with so many days left, so that nobody stands before a closed door on a Monday. */
const RENEW_WITHIN_DAYS = 30;

/**
 * The certificate to serve with. One of our own is kept in `folder` and made anew when it runs out within 30 days, or when
 * the server has `names` or addresses it does not stand for. Throws {@link CertificateError} for a shop’s own that cannot be
 * read, does not fit its key, or has run out.
 */
export async function certificateFor(
  plan: TlsPlan,
  folder: string,
  names: readonly string[],
  now: Date,
): Promise<Certificate> {
  if (plan !== 'self') return shopsOwn(plan, now);
  const [certFile, keyFile] = [join(folder, 'certificate.pem'), join(folder, 'key.pem')];
  const wanted = [...new Set(['localhost', hostname(), ...names, '127.0.0.1', ...addressesHere()])];
  if (existsSync(certFile) && existsSync(keyFile)) {
    const kept = { cert: readFileSync(certFile, 'utf8'), key: readFileSync(keyFile, 'utf8') };
    const read = readCertificate(kept.cert);
    const until = read && new Date(read.validTo);
    const lasts = until && until.getTime() - now.getTime() > RENEW_WITHIN_DAYS * DAY_MS;
    if (read && lasts && wanted.every((name) => standsFor(read, name))) return { ...kept, until };
  }
  // Few need it, and it is large.
  const { generate } = await import('selfsigned');
  const until = new Date(now.getTime() + GOOD_FOR_DAYS * DAY_MS);
  const { cert, private: key } = await generate([{ name: 'commonName', value: 'Brisk Ledger' }], {
    keyType: 'ec',
    notBeforeDate: new Date(now.getTime() - DAY_MS),
    notAfterDate: until,
    extensions: [
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: wanted.map((name) => (isIP(name) ? { type: 7, ip: name } : { type: 2, value: name })),
      },
    ],
  });
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  // The key first: a certificate is never there without it.
  for (const [file, text] of [
    [keyFile, key],
    [certFile, cert],
  ] as const) {
    writeFileSync(`${file}.new`, text, { mode: 0o600 });
    renameSync(`${file}.new`, file);
  }
  return { cert, key, until };
}

function shopsOwn({ certificate, key }: Exclude<TlsPlan, 'self'>, now: Date): Certificate {
  const cert = fileAt(certificate, 'BRISK_TLS_CERT');
  const keyText = fileAt(key, 'BRISK_TLS_KEY');
  const read = readCertificate(cert);
  if (!read) throw new CertificateError(`${certificate} is no certificate. BRISK_TLS_CERT has to name one, as PEM.`);
  const until = new Date(read.validTo);
  if (until.getTime() <= now.getTime())
    throw new CertificateError(
      `the certificate in ${certificate} ran out on ${until.toISOString().slice(0, 10)}. Put a new one there, or set BRISK_TLS=self.`,
    );
  return { cert, key: keyText, until };
}

function fileAt(path: string, setting: string): string {
  try {
    return readFileSync(path, 'utf8');
  } catch {
    throw new CertificateError(`${path} cannot be read. ${setting} has to name a file of yours.`);
  }
}

function readCertificate(pem: string): X509Certificate | undefined {
  try {
    return new X509Certificate(pem);
  } catch {
    return undefined;
  }
}

const standsFor = (read: X509Certificate, name: string): boolean =>
  (isIP(name) ? read.checkIP(name) : read.checkHost(name)) !== undefined;

/** Addresses of this machine on its networks. */
const addressesHere = (): readonly string[] =>
  Object.values(networkInterfaces()).flatMap((some) =>
    (some ?? []).filter(({ internal, family }) => !internal && family === 'IPv4').map(({ address }) => address),
  );
