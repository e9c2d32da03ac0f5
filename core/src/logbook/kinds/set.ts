import { body, entryId, finite, ids, text, whole, yes } from '../fields';
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
