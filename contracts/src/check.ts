import './wording.js';
import { ArraySchema, ObjectSchema, ValidationError, type AnyObject, type ISchema, type Schema } from 'yup';

/** One field at fault and why. */
export interface FieldError {
  readonly field: string;
  readonly words: string;
}

/** A value that fits, or every field at fault. */
export type Checked<T> = { readonly value: T } | { readonly errors: readonly FieldError[] };

/** Nobody reads more than so many, and a hostile client would have us write a million. */
const MOST_COMPLAINTS = 20;

/**
 * Holds `value` against `schema` without changing it, so that "7" is not taken for 7. Each field is told of once. A
 * list is measured before anything in it is looked at, and nothing is looked at any more once enough is wrong.
 */
export function check<T>(schema: ISchema<T>, value: unknown): Checked<T> {
  const words = new Map<string, string>();
  visit(
    schema,
    value,
    '',
    undefined,
    (path, said) => words.set(path, said),
    () => words.size >= MOST_COMPLAINTS,
  );
  return words.size === 0
    ? { value: value as T }
    : { errors: [...words].map(([field, said]) => ({ field, words: said })) };
}

/** The end of a text, to many a program: what stands after it would be lost. */
const NUL = '\0';

type Complain = (path: string, words: string) => void;

function visit(
  given: ISchema<unknown>,
  value: unknown,
  path: string,
  parent: unknown,
  complain: Complain,
  enough: () => boolean,
): void {
  const schema = given.resolve({ value, parent }) as Schema<unknown>;
  if (typeof value === 'string' && value.includes(NUL)) {
    const label = `${schema.spec.label ?? path}`;
    complain(path, `${label.charAt(0).toUpperCase()}${label.slice(1)} holds a sign that cannot be written.`);
    return;
  }
  const errors = errorsAt(schema, value, path, parent);
  for (const [at, said] of errors) complain(at, said);
  if (schema instanceof ArraySchema && Array.isArray(value) && errors.size === 0) {
    const item = schema.innerType as ISchema<unknown> | undefined;
    for (let index = 0; item && index < value.length && !enough(); index += 1)
      visit(item, value[index], `${path}[${index}]`, value, complain, enough);
  } else if (schema instanceof ObjectSchema && isRecord(value)) {
    const fields = schema.fields as Readonly<Record<string, ISchema<unknown>>>;
    for (const [key, field] of Object.entries(fields)) {
      if (enough()) return;
      visit(field, value[key], path === '' ? key : `${path}.${key}`, value, complain, enough);
    }
  }
}

/** What is wrong with `value` itself, whatever is in it: words by the path they are about. */
function errorsAt(schema: Schema<unknown>, value: unknown, path: string, parent: unknown): ReadonlyMap<string, string> {
  const options = { strict: true, abortEarly: false, recursive: false, disableStackTrace: true, path, parent };
  const words = new Map<string, string>();
  try {
    schema.validateSync(value, options);
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    for (const { path: at = path, message, type } of error.inner.length > 0 ? error.inner : [error])
      if (!words.has(at) || type === 'required') words.set(at, message.charAt(0).toUpperCase() + message.slice(1));
  }
  return words;
}

function isRecord(value: unknown): value is AnyObject {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
