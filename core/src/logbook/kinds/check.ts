import { body, finite, ids, name, oneOf, text, whole, yes } from '../fields';
import { kind } from './kind';

export const checkRecorded = kind('check.recorded', {
  nature: 'fact',
  stages: ['check'],
  permission: 'checking.write',
  body: body({
    check: name().required(),
    value: finite().min(-400).max(600),
    reference: finite().min(-400).max(600),
    seen: yes(),
  }).test(
    'answered',
    'must carry a value or an answer',
    ({ value, seen }) => value !== undefined || seen !== undefined,
  ),
});

export const checkSigned = kind('check.signed', {
  nature: 'decision',
  stages: ['check'],
  permission: 'checking.write',
  body: body({
    result: oneOf('pass', 'fail').required(),
    note: text(400),
    madeFrom: ids(),
    programme: text(64).required(),
    engine: whole().positive().required(),
  }),
});
