import type { StepOf, StepScreen } from './piece';

export const act: StepScreen<StepOf<'act'>> = {};
