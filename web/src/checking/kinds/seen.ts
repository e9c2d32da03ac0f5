import type { FitCheck } from '@estribo/core/checking';
import type { CheckScreen } from './piece';

export const seen: CheckScreen<Extract<FitCheck, { kind: 'seen' }>> = {
  quantity: undefined,
  hint: (_, { words }) => words.how ?? '',
};
