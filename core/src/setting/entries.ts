import { array } from 'yup';
import type { HingeStops } from './stops';
import { valuesOfStops } from './kinds/stops';
import { body, entryId, finite, ids, name, text, whole, yes, former, kind } from '../record';

/** A number for each of its places, or none where no piece is in. */
const values = () =>
  array()
    .of(body({ place: name().required(), value: finite().min(-1000).max(3000).nullable().defined() }))
    .min(1)
    .max(12)
    .strict();

const isMade = ({ values: at, fitted }: { values?: unknown; fitted?: unknown }) =>
  (at === undefined) !== (fitted === undefined);
const made = ['made', 'must carry its numbers, or whether the part is in'] as const;

const degrees = () => finite().min(-30).max(180);
const lost = () => finite().min(0).max(360).required();

/** What a setting is to be, as the core computes it from the order, the size and the hardware. */
export const settingChosen = kind('set.chosen', {
  nature: 'intent',
  stages: ['set', 'strap', 'review'],
  permission: 'setting.write',
  body: body({
    setting: name().required(),
    values: values(),
    fitted: yes(),
    /** the phase of the order it is for */
    phase: whole().min(0),
    /** what was ordered, where that is a window */
    ordered: body({ extension: degrees(), flexion: degrees() }).default(undefined).optional(),
    lost: body({ extension: lost(), flexion: lost() }),
    /** the loss against the order was seen and will be told to the prescriber */
    acknowledged: yes().required(),
    madeFrom: ids(),
    programme: text(64).required(),
    engine: whole().positive().required(),
  }).test(...made, isMade),
});

/** A setting as it was made or found. */
export const settingMade = {
  ...kind('set.made', {
    nature: 'fact',
    stages: ['set', 'strap', 'review'],
    permission: 'strapping.write',
    body: body({
      setting: name().required(),
      /** as engraved, printed or read */
      values: values(),
      fitted: yes(),
      /** the choice that was carried out */
      of: entryId(),
      /** moved to both ends by hand afterwards */
      moved: yes(),
      /** found so, or done, by somebody whose work it is not: an orthotist looks at it */
      found: yes(),
      /** the patient changed it alone since the last time, and tells it now */
      reported: yes(),
    }).test(...made, isMade),
  }),
  v: 2,
  upcasters: [(older: object) => older],
};

const stops = () => body({ extension: degrees().required(), flexion: degrees().nullable().defined() });
const ofHinges = (hinges: Record<string, HingeStops>) => ({
  setting: 'hinge-stops',
  values: Object.entries(valuesOfStops(hinges)).map(([place, value]) => ({ place, value })),
});

/** Stops were chosen apart from everything else that is set. */
export const stopsChosen = former('set.stops-chosen', {
  nature: 'intent',
  stages: ['set', 'review'],
  permission: 'setting.write',
  body: body({
    medial: stops(),
    lateral: stops(),
    phase: whole().min(0).required(),
    ordered: body({ extension: degrees(), flexion: degrees() }),
    lost: body({ extension: finite().min(0).required(), flexion: finite().min(0).required() }),
    acknowledged: yes().required(),
    madeFrom: ids(),
    programme: text(64).required(),
    engine: whole().positive().required(),
  }),
  now: {
    kind: 'set.chosen',
    v: 1,
    body: ({ medial, lateral, ...rest }) => ({ ...ofHinges({ medial, lateral }), ...rest }),
  },
});

/** Stops were put in apart from everything else that is set. */
export const stopsFitted = former('set.stops-fitted', {
  nature: 'fact',
  stages: ['set', 'review'],
  permission: 'setting.write',
  body: body({ medial: stops(), lateral: stops(), of: entryId(), moved: yes().required() }),
  now: {
    kind: 'set.made',
    v: 2,
    body: ({ medial, lateral, ...rest }) => ({ ...ofHinges({ medial, lateral }), ...rest }),
  },
});
