export { perForce, threePointLoads, type ThreePoint, type ThreePointLoads } from './three-point';
