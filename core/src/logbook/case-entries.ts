import { anyId, body, day, entryId, name, oneOf, pin, side, text, kind } from '../record';

export const caseOpened = kind('case.opened', {
  nature: 'fact',
  stages: ['case'],
  permission: 'cases.write',
  // a person's id, never a name: what is chained holds no names
  body: body({ person: anyId().required(), side: side().required(), programme: pin(), model: pin() }),
});

/** The case holds on to another version of its programme or its model from now on. What was decided before keeps its own. */
export const caseMoved = kind('case.moved', {
  nature: 'fact',
  stages: ['case'],
  permission: 'cases.write',
  body: body({ programme: pin(), model: pin(), reason: text(400).min(3).required() }),
});

export const visitPlanned = kind('visit.planned', {
  nature: 'fact',
  stages: ['case', 'review', 'wear'],
  permission: 'visits.write',
  body: body({ day: day().required(), purpose: oneOf('fitting', 'review').required(), note: text(400) }),
});

/** Somebody was called about what was found: whom, and what they said. */
export const callMade = kind('call.made', {
  nature: 'fact',
  stages: ['case', 'screen', 'measure', 'size', 'set', 'shape', 'strap', 'check', 'wear', 'review'],
  permission: 'checking.write',
  body: body({
    /** the entry it was found in, and what of it: a finding, a check, what a review found */
    of: entryId().required(),
    about: name().required(),
    whom: text(120).min(1).required(),
    said: text(400).min(1).required(),
  }),
});
