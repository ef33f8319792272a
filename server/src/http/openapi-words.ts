/** JSON that describes JSON. */
export type Json = Readonly<Record<string, unknown>>;

export const ref = (name: string): Json => ({ $ref: `#/components/schemas/${name}` });
export const jsonOf = (schema: Json): Json => ({ 'application/json': { schema } });
export const answer = (description: string, schema: Json): Json => ({ description, content: jsonOf(schema) });
export const problem = (description: string): Json => ({
  description,
  content: { 'application/problem+json': { schema: ref('Problem') } },
});
export const jobParameter: Json = {
  name: 'job',
  in: 'path',
  required: true,
  schema: { type: 'string', format: 'uuid' },
};

/** The entries of a ledger. */
export const ledger: Json = { type: 'array', items: ref('Entry') };

/** Something printed. */
export const pdf = (description: string): Json => ({
  description,
  content: { 'application/pdf': { schema: { type: 'string' } } },
});

/** What comes of work that takes long, where there is too much of it. */
export const overload: Readonly<Record<number, Json>> = {
  429: problem('This device asks for more of it than it may in a minute.'),
  503: problem('The server has its hands full; come again after as many seconds as `Retry-After` says.'),
};
