import { SettingsWork } from '../../setting/settings-work';
import type { StepOf, StepScreen } from './piece';

export const set: StepScreen<StepOf<'set'>> = {
  Extra: ({ step }) => <SettingsWork only={step.setting} stage="strap" />,
};
