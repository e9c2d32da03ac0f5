export { sides, otherSide, type Side } from './side';
export { landmarks, levelOf, type Landmark } from './landmark';
export { ellipsePerimeter, semiAxes } from './ellipse';
export { statureForAge } from './stature';
export { girthProfile, type GirthAt } from './limb-profile';
export { legForm, type LegForm, type LegEdges } from './leg-form';
export { frontOutline, outerOutline, type Outline, type Point } from './leg-outline';
