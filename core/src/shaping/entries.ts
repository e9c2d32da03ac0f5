import { rule, type EntryFault } from '../faults';
import { array } from 'yup';
import { landmarks } from '../anatomy';
import type { Part } from '../brace';
import { body, entryId, finite, ids, name, oneOf, text, former, kind, whole, yes } from '../record';
import { foreignContour, foreignHeat, foreignMark, foreignWork, isForeignWork, isHeatUnfelt } from './faults';
import type { FrameLimits } from './bends';
import type { Operation } from './operations';
import { contourSources } from './contour';
import { heatEvents } from './heat-runs';
import { zoneKinds } from './zones';

/** What work is done on a brace, on which parts, and what its maker allows of its frame. */
interface Shaped {
  operations: readonly Operation[];
  parts: readonly Part[];
  frame: FrameLimits | undefined;
}

const face = () => oneOf('front', 'back', 'medial', 'lateral', 'left', 'right').required();
const level = () => finite().min(-600).max(600).required();

/** A scar or a wound on a face of the limb, from where to where; mm from the region's mark, proximal positive. */
export const scarSeen = {
  ...kind('shape.scar', {
    nature: 'fact',
    stages: ['shape'],
    permission: 'shaping.write',
    body: body({ what: oneOf(...zoneKinds).required(), face: face(), from: level(), to: level() }),
  }),
  v: 2,
  upcasters: [(ofScarsAlone: object) => ({ what: 'scar', ...ofScarsAlone })],
};

/** Work on the brace, one time: what, on which part, where, how much. */
export const workDone = {
  ...kind('work.done', {
    nature: 'fact',
    stages: ['shape', 'strap', 'review'],
    permission: 'shaping.write',
    foreign: ({ operations, parts, frame }: Shaped, body): EntryFault[] =>
      foreignWork(operations, parts, frame, body),
    outside: ({ operations, frame }: Shaped, body): boolean => isForeignWork(operations, frame, body),
    body: body({
      operation: name().required(),
      part: name(),
      /** mm from the region's mark, proximal positive */
      at: finite().min(-600).max(600),
      direction: name(),
      amount: finite().positive().max(2000),
      /** degrees that the irons went for it, from where the bar stood */
      hand: finite().positive().max(60),
      /** the mark of pressure it answers */
      mark: entryId(),
      /** of several ways in which it may be done */
      way: name(),
      /** why it was done in spite of what the maker allows, or of what it requires first */
      inSpite: text(400).min(3),
      /** why: a panel is stepped down, a part worn out */
      because: text(400),
    }),
  }),
  v: 3,
  upcasters: [(withoutReason: object) => withoutReason, (withoutHand: object) => withoutHand],
};

/** Stations off a straight-edge: how far along from the bar's held place, how far out; mm. */
const stations = (least: number) =>
  array()
    .of(body({ at: finite().min(-700).max(700).required(), out: finite().min(-250).max(250).required() }))
    .min(least)
    .max(80)
    .strict()
    .required()
    .test(...rule('points-apart'), (points) => {
      const places = (points ?? []).map(({ at }) => at).sort((a, b) => a - b);
      return places.every((at, i) => i === 0 || at - places[i - 1]! >= 1);
    });
const between = () => finite().min(0).max(60);

/** What a part is shaped to: the skin off a straight-edge, and what comes between it and the part. */
export const contourTaken = kind('shape.contour', {
  nature: 'fact',
  stages: ['shape'],
  permission: 'shaping.write',
  foreign: ({ operations, parts }: Shaped, body): EntryFault[] => foreignContour(operations, parts, body),
  body: body({
    part: name().required(),
    source: oneOf(...contourSources).required(),
    points: stations(3),
    liner: between().required(),
    pad: between().required(),
    gap: between().required(),
    gapAtTop: finite().min(0).max(120),
  }),
});

/** A bar was looked at: gaps against its contour, beyond it positive, or its own offsets off the straight-edge. */
export const barRead = kind('shape.bar-read', {
  nature: 'fact',
  stages: ['shape'],
  permission: 'shaping.write',
  foreign: ({ operations, parts }: Shaped, body): EntryFault[] => foreignContour(operations, parts, body),
  body: body({ part: name().required(), what: oneOf('gaps', 'offsets').required(), points: stations(1) }),
});

/** Which bends were decided on for a bar. */
export const bendsPlanned = kind('shape.planned', {
  nature: 'decision',
  stages: ['shape'],
  permission: 'shaping.write',
  body: body({
    part: name().required(),
    purpose: oneOf('contour', 'set').required(),
    bends: array()
      .of(body({ at: finite().min(-700).max(700).required(), turn: finite().min(-90).max(90).required() }))
      .max(12)
      .strict()
      .required(),
    /** the largest gap that is left by it */
    gap: finite().min(0).max(500).required(),
    madeFrom: ids(),
    programme: text(64).required(),
    engine: whole().positive().required(),
  }),
});

/** A run of heat, as it goes: begun, a stage of it begun, a thermometer read, paused, gone wrong, ended. */
export const heatWent = kind('shape.heat', {
  nature: 'fact',
  stages: ['shape'],
  permission: 'shaping.write',
  foreign: ({ operations, parts }: Shaped, body): EntryFault[] => foreignHeat(operations, parts, body),
  outside: (_brace: Shaped, body): boolean => isHeatUnfelt(body),
  body: body({
    operation: name().required(),
    run: name().required(),
    part: name().required(),
    what: oneOf(...heatEvents).required(),
    /** the entry that began the run; the one that begins it names none */
    of: entryId(),
    stage: name(),
    /** of the plastic */
    celsius: finite().min(-20).max(300),
    /** of the room, when the run began */
    room: finite().min(0).max(50),
    /** local sensation, asked at the start */
    feels: yes(),
    present: yes(),
    because: text(400),
  }),
});

/** What is done where an edge or a face presses. */
export const markWays = ['trim', 'flare', 'relieve'] as const;
export type MarkWay = (typeof markWays)[number];

/** A mark of pressure on the skin under an edge: where, what shall be done, how much. */
export const pressureMarked = kind('shape.marked', {
  nature: 'fact',
  stages: ['shape', 'check', 'review'],
  permission: 'shaping.write',
  foreign: ({ parts }: Shaped, body): EntryFault[] => foreignMark(parts, body),
  body: body({
    part: name().required(),
    from: oneOf(...landmarks).required(),
    offset: finite().min(-600).max(600).required(),
    face: face(),
    aside: finite().min(-300).max(300).required(),
    way: oneOf(...markWays).required(),
    amount: finite().positive().max(60).required(),
    note: text(400),
  }),
});

/** A mark was looked at again after the refit. */
export const markLooked = kind('shape.looked', {
  nature: 'fact',
  stages: ['shape', 'check', 'review'],
  permission: 'shaping.write',
  body: body({ mark: entryId().required(), clear: yes().required() }),
});

/** Pads were placed apart from other work on the brace. */
export const padPlaced = former('shape.pad', {
  nature: 'fact',
  stages: ['shape'],
  permission: 'shaping.write',
  body: body({ pad: name().required(), done: oneOf('placed', 'split', 'left-out').required() }),
  now: {
    kind: 'work.done',
    v: 3,
    body: ({ pad, done }) => ({ operation: 'place-pads', part: pad, way: done }),
  },
});

/** Bars were bent apart from other work on the brace. */
export const barBent = former('shape.bent', {
  nature: 'fact',
  stages: ['shape'],
  permission: 'shaping.write',
  body: body({
    upright: oneOf('medial', 'lateral').required(),
    place: level(),
    direction: oneOf('towards-limb', 'away-from-limb').required(),
    amount: finite().positive().max(60).required(),
    inSpite: text(400).min(3),
  }),
  now: {
    kind: 'work.done',
    v: 3,
    body: ({ upright, place, ...rest }) => ({
      operation: 'bend-uprights',
      part: `upright-${upright}`,
      at: place,
      ...rest,
    }),
  },
});
