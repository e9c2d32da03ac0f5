import { array } from 'yup';
import { body, entryId, finite, ids, name, text, whole, yes } from '../fields';
import { kind } from './kind';

const degrees = () => finite().min(-30).max(180);
const stops = () => body({ extension: degrees().required(), flexion: degrees().nullable().defined() });

export const stopsChosen = kind('set.stops-chosen', {
  nature: 'intent',
  stages: ['set', 'review'],
  permission: 'setting.write',
  body: body({
    medial: stops(),
    lateral: stops(),
    phase: whole().min(0).required(),
    ordered: body({ extension: degrees(), flexion: degrees() }),
    lost: body({ extension: finite().min(0).required(), flexion: finite().min(0).required() }),
    /** the loss against the order was seen and will be told to the prescriber */
    acknowledged: yes().required(),
    madeFrom: ids(),
    programme: text(64).required(),
    engine: whole().positive().required(),
  }),
});

export const stopsFitted = kind('set.stops-fitted', {
  nature: 'fact',
  stages: ['set', 'review'],
  permission: 'setting.write',
  body: body({
    /** as engraved on the pieces */
    medial: stops(),
    lateral: stops(),
    /** the choice that was carried out */
    of: entryId(),
    /** hinge moved to both ends by hand */
    moved: yes().required(),
  }),
});

/** A setting as it was made or found: a number for each of its places, or whether a part is in. */
export const settingMade = kind('set.made', {
  nature: 'fact',
  stages: ['set', 'strap', 'review'],
  permission: 'strapping.write',
  body: body({
    setting: name().required(),
    values: array()
      .of(body({ place: name().required(), value: finite().min(-1000).max(3000).required() }))
      .min(1)
      .max(6)
      .strict(),
    fitted: yes(),
  }).test(
    'made',
    'must carry its numbers, or whether the part is in',
    ({ values, fitted }) => (values === undefined) !== (fitted === undefined),
  ),
});
