import { girth } from './girth';
import { inclination } from './inclination';
import { curve, distance, height } from './length';
import { mark } from './mark';
import { motion } from './motion';
import { age, mass, shoe, stature } from './person';
import { posture } from './posture';
import { stance } from './stance';
import { width } from './width';

/** Every kind of measuring step, by its name. A new one is a file here. */
export const measuringKinds = {
  stance,
  posture,
  mark,
  motion,
  girth,
  distance,
  curve,
  height,
  width,
  inclination,
  mass,
  age,
  stature,
  shoe,
};
