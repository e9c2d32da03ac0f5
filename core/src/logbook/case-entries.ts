import { formOf, rule } from '../faults';
import { anyId, body, day, entryId, kind, name, oneOf, pin, side, text } from '../record';
import { findingNow } from '../screening';

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

export const closingReasons = ['delivered', 'moved', 'died', 'other'] as const;
export type ClosingReason = (typeof closingReasons)[number];

/** Nothing more is due in the case; it stays as it is and may be opened again. */
export const caseClosed = kind('case.closed', {
  nature: 'fact',
  stages: ['case'],
  permission: 'cases.write',
  body: body({ because: oneOf(...closingReasons).required(), note: text(400) }).test(
    ...rule('other-says'),
    ({ because, note }) => because !== 'other' || (note ?? '').length >= 3,
  ),
});

export const caseReopened = kind('case.reopened', {
  nature: 'fact',
  stages: ['case'],
  permission: 'cases.write',
  body: body({ note: text(400) }),
});

/** Somebody else has the case in hand from now on. */
export const caseHandedOver = kind('case.handed-over', {
  nature: 'fact',
  stages: ['case'],
  permission: 'cases.write',
  body: body({ to: anyId().required(), note: text(400) }),
});

/** What has no other place and must be read before the next visit. */
export const caseNoted = kind('case.noted', {
  nature: 'fact',
  stages: ['case'],
  permission: 'notes.write',
  body: body({ text: text(800).min(1).required() }),
});

const labelSigns = /^[\p{L}\p{N}][\p{L}\p{N} ./:#+-]*$/u;
/** Whether a text can stand on a label: what no label has is a slip of the hand. */
export const isOnLabel = (typed: string): boolean => labelSigns.test(typed);
const onLabel = () => text(60).matches(labelSigns, formOf('label-signs'));

/** What stands on the label of the brace that was fitted, so that it is found again when its maker calls it back. */
export const labelRead = kind('label.read', {
  nature: 'fact',
  stages: ['case', 'size', 'check'],
  permission: 'checking.write',
  body: body({ serial: onLabel(), lot: onLabel() }).test(
    ...rule('serial-or-lot'),
    ({ serial, lot }) => serial !== undefined || lot !== undefined,
  ),
});

export const visitPurposes = [
  'first',
  'fitting',
  'review',
  'setting',
  'work',
  'collection',
  'other',
] as const;
export type VisitPurpose = (typeof visitPurposes)[number];

/** A clock of the clinic, HH:MM. */
export const clock = () => text(5).matches(/^([01]\d|2[0-3]):[0-5]\d$/, formOf('clock-time'));

/** A visit that is planned; moved by another in its place, called off by a withdrawal, each with its reason. */
export const visitPlanned = {
  ...kind('visit.planned', {
    nature: 'fact',
    stages: ['case', 'review', 'wear'],
    permission: 'visits.write',
    body: body({
      day: day().required(),
      time: clock(),
      purpose: oneOf(...visitPurposes).required(),
      /** for those who read the record; absent in one that moves another: the note stays as it was */
      note: text(400),
      /** for everybody who sees visits, the front desk among them */
      deskNote: text(400),
    }),
  }),
  v: 3,
  // of version 1 were fittings and reviews without a time; of version 2 those with one note for all
  upcasters: [(body: object) => body, (body: object) => body],
};

/** Somebody was called about what was found: whom, and what they said. */
export const callMade = {
  ...kind('call.made', {
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
  }),
  v: 2,
  upcasters: [({ about, ...more }: { about: string }) => ({ ...more, about: findingNow(about) })],
};
