/** How a failed check reads, for every schema: what is wrong with which field, and what would be right. */
import { setLocale } from 'yup';

const KINDS: Readonly<Record<string, string>> = {
  string: 'text',
  number: 'a number',
  boolean: 'yes or no',
  array: 'a list',
  object: 'a record',
};

setLocale({
  mixed: {
    default: ({ path }) => `${path} is not right.`,
    required: ({ path }) => `${path} is missing.`,
    defined: ({ path }) => `${path} is missing.`,
    notNull: ({ path }) => `${path} is missing.`,
    oneOf: ({ path, values }) => `${path} has to be one of: ${String(values)}.`,
    notType: ({ path, type, value }) =>
      value === undefined || value === null ? `${path} is missing.` : `${path} has to be ${KINDS[type] ?? type}.`,
  },
  string: {
    min: ({ path, min }) => `${path} is too short: ${min} characters at least.`,
    max: ({ path, max }) => `${path} is too long: ${max} characters at most.`,
    matches: ({ path }) => `${path} has signs in it that do not belong there.`,
    trim: ({ path }) => `${path} must not begin or end with a space.`,
    uuid: ({ path }) => `${path} has to be an id in UUID form.`,
    datetime: ({ path }) => `${path} has to be a time such as 2026-03-02T07:30:00.000Z.`,
    datetime_offset: ({ path }) => `${path} has to be a time in UTC, with a Z at its end.`,
  },
  number: {
    min: ({ path, min }) => `${path} is too small: ${min} at least.`,
    max: ({ path, max }) => `${path} is too large: ${max} at most.`,
    integer: ({ path }) => `${path} has to be a whole number.`,
    moreThan: ({ path, more }) => `${path} has to be more than ${more}.`,
    lessThan: ({ path, less }) => `${path} has to be less than ${less}.`,
  },
  array: {
    min: ({ path, min }) => `${path} needs ${min} at least.`,
    max: ({ path, max }) => `${path} has too many: ${max} at most.`,
    length: ({ path, length }) => `${path} has to have ${length}.`,
  },
  object: {
    noUnknown: ({ path, unknown }) =>
      `${path && path !== 'this' ? `${path} has` : 'There is'} something in it that does not belong: ${String(unknown)}.`,
  },
});
