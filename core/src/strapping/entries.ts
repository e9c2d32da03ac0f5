import type { EntryFault } from '../faults';
import type { Part } from '../brace';
import { body, finite, name, oneOf, text, whole, yes, kind } from '../record';
import { foreignList, foreignStep, foreignTension } from './faults';
import type { Sequence } from './sequence';

interface Listed {
  sequences: readonly Sequence[];
}

/** The brace goes on anew: the list, where there are several the one that is named, starts from its first step. */
export const donningBegun = {
  ...kind('strap.begun', {
    nature: 'fact',
    stages: ['strap'],
    permission: 'strapping.write',
    foreign: ({ sequences }: Listed, body): EntryFault[] => foreignList(sequences, body),
    body: body({
      list: name(),
      /** the facility's own handling policy is known and goes before the list */
      policy: yes(),
    }),
  }),
  v: 2,
  upcasters: [(withoutPolicy: object) => withoutPolicy],
};

export const strapDone = {
  ...kind('strap.done', {
    nature: 'fact',
    stages: ['strap'],
    permission: 'strapping.write',
    foreign: ({ sequences }: Listed, body): EntryFault[] => foreignStep(sequences, body),
    body: body({
      step: name().required(),
      /** how many times it has been done, this one counted */
      pass: whole().min(1).max(99).required(),
      /** the settling walk: how long it was and how far the brace dropped */
      minutes: finite().min(0).max(240),
      dropped: finite().min(-50).max(200),
      /** it was done before one that stands before it, and that was meant */
      outOfOrder: yes(),
      /** of what is done over a pair: both were compared, and are alike */
      alike: yes(),
    }),
  }),
  v: 2,
  upcasters: [(withoutOrder: object) => withoutOrder],
};

/** Movement or feeling was lost while the patient was moved: all stops until it is noted anew. */
export const strapLost = kind('strap.lost', {
  nature: 'fact',
  stages: ['strap'],
  permission: 'strapping.write',
  foreign: ({ sequences }: Listed, body): EntryFault[] => foreignStep(sequences, body),
  body: body({ step: name().required(), note: text(400) }),
});

/** What a strap pulls with, newtons: typed, or taken from the gauge. */
export const strapTension = kind('strap.tension', {
  nature: 'fact',
  stages: ['strap'],
  permission: 'strapping.write',
  foreign: ({ parts }: { parts: readonly Part[] }, body): EntryFault[] => foreignTension(parts, body),
  body: body({
    part: name().required(),
    newtons: finite().positive().max(300).required(),
    from: oneOf('typed', 'gauge').required(),
  }),
});
