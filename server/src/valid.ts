import { ValidationError, type InferType, type Schema } from 'yup';
import { faulty } from './problem';

/**
 * What a client sent, checked against a schema.
 * @throws Problem 422 with every fault and its path
 */
export function valid<S extends Schema>(schema: S, sent: unknown): InferType<S> {
  // no body, or one of a type that is not read
  if (sent === undefined) throw faulty([{ at: '', message: 'is required, as application/json' }]);
  try {
    return schema.validateSync(sent, { abortEarly: false, strict: true }) as InferType<S>;
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const inner = error.inner.length > 0 ? error.inner : [error];
    throw faulty(inner.map(({ path, message }) => ({ at: path ?? '', message })));
  }
}
