import { anyId, body, day, oneOf, pin, side, text } from '../fields';
import { kind } from './kind';

export const caseOpened = kind('case.opened', {
  nature: 'fact',
  stages: ['case'],
  permission: 'cases.write',
  // a person's id, never a name: what is chained holds no names
  body: body({ person: anyId().required(), side: side().required(), programme: pin(), model: pin() }),
});

export const visitPlanned = kind('visit.planned', {
  nature: 'fact',
  stages: ['case', 'review', 'wear'],
  permission: 'visits.write',
  body: body({ day: day().required(), purpose: oneOf('fitting', 'review').required(), note: text(400) }),
});

/** Takes an entry out of the record without putting another in its place; it stays, struck through. */
export const recordWithdrawn = kind('record.withdrawn', {
  nature: 'fact',
  stages: ['case', 'screen', 'measure', 'size', 'set', 'shape', 'strap', 'check', 'wear', 'review'],
  // whose permission counts is that of what is withdrawn
  permission: 'visits.write',
  body: body({}),
});
