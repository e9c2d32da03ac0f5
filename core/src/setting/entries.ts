import { rule, type EntryFault } from '../faults';
import { array } from 'yup';
import type { HingeStops } from './stops';
import { valuesOfStops } from './kinds/stops';
import { body, entryId, finite, ids, name, oneOf, text, whole, yes, former, kind } from '../record';
import {
  foreignCorrection,
  foreignSetting,
  foreignTurns,
  isForeignMade,
  noHinge,
  notToHandOver,
  settingRoleFaults,
  turnRoleFaults,
  type Hardware,
} from './faults';
import type { MadeSetting } from './fold';
import type { Setting } from './settings';
import { finestTurn } from './turns';

/** What is set on a brace, and of which pieces its model is. */
interface Set {
  settings: readonly Setting[];
  hardware: Hardware;
}

/** A number for each of its places, or none where no piece is in. */
const values = () =>
  array()
    .of(body({ place: name().required(), value: finite().min(-1000).max(3000).nullable().defined() }))
    .min(1)
    .max(12)
    .strict();

const isMade = ({ values: at, fitted }: { values?: unknown; fitted?: unknown }) =>
  (at === undefined) !== (fitted === undefined);
const made = rule('made-somehow');

const degrees = () => finite().min(-30).max(180);
const lost = () => finite().min(0).max(360).required();

/** What a setting is to be, as the core computes it from the order, the size and the hardware. */
export const settingChosen = {
  ...kind('set.chosen', {
    nature: 'intent',
    stages: ['set', 'strap', 'review'],
    permission: 'setting.write',
    foreign: ({ settings, hardware }: Set, body): EntryFault[] => foreignSetting(settings, hardware, body),
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
      /** degrees by which the stops stay within the order at either end, for what the soft tissue gives */
      buffer: finite().positive().max(20),
      madeFrom: ids(),
      programme: text(64).required(),
      engine: whole().positive().required(),
    }).test(...made, isMade),
  }),
  v: 2,
  upcasters: [(withoutBuffer: object) => withoutBuffer],
};

/** A setting as it was made or found. */
export const settingMade = {
  ...kind('set.made', {
    nature: 'fact',
    stages: ['set', 'strap', 'review'],
    permission: 'strapping.write',
    foreign: ({ settings, hardware }: Set, body): EntryFault[] => foreignSetting(settings, hardware, body),
    outside: ({ settings, hardware }: Set, body): boolean => isForeignMade(settings, hardware, body),
    notByRole: (
      { settings, made: before }: Set & { made: readonly MadeSetting[] },
      body,
      role,
    ): EntryFault[] => settingRoleFaults(settings, before, body, role),
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
      /** left over, it was given to the patient */
      given: yes(),
      /** how often the patient did it, as the patient tells: so many days from one time to the next */
      everyDays: whole().min(1).max(60),
      /** why: the panel is stepped down, a part is left out */
      because: text(400),
    })
      .test(...made, isMade)
      .test(
        ...rule('told-how-often'),
        ({ everyDays, reported }) => everyDays === undefined || reported === true,
      ),
  }),
  v: 4,
  upcasters: [(older: object) => older, (older: object) => older, (older: object) => older],
};

/** A rational, as it is written: a quarter is 1 and 4. */
const turn = () => ({
  n: whole().min(-1000).max(1000).required(),
  d: whole().min(1).max(finestTurn).required(),
});

/** A screw, a wheel or a dial was turned on: by how much at each place, exactly; clockwise is positive. */
export const settingTurned = kind('set.turned', {
  nature: 'fact',
  stages: ['set', 'strap', 'review'],
  permission: 'strapping.write',
  foreign: ({ settings }: Set, body): EntryFault[] => foreignTurns(settings, body),
  notByRole: ({ settings }: Set, body, role): EntryFault[] => turnRoleFaults(settings, body, role),
  body: body({
    setting: name().required(),
    turns: array()
      .of(body({ place: name().required(), ...turn() }))
      .min(1)
      .max(6)
      .strict()
      .required(),
    /** why it was turned further than is allowed */
    inSpite: text(400).min(3),
    found: yes(),
    reported: yes(),
  }),
});

export const comforts = ['none', 'gentle', 'too-much'] as const;

/** How it was felt after a walk: no pressure, a gentle one, too much. */
export const settingFelt = kind('set.felt', {
  nature: 'fact',
  stages: ['set', 'strap', 'review'],
  permission: 'strapping.write',
  foreign: ({ settings }: Set, body): EntryFault[] => foreignCorrection(settings, body),
  body: body({
    setting: name().required(),
    comfort: oneOf(...comforts).required(),
    walked: yes().required(),
    /** 0 to 10 */
    pain: whole().min(0).max(10),
    note: text(400),
  }),
});

/** A setting was handed over to the patient: so much at once, not sooner than so many days, so far in all; taught and printed. */
export const settingHandedOver = kind('set.handed-over', {
  nature: 'fact',
  stages: ['set', 'strap', 'wear', 'review'],
  permission: 'setting.write',
  foreign: ({ settings }: Set, body): EntryFault[] => notToHandOver(settings, body),
  body: body({
    setting: name().required(),
    within: body(turn()),
    everyDays: whole().min(1).max(60).required(),
    /** neither further nor further back than this */
    most: body(turn()),
  }),
});

/** Where the hinge stands against the joint line as it was felt, the knee at which it was felt and at which it was tightened. */
export const hingePlaced = kind('hinge.placed', {
  nature: 'fact',
  stages: ['set', 'check', 'review'],
  permission: 'strapping.write',
  foreign: ({ parts }: { parts: readonly { kind: string }[] }): EntryFault[] => noHinge(parts),
  body: body({
    /** mm of the hinge's middle over the joint line */
    aboveJointLine: finite().min(-150).max(200).required(),
    /** mm in front of the side midline; behind it negative */
    forwardOfMidline: finite().min(-100).max(100).required(),
    knee: finite().min(-30).max(160).required(),
    donned: finite().min(-30).max(160).required(),
    /** mm, front to back, by calliper; the drawing's own where nobody read it */
    depth: finite().min(40).max(250),
  }),
});

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
    v: 2,
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
    v: 4,
    body: ({ medial, lateral, ...rest }) => ({ ...ofHinges({ medial, lateral }), ...rest }),
  },
});
