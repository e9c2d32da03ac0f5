import { body, finite, name, oneOf, text } from '../fields';
import { kind } from './kind';

const face = () => oneOf('front', 'back', 'medial', 'lateral').required();
const level = () => finite().min(-600).max(600).required();

export const scarSeen = kind('shape.scar', {
  nature: 'fact',
  stages: ['shape'],
  permission: 'shaping.write',
  body: body({ face: face(), from: level(), to: level() }),
});

export const padPlaced = kind('shape.pad', {
  nature: 'fact',
  stages: ['shape'],
  permission: 'shaping.write',
  body: body({ pad: name().required(), done: oneOf('placed', 'split', 'left-out').required() }),
});

export const barBent = kind('shape.bent', {
  nature: 'fact',
  stages: ['shape'],
  permission: 'shaping.write',
  body: body({
    upright: oneOf('medial', 'lateral').required(),
    place: level(),
    direction: oneOf('towards-limb', 'away-from-limb').required(),
    amount: finite().positive().max(60).required(),
    /** why it was bent in spite of what the maker allows */
    inSpite: text(400).min(3),
  }),
});
