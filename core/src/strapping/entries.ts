import { body, finite, name, whole, kind } from '../record';

/** The brace goes on anew: the list, where there are several the one that is named, starts from its first step. */
export const donningBegun = kind('strap.begun', {
  nature: 'fact',
  stages: ['strap'],
  permission: 'strapping.write',
  body: body({ list: name() }),
});

export const strapDone = kind('strap.done', {
  nature: 'fact',
  stages: ['strap'],
  permission: 'strapping.write',
  body: body({
    step: name().required(),
    /** how many times it has been done, this one counted */
    pass: whole().min(1).max(99).required(),
    /** the settling walk: how long it was and how far the brace dropped */
    minutes: finite().min(0).max(240),
    dropped: finite().min(-50).max(200),
  }),
});
