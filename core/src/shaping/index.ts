export { bendLedger, judgeBend, type Bend, type BendProblem, type FrameLimits, type Upright } from './bends';
export { padAdvice, type Pad, type PadAdvice, type Scar } from './pads';
