import { body } from './fields';
import { kind } from './kind';

/** Takes an entry out of the record without putting another in its place; it stays, struck through. */
export const recordWithdrawn = kind('record.withdrawn', {
  nature: 'fact',
  stages: ['case', 'screen', 'measure', 'size', 'set', 'shape', 'strap', 'check', 'wear', 'review'],
  // whose permission counts is that of what is withdrawn
  permission: 'visits.write',
  body: body({}),
});
