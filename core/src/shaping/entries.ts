import { body, finite, name, oneOf, text, former, kind } from '../record';

const face = () => oneOf('front', 'back', 'medial', 'lateral').required();
const level = () => finite().min(-600).max(600).required();

export const scarSeen = kind('shape.scar', {
  nature: 'fact',
  stages: ['shape'],
  permission: 'shaping.write',
  body: body({ face: face(), from: level(), to: level() }),
});

/** Work on the brace, one time: what, on which part, where, how much. */
export const workDone = {
  ...kind('work.done', {
    nature: 'fact',
    stages: ['shape', 'strap', 'review'],
    permission: 'shaping.write',
    body: body({
      operation: name().required(),
      part: name(),
      /** mm from the region's mark, proximal positive */
      at: finite().min(-600).max(600),
      direction: name(),
      amount: finite().positive().max(600),
      /** of several ways in which it may be done */
      way: name(),
      /** why it was done in spite of what the maker allows, or of what it requires first */
      inSpite: text(400).min(3),
      /** why: a panel is stepped down, a part worn out */
      because: text(400),
    }),
  }),
  v: 2,
  upcasters: [(withoutReason: object) => withoutReason],
};

/** Pads were placed apart from other work on the brace. */
export const padPlaced = former('shape.pad', {
  nature: 'fact',
  stages: ['shape'],
  permission: 'shaping.write',
  body: body({ pad: name().required(), done: oneOf('placed', 'split', 'left-out').required() }),
  now: {
    kind: 'work.done',
    v: 2,
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
    v: 2,
    body: ({ upright, place, ...rest }) => ({
      operation: 'bend-uprights',
      part: `upright-${upright}`,
      at: place,
      ...rest,
    }),
  },
});
