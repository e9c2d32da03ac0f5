export { normalCdf, normalWithin, normalDensity } from './normal';
export { meanAndDeviation, type Spread } from './spread';
export { repeatabilityCoefficient, withinPersonDeviation } from './repeatability';
export { monotoneCurve } from './monotone';
export { theilSen, type TheilSen } from './theil-sen';
export { boundedSlope, type BoundedPoint, type BoundedSlope } from './bounded-slope';
