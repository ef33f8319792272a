import { ValidationError, type Schema } from 'yup';

/** What an error is, for programs; `detail` says it for people. Problem details of RFC 9457. */
export const PROBLEMS = [
  'bad-input',
  'not-json',
  'too-large',
  'not-found',
  'stale-position',
  'stale-revision',
  'id-used',
  'refused',
  'exists',
  'not-allowed',
  'unavailable',
  'no-room',
  'internal',
] as const;
export type ProblemKind = (typeof PROBLEMS)[number];

/** One field at fault and why. */
export interface FieldError {
  readonly field: string;
  readonly words: string;
}

export interface Problem {
  readonly type: `urn:brisk-ledger:${ProblemKind}`;
  readonly title: string;
  readonly status: number;
  readonly detail: string;
  readonly errors?: readonly FieldError[];
  /** With `stale-position`: where the ledger stands. */
  readonly position?: number;
  /** With `stale-revision`: which revision stands. */
  readonly revision?: number;
}

/** A value that fits, or every field at fault. */
export type Checked<T> = { readonly value: T } | { readonly errors: readonly FieldError[] };

/** Holds `value` against `schema` without changing it, so that "7" is not taken for 7. Each field is told of once. */
export function check<T>(schema: Schema<T>, value: unknown): Checked<T> {
  try {
    return { value: schema.validateSync(value, { strict: true, abortEarly: false }) };
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const words = new Map<string, string>();
    for (const { path = '', message, type } of error.inner.length > 0 ? error.inner : [error])
      if (!words.has(path) || type === 'required') words.set(path, message.charAt(0).toUpperCase() + message.slice(1));
    return { errors: [...words].slice(0, 20).map(([field, said]) => ({ field, words: said })) };
  }
}
