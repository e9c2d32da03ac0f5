import { CheckInStep } from '../check-in-step';
import type { StepOf, StepScreen } from './piece';

/** As long as the check does not pass, its steps come once more. */
export const repeat: StepScreen<StepOf<'repeat'>> = {
  heading: 'strapping.look',
  Extra: ({ step }) => <CheckInStep check={step.until} moment={undefined} />,
  byItself: true,
};
