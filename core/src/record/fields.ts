import { formOf, rule } from '../faults';
import { array, boolean, mixed, number, object, string, type ObjectShape } from 'yup';
import { sides, type Side } from '../anatomy';
import { clinicDay, readInstant } from '../calendar';

/*
 * The fields bodies are made of. Everything is strict: Yup's defaults would cast "12" to 12, keep
 * unknown keys and let Infinity pass.
 */
export const finite = () =>
  number()
    .strict()
    .test(...rule('finite'), (v) => v === undefined || v === null || Number.isFinite(v));
export const whole = () => finite().integer();
export const yes = () => boolean().strict();
export const text = (longest: number) => string().strict().trim().max(longest);
export const entryId = () =>
  string()
    .strict()
    .matches(/^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/, formOf('entry-id'));
export const anyId = () =>
  string()
    .strict()
    .matches(/^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/, formOf('any-id'));
export const day = () =>
  string()
    .strict()
    .test(...rule('date'), (v) => v === undefined || clinicDay(v) === v);
export const instant = () =>
  string()
    .strict()
    .test(...rule('instant'), (v) => v === undefined || readInstant(v) !== undefined);
export const name = () => text(80).matches(/^[a-z0-9][a-z0-9-]*$/, formOf('plain-name'));
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
      .matches(/^[0-9a-f]{64}$/, formOf('digest'))
      .required(),
  });
