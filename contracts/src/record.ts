import { object, type ISchema, type ObjectSchema, type ObjectShape, type Schema } from 'yup';

/**
 * A schema for each field of `T`, for every one there is and for no other, and none that lets more through than `T` says:
 * a field that is added to a type does not compile until its schema has it.
 */
export type FieldsOf<T> = { readonly [Key in keyof Required<T>]: ISchema<T[Key & keyof T]> };

/** A record with exactly the fields of `T`. */
export function record<T extends object>(fields: FieldsOf<T>): ObjectSchema<T> {
  // Yup works the type of a record out of its schemas; ours is given, and its schemas are held to it.
  const shape: ObjectShape = { ...fields };
  return object(shape).noUnknown().required() as ObjectSchema<T>;
}

/** Every field that any of the types in a union has, all of them optional. */
export type AnyFieldOf<Union> = {
  readonly [Key in Union extends unknown ? keyof Union : never]?: Union extends unknown
    ? Key extends keyof Union
      ? Union[Key]
      : never
    : never;
};

/** One of several records: it may have the fields of any, and has to pass `isOne`, which `words` say otherwise. */
export function either<Union extends object>(
  fields: FieldsOf<AnyFieldOf<Union>>,
  isOne: (given: AnyFieldOf<Union>) => boolean,
  words: string,
): Schema<Union> {
  // Where it may be left out, nothing given is one of them.
  const wide: Schema<object> = record<AnyFieldOf<Union>>(fields).test(
    'one-of',
    words,
    (given: object | undefined) => given === undefined || isOne(given as AnyFieldOf<Union>),
  );
  return wide as Schema<Union>;
}
