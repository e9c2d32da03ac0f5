import type { StepOf, StepScreen } from './piece';

export const look: StepScreen<StepOf<'look'>> = { heading: 'strapping.look' };
