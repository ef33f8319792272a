import './wording.js';
import { array, boolean, mixed, number, string, tuple, ValidationError, type ISchema, type Schema } from 'yup';

/** Lengths that keep a screen readable and a hostile client small. */
export const LONGEST = { name: 120, text: 2_000, id: 80, list: 600, ledger: 50_000 } as const;

/** An id as our own maps and clients make them: letters, figures, dash, dot, colon and underscore. */
export const id = () =>
  string()
    .matches(/^[\w.:-]+$/)
    .max(LONGEST.id)
    .required();

/** An id that may be left out. */
export const optionalId = () =>
  string()
    .matches(/^[\w.:-]+$/)
    .max(LONGEST.id)
    .optional();

/** The two ends of a connection. */
export const pairOfIds = () => tuple([id(), id()]).required();

/** A client-made entry or job id; in small letters, so that nothing has two names. */
export const uuid = () => string().uuid().lowercase().required();

/** A short name somebody typed. */
export const name = () => string().trim().min(1).max(LONGEST.name).required();

/** A short name somebody may leave out. */
export const optionalName = (longest: number = LONGEST.name) => string().trim().max(longest).optional();

/** A sentence or two somebody typed. */
export const text = () => string().trim().min(1).max(LONGEST.text).required();

/** A sentence somebody may leave out. */
export const optionalText = () => string().trim().max(LONGEST.text).optional();

/** Whether there is a day such as `day`, written as 2026-03-02. */
const isDay = (day: string): boolean => {
  const begins = new Date(`${day}T00:00:00.000Z`);
  return !Number.isNaN(begins.getTime()) && begins.toISOString().startsWith(day);
};

/** An ISO time in UTC that there is: its day is in the calendar, its hour on the clock. */
export const time = () =>
  string()
    .datetime()
    .max(40)
    .test('time', '${path} is no time there is, such as 2026-03-02T07:00:00.000Z.', (given) => {
      const [day, clock = ''] = (given ?? '').split('T');
      return given === undefined || (isDay(day ?? '') && !Number.isNaN(Date.parse(`2026-03-02T${clock}`)));
    })
    .required();

/** An ISO time in UTC that may be left out. */
export const optionalTime = () => string().datetime().max(40).optional();

/** A day of the calendar, such as 2026-03-02, that may be left out. */
export const optionalDay = () =>
  string()
    .matches(/^\d{4}-\d{2}-\d{2}$/, { message: NO_DAY, excludeEmptyString: true })
    .test('day', NO_DAY, (given) => given === undefined || given === '' || isDay(given))
    .optional();
const NO_DAY = '${path} has to be a day such as 2026-03-02.';

/** One of a closed list of words. */
export const oneOf = <const Words extends readonly string[]>(words: Words) =>
  string<Words[number]>()
    .oneOf(words as readonly Words[number][])
    .required();

/** A whole number of things. */
export const count = (most: number, least = 0) => number().integer().min(least).max(most).required();

/** A measured amount. */
export const amount = (most: number, least = 0) => number().min(least).max(most).required();

/** A measured amount that may be left out. */
export const optionalAmount = (most: number, least = 0) => number().min(least).max(most).optional();

/** A measured amount above nought. */
export const positive = (most: number) => number().moreThan(0).max(most).required();

/** A measured amount above nought that may be left out. */
export const optionalPositive = (most: number) => number().moreThan(0).max(most).optional();

/** A share of a whole, from nought to one. */
export const share = () => amount(1);

/** The number of a tag or a bag, where there is one. */
export const optionalNumber = () => number().integer().min(1).max(100_000).optional();

/** Money in whole hundredths, never below nought, that may be left out. */
export const optionalCents = () => number().integer().min(0).max(1_000_000_000).optional();

/** Something that is so or is not so. */
export const yesOrNo = () => boolean().required();

/** Something that is so, or is not so, or was not said. */
export const optionalYesOrNo = () => boolean().optional();

/** A list of at least `least` and at most `most`. */
export const list = <Item>(item: ISchema<Item>, most: number = LONGEST.list, least = 0) => {
  const bounded = array(item).max(most).required();
  return least > 0 ? bounded.min(least) : bounded;
};

/** A list that may be left out. */
export const optionalList = <Item>(item: ISchema<Item>, most: number = LONGEST.list) =>
  array(item).max(most).optional().default(undefined);

/** A record whose keys are ids of ours and whose values are all alike: at most `most` of them. */
export const mapOf = <Value>(value: Schema<Value>, most: number = LONGEST.list) =>
  mixed<Readonly<Record<string, Value>>>((given): given is Readonly<Record<string, Value>> => {
    return typeof given === 'object' && given !== null && !Array.isArray(given);
  })
    .typeError(({ path }: { readonly path: string }) => `${path} has to be a record.`)
    .test('values', (given, context) => {
      const entries = Object.entries(given ?? {});
      if (entries.length > most)
        return context.createError({ message: `${context.path} has too many: ${most} at most.` });
      for (const [key, one] of entries) {
        if (!/^[\w.:-]{1,80}$/.test(key))
          return context.createError({ message: `${context.path} has a key that is no id: “${key.slice(0, 80)}”.` });
        try {
          value.validateSync(one, { strict: true });
        } catch (error) {
          if (!(error instanceof ValidationError)) throw error;
          // A record within a record names where within it; by itself a value is called “this”.
          const within = error.path ?? '';
          const path = [context.path, key, within].filter(Boolean).join('.');
          return context.createError({
            path,
            message: error.message.replace(within === '' ? /^this\b/ : within, path),
          });
        }
      }
      return true;
    })
    .required();
