export {
  applies,
  chosenOf,
  conditionSchema,
  doesBearNothing,
  holds,
  optionalCondition,
  orderedFacts,
  type Condition,
  type KnownFacts,
} from './condition';
export { allById, byId, name } from './by-id';
export { oneOfKinds, statesOf, type Kinds, type OneOfKinds } from './union';
export { finite, levelIn, levelOn, levelSchema, placeSchema, type Level, type Place } from './place';
export { partNamed, partSchema, partsOfKind, type Part, type PartKind, type PartOf } from './part';
export { optionalPosture, stances, type Posture, type Stance } from './posture';
export { notReversed } from './limits';
