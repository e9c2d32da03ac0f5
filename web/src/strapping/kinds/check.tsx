import { CheckInStep } from '../check-in-step';
import type { StepOf, StepScreen } from './piece';

export const check: StepScreen<StepOf<'check'>> = {
  heading: 'strapping.look',
  Extra: ({ step }) => <CheckInStep check={step.check} moment={step.moment} />,
  byItself: true,
};
