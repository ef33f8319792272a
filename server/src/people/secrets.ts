import { createHash, randomBytes, randomInt, timingSafeEqual } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';

/** As OWASP asks of Argon2id at the least: 19 MiB, two passes. */
const COST = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;
/** No letter that is taken for another when it is read out across a shed. */
const LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
const CODE_LENGTH = 8;

/** What is kept of a passphrase or PIN. */
export const kept = (secret: string): Promise<string> => hash(secret, COST);

let ofNobody: Promise<string> | undefined;

/** Whether `said` is what `hashed` was kept of. It takes as long where there is nothing to compare with. */
export async function isSecret(hashed: string | undefined, said: string): Promise<boolean> {
  ofNobody ??= kept(newToken());
  const good = await verify(hashed ?? (await ofNobody), said);
  return good && hashed !== undefined;
}

/** What a device shows to be known again. */
export const newToken = (): string => randomBytes(32).toString('base64url');

/** What is kept of a token: it is long and random, so one pass is enough. */
export const tokenHash = (token: string): string => createHash('sha256').update(token).digest('hex');

/** A code to be read out or scanned once. */
export const newCode = (): string =>
  Array.from({ length: CODE_LENGTH }, () => LETTERS[randomInt(LETTERS.length)]).join('');

/** Whether two codes are the same, however they are spaced and written, in a time that tells nothing. */
export function isSameCode(one: string, other: string): boolean {
  const [a, b] = [one, other].map((code) => createHash('sha256').update(asCode(code)).digest());
  return a !== undefined && b !== undefined && timingSafeEqual(a, b);
}

/** A code as it is kept, from how somebody typed it. */
export const asCode = (typed: string): string => typed.toUpperCase().replace(/[\s-]/g, '');
