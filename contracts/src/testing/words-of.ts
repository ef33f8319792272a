import { check } from '../check';

/** What `schema` has against `value`, in one line; empty where it has nothing. */
export function wordsOf(schema: Parameters<typeof check>[0], value: unknown): string {
  const checked = check(schema, value);
  return 'errors' in checked ? checked.errors.map(({ field, words }) => `${field}: ${words}`).join(' | ') : '';
}
