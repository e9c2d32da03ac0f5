import type { StepOf, StepScreen } from './piece';

/** Only a list that takes in itself is left as a step: there is nothing to it but its words. */
export const list: StepScreen<StepOf<'list'>> = {};
