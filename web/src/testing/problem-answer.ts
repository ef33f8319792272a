import { HttpErrorResponse } from '@angular/common/http';
import { check } from '@brisk/contracts/check';
import type { Problem, ProblemKind } from '@brisk/contracts/problem';
import type { ISchema } from 'yup';

/** An answer of the server with problem details. */
export function problemAnswer(kind: ProblemKind, status: number, detail: string): HttpErrorResponse {
  const error: Problem = { type: `urn:brisk-ledger:${kind}`, title: kind, status, detail };
  return new HttpErrorResponse({ status, error });
}

/** `value` as it comes over the wire, held to what the server holds it to. Throws as the server would answer. */
export function held<T>(schema: ISchema<T>, value: T): T {
  const sent = JSON.parse(JSON.stringify(value)) as unknown;
  const checked = check(schema, sent);
  if ('value' in checked) return checked.value;
  const words = checked.errors.map(({ field, words: said }) => `${field}: ${said}`).join(' ');
  throw problemAnswer('bad-input', 422, words);
}
