import './wording.js';
import { array, number, object, string, type ObjectShape } from 'yup';

/** Lengths that keep a screen readable and a hostile client small. */
export const LONGEST = { name: 120, text: 2_000, id: 80, list: 600, ledger: 50_000 } as const;

/** A record with exactly these fields. */
export const record = <Shape extends ObjectShape>(shape: Shape) => object(shape).noUnknown().required();

/** An id as our own maps and clients make them: letters, figures, dash, dot, colon and underscore. */
export const id = () =>
  string()
    .matches(/^[\w.:-]+$/)
    .max(LONGEST.id)
    .required();

/** A client-made entry or job id. */
export const uuid = () => string().uuid().required();

/** A short name somebody typed. */
export const name = () => string().trim().min(1).max(LONGEST.name).required();

/** A sentence or two somebody typed. */
export const text = () => string().trim().min(1).max(LONGEST.text).required();

/** A sentence somebody may leave out. */
export const optionalText = () => string().trim().max(LONGEST.text).optional();

/** An ISO time in UTC. */
export const time = () => string().datetime().max(40).required();

/** One of a closed list of words. */
export const oneOf = <const Words extends readonly string[]>(words: Words) =>
  string<Words[number]>()
    .oneOf(words as readonly Words[number][])
    .required();

/** A whole number of things. */
export const count = (most: number, least = 0) => number().integer().min(least).max(most).required();

/** A measured amount. */
export const amount = (most: number, least = 0) => number().min(least).max(most).required();

/** A list of at most `most`. */
export const list = <Item extends Parameters<typeof array>[0]>(item: Item, most: number = LONGEST.list) =>
  array(item).max(most).required();
