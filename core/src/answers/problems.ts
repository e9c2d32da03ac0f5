import { filled } from '../faults';

/**
 * What the server says to what it does not take: status, title and sentence, each under its code. A client that has words of its own
 * says it by the code; `{{name}}` is filled in from what the answer carries with it.
 */
export const problems = {
  'other-site': [403, 'Not allowed', 'Writing from another site is refused.'],
  'no-route': [404, 'Not found', 'There is no route here.'],
  'no-case': [404, 'Not found', 'There is no case here.'],
  'no-model': [404, 'Not found', 'There is no model here.'],
  'no-content': [404, 'Not found', 'There is no content under this hash here.'],
  'no-template': [404, 'Not found', 'There is no template here.'],
  'no-user': [404, 'Not found', 'There is no user here.'],
  'no-setting-or-part': [404, 'Not found', 'There is no setting or part here.'],
  'no-measuring-step': [404, 'Not found', 'There is no measuring step here.'],
  'no-instrument': [404, 'Not found', 'There is no instrument here.'],
  'no-person': [404, 'Not found', 'There is no person here.'],
  'set-up-already': [404, 'Not found', 'This clinic is set up already.'],
  'no-sensor': [404, 'No sensor', 'No sensor is registered for this clinic.'],
  'not-one-of': [400, 'Not valid', '{{name}} must be one of {{words}}.'],
  'not-whole': [400, 'Not valid', '{{name}} must be a whole number from {{least}} to {{most}}.'],
  'too-long': [400, 'Not valid', '{{name}} must be a text of at most {{longest}} characters.'],
  'no-uuid': [400, 'Not valid', 'The id must be a UUID in lower case.'],
  'not-days': [400, 'Not valid', 'from and until must be dates, YYYY-MM-DD, in order.'],
  'too-many-days': [400, 'Not valid', 'At most {{most}} days are looked at in one go.'],
  'no-sending-kind': [400, 'Not valid', 'kind must be an instrument that sends values.'],
  'no-side': [400, 'Not valid', 'side must be left, right or midline.'],
  'not-json': [400, 'Not JSON', 'The body is not JSON.'],
  'bad-path': [400, 'Not an address', 'The path is not well encoded.'],
  'not-sound': [400, 'Not acceptable', '{{fault}}'],
  unreadable: [400, 'Not acceptable', 'The request cannot be read.'],
  'not-valid': [422, 'Not valid', '{{faults}}'],
  'id-taken': [422, 'Another entry has this id', 'Make a new id for a new entry.'],
  'not-imported': [422, 'Not imported', 'Nothing was imported. Correct the rows and send it again.'],
  'file-too-large': [413, 'Too large', 'This file is more than can be read at once: split it.'],
  'too-large': [413, 'Too large', 'This is more than may be sent at once.'],
  'other-user': [401, 'Somebody else is signed in', 'Here {{who}} is signed in now.'],
  'not-signed-in': [401, 'Not signed in', 'Sign in and send it again.'],
  locked: [401, 'Locked', 'Unlock this machine and send it again.'],
  'wrong-password': [401, 'Not signed in', 'Login or password is wrong.'],
  'wrong-pin': [401, 'Not signed in', 'The PIN is wrong.'],
  'pin-used-up': [401, 'Not signed in', 'Sign in with your password.'],
  'by-password': [401, 'Not by PIN', 'Sign in with your password.'],
  'wrong-code': [401, 'Not allowed', 'This is not the code on the server’s console.'],
  'role-may-not': [403, 'Not allowed', 'The role {{role}} may not do this ({{what}}).'],
  'role-may-not-write': [403, 'Not allowed', 'The role {{role}} may not write {{kind}}.'],
  'not-your-entry': [403, 'Not allowed', 'An entry is written by the one who signs in for it.'],
  'already-open': [409, 'Already open', 'This case was opened before.'],
  'another-meanwhile': [
    409,
    'No longer current',
    'Another one was written meanwhile. Look at both, then send yours again.',
  ],
  'record-does-not-hold': [
    409,
    'The record does not hold',
    'This case is not as it was when it was last written or sealed. Nothing is added to it until the administrator has run "npm run verify".',
  ],
  'newer-version': [409, 'No longer current', 'The next version of this {{sort}} is {{next}}.'],
  'version-just-written': [409, 'No longer current', 'Somebody else has just written this version.'],
  'leaves-out': [
    409,
    'Would leave something out',
    'A chart here states more than the file does. Look at what would be gone, then say that it may go.',
  ],
  'own-password': [409, 'One’s own', 'One’s own password is changed under one’s own name.'],
  'account-closed': [409, 'Closed', 'This account is closed: open it first.'],
  'instrument-here': [409, 'Already there', 'An instrument of this id is here already.'],
  'stand-in': [409, 'A stand-in', 'A stand-in makes its own values. Register the real instrument first.'],
  'nothing-logged': [409, 'Nothing logged', 'The sensor logs from the first day of wearing on.'],
  'no-folder': [409, 'No folder', 'Set the folder for back-ups first, then save.'],
  'back-up-failed': [409, 'No back-up', '{{why}}'],
  'no-back-up': [409, 'No back-up', 'Make a back-up first, then restore it on trial.'],
  'person-merged': [409, 'Merged', 'This person was merged into another: change that one.'],
  'merged-already': [409, 'Merged', 'This person was merged into another already.'],
  'person-changed': [
    409,
    'No longer current',
    'Somebody else has changed this person meanwhile. Look at both, then save yours again.',
  ],
  'perhaps-the-same': [
    409,
    'Perhaps the same person',
    'Somebody like this is here already. Choose that person, or say that this is another one.',
  ],
  'merge-too-old': [409, 'Too late', 'A merge is undone within a day; this one is older.'],
  'visit-of-case': [409, 'Of a case', 'This visit stands in the record of a case: change it there.'],
  'just-written': [409, 'Already there', 'Somebody else has just written this. Look at it, then go on.'],
  'too-many-tries': [429, 'Too many tries', 'Wait five minutes, then try again.'],
  'too-many-streams': [429, 'Too many', 'At most {{most}} instruments are watched at once.'],
  failed: [
    500,
    'Failed',
    'Something went wrong in the server with this one. What was sent is kept where it was written.',
  ],
  busy: [503, 'Busy', 'Somebody else is writing here just now. Nothing was stored; send it again.'],
  unanswered: [
    503,
    'The database does not answer',
    'It is not known whether this was stored. Send it again: the same thing is taken once.',
  ],
  'not-well': [503, 'Not well', 'The database does not answer.'],
  'disk-full': [
    507,
    'Disk full',
    'The server’s disk is full: nothing was stored. Inform the administrator: free some space on it. What was typed is kept here and is sent again.',
  ],
} as const satisfies Readonly<Record<string, readonly [status: number, title: string, detail: string]>>;

export type ProblemCode = keyof typeof problems;
/** What is filled into a problem's sentence, by name. */
export type ProblemParams = Readonly<Record<string, string | number>>;

/** A problem's sentence with what it names filled in. */
export const problemDetail = (code: ProblemCode, params?: ProblemParams): string =>
  filled(problems[code][2], params);
