import { faultAt, rule, schemaFault } from '@estribo/core/faults';
import { clinicDay, isZone } from '@estribo/core/calendar';
import { isVisible } from '@estribo/core/people';
import { string, ValidationError, type InferType, type Schema } from 'yup';
import { faulty } from './problem';

/** A day of the clinic's calendar. */
export const dayField = string()
  .strict()
  .required()
  .test(...rule('date'), (value) => clinicDay(value) === value);

/** The time zone by which the clinic's days are counted. */
export const zoneField = string()
  .strict()
  .required()
  .max(64)
  .test(...rule('zone'), isZone);

/** A name of somebody or something: cut of blanks, and with a sign that can be seen. */
export const nameField = (longest: number) =>
  string()
    .strict()
    .trim()
    .required()
    .max(longest)
    .test(...rule('visible'), (value) => value === undefined || isVisible(value));

/**
 * What a client sent, checked against a schema.
 * @throws Problem 422 with every fault and its path
 */
export function valid<S extends Schema>(schema: S, sent: unknown): InferType<S> {
  // no body, or one of a type that is not read
  if (sent === undefined) throw faulty(faultAt('', 'no-body'));
  try {
    return schema.validateSync(sent, { abortEarly: false, strict: true }) as InferType<S>;
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const inner = error.inner.length > 0 ? error.inner : [error];
    throw faulty(inner.map((one) => schemaFault(one)));
  }
}
