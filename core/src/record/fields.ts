import { array, boolean, mixed, number, object, setLocale, string, type ObjectShape } from 'yup';
import { sides, type Side } from '../anatomy';
import { clinicDay, readInstant } from '../calendar';

// a fault says where it is beside its message: the message says only what is wrong
setLocale({
  mixed: {
    required: 'is needed',
    defined: 'is needed',
    notNull: 'is needed',
    oneOf: 'must be one of ${values}',
    notType: 'must be a ${type}',
  },
  number: {
    min: 'must be ${min} or more',
    max: 'must be ${max} or less',
    positive: 'must be more than 0',
    integer: 'must be a whole number',
  },
  string: {
    min: 'must have ${min} characters or more',
    max: 'must have ${max} characters or fewer',
    trim: 'must not begin or end with spaces',
  },
  array: { min: 'must have ${min} or more', max: 'must have ${max} or fewer' },
  object: { noUnknown: 'has something that is not known here: ${unknown}' },
});

/*
 * The fields bodies are made of. Everything is strict: Yup's defaults would cast "12" to 12, keep
 * unknown keys and let Infinity pass.
 */
export const finite = () =>
  number()
    .strict()
    .test('finite', 'must be a finite number', (v) => v === undefined || v === null || Number.isFinite(v));
export const whole = () => finite().integer();
export const yes = () => boolean().strict();
export const text = (longest: number) => string().strict().trim().max(longest);
export const entryId = () =>
  string()
    .strict()
    .matches(
      /^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/,
      'must be a UUIDv7 in lower case',
    );
export const anyId = () =>
  string()
    .strict()
    .matches(
      /^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/,
      'must be a UUID in lower case',
    );
export const day = () =>
  string()
    .strict()
    .test(
      'clinic-day',
      'must be a date from 1900 to 2199, YYYY-MM-DD',
      (v) => v === undefined || clinicDay(v) === v,
    );
export const instant = () =>
  string()
    .strict()
    .test(
      'instant',
      'must be an instant in UTC, YYYY-MM-DDTHH:MM:SS.sssZ',
      (v) => v === undefined || readInstant(v) !== undefined,
    );
export const name = () =>
  text(80).matches(/^[a-z0-9][a-z0-9-]*$/, 'must be a name of small letters, digits and hyphens');
export const side = () => mixed<Side>().oneOf(sides);
export const oneOf = <T extends string>(...values: readonly T[]) => mixed<T>().oneOf(values);
export const body = <S extends ObjectShape>(shape: S) => object(shape).strict().noUnknown().required();
export const ids = () => array().of(entryId().required()).max(200).strict().required();
export const pin = () =>
  body({
    id: name().required(),
    version: whole().positive().required(),
    hash: string()
      .strict()
      .matches(/^[0-9a-f]{64}$/, 'must be a SHA-256 in hex')
      .required(),
  });
